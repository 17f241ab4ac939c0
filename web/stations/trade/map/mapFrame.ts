/**
 * A map of a study in two directions, as lines and areas in a unit square: bands of what is shown, the line of every limit,
 * the side that cannot be flown. Contours by marching squares (d3-contour).
 */
import { contours } from 'd3-contour';
import { niceTicks } from './ticks';

/** Cells of a study in order, the first direction running fastest; null where none is known. */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly values: readonly (number | null)[];
}

/** An area or a line as an SVG path; x to the right, y down, both from 0 to 1. */
export interface Band {
  readonly level: number;
  readonly area: string;
  /** its edge inside the map */ readonly line: string;
  /** where its name may stand; null where it has no edge inside */ readonly at: {
    x: number;
    y: number;
  } | null;
}

type Point = readonly [number, number];
type Ring = readonly Point[];
interface Place {
  x: number;
  y: number;
}
type Area = readonly (readonly Ring[])[];

/** A ring of cells about the map, each as its neighbour: contours run out over the edge, and are cut off there. */
function padded({ columns, rows, values }: Grid): Grid {
  const inside = (k: number, n: number) => Math.min(n - 1, Math.max(0, k - 1));
  return {
    columns: columns + 2,
    rows: rows + 2,
    values: Array.from(
      { length: (columns + 2) * (rows + 2) },
      (_, i) =>
        values[inside(Math.floor(i / (columns + 2)), rows) * columns + inside(i % (columns + 2), columns)]!,
    ),
  };
}

/** Unknown cells count as far below everything: nothing is drawn over them. */
function areaAbove(grid: Grid, level: number): Area {
  const { columns, rows, values } = padded(grid),
    least = Math.min(level, ...values.flatMap((v) => v ?? [])) - 1,
    flat = values.map((v) => v ?? least);
  return contours().size([columns, rows]).contour(flat, level).coordinates as unknown as Area;
}

const place = ({ columns, rows }: Grid, [x, y]: Point) => ({ x: (x - 1) / columns, y: 1 - (y - 1) / rows });
const written = (p: { x: number; y: number }) => `${p.x.toFixed(4)} ${p.y.toFixed(4)}`;
const isInside = (p: { x: number; y: number }) => p.x >= 0 && p.x <= 1 && p.y >= 0 && p.y <= 1;

const closed = (grid: Grid, ring: Ring) => `M${ring.map((p) => written(place(grid, p))).join('L')}Z`;

function areaPath(grid: Grid, level: number): string {
  return areaAbove(grid, level)
    .flatMap((polygon) => polygon.map((ring) => closed(grid, ring)))
    .join('');
}

/** Runs of a ring that cross the map; what lies about it is left out. */
function innerRuns(grid: Grid, ring: Ring): Place[][] {
  const all = ring.map((p) => place(grid, p)),
    out: Place[][] = [];
  let run: Place[] = [];
  for (let i = 0; i + 1 < all.length; i++) {
    const a = all[i]!,
      b = all[i + 1]!;
    if (!isInside(a) && !isInside(b)) {
      if (run.length > 1) out.push(run);
      run = [];
      continue;
    }
    run = run.length === 0 ? [a, b] : [...run, b];
  }
  if (run.length > 1) out.push(run);
  return out;
}

/** The line where a field passes a level. */
export function levelLine(grid: Grid, level: number): Pick<Band, 'line' | 'at'> {
  const runs = areaAbove(grid, level)
    .flat()
    .flatMap((ring) => innerRuns(grid, ring));
  const longest = runs.reduce<Place[]>((a, r) => (r.length > a.length ? r : a), []).filter(isInside);
  return {
    line: runs.map((run) => `M${run.map(written).join('L')}`).join(''),
    at: longest[Math.floor(longest.length / 2)] ?? null,
  };
}

/** Edges between cells that are one way and neighbours that are the other: where one counts whole things nothing lies between. */
export function edgesOf(grid: Grid, is: (v: number) => boolean): Pick<Band, 'line' | 'at'> {
  const { columns, rows, values } = grid,
    parts: { d: string; at: Place }[] = [];
  const differ = (a: number, b: number) => {
    const u = values[a],
      v = values[b];
    return u != null && v != null && is(u) !== is(v);
  };
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const i = r * columns + c,
        x = (c + 1) / columns,
        y = 1 - (r + 1) / rows;
      if (c + 1 < columns && differ(i, i + 1))
        parts.push({ d: `M${x} ${y}v${1 / rows}`, at: { x, y: y + 0.5 / rows } });
      if (r + 1 < rows && differ(i, i + columns))
        parts.push({ d: `M${c / columns} ${y}h${1 / columns}`, at: { x: (c + 0.5) / columns, y } });
    }
  const rightmost = parts.reduce<Place | null>((a, p) => (a === null || p.at.x > a.x ? p.at : a), null);
  return { line: parts.map((p) => p.d).join(''), at: rightmost };
}

/** Bands of what is shown, lowest first, at round levels. */
export function bandsOf(grid: Grid, count = 8): Band[] {
  const known = grid.values.flatMap((v) => v ?? []);
  if (known.length === 0) return [];
  const least = Math.min(...known),
    most = Math.max(...known);
  return niceTicks(least, most, count)
    .filter((l) => l > least && l < most)
    .map((level) => ({ level, area: areaPath(grid, level), ...levelLine(grid, level) }));
}

/** The side that can be flown: of every limit the least margin. */
export function feasibleArea(grid: Grid): string {
  return areaPath(grid, 0);
}

/** Middle of a cell. */
export function cellPlace({ columns, rows }: Pick<Grid, 'columns' | 'rows'>, index: number) {
  return { x: ((index % columns) + 0.5) / columns, y: 1 - (Math.floor(index / columns) + 0.5) / rows };
}

/** Where a value stands along a direction whose places are `values`; null outside. */
export function alongAxis(values: readonly number[], v: number | null): number | null {
  if (v === null || values.length < 2) return null;
  const n = values.length,
    step = (values[n - 1]! - values[0]!) / (n - 1),
    at = (v - values[0]!) / step;
  return at < -0.5 || at > n - 0.5 ? null : (at + 0.5) / n;
}
