/** Slope of a quantity over time within a segment, robust, with its spread. */
import { fitRobust } from '../numeric';
import { rowsWhere, type Span } from './span';

export interface Slope {
  /** per second */ readonly slope: number;
  readonly sigma: number;
  /** at the middle of the segment, and what it is missed by there */ readonly middle: number;
  readonly level: number;
  readonly count: number;
}

/** Rows of a segment that hold a value. @param t ascending */
export const rowsIn = (t: Float64Array, v: Float64Array, span: Span): number[] =>
  rowsWhere(t, span, (i) => Number.isFinite(v[i]));

/** More rows than these make a fit slower and hardly better known: neighbours say the same. */
const ENOUGH = 5000;

/** Every so many rows of a long list. */
export function thinned(rows: readonly number[], most = ENOUGH): readonly number[] {
  const every = Math.ceil(rows.length / most);
  return every > 1 ? rows.filter((_, k) => k % every === 0) : rows;
}

/** Points of a line are no more than these: of a faster log the means of neighbours. */
const POINTS = 1500;

/** Times and values of some rows, of many of them the means of so many neighbours. */
function pointsOf(t: Float64Array, v: Float64Array, rows: readonly number[]) {
  const each = Math.max(1, Math.ceil(rows.length / POINTS)),
    count = Math.floor(rows.length / each),
    at = new Float64Array(count),
    of = new Float64Array(count);
  for (let k = 0; k < count; k++) {
    for (let j = each * k; j < each * (k + 1); j++) {
      at[k] += t[rows[j]] / each;
      of[k] += v[rows[j]] / each;
    }
  }
  return { at, of };
}

/** @returns null with fewer than five rows */
export function slopeIn(t: Float64Array, v: Float64Array, span: Span): Slope | null {
  const rows = rowsIn(t, v, span),
    { at, of } = pointsOf(t, v, rows),
    middle = 0.5 * (span.from + span.to);
  if (rows.length < 5) return null;
  const fit = fitRobust(
    {
      count: at.length,
      size: 2,
      inTime: true,
      residuals: ([a, b], r, J) => {
        for (let k = 0; k < at.length; k++) {
          const since = at[k] - middle;
          r[k] = a + b * since - of[k];
          J[2 * k] = 1;
          J[2 * k + 1] = since;
        }
      },
    },
    [of[of.length >> 1], 0],
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
