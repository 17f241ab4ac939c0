/**
 * Rib and section templates at true size: the outline less its sheeting, spar slots, lightening holes, an alignment
 * line and a label. Millimetres, x aft from the nose, y up. Polygon work by clipper-lib (integers of a micrometre).
 */
// @ts-expect-error the package comes without types; the part used here is typed below
import untyped from 'clipper-lib';
import { z } from 'zod';

interface IntPoint {
  X: number;
  Y: number;
}
const ClipperLib = untyped as {
  Paths: new () => IntPoint[][];
  ClipperOffset: new (
    miterLimit?: number,
    arcTolerance?: number,
  ) => {
    AddPaths(paths: IntPoint[][], join: number, end: number): void;
    Execute(out: IntPoint[][], delta: number): void;
  };
  Clipper: new () => {
    AddPaths(paths: IntPoint[][], type: number, closed: boolean): boolean;
    Execute(type: number, out: IntPoint[][], subject: number, clip: number): boolean;
  };
  JoinType: { jtMiter: number };
  EndType: { etClosedPolygon: number };
  PolyType: { ptSubject: number; ptClip: number };
  ClipType: { ctDifference: number };
  PolyFillType: { pftNonZero: number };
};

const n = (lo: number, hi: number) => z.number().min(lo).max(hi);

export const ribOptionsSchema = z.strictObject({
  /** taken off all round for skin or film laid over [mm] */ sheeting: n(0, 10),
  /**
   * slots: place on the chord 0 to 1, width and depth [mm], from which face; `through` is a hole about the mean line,
   * `round` one of that width
   */
  slots: z
    .array(
      z.strictObject({
        at: n(0.02, 0.98),
        width: n(0.3, 60),
        depth: n(0.3, 60),
        face: z.enum(['upper', 'lower', 'through', 'round']),
      }),
    )
    .max(6),
  /** least wood left round a lightening hole [mm]; 0 for no holes */ holes: n(0, 40),
  /** width of the cut, half of it added outside [mm] */ kerf: n(0, 3),
});
export type RibOptions = z.infer<typeof ribOptionsSchema>;

export type Path = readonly (readonly [number, number])[];
export interface Template {
  readonly label: string;
  /** closed outlines to cut; the first is the outer one */ readonly cuts: readonly Path[];
  /** lines to draw only */ readonly marks: readonly Path[];
  readonly labelAt: readonly [number, number];
  /** laid a quarter turn round */ readonly turned?: boolean;
  readonly warnings: readonly string[];
}

const SCALE = 1000;
const toInt = (p: Path) => p.map(([x, y]) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) }));
const fromInt = (p: readonly { X: number; Y: number }[]): Path =>
  p.map((q) => [q.X / SCALE, q.Y / SCALE] as const);
const area = (p: Path) =>
  p.reduce((s, a, i) => {
    const b = p[(i + 1) % p.length]!;
    return s + a[0] * b[1] - b[0] * a[1];
  }, 0) / 2;

function offset(paths: readonly Path[], by: number): Path[] {
  if (by === 0) return [...paths];
  const co = new ClipperLib.ClipperOffset(2, 0.005 * SCALE),
    out = new ClipperLib.Paths();
  co.AddPaths(paths.map(toInt), ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  co.Execute(out, by * SCALE);
  return out.map(fromInt);
}

function subtract(from: readonly Path[], what: readonly Path[]): Path[] {
  if (what.length === 0) return [...from];
  const c = new ClipperLib.Clipper(),
    out = new ClipperLib.Paths();
  c.AddPaths(from.map(toInt), ClipperLib.PolyType.ptSubject, true);
  c.AddPaths(what.map(toInt), ClipperLib.PolyType.ptClip, true);
  c.Execute(
    ClipperLib.ClipType.ctDifference,
    out,
    ClipperLib.PolyFillType.pftNonZero,
    ClipperLib.PolyFillType.pftNonZero,
  );
  return out.map(fromInt);
}

/** Heights of a closed outline at x: lowest and highest crossing; null outside. */
function span(outline: Path, x: number): [number, number] | null {
  const ys: number[] = [];
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    if ((a[0] <= x && b[0] > x) || (b[0] <= x && a[0] > x))
      ys.push(a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]));
  });
  return ys.length >= 2 ? [Math.min(...ys), Math.max(...ys)] : null;
}

const rectangle = (x0: number, y0: number, x1: number, y1: number): Path => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

const circle = (x: number, y: number, r: number): Path =>
  Array.from(
    { length: 48 },
    (_, i) => [x + r * Math.cos((i * Math.PI) / 24), y + r * Math.sin((i * Math.PI) / 24)] as const,
  );

