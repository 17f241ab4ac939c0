/** A course from above as it is drawn: north up, to scale, in a box of its own. */
import type { MissionReport } from '@skiametra/core/views';

export interface CourseFrame {
  /** left, top, width, height [m]; north up is less */ readonly box: readonly [
    number,
    number,
    number,
    number,
  ];
  /** a letter [m] */ readonly unit: number;
  readonly lines: readonly { readonly at: number; readonly d: string }[];
  /** length of the bar of the scale [m] */ readonly bar: number;
}

const BARS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];

/** @param wide over high of the place it is drawn in @param around more that must be seen: a radius about the start [m] */
export function courseFrame(
  { track }: MissionReport,
  wide: number,
  around: number | null,
): CourseFrame | null {
  const points = track.lines.flatMap((l) => l.points);
  if (points.length === 0) return null;
  const xs = [0, ...points.map((p) => p[0])],
    ys = [0, ...points.map((p) => -p[1])];
  // a limit far outside of what is flown is told, not drawn
  const near = around !== null && around < 2.5 * track.farthest ? around : 0;
  let left = Math.min(...xs, -near),
    top = Math.min(...ys, -near),
    width = Math.max(...xs, near) - left,
    height = Math.max(...ys, near) - top;
  const pad = 0.14 * Math.max(width, height, 4);
  left -= pad;
  top -= pad;
  width += 2 * pad;
  height += 2 * pad;
  if (width / height < wide) {
    left -= (height * wide - width) / 2;
    width = height * wide;
  } else {
    top -= (width / wide - height) / 2;
    height = width / wide;
  }
  const unit = width / 46,
    bar = [...BARS].reverse().find((b) => b <= width / 4) ?? 1;
  return {
    box: [left, top, width, height],
    unit,
    lines: track.lines.map((l) => ({
      at: l.at,
      d: l.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join(' '),
    })),
    bar,
  };
}
