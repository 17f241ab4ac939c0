/** Round numbers over a range: ones, twos and fives. */
export function niceTicks(least: number, most: number, count: number): number[] {
  if (!(most > least)) return [least];
  const raw = (most - least) / Math.max(1, count),
    ten = 10 ** Math.floor(Math.log10(raw)),
    step = [1, 2, 5, 10].find((k) => k * ten >= raw)! * ten;
  const first = Math.ceil(least / step - 1e-9),
    last = Math.floor(most / step + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step);
}