/** Circles between the slots that leave `rim` of wood everywhere. */
function holesIn(
  outline: Path,
  slots: readonly (readonly [number, number])[],
  rim: number,
  chord: number,
): Path[] {
  const out: Path[] = [];
  const clear = (x: number): number => {
    const s = span(outline, x);
    return s ? (s[1] - s[0]) / 2 : 0;
  };
  let x = 0.06 * chord;
  while (x < 0.9 * chord) {
    const r = Math.min(clear(x - 2), clear(x), clear(x + 2)) - rim,
      c = x + Math.max(r, 0);
    const here = Math.min(clear(c - 0.7 * r), clear(c), clear(c + 0.7 * r)) * 0.97 - rim;
    const radius = Math.min(r, here);
    const hit = slots.find(([a, b]) => c + radius + rim > a && c - radius - rim < b);
    if (hit) {
      x = Math.max(x + 1, hit[1] + rim);
      continue;
    }
    if (radius < Math.max(1.5, 0.6 * rim)) {
      x += 1.5;
      continue;
    }
    const s = span(outline, c)!;
    out.push(circle(c, (s[0] + s[1]) / 2, radius));
    x = c + radius + rim;
  }
  return out;
}

/**
 * @param points outline at chord 1, closed, from the trailing edge round
 * @param chord [mm], 5 to 3000
 */
export function ribTemplate(label: string, points: Path, chord: number, options: RibOptions): Template {
  const warnings: string[] = [];
  const full: Path = points.map(([x, y]) => [x * chord, y * chord] as const);
  const inner = offset([full], -options.sheeting).sort((a, b) => Math.abs(area(b)) - Math.abs(area(a)));
  if (inner.length === 0)
    return {
      label,
      cuts: [full],
      marks: [],
      labelAt: [0.3 * chord, 0],
      warnings: [
        'The sheeting is thicker than the section: nothing is left to cut; the bare outline is drawn.',
      ],
    };
  const lost =
    Math.min(...full.map((p) => p[0])) -
    Math.max(...full.map((p) => p[0])) +
    Math.max(...inner[0]!.map((p) => p[0])) -
    Math.min(...inner[0]!.map((p) => p[0]));
  if (-lost > 0.06 * chord)
    warnings.push(
      `The sheeting meets ${(-lost).toFixed(1)} mm ahead of the edges; fit a trailing-edge strip there.`,
    );
  const slotRects: Path[] = [];
  const taken: [number, number][] = [];
  for (const s of options.slots) {
    const x = s.at * chord,
      h = span(inner[0]!, x);
    if (!h) {
      warnings.push(`The slot at ${(100 * s.at).toFixed(0)} % lies outside the rib.`);
      continue;
    }
    const height = h[1] - h[0];
    const tall = s.face === 'round' ? s.width : s.depth;
    if (tall > 0.8 * height)
      warnings.push(
        `The slot at ${(100 * s.at).toFixed(0)} % is ${tall} mm deep in ${height.toFixed(1)} mm of rib.`,
      );
    const a = x - s.width / 2,
      b = x + s.width / 2,
      mid = (h[0] + h[1]) / 2;
    slotRects.push(
      s.face === 'upper'
        ? rectangle(a, h[1] - s.depth, b, h[1] + chord)
        : s.face === 'lower'
          ? rectangle(a, h[0] - chord, b, h[0] + s.depth)
          : s.face === 'round'
            ? circle(x, mid, s.width / 2)
            : rectangle(a, mid - s.depth / 2, b, mid + s.depth / 2),
    );
    taken.push([a, b]);
  }
  const holes = options.holes > 0 ? holesIn(inner[0]!, taken, options.holes, chord) : [];
  const cut = subtract(inner.slice(0, 1), [...slotRects, ...holes]);
  const kerfed = offset(cut, options.kerf / 2).sort((a, b) => Math.abs(area(b)) - Math.abs(area(a)));
  if (kerfed.filter((p) => area(p) > 4).length > 1) warnings.push('The slots cut the rib in two.');
  const xs = inner[0]!.map((p) => p[0]);
  const first = options.slots[0],
    sparX = (first?.at ?? 0.3) * chord,
    tall = span(inner[0]!, sparX) ?? [0, 0];
  return {
    label,
    cuts: kerfed,
    labelAt: [0.62 * chord, 0.012 * chord],
    warnings,
    marks: [
      [
        [Math.min(...xs), 0],
        [Math.max(...xs), 0],
      ],
      [
        [sparX, tall[0]],
        [sparX, tall[1]],
      ],
    ],
  };
}
