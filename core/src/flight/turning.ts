/**
 * Turns and gusts against the stall, strip by strip. In a level turn the inner wing goes round a smaller circle: a strip y
 * out meets the air slower by y g sin(bank) / V (kinematics of the turn rate g tan(bank) / V), and has to carry its share
 * of n times the weight there; the ailerons hold the roll.
 */
import { G0 } from '../air';

/** How the wing nears its stall in straight flight. */
export interface StallingWing {
  /** level, straight [m/s] */ readonly stall: number;
  /** half span [m] */ readonly half: number;
  /** of strips, root first: place as a share of the half span */ readonly eta: readonly number[];
  /** of strips: local lift over what the section carries, at the stall */ readonly ratio: readonly number[];
}

/** Stall of the wing as a whole in a level turn [m/s]. @param stall straight [m/s] @param bank [rad] */
export const turnStall = (stall: number, bank: number): number => stall / Math.sqrt(Math.cos(bank));

/** Speed that a strip needs where it is, n times the weight carried [m/s]. */
const needed = (w: StallingWing, i: number, bank: number) =>
  w.stall * Math.sqrt(Math.max(0, w.ratio[i]) / Math.cos(bank));

/**
 * Speed below which a strip of the inner wing stalls in a level turn [m/s]; at least that of the whole wing in that turn.
 * @param bank [rad], 0 to below a right angle
 */
export function innerStall(wing: StallingWing, bank: number): number {
  const slower = G0 * Math.sin(bank) * wing.half;
  let most = turnStall(wing.stall, bank);
  for (let i = 0; i < wing.eta.length; i++) {
    const needs = needed(wing, i, bank);
    most = Math.max(most, 0.5 * (needs + Math.sqrt(needs * needs + 4 * wing.eta[i] * slower)));
  }
  return most;
}

/** Loss of airspeed, as by a gust from behind, that stalls the first strip in a turn [m/s]; below nil it has stalled. */
export function gustMargin(wing: StallingWing, bank: number, speed: number): number {
  const slower = (G0 * Math.sin(bank) * wing.half) / speed;
  let least = speed - turnStall(wing.stall, bank);
  for (let i = 0; i < wing.eta.length; i++)
    least = Math.min(least, speed - wing.eta[i] * slower - needed(wing, i, bank));
  return least;
}
