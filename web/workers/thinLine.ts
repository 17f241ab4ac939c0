/** A long column as a line for a screen: least and most of every stretch, gaps left open. */
import type { Line } from './logJobs';

/** @param points about how many come back */
export function thinLine(
  t: Float64Array,
  v: Float64Array,
  span: { readonly from: number; readonly to: number },
  points = 700,
): Line {
  let a = 0,
    b = t.length;
  while (a < b && t[a]! < span.from) a++;
  while (b > a && t[b - 1]! > span.to) b--;
  const out: { t: number[]; v: number[] } = { t: [], v: [] },
    each = Math.max(1, Math.floor((2 * (b - a)) / points));
  for (let i = a; i < b; i += each) {
    let low = -1,
      high = -1;
    for (let k = i; k < Math.min(b, i + each); k++) {
      if (!Number.isFinite(v[k]!)) continue;
      if (low < 0 || v[k]! < v[low]!) low = k;
      if (high < 0 || v[k]! > v[high]!) high = k;
    }
    if (low < 0) {
      out.t.push(t[i]!);
      out.v.push(NaN);
      continue;
    }
    for (const k of low === high ? [low] : low < high ? [low, high] : [high, low]) {
      out.t.push(t[k]!);
      out.v.push(v[k]!);
    }
  }
  return out;
}
