/** What no other beats in several things at once; of those that are as good as the same, one. */

/** Closer than this in everything, as a share, two are one. */
const SAME = 2e-3;

/** @returns whether a is at least as good in all, and better in one */
function beats(a: readonly number[], b: readonly number[]): boolean {
  return a.every((v, i) => v >= b[i]) && a.some((v, i) => v > b[i]);
}

const alike = (a: readonly number[], b: readonly number[]) =>
  a.every((v, i) => Math.abs(v - b[i]) <= SAME * Math.max(Math.abs(v), Math.abs(b[i])));

/**
 * @param goods of a row, each the better the larger
 * @returns rows that none beats, the first good falling; rows that are alike stand by their first
 */
export function frontOf<R>(rows: readonly R[], goods: (r: R) => readonly number[]): { row: R; alike: R[] }[] {
  const all = rows.map((row) => ({ row, at: goods(row) })).sort((a, b) => b.at[0] - a.at[0]),
    out: { row: R; at: readonly number[]; alike: R[] }[] = [];
  for (const r of all) {
    if (all.some((o) => o !== r && beats(o.at, r.at) && !alike(o.at, r.at))) continue;
    const same = out.find((o) => alike(o.at, r.at));
    if (same) same.alike.push(r.row);
    else out.push({ ...r, alike: [] });
  }
  return out.map(({ row, alike: like }) => ({ row, alike: like }));
}
