import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { axisOf, leverOf, type Cell } from '@skiametra/core/trade';
import { mapOf, nameHeights } from './sweepFrame';
import { stretchesOf } from './stretches';
import type { Found } from './useSweep';

const doc = bitternDocument();

/** A study whose score is its place, blocked by one limit beyond x = 1.6 m. */
function found(whole: boolean): Found {
  const axes = [
    axisOf(leverOf(doc, 'span:wing')!, 1.4, 1.8, 5),
    whole
      ? axisOf(leverOf(doc, 'design.states.tubes-8.count')!, 6, 9, 4)
      : axisOf(leverOf(doc, 'chord:wing')!, 0.2, 0.3, 4),
  ];
  const cells = Array.from({ length: 20 }, (_, i): Cell => {
    const span = axes[0]!.values[i % 5]!,
      other = axes[1]!.values[Math.floor(i / 5)]!,
      margin = 1.65 - span;
    return {
      at: { [axes[0]!.lever.id]: span, [axes[1]!.lever.id]: other },
      state: 'tubes-8',
      show: { score: i },
      feasible: margin >= 0,
      blocked: margin >= 0 ? [] : ['box'],
      margins: { box: margin, never: 1, always: -1 },
      stopped: null,
    };
  });
  const study = { id: 's', name: 'S', note: '', state: 'tubes-8', axes: [], show: 'score' };
  return {
    task: { doc, axes, state: 'tubes-8', show: ['score'] },
    study,
    cells,
    best: 2,
    names: { box: 'Box' },
    done: true,
  };
}

describe('a map', () => {
  it('draws the line of a limit that passes it, and none of one that never does or always', () => {
    const map = mapOf(found(false));
    expect(map.limits.map((l) => l.name)).toEqual(['Box']);
    expect(map.everywhere).toEqual(['always']);
    expect(map.squares).toEqual([]);
    expect(map.bands.length).toBeGreaterThan(2);
  });
  it('counts whole things in squares, and its limits run between them', () => {
    const map = mapOf(found(true));
    expect(map.bands).toEqual([]);
    expect(map.squares).toHaveLength(20);
    // between the third and the fourth column
    expect(map.limits[0]!.line).toMatch(/^(M0\.6 [\d.]+v0\.25)+$/);
  });
  it('shows where the present design stands', () => {
    const map = mapOf(found(true));
    expect(map.present!.x).toBeGreaterThan(0);
    expect(map.present!.x).toBeLessThan(1);
  });
  it('names beside it keep apart and inside', () => {
    const y = nameHeights([50, 52, 51, 300], 10, 300, 15),
      sorted = [...y].sort((a, b) => a - b);
    sorted.slice(1).forEach((v, i) => expect(v - sorted[i]!).toBeGreaterThanOrEqual(15 - 1e-9));
    expect(Math.max(...y)).toBeLessThanOrEqual(300);
  });
});

describe('stretches of a line', () => {
  it('neighbours that the same limit blocks are one', () => {
    const f = found(false),
      one = {
        ...f,
        task: { ...f.task, axes: f.task.axes.slice(0, 1) },
        cells: f.cells.slice(0, 5).map((c) => c && { ...c, margins: { box: c.margins.box! } }),
      };
    const [s, ...rest] = stretchesOf(one);
    expect(rest).toEqual([]);
    expect(s!.name).toBe('Box');
    expect(s!.from).toBeCloseTo(1.65, 9);
    expect(s!.to).toBeCloseTo(1.85, 9);
  });
});
