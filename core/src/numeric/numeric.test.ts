import { describe, expect, it } from 'vitest';
import {
  contentKey,
  cutBelow,
  factorise,
  findMinimum,
  findRoot,
  interpolateLinear,
  invertSpd,
  normalCdf,
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

describe('a one-sided measurement', () => {
  /** Mean and deviation of a normal times Phi((y - b) / sigma), by direct sums. */
  const direct = (mean: number, sd: number, b: number, sigma: number) => {
    let w = 0,
      m = 0,
      v = 0;
    for (let i = -8000; i <= 8000; i++) {
      const y = mean + (sd * i) / 1000,
        p = Math.exp(-((i / 1000) ** 2) / 2) * normalCdf((y - b) / sigma);
      w += p;
      m += p * y;
      v += p * y * y;
    }
    return { mean: m / w, sd: Math.sqrt(v / w - (m / w) ** 2) };
  };
  it.each([
    [1, 0.15, 1.2, 0.03],
    [1, 0.15, 0.7, 0.03],
    [1, 0.15, 1, 0.1],
    [5, 1, 7, 0.2],
  ])('prior %d ± %d, at least %d ± %d: moments as summed directly', (mean, sd, b, sigma) => {
    const cut = cutBelow({ mean: [mean], covariance: [[sd * sd]] }, [1], b - mean, sigma),
      want = direct(mean, sd, b, sigma);
    expect(cut.mean[0]).toBeCloseTo(want.mean, 4);
    expect(Math.sqrt(cut.covariance[0][0])).toBeCloseTo(want.sd, 4);
  });
  it('far beyond all that was thought possible it stays finite, and what it does not touch stays', () => {
    const cut = cutBelow(
      {
        mean: [1, 2],
        covariance: [
          [0.01, 0],
          [0, 4],
        ],
      },
      [1, 0],
      3,
      0.05,
    );
    expect(cut.mean[0]).toBeGreaterThan(3);
    expect(cut.covariance[0][0]).toBeGreaterThan(0);
    expect([cut.mean[1], cut.covariance[1][1]]).toEqual([2, 4]);
  });
});
