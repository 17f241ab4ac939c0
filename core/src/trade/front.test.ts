import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { frontOf } from './index';

type Row = readonly [number, number];
const goods = (r: Row) => r;

describe('what no other beats', () => {
  it('by hand', () =>
    expect(
      frontOf<Row>(
        [
          [1, 5],
          [3, 3],
          [2, 2],
          [5, 1],
        ],
        goods,
      ).map((f) => f.row),
    ).toEqual([
      [5, 1],
      [3, 3],
      [1, 5],
    ]));
  it('equal ones stand once, with how many there are', () => {
    const [one, ...rest] = frontOf<Row>(
      [
        [2, 2],
        [2.001, 2],
        [2, 2.001],
      ],
      goods,
    );
    expect(rest).toEqual([]);
    expect(one.alike).toHaveLength(2);
  });
  it('none of the front is beaten, and each that is left out is beaten or alike', () => {
    const row = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }));
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 40 }), (rows) => {
        const front = frontOf(rows, (r) => r),
          kept = front.map((f) => f.row);
        const over = (a: Row, b: Row) => a[0] >= b[0] && a[1] >= b[1] && (a[0] > b[0] || a[1] > b[1]);
        for (const k of kept) expect(rows.some((r) => over(r, k))).toBe(false);
        for (const r of rows)
          expect(kept.some((k) => over(k, r) || (k[0] === r[0] && k[1] === r[1]))).toBe(true);
      }),
    );
  });
});
