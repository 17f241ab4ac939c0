/** The pure parts of the interface: scales of the three marks, asked limits, outlines, kinds of paths, newest-only queue. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';
import { planformOf } from '@skiametra/core/surface';
import { newestOnly } from '../workers/coreClient';
import { freshId } from './SheetTable';
import { halfOutline, planBounds } from './Silhouette';
import { STATIONS } from './stationList';
import { describeMarks, markScale } from './ThreeMark';
import { askedOf } from './useMarks';

const { brief, design } = bitternDocument();

describe('three marks', () => {
  const marks = {
    asked: { min: null, max: 20 },
    predicted: { value: 16, sigma: 3 },
    measured: { value: 19, sigma: 0.8 },
  };
  it('the scale holds every mark with room to spare', () => {
    const [lo, hi] = markScale(marks);
    expect(lo).toBeLessThan(16 - 3);
    expect(hi).toBeGreaterThan(20);
  });
  it('a lone value still has a width, nothing at all has a scale', () => {
    const [lo, hi] = markScale({ asked: null, predicted: { value: 5, sigma: 0 }, measured: null });
    expect(hi - lo).toBeGreaterThan(0.3);
    expect((lo + hi) / 2).toBeCloseTo(5, 9);
    expect(markScale({ asked: null, predicted: null, measured: null })).toEqual([0, 1]);
  });
  it('reads out as a sentence in the person’s units', () => {
    expect(describeMarks('Ground run', marks, 'distance', 'metric')).toBe(
      'Ground run, asked at most 20.0 m, predicted 16.0 m plus or minus 3.0, measured 19.0 m plus or minus 0.80',
    );
    expect(describeMarks('Ground run', marks, 'distance', 'imperial')).toContain('65.6 ft');
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
            const [u, v] = p[(i + 1) % p.length];
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
      'Brief Shape Sections Balance Power Structure Flight Score Test Refine',
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
