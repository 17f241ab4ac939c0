import { describe, expect, it } from 'vitest';
import {
  contentKey,
  factorise,
  findMinimum,
  findRoot,
  interpolateLinear,
  invertSpd,
  requireInRange,
  solveDense,
  splineCurvatures,
  splineValue,
  trapezium,
  updateLinear,
} from './index';

describe('linear algebra', () => {
  it('solves a hand-worked system and refuses bad shapes and singular ones', () => {
    expect(
      Array.from(
        solveDense(
          [
            [2, 1],
            [1, 3],
          ],
          [3, 5],
        ),
      ),
    ).toEqual([expect.closeTo(0.8, 12), expect.closeTo(1.4, 12)]);
    expect(() =>
      factorise([
        [1, 2],
        [2, 4],
      ]),
    ).toThrow(/singular/);
    expect(() => factorise([[1, 2]])).toThrow(/square/);
    expect(() =>
      factorise([
        [1, 0],
        [0, 1],
      ]).solve([1]),
    ).toThrow(/length/);
  });
  it('inverse times matrix is one', () => {
    const [[a, b], [, d]] = invertSpd([
      [4, 1],
      [1, 3],
    ]);
    expect(4 * a + 1 * b).toBeCloseTo(1, 12);
    expect(b + 3 * d).toBeCloseTo(1, 12);
  });
});

describe('roots and minima', () => {
  it('finds cos x = x (0.7390851332, Dottie number)', () => {
    const r = findRoot((x) => Math.cos(x) - x, 0, 1);
    expect(r.status === 'found' && r.x).toBeCloseTo(0.7390851332, 9);
  });
  it('says when there is no bracket', () =>
    expect(findRoot((x) => x * x + 1, -1, 1).status).toBe('no-bracket'));
  it('finds the least of a parabola', () =>
    expect(findMinimum((x) => (x - 0.3) ** 2, 0, 1).x).toBeCloseTo(0.3, 4));
});

describe('tables', () => {
  it('interpolates and holds the ends', () => {
    expect(interpolateLinear([0, 1, 3], [0, 2, 6], 2)).toBe(4);
    expect(interpolateLinear([0, 1], [1, 2], -5)).toBe(1);
  });
  it('a spline passes its knots and follows a sine to fourth order', () => {
    const err = (n: number) => {
      const x = Array.from({ length: n }, (_, i) => (Math.PI * i) / (n - 1)),
        y = x.map(Math.sin),
        m = splineCurvatures(x, y);
      return Math.max(
        ...Array.from({ length: 40 }, (_, i) =>
          Math.abs(splineValue(x, y, m, 0.6 + i * 0.05) - Math.sin(0.6 + i * 0.05)),
        ),
      );
    };
    expect(err(11) / err(21)).toBeGreaterThan(12);
  });
  it('trapezium is exact for a line', () => expect(trapezium([0, 1, 4], [1, 3, 9])).toBe(20));
});

describe('bayes', () => {
  it('one direct measurement: the precision-weighted mean', () => {
    const r = updateLinear([1], [[0.04]], [[1]], [0.3], [0.1]);
    expect(r.mean[0]).toBeCloseTo(1 + (0.3 * 100) / (100 + 25), 12);
    expect(r.covariance[0][0]).toBeCloseTo(1 / 125, 12);
  });
  it('uncertainty never grows, and refuses shapes that disagree', () => {
    const r = updateLinear(
      [1, 1],
      [
        [0.01, 0],
        [0, 0.04],
      ],
      [[1, 2]],
      [0.1],
      [0.05],
    );
    expect(r.covariance[0][0]).toBeLessThan(0.01);
    expect(r.covariance[1][1]).toBeLessThan(0.04);
    expect(() => updateLinear([1], [[1]], [[1, 2]], [0], [1])).toThrow();
    expect(() => updateLinear([1], [[1]], [[1]], [0], [0])).toThrow(/above zero/);
  });
});

it('content keys ignore the order of keys and see every change', () => {
  expect(contentKey({ a: 1, b: [1, 2] })).toBe(contentKey({ b: [1, 2], a: 1 }));
  expect(contentKey({ a: 1, b: [1, 2] })).not.toBe(contentKey({ a: 1, b: [2, 1] }));
});
it('guards fail on NaN', () => expect(() => requireInRange('x', Number.NaN, 0, 1)).toThrow());
