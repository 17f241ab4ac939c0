/** What the line of thrust does to pitch and yaw, and the angle that would take it away. */
import { powertrainOf, type Design, type Powertrain } from '../design';
import type { Derivatives } from '../surface';

export interface ThrustLine {
  /** thrust line above the CG, at the CG [m] */ offset: number;
  /** pitching moment of the thrust, nose up positive, as a coefficient at this speed */ cm: number;
  /** elevator that full power against none asks for [rad], down positive */ elevator: number | null;
  /** down thrust that would put the line through the CG [rad] */ throughCg: number;
  words: string;
  sideWords: string;
}

/** Moment of the thrust about the CG over q S c, nose up positive: a line that passes above the CG pushes the nose down. */
export function thrustMoment(
  p: Pick<Powertrain['propeller'], 'x' | 'z' | 'downThrust'>,
  thrust: number,
  q: number,
  area: number,
  chord: number,
  cg: { x: number; z: number },
): { offset: number; cm: number } {
  const down = p.downThrust ?? 0;
  // the line through the propeller, nose down by `down`: at the CG it has risen by tan(down) (x_cg - x_p)
  const offset = p.z + Math.tan(down) * (cg.x - p.x) - cg.z;
  return { offset, cm: (-thrust * Math.cos(down) * offset) / (q * area * chord) };
}

export function thrustLine(
  design: Design,
  thrust: number,
  q: number,
  area: number,
  chord: number,
  cg: { x: number; z: number },
  d: Derivatives,
): ThrustLine | null {
  if (powertrainOf(design).unpowered) return null;
  const p = powertrainOf(design).propeller,
    down = p.downThrust ?? 0;
  const { offset, cm } = thrustMoment(p, thrust, q, area, chord, cg);
  const throughCg = Math.atan((cg.z - p.z) / (cg.x - p.x || 1e-9));
  const control = Math.abs(d.Cmelevator) > 1e-4 ? -cm / d.Cmelevator : null;
  const deg = (r: number) => `${Math.abs((r * 180) / Math.PI).toFixed(1)}°`;
  const pusher = p.x > cg.x;
  const change = throughCg - down;
  const words =
    Math.abs(change) < 0.01
      ? 'The thrust line passes through the CG: power does not pitch it.'
      : `Power pitches the nose ${cm > 0 ? 'up' : 'down'} (the line passes ${Math.abs(1000 * offset).toFixed(0)} mm ${offset > 0 ? 'above' : 'below'} the CG): ${deg(change)} ${change > 0 ? 'more down' : 'more up'} thrust would take it through the CG.${Math.abs(change) > 0.12 ? ' That is more than is usually built (2° to 4°); trim the rest with elevator mixed to throttle.' : ''}`;
  const side = p.sideThrust ?? 0;
  const sideWords = pusher
    ? 'A pusher’s slipstream meets only the tail: begin without side thrust.'
    : `A right-turning propeller at the nose pulls left at low speed: ${side > 0.01 ? `${deg(side)} right thrust is set` : '1° to 3° right thrust is usual'} (common practice, no source); trim by flying full power and none at one speed.`;
  return { offset, cm, elevator: control, throughCg, words, sideWords };
}
