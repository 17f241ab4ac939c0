import { describe, expect, it } from 'vitest';
import { rankSections } from '@skiametra/core/section';
import { decide } from '@skiametra/core/trade';
import { tableOf } from './KeepTable';

const merits = (clMax: number, glide: number) => ({
  clMax,
  glide,
  lowDrag: 0.4,
  moment: -0.05,
  sparDepth: 0.1,
  flatBottom: 0.01,
  tolerance: 0.9,
});

const NOTHING = { clMax: 0, glide: 0, lowDrag: 0, moment: 0, sparDepth: 0, flatBottom: 0, tolerance: 0 };

describe('the shelf’s choice as a table', () => {
  it('the same section wins, by ten times the same mark', () => {
    const shelf = [
        { id: 'own:a', merits: merits(1.2, 60) },
        { id: 'own:b', merits: merits(1.5, 50) },
        { id: 'own:c', merits: merits(1.3, 40) },
      ] as unknown as Parameters<typeof rankSections>[0],
      weights = { ...NOTHING, clMax: 2, glide: 1 },
      marks = rankSections(shelf, weights),
      table = tableOf('t', { marks, nameOf: (id) => id }, weights),
      verdict = decide(table);
    expect(verdict.winner?.name).toBe(marks[0]!.id);
    for (const m of marks)
      expect(verdict.ranked.find((r) => r.name === m.id)!.total!).toBeCloseTo(10 * m.mark, 1);
  });
});
