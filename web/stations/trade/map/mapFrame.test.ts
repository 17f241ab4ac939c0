import { describe, expect, it } from 'vitest';
import { alongAxis, bandsOf, cellPlace, levelLine, type Grid } from './mapFrame';
import { niceTicks } from './ticks';

/** A closed form over the middles of cells. */
const grid = (columns: number, rows: number, f: (x: number, y: number) => number): Grid => ({
  columns,
  rows,
  values: Array.from({ length: columns * rows }, (_, i) =>
    f(((i % columns) + 0.5) / columns, (Math.floor(i / columns) + 0.5) / rows),
  ),
});
const points = (path: string) =>
  path
    .split(/[MLZ]/)
    .filter(Boolean)
    .map((p) => p.split(' ').map(Number) as [number, number]);

describe('contours against closed forms', () => {
  it('the line of a plane is where the plane passes it', () => {
    const line = points(
      levelLine(
        grid(40, 40, (x, y) => x + 2 * y),
        1.5,
      ).line,
    );
    expect(line.length).toBeGreaterThan(20);
    // the outermost half cells are flat: nothing is known beyond them
    for (const [x, y] of line.filter(([u, v]) => u > 0.02 && u < 0.98 && v > 0.02 && v < 0.98))
      expect(x + 2 * (1 - y)).toBeCloseTo(1.5, 2);
  });
  it('the line of a product is a hyperbola', () => {
    const line = points(
      levelLine(
        grid(60, 60, (x, y) => x * y),
        0.3,
      ).line,
    );
    for (const [x, y] of line.filter(([u, v]) => u > 0.02 && u < 0.98 && v > 0.02 && v < 0.98))
      expect(x * (1 - y)).toBeCloseTo(0.3, 2);
  });
  it('a line that nothing passes is not drawn', () => {
    expect(
      levelLine(
        grid(10, 10, () => 1),
        0,
      ),
    ).toEqual({ line: '', at: null });
  });
  it('what is not known is left out', () => {
    const g = grid(6, 6, (x) => x);
    expect(bandsOf({ ...g, values: g.values.map(() => null) })).toEqual([]);
  });
});

describe('places', () => {
  it('cells and values lie where they are', () => {
    expect(cellPlace({ columns: 4, rows: 2 }, 0)).toEqual({ x: 0.125, y: 0.75 });
    expect(alongAxis([1, 2, 3, 4], 1)).toBe(0.125);
    expect(alongAxis([1, 2, 3, 4], 2.5)).toBe(0.5);
    expect(alongAxis([1, 2, 3, 4], 5)).toBeNull();
  });
  it('ticks are round', () => {
    expect(niceTicks(0.3, 9.7, 5)).toEqual([2, 4, 6, 8]);
    expect(niceTicks(5, 5, 4)).toEqual([5]);
  });
});
