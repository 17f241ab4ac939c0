/**
 * Claims of makers and plans held against each other and against what is computed. A claim that cannot be is pointed at,
 * never corrected.
 */
import { say, type Said } from '../../words';
import { G0 } from '../../air';
import type { Design } from '../../design';
import { idealHoverPower } from '../../power';

export interface ClaimContext {
  density: number;
  /** empty and loaded all-up [kg] */ emptyMass: number;
  /** of the lift rotors, null where none [m2] */ discArea: number | null;
  /** static [N, A, rad/s], with standard uncertainties; null without motor */ still: {
    thrust: number;
    thrustSigma: number;
    current: number;
    currentSigma: number;
    omega: number;
  } | null;
  pitch: number;
  packCurrent: number;
  packEnergy: number;
  /** level and hover power from the pack [W] */ cruisePower: number | null;
  hoverPower: number | null;
}

/** A claimed flight time against level flight on the wing and against hover, whichever there are. */
function timeClaim(claimed: number, c: ClaimContext): Said[] {
  const ways = [
    { power: c.cruisePower, how: 'on the wing' },
    { power: c.hoverPower, how: 'in hover' },
  ].filter((w): w is { power: number; how: string } => w.power !== null && w.power > 0);
  const short = ways.filter((w) => claimed > (1.1 * c.packEnergy) / w.power);
  if (short.length === 0) return [];
  const holds = short.length < ways.length ? ways.find((w) => !short.includes(w))!.how : null;
  return [say('claim-time', { claimed, energy: c.packEnergy, short, holds })];
}

/** Sentences, one a contradiction. */
export function claimQuestions(design: Design, c: ClaimContext): Said[] {
  const k = design.claims,
    out: Said[] = [];
  if (!k) return out;
  if (k.hoverPower !== null && c.discArea !== null) {
    const mass = c.emptyMass + (k.payload ?? 0),
      ideal = idealHoverPower(mass * G0, c.discArea, c.density);
    const on = { mass, area: c.discArea, claimed: k.hoverPower, ideal };
    if (k.hoverPower < ideal) out.push(say('claim-impossible', on));
    else if (k.hoverPower < ideal / 0.7) out.push(say('claim-efficiency', on));
  }
  if (k.topSpeed !== null && c.still) {
    const advance = (c.pitch * c.still.omega) / (2 * Math.PI);
    if (k.topSpeed > 1.15 * advance) out.push(say('claim-speed', { claimed: k.topSpeed, advance }));
  }
  if (k.flightTime !== null) {
    out.push(...timeClaim(k.flightTime, c));
  }
  if (
    k.thrust !== null &&
    c.still &&
    Math.abs(k.thrust - c.still.thrust) > 2 * Math.hypot(c.still.thrustSigma, 0.03 * c.still.thrust)
  )
    out.push(
      say('claim-thrust', {
        claimed: k.thrust,
        computed: c.still.thrust,
        sigma: c.still.thrustSigma,
      }),
    );
  if (
    k.current !== null &&
    c.still &&
    Math.abs(k.current - c.still.current) > 2 * Math.hypot(c.still.currentSigma, 0.03 * c.still.current)
  )
    out.push(
      say('claim-current', {
        claimed: k.current,
        computed: c.still.current,
        sigma: c.still.currentSigma,
      }),
    );
  if (k.current !== null && k.current > c.packCurrent)
    out.push(say('claim-over-pack', { claimed: k.current, pack: c.packCurrent }));
  return out;
}
