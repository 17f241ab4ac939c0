/** Slope of a quantity over time within a segment, robust, with its spread. */
import { fitRobust } from '../numeric';
import type { Segment } from './phases';

export interface Slope {
  /** per second */ readonly slope: number;
  readonly sigma: number;
  /** at the middle of the segment, and what it is missed by there */ readonly middle: number;
  readonly level: number;
  readonly count: number;
}

/** Rows of a segment that hold a value. */
export function rowsIn(
  t: Float64Array,
  v: Float64Array,
  { from, to }: Pick<Segment, 'from' | 'to'>,
): number[] {
  const out: number[] = [];
  for (let i = 0; i < t.length; i++) if (t[i] >= from && t[i] <= to && Number.isFinite(v[i])) out.push(i);
  return out;
}

/** More rows than these make a fit slower and hardly better known: neighbours say the same. */
const ENOUGH = 5000;

/** Every so many rows of a long list. */
export function thinned(rows: readonly number[]): readonly number[] {
  const every = Math.ceil(rows.length / ENOUGH);
  return every > 1 ? rows.filter((_, k) => k % every === 0) : rows;
}

/** @returns null with fewer than five rows */
export function slopeIn(t: Float64Array, v: Float64Array, span: Pick<Segment, 'from' | 'to'>): Slope | null {
  const rows = thinned(rowsIn(t, v, span)),
    at = 0.5 * (span.from + span.to);
  if (rows.length < 5) return null;
  const fit = fitRobust(
    {
      count: rows.length,
      size: 2,
      inTime: true,
      residuals: ([a, b], r, J) =>
        rows.forEach((i, k) => {
          r[k] = a + b * (t[i] - at) - v[i];
          J[2 * k] = 1;
          J[2 * k + 1] = t[i] - at;
        }),
    },
    [v[rows[rows.length >> 1]], 0],
  );
  if (fit.status !== 'ok') return null;
  return {
    slope: fit.x[1],
    sigma: Math.sqrt(fit.covariance[1][1]),
    middle: fit.x[0],
    level: Math.sqrt(fit.covariance[0][0]),
    count: rows.length,
  };
}
