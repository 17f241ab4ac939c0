/** Middles of lists: what a few wild values do not move. */

/** Of more values than these every so many tell the middle as well. */
const ENOUGH = 20_000;

/** Value that a share of them lies below; NaN of none. */
export function quantileOf(values: ArrayLike<number>, share: number): number {
  const every = Math.max(1, Math.floor(values.length / ENOUGH)),
    some = new Float64Array(Math.ceil(values.length / every));
  for (let i = 0, k = 0; i < values.length; i += every) some[k++] = values[i];
  return some.sort()[Math.min(some.length - 1, Math.floor(share * some.length))] ?? NaN;
}

/** NaN of none. */
export const medianOf = (values: ArrayLike<number>): number => quantileOf(values, 0.5);

/** Standard deviation of what misses by these sizes, by their middle: a few wild ones do not move it. */
export const scatterOf = (sizes: ArrayLike<number>): number => 1.4826 * (medianOf(sizes) || 0);

export const sumOf = (v: readonly number[] | Float64Array): number => {
  let sum = 0;
  for (const x of v) sum += x;
  return sum;
};
export const meanOf = (v: readonly number[] | Float64Array): number => sumOf(v) / v.length;

/** Few repeats know their own spread badly: 68 % of Student's t by the number of repeats less one (any table of it). */
const STUDENT = [1.84, 1.32, 1.2, 1.14, 1.11, 1.09, 1.08, 1.07, 1.06];

/** Mean of repeats with the spread of that mean, never below `least`. */
export function meanWithSpread(v: readonly number[], least: number): { value: number; sigma: number } {
  const value = meanOf(v),
    square = v.reduce((s, x) => s + (x - value) ** 2, 0);
  const sigma =
    v.length > 1 ? (STUDENT[v.length - 2] ?? 1.03) * Math.sqrt(square / (v.length - 1) / v.length) : 0;
  return { value, sigma: Math.max(least, sigma) };
}
