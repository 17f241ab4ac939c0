/** What the line of thrust does to pitch and yaw, and the angle that would take it away. */
import { say, type Said } from '../words';
import { powertrainOf, type Design, type Powertrain } from '../design';
import type { Derivatives } from '../surface';

export interface ThrustLine {
  /** thrust line above the CG, at the CG [m] */ offset: number;
  /** pitching moment of the thrust, nose up positive, as a coefficient at this speed */ cm: number;
  /** elevator that full power against none asks for [rad], down positive */ elevator: number | null;
  /** down thrust that would put the line through the CG [rad] */ throughCg: number;
  said: Said;
  side: Said;
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

/** What the moment of thrust is held against. */
interface Held {
  /** dynamic pressure [Pa] */ readonly q: number;
  /** reference area [m2] */ readonly area: number;
  /** mean chord [m] */ readonly chord: number;
  readonly cg: { readonly x: number; readonly z: number };
}

/** @param thrust [N] */
export function thrustLine(
  design: Design,
  thrust: number,
  { q, area, chord, cg }: Held,
  d: Derivatives,
): ThrustLine | null {
  if (powertrainOf(design).unpowered) return null;
  const p = powertrainOf(design).propeller,
    down = p.downThrust ?? 0;
  const { offset, cm } = thrustMoment(p, thrust, q, area, chord, cg);
  const throughCg = Math.atan((cg.z - p.z) / (cg.x - p.x || 1e-9));
  const control = Math.abs(d.Cmelevator) > 1e-4 ? -cm / d.Cmelevator : null;
  const pusher = p.x > cg.x;
  const change = throughCg - down;
  const said =
    Math.abs(change) < 0.01
      ? say('thrust-through-cg', {})
      : say('thrust-pitches', { up: cm > 0, offset, change });
  const side = pusher ? say('pusher-side', {}) : say('tractor-side', { side: p.sideThrust ?? 0 });
  return { offset, cm, elevator: control, throughCg, said, side };
}
