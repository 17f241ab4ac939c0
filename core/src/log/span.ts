/** Rows of a stretch of time: found by halving, as the rows of a cleaned log stand in the order of time. */

export interface Span {
  /** [s] */ readonly from: number;
  readonly to: number;
}

/** First row at which it is `when` or later; the length where it never is. @param t ascending */
function firstFrom(t: Float64Array, when: number): number {
  let low = 0,
    high = t.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (t[mid] < when) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** First row behind all that are at `when` or earlier. @param t ascending */
function firstPast(t: Float64Array, when: number): number {
  let low = 0,
    high = t.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (t[mid] <= when) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** Rows of a span, both of its ends with it: from the first up to, but without, the second. @param t ascending */
export const rangeOf = (t: Float64Array, { from, to }: Span): readonly [number, number] => [
  firstFrom(t, from),
  firstPast(t, to),
];

/** Rows of a span for which something holds. @param t ascending */
export function rowsWhere(t: Float64Array, span: Span, holds: (i: number) => boolean): number[] {
  const [first, end] = rangeOf(t, span),
    out: number[] = [];
  for (let i = first; i < end; i++) if (holds(i)) out.push(i);
  return out;
}
