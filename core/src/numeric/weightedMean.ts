/** Weighted mean of several values of one quantity; the spread between them widens the result. */
export function weightedMean(list: readonly { readonly value: number; readonly sigma: number }[]): {
  value: number;
  sigma: number;
  count: number;
} {
  const w = list.map((m) => 1 / (m.sigma * m.sigma));
  const total = w.reduce((s, x) => s + x, 0);
  const value = list.reduce((s, m, i) => s + w[i] * m.value, 0) / total;
  const chi =
    list.length > 1 ? list.reduce((s, m, i) => s + w[i] * (m.value - value) ** 2, 0) / (list.length - 1) : 1;
  return { value, sigma: Math.sqrt(Math.max(1, chi) / total), count: list.length };
}
