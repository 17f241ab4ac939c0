/** Lift, drag and moment of a section over the whole range of angles at one Reynolds number, on an even grid. */
import { bracketIndex, clamp } from '../numeric';
import type { Polar, PolarSet } from '../section';

const DEG = Math.PI / 180;
/** Steepest loss of lift past the stall [per rad]; wings lose theirs more gently than their sections do. */
const FALL = 2;
const FROM = -24 * DEG,
  STEP = 0.5 * DEG,
  COUNT = 117;

export interface LiftTable {
  readonly cl: Float64Array;
  readonly cd: Float64Array;
  readonly cm: Float64Array;
  /** largest lift and its angle [rad], and the least */ readonly clMax: number;
  readonly alphaStall: number;
  readonly clMin: number;
  readonly alphaMin: number;
}

function columnAt(p: Polar, alpha: number, of: 'cl' | 'cd' | 'cm'): number {
  const q = p.points;
  const first = q[0],
    last = q[q.length - 1];
  if (alpha <= first.alpha)
    return of === 'cl'
      ? first.cl + clamp(3 * (alpha - first.alpha), -0.3, 0) * 0.2
      : of === 'cd'
        ? first.cd + 1.5 * (first.alpha - alpha)
        : first.cm;
  if (alpha >= last.alpha) return of === 'cd' ? last.cd + 1.5 * (alpha - last.alpha) : last[of];
  let lo = 0,
    hi = q.length - 1;
  while (hi - lo > 1) {
    const m = (lo + hi) >> 1;
    if (q[m].alpha <= alpha) lo = m;
    else hi = m;
  }
  const t = (alpha - q[lo].alpha) / (q[hi].alpha - q[lo].alpha);
  return q[lo][of] + t * (q[hi][of] - q[lo][of]);
}

/**
 * Blended in log Re between the two nearest polars.
 * @param factor on the largest lift: the whole curve is stretched about no lift, slope kept
 */
export function liftTable(set: PolarSet, reynolds: number, factor = 1): LiftTable {
  const ps = set.polars;
  const logs = ps.map((p) => Math.log(p.reynolds));
  const i = ps.length > 1 ? bracketIndex(logs, Math.log(reynolds)) : 0;
  const t = ps.length > 1 ? clamp((Math.log(reynolds) - logs[i]) / (logs[i + 1] - logs[i]), 0, 1) : 0;
  const mix = (a: number, of: 'cl' | 'cd' | 'cm') =>
    t > 0 ? (1 - t) * columnAt(ps[i], a, of) + t * columnAt(ps[i + 1], a, of) : columnAt(ps[i], a, of);
  const cl = new Float64Array(COUNT),
    cd = new Float64Array(COUNT),
    cm = new Float64Array(COUNT);
  for (let k = 0; k < COUNT; k++) {
    const a = FROM + k * STEP,
      at = set.zeroLift + (a - set.zeroLift) / factor;
    cl[k] = factor * mix(at, 'cl');
    cd[k] = mix(at, 'cd');
    cm[k] = mix(at, 'cm');
  }
  // the first top above no lift, not the flat-plate hump at 45 degrees
  const zero = Math.round((set.zeroLift - FROM) / STEP);
  let top = zero,
    low = zero;
  for (let k = zero; k < COUNT && FROM + k * STEP < 22 * DEG; k++) if (cl[k] > cl[top]) top = k;
  for (let k = zero; k >= 0; k--) if (cl[k] < cl[low]) low = k;
  // past the top the fall is no steeper than FALL: a steeper one has no steady answer on neighbouring strips
  for (let k = top + 1; k < COUNT; k++) cl[k] = Math.max(cl[k], cl[k - 1] - FALL * STEP);
  for (let k = low - 1; k >= 0; k--) cl[k] = Math.min(cl[k], cl[k + 1] + FALL * STEP);
  // the stall is where lift comes within two per cent of its largest: on a flat top the largest itself jumps about
  let k0 = top;
  while (k0 > zero && cl[k0 - 1] > 0.98 * cl[top]) k0--;
  const rise = cl[k0] - cl[k0 - 1],
    into = k0 > zero && rise > 1e-9 ? (0.98 * cl[top] - cl[k0 - 1]) / rise : 1;
  return {
    cl,
    cd,
    cm,
    clMax: cl[top],
    alphaStall: FROM + (k0 - 1 + into) * STEP,
    clMin: cl[low],
    alphaMin: FROM + low * STEP,
  };
}

/** Value and slope per rad of a column at an angle [rad]; held at the ends. */
export function tableAt(column: Float64Array, alpha: number): { value: number; slope: number } {
  const u = clamp((alpha - FROM) / STEP, 0, COUNT - 1.001),
    k = Math.floor(u),
    f = u - k;
  const slope = (column[k + 1] - column[k]) / STEP;
  return { value: column[k] + f * (column[k + 1] - column[k]), slope };
}

/** `tableAt` for kernels: value and slope per rad into `out`. */
export function tableInto(column: Float64Array, alpha: number, out: Float64Array): void {
  let u = (alpha - FROM) / STEP;
  if (u < 0) u = 0;
  else if (u > COUNT - 1.001) u = COUNT - 1.001;
  const k = u | 0,
    low = column[k],
    rise = column[k + 1] - low;
  out[0] = low + (u - k) * rise;
  out[1] = rise / STEP;
}
