/** Points of a pattern on its sheet. */
import type { Contour } from '@skiametra/core/section';

export const MM = 1000;
export const inRange =
  (lo: number, hi: number, set: (v: number) => void, what: string) =>
  (v: number): string | null => {
    if (!(v >= lo && v <= hi)) return what;
    set(v);
    return null;
  };
export const pointsOf = (c: Contour): [number, number][] =>
  Array.from({ length: c.xy.length / 2 }, (_, i) => [c.xy[2 * i] ?? 0, c.xy[2 * i + 1] ?? 0]);
