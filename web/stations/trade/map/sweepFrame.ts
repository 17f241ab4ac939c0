/** Where everything of a study's map stands. */
import type { Cell } from '@skiametra/core/trade';
import {
  alongAxis,
  bandsOf,
  cellPlace,
  edgesOf,
  feasibleArea,
  levelLine,
  type Band,
  type Grid,
} from './mapFrame';
import type { Found } from './useSweep';

/** The picture: room for axes at the left and below, for names of limits at the right. */
const WIDE = 640,
  HIGH = 470,
  LEFT = 62,
  TOP = 8,
  RIGHT = 128,
  BELOW = 46;
export const MAP = {
  wide: WIDE,
  high: HIGH,
  left: LEFT,
  top: TOP,
  w: WIDE - LEFT - RIGHT,
  h: HIGH - TOP - BELOW,
};

interface LimitLine {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  readonly at: { x: number; y: number };
}

interface Square {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** from the least shown to the most */ readonly share: number;
}

export interface SweepPicture {
  readonly grid: Grid;
  readonly bands: readonly Band[];
  /** in place of bands where a direction counts whole things */ readonly squares: readonly Square[];
  readonly limits: readonly LimitLine[];
  /** limits that block every cell: no line of theirs is on the map */ readonly everywhere: readonly string[];
  /** in the units of the picture, from the map's corner */ readonly infeasible: string;
  readonly best: { x: number; y: number } | null;
  readonly present: { x: number; y: number } | null;
}

/** A path of the unit square in the units of the picture. */
const scaled = (path: string): string =>
  path.replace(
    /(-?[\d.]+) (-?[\d.]+)/g,
    (_, x: string, y: string) => `${(Number(x) * MAP.w).toFixed(1)} ${(Number(y) * MAP.h).toFixed(1)}`,
  );

const placeOfSquare = ({ columns, rows }: Grid, index: number) => ({
  x: (index % columns) / columns,
  y: 1 - (Math.floor(index / columns) + 1) / rows,
  w: 1 / columns,
  h: 1 / rows,
});

function squaresOf(grid: Grid): Square[] {
  const known = grid.values.flatMap((v) => v ?? []),
    least = Math.min(...known),
    span = Math.max(...known) - least;
  return grid.values.flatMap((v, index) =>
    v === null ? [] : [{ index, ...placeOfSquare(grid, index), share: span > 0 ? (v - least) / span : 0 }],
  );
}

/** Squares that cannot be flown, in the units of the picture. */
function blockedSquares(margins: Grid): string {
  return margins.values
    .map((v, i) => {
      if (v === null || v >= 0) return '';
      const { x, y, w, h } = placeOfSquare(margins, i);
      return `M${x * MAP.w} ${y * MAP.h}h${w * MAP.w}v${h * MAP.h}h${-w * MAP.w}Z`;
    })
    .join('');
}

const leastMargin = (c: Cell): number => (c.stopped === null ? Math.min(1, ...Object.values(c.margins)) : -1);

function limitLines(
  { cells, names }: Found,
  grid: Grid,
  whole: boolean,
): { limits: LimitLine[]; everywhere: string[] } {
  const ids = [...new Set(cells.flatMap((c) => (c ? Object.keys(c.margins) : [])))],
    limits: LimitLine[] = [],
    everywhere: string[] = [];
  for (const id of ids) {
    const values = cells.map((c) => c?.margins[id] ?? null),
      known = values.flatMap((v) => v ?? []);
    if (known.every((v) => v < 0)) everywhere.push(names[id] ?? id);
    if (known.every((v) => v < 0) || known.every((v) => v >= 0)) continue;
    const of = { ...grid, values },
      { line, at } = whole ? edgesOf(of, (v) => v < 0) : levelLine(of, 0);
    if (at) limits.push({ id, name: names[id] ?? id, line, at });
  }
  return { limits, everywhere };
}

export function mapOf(found: Found): SweepPicture {
  const { task, cells, study, best } = found,
    [first, second] = task.axes,
    shape = { columns: first!.values.length, rows: second?.values.length ?? 1 },
    grid = { ...shape, values: cells.map((c) => c?.show[study.show] ?? null) },
    margins = { ...shape, values: cells.map((c) => (c ? leastMargin(c) : null)) },
    whole = task.axes.some((a) => a.lever.whole);
  const x = alongAxis(first!.values, first!.lever.value(task.doc)),
    y = second ? alongAxis(second.values, second.lever.value(task.doc)) : null;
  const known = cells.some((c) => c !== null);
  return {
    grid,
    bands: whole ? [] : bandsOf(grid),
    squares: whole ? squaresOf(grid) : [],
    ...limitLines(found, grid, whole),
    infeasible: known
      ? whole
        ? blockedSquares(margins)
        : `M0 0H${MAP.w}V${MAP.h}H0Z${scaled(feasibleArea(margins))}`
      : '',
    best: best === null ? null : cellPlace(grid, best),
    present: x === null || y === null ? null : { x, y: 1 - y },
  };
}

/** Heights of names beside the map, apart from each other. */
export function nameHeights(places: readonly number[], least: number, most: number, apart: number): number[] {
  const order = places.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y),
    out = new Array<number>(places.length).fill(0);
  let last = least - apart;
  for (const { y, i } of order) last = out[i] = Math.max(y, last + apart);
  // pushed past the end: back up, as far as there is room
  let next = most + apart;
  for (const { i } of [...order].reverse()) next = out[i] = Math.min(out[i]!, next - apart);
  return out;
}
