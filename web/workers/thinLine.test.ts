/** A line for a screen keeps what stands out. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { thinLine } from './thinLine';

describe('a thinned line', () => {
  it('law: least and most of the column are in it, in order of time, and it is short', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 1, maxLength: 4000 }),
        (v) => {
          const t = Float64Array.from(v, (_, i) => 0.2 * i),
            line = thinLine(t, Float64Array.from(v), { from: 0, to: Infinity }, 200);
          expect(Math.max(...line.v)).toBe(Math.max(...v));
          expect(Math.min(...line.v)).toBe(Math.min(...v));
          expect(line.t.every((x, i) => i === 0 || x >= line.t[i - 1]!)).toBe(true);
          expect(line.t.length).toBeLessThanOrEqual(402);
        },
      ),
      { seed: 81, numRuns: 60 },
    );
  });
  it('a stretch without values stays open', () => {
    const v = Float64Array.from({ length: 100 }, (_, i) => (i > 40 && i < 60 ? NaN : i));
    const line = thinLine(
      v.map((_, i) => i),
      v,
      { from: 0, to: 99 },
      20,
    );
    expect(line.v.some(Number.isNaN)).toBe(true);
  });
});
