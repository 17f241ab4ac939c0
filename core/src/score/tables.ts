/** Tables, steps and ranks as rule sheets have them. Places ascend: a table that goes back gives no number. */

/** Longest list that a function takes. */
export const MOST_PLACES = 41;

/** @returns place of the last pair that x has reached, -1 before the first; null where the places do not ascend */
function reached(x: number, pairs: readonly number[]): number | null {
  let at = -1;
  for (let i = 0; i < pairs.length; i += 2) {
    if (i > 0 && !(pairs[i] > pairs[i - 2])) return null;
    if (x >= pairs[i]) at = i;
  }
  return at;
}

/** What counts from the last place that x has reached on; nought before the first. */
export function stepsAt(x: number, ...pairs: number[]): number {
  const at = reached(x, pairs);
  if (at === null || !Number.isFinite(x)) return NaN;
  return at < 0 ? 0 : pairs[at + 1];
}

/** Straight between the places, as at the nearest one outside. */
export function tableAt(x: number, ...pairs: number[]): number {
  const at = reached(x, pairs);
  if (at === null || !Number.isFinite(x)) return NaN;
  if (at < 0) return pairs[1];
  if (at + 2 >= pairs.length) return pairs[at + 1];
  const [a, p, b, q] = pairs.slice(at, at + 4);
  return p + ((x - a) / (b - a)) * (q - p);
}

/** Place of the first among the others, the largest first; equal ones share the better place. */
export function rankOf(mine: number, ...others: number[]): number {
  if (!Number.isFinite(mine)) return NaN;
  return 1 + others.reduce((n, o) => n + Number(o > mine), 0);
}
