import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestOf, binomialCdf, chanceInterval, successOf, taskPoints } from './index';

describe('odds of success', () => {
  it('the best of several attempts is one less the chance that none comes off', () => {
    expect(bestOf(0.5, 3)).toBe(0.875);
    expect(bestOf(0.8, 1)).toBeCloseTo(0.8, 12);
  });
  it('nothing tried is not known', () =>
    expect(successOf({ chance: null, tried: 0, won: 0, attempts: 2, failed: 0 })).toBeNull());
  it('an interval holds its own share, and is narrower by more trials', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (tried, share) => {
          const won = Math.round(share * tried),
            { low, high } = chanceInterval(won, tried),
            more = chanceInterval(4 * won, 4 * tried);
          expect(low).toBeLessThanOrEqual(won / tried);
          expect(high).toBeGreaterThanOrEqual(won / tried);
          expect(more.high - more.low).toBeLessThan(high - low + 1e-9);
        },
      ),
    );
  });
  it('ends of the interval leave a fortieth each', () => {
    const { low, high } = chanceInterval(7, 20);
    expect(1 - binomialCdf(6, 20, low)).toBeCloseTo(0.025, 6);
    expect(binomialCdf(7, 20, high)).toBeCloseTo(0.025, 6);
  });
});

describe('points of a task', () => {
  it('held within its caps, then weighed, then by its odds', () => {
    expect(taskPoints({ most: 50, weight: 2 }, 80)).toBe(100);
    expect(taskPoints({ least: -10 }, -30)).toBe(-10);
    const odds = { chance: 0.5, tried: 0, won: 0, attempts: 2, failed: -20 };
    expect(taskPoints({ weight: 2, odds }, 30)).toBeCloseTo(0.75 * 60 - 0.25 * 20, 12);
  });
});
