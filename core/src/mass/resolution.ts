/** Figures of masses follow the scale: what it cannot read is not shown, and what it reads is not rounded away. */
import type { Design } from '../design';

/** Without a setting: a share of the mass, and at most a gram (common practice, no source). */
const SHARE = 0.005,
  MOST = 0.001;

/** What the scale reads to for a mass of that size [kg]: as set, else by size, on a step of 1, 2 or 5. */
export function scaleResolution(design: Pick<Design, 'limits'>, mass: number): number {
  const set = design.limits?.scale;
  if (set) return set;
  const wanted = Math.min(MOST, SHARE * Math.max(Math.abs(mass), 1e-6));
  const ten = 10 ** Math.floor(Math.log10(wanted) + 1e-9);
  const step = wanted / ten;
  return ten * (step >= 5 ? 5 : step >= 2 ? 2 : 1);
}

/** The least mass on the scale's steps that is not below this one [kg]. */
export function ballastStep(mass: number, resolution: number): number {
  return Number((Math.ceil(mass / resolution - 1e-9) * resolution).toPrecision(9));
}
