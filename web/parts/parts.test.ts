/** The pure parts of the interface: scales of the three marks, asked limits, outlines, kinds of paths, newest-only queue. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';
import { planformOf } from '@skiametra/core/surface';
import { newestOnly } from '../workers/lanes';
import { freshId } from './table';
import { halfOutline, planBounds } from './Silhouette';
import { STATIONS } from './frame/stationList';
import { describeMarks, placeOn, saysSomething, scaleOf, scalesOf } from './marks/marks';
import { askedOf } from './marks/useMarks';
import { isWatched } from './marks/watched';

const { brief, design } = bitternDocument();

describe('three marks', () => {
  const marks = {
    asked: { min: null, max: 20 },
    predicted: { value: 16, sigma: 3 },
    measured: { value: 19, sigma: 0.8 },
  };
  it('the scale holds every mark with room to spare', () => {
    const [lo, hi] = scaleOf([marks]);
    expect(lo).toBeLessThan(16 - 3);
    expect(hi).toBeGreaterThan(20);
  });
  it('it is spanned by all states and by the compared version', () => {
    const [lo, hi] = scaleOf([{ ...marks, states: [9, 16, 24], ghost: 30 }]);
    expect(lo).toBeLessThan(9);
    expect(hi).toBeGreaterThan(30);
  });
  it('what is asked far away does not squeeze it: it sits at the edge', () => {
    const far = { ...marks, asked: { min: null, max: 400 }, measured: null },
      scale = scaleOf([far]);
    expect(scale[1]).toBeLessThan(25);
    expect(placeOn(scale, 400)).toEqual({ at: 100, beyond: 1 });
    expect(placeOn(scale, -400)).toEqual({ at: 0, beyond: -1 });
    expect(placeOn(scale, 16).beyond).toBe(0);
  });
  it('bars that stand together have one scale, unless one of them would be a speck on it', () => {
    const near = { asked: null, predicted: { value: 22, sigma: 2 }, measured: null },
      far = { asked: null, predicted: { value: 400, sigma: 1 }, measured: null };
    const [a, b] = scalesOf([marks, near]);
    expect(a).toEqual(b);
    expect(a![1]).toBeGreaterThan(24);
    const [c, d] = scalesOf([marks, far]);
    expect(c).toEqual(scaleOf([marks]));
    expect(d).toEqual(scaleOf([far]));
  });
  it('a lone value still has a width, nothing at all has a scale', () => {
    const [lo, hi] = scaleOf([{ asked: null, predicted: { value: 5, sigma: 0 }, measured: null }]);
    expect(hi - lo).toBeGreaterThan(0.3);
    expect((lo + hi) / 2).toBeCloseTo(5, 9);
    expect(scaleOf([{ asked: null, predicted: null, measured: null }])).toEqual([0, 1]);
  });
  it('a bar is drawn where something is asked, measured or compared, not for a lone prediction', () => {
    const lone = { asked: null, predicted: { value: 5, sigma: 1 }, measured: null, states: [4, 5, 6] };
    expect(saysSomething(lone)).toBe(false);
    expect(saysSomething({ ...lone, ghost: 6 })).toBe(true);
    // the compared version says the same: nothing to be seen
    expect(saysSomething({ ...lone, ghost: 5 })).toBe(false);
    expect(saysSomething(marks)).toBe(true);
  });
  it('reads out as a sentence in the person’s units, with the ends of its scale', () => {
    expect(describeMarks('Ground run', marks, 'distance', 'metric')).toMatch(
      new RegExp(
        '^Ground run, asked at most 20 m, predicted 16 plus or minus 3 m, ' +
          'measured 19\\.0 plus or minus 0\\.8 m, scale from [\\d.]+ m to [\\d.]+ m$',
      ),
    );
    expect(describeMarks('Ground run', marks, 'distance', 'imperial')).toContain('65.6 ft');
  });
  it('the strip’s own numbers are known by quantity and state; those of the design by quantity', () => {
    expect(isWatched(['groundRun@full'], 'groundRun', 'full')).toBe(true);
    expect(isWatched(['groundRun@full'], 'groundRun', 'empty')).toBe(false);
    expect(isWatched(['neutralPoint@all'], 'neutralPoint', 'empty')).toBe(true);
  });
});

describe('what is asked', () => {
  it('takes every loading’s rule for one loading, and the narrowest of two', () => {
    expect(askedOf(brief, 'groundRun', 'tubes-6')).toEqual({ min: null, max: 20 });
    expect(askedOf(brief, 'climbRate', 'ferry')).toBeNull();
    const two = setPath(brief, 'requirements', [
      ...brief.requirements,
      {
        id: 'x',
        quantity: 'groundRun',
        state: 'tubes-6',
        op: 'atMost' as const,
        min: null,
        max: 15,
        rule: '',
        wish: false,
      },
    ]);
    expect(askedOf(two, 'groundRun', 'tubes-6')).toEqual({ min: null, max: 15 });
    expect(askedOf(two, 'groundRun', 'ferry')).toEqual({ min: null, max: 20 });
  });
});

describe('outlines', () => {
  it('enclose the area that the geometry states', () => {
    for (const s of design.surfaces.filter((x) => x.role !== 'fin')) {
      const p = halfOutline(s);
      const area =
        Math.abs(
          p.reduce((sum, [x, y], i) => {
            const [u, v] = p[(i + 1) % p.length]!;
            return sum + x * v - u * y;
          }, 0),
        ) / 2;
      expect(2 * area).toBeCloseTo(planformOf(s).area, 9);
    }
  });
  it('bounds hold nose, tail and tips', () => {
    const b = planBounds(design);
    expect([b.x0, b.half]).toEqual([0, 0.8]);
    expect(b.x1).toBeGreaterThan(1.2);
  });
});

describe('paths', () => {
  it('fresh ids do not meet taken ones', () => {
    const made = Array.from({ length: 500 }, () => freshId('item', []));
    expect(new Set(made).size).toBe(500);
    for (const id of made) expect(id).toMatch(/^item-[a-z0-9]{10}$/);
  });
  it('the stations come in the order people work', () =>
    expect(STATIONS.map((s) => s.name).join(' ')).toBe(
      'Brief Shape Sections Balance Power Structure Flight Score Trade Test Refine',
    ));
});

describe('newest only', () => {
  it('runs the first and the last of a burst, never two at once', async () => {
    const ran: number[] = [];
    let running = 0,
      most = 0;
    const ask = newestOnly(async (n: number) => {
      running++;
      most = Math.max(most, running);
      await new Promise((r) => setTimeout(r, 5));
      ran.push(n);
      running--;
    });
    for (let i = 1; i <= 6; i++) ask(i);
    await new Promise((r) => setTimeout(r, 60));
    expect(ran).toEqual([1, 6]);
    expect(most).toBe(1);
  });
  it('goes on after a failure', async () => {
    const ran: number[] = [];
    const ask = newestOnly(async (n: number) => {
      ran.push(n);
      await Promise.resolve();
    });
    ask(1);
    await new Promise((r) => setTimeout(r, 5));
    ask(2);
    await new Promise((r) => setTimeout(r, 5));
    expect(ran).toEqual([1, 2]);
  });
});
