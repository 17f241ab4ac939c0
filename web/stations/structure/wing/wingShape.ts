/** Geometry of the wing's picture: one half seen from ahead, true to scale, bent as the case bends it. Units of the picture. */
import type { CaseView, StructureReport } from '@skiametra/core/views';

export const WIDTH = 860,
  LEFT = 26,
  RIGHT = 64;
/** A tip that would rise higher than this is drawn less bent, and said so. */
const MOST_BENT = 95;

type Margin = 'breaks' | 'thin' | 'holds';

/** @param factor times the case is borne @param safety what is wanted of it */
function marginOf(factor: number, safety: number): Margin {
  return !(factor >= 1) ? 'breaks' : !(factor >= safety) ? 'thin' : 'holds';
}

interface Piece {
  readonly margin: Margin;
  /** four corners */ readonly points: string;
}

export interface WingShape {
  /** true picture units a metre */ readonly scale: number;
  /** share of the true bending that is drawn */ readonly bending: number;
  readonly top: number;
  readonly bottom: number;
  readonly skin: string;
  readonly unbent: string;
  readonly members: readonly {
    id: string;
    name: string;
    pieces: readonly Piece[];
    /** where one that does not reach the tip ends */ ends: { x: number; y: number } | null;
  }[];
  /** where it fails first */ readonly first: { x: number; y: number };
  readonly xOf: (y: number) => number;
}

const point = (x: number, y: number) => `${x.toFixed(1)},${y.toFixed(1)}`;

export function wingShape(r: StructureReport, c: CaseView, safety: number): WingShape {
  const scale = (WIDTH - LEFT - RIGHT) / r.tip,
    most = Math.max(...c.deflection.map(Math.abs)) * scale,
    bending = most > MOST_BENT ? MOST_BENT / most : 1,
    xOf = (y: number) => LEFT + y * scale,
    zOf = (p: number) => -c.deflection[p]! * scale * bending,
    room = r.members[0]!.room,
    half = (p: number) => Math.max(1.5, (room[p]! * scale) / 2);
  const edge = (up: 1 | -1) => r.y.map((y, p) => point(xOf(y), zOf(p) - up * half(p)));
  const last = (at: readonly unknown[]) => at.findLastIndex((s) => s !== null);
  const members = r.members.map(({ id, name, depth, at }) => ({
    id,
    name,
    ends:
      r.y[last(at)]! < 0.98 * r.tip ? { x: xOf(r.y[last(at)]!), y: zOf(last(at)) + half(last(at)) } : null,
    pieces: at.flatMap((_, i): Piece[] => {
      // two pieces an interval: start to middle, middle to end
      if (i % 3 === 2 || !at[i] || !at[i + 1]) return [];
      const thick = (p: number) => (depth[p]! > 0 ? Math.max(1.2, (depth[p]! * scale) / 2) : half(p)),
        least = Math.min(c.factors[i]!, c.factors[i + 1]!);
      const [a, b] = [xOf(r.y[i]!), xOf(r.y[i + 1]!)];
      return [
        {
          margin: marginOf(least, safety),
          points: [
            point(a, zOf(i) - thick(i)),
            point(b, zOf(i + 1) - thick(i + 1)),
            point(b, zOf(i + 1) + thick(i + 1)),
            point(a, zOf(i) + thick(i)),
          ].join(' '),
        },
      ];
    }),
  }));
  const place = r.y.findIndex((y) => y >= c.place - 1e-9),
    zs = r.y.map((_, p) => zOf(p));
  return {
    scale,
    bending,
    top: Math.min(...zs) - half(0) - 8,
    bottom: Math.max(...zs) + half(0) + 8,
    skin: [...edge(1), ...edge(-1).reverse()].join(' '),
    unbent: `M${xOf(0)} 0H${xOf(r.tip)}`,
    members,
    first: { x: xOf(c.place), y: zs[Math.max(0, place)]! },
    xOf,
  };
}

/** Places for the marks of a scale: round steps, at most so many. @param unit of the person in metres */
export function ticks(tip: number, unit: number, most = 8): number[] {
  const raw = tip / unit / most,
    base = 10 ** Math.floor(Math.log10(raw)),
    step = [1, 2, 5, 10].map((k) => k * base).find((s) => s >= raw)! * unit;
  return Array.from({ length: Math.floor(tip / step + 1e-9) + 1 }, (_, i) => i * step);
}
