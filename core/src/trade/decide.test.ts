import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DecisionTable } from '../design';
import { decide } from './index';

const table = (
  weights: number[],
  marks: (number | null)[][],
  musts: (number | null)[] = [],
): DecisionTable => ({
  id: 't',
  name: 'T',
  note: '',
  criteria: weights.map((weight, i) => ({ id: `c${i}`, name: `C${i}`, weight, must: musts[i] ?? null })),
  options: marks.map((row, i) => ({
    id: `o${i}`,
    name: `O${i}`,
    version: '',
    rejected: '',
    marks: row.map((mark, k) => ({ criterion: `c${k}`, mark, why: '', by: '' })),
  })),
});

describe('decision tables', () => {
  it('one that fails a must, or was rejected, does not win', () => {
    const t = table(
        [1, 1],
        [
          [9, 9],
          [8, 4],
          [3, 8],
        ],
        [null, 5],
      ),
      out = { ...t, options: t.options.map((o, i) => (i === 0 ? { ...o, rejected: 'too wide' } : o)) };
    const v = decide(out);
    expect(v.winner?.id).toBe('o2');
    expect(v.ranked.find((r) => r.id === 'o1')!.fails).toEqual(['C1']);
  });
  it('a mark that is missing leaves the win open while it may change it, and the total unknown', () => {
    const v = decide(
      table(
        [1, 1],
        [
          [8, null],
          [6, 6],
        ],
      ),
    );
    expect(v.ranked[0].total).toBeNull();
    expect(v.winner).toBeNull();
  });
  it('at the weight that turns it, both totals are the same', () => {
    const weight = fc.integer({ min: 1, max: 10 }),
      mark = fc.integer({ min: 0, max: 10 });
    fc.assert(
      fc.property(
        fc.array(weight, { minLength: 3, maxLength: 3 }),
        fc.array(fc.array(mark, { minLength: 3, maxLength: 3 }), { minLength: 2, maxLength: 2 }),
        (weights, marks) => {
          const v = decide(table(weights, marks));
          for (const turn of v.turns) {
            const at = weights.map((w, i) => (`c${i}` === turn.criterion ? turn.at : w));
            const [a, b] = decide(table(at, marks)).ranked;
            expect(a.total!).toBeCloseTo(b.total!, 9);
          }
        },
      ),
    );
  });
  it('without weights nothing counts', () => expect(decide(table([0, 0], [[1, 2]])).ranked[0].total).toBe(0));
});
