/** What logs are reduced by, against data and tables from outside. */
import { describe, expect, it } from 'vitest';
import { radiiAt } from '../src/log/place';
import { fitRobust } from '../src/numeric';

/**
 * Stack loss of a plant that oxidises ammonia: air flow, water temperature, acid, loss (Brownlee, Statistical Theory and
 * Methodology in Science and Engineering, 1965). Four of its 21 days are the usual text-book outliers: 1, 3, 4 and 21.
 */
const STACK = [
  ...[
    [80, 27, 89, 42],
    [80, 27, 88, 37],
    [75, 25, 90, 37],
    [62, 24, 87, 28],
    [62, 22, 87, 18],
    [62, 23, 87, 18],
  ],
  ...[
    [62, 24, 93, 19],
    [62, 24, 93, 20],
    [58, 23, 87, 15],
    [58, 18, 80, 14],
    [58, 18, 89, 14],
    [58, 17, 88, 13],
  ],
  ...[
    [58, 18, 82, 11],
    [58, 19, 93, 12],
    [50, 18, 89, 8],
    [50, 18, 86, 7],
    [50, 19, 72, 8],
    [50, 19, 79, 8],
  ],
  ...[
    [50, 20, 80, 9],
    [56, 20, 82, 15],
    [70, 20, 91, 15],
  ],
];
/** Huber's estimate of it with its standard errors (Venables and Ripley, Modern Applied Statistics with S, 6.5, from memory). */
const HUBER = [-41.03, 0.829, 0.926, -0.128],
  ERRORS = [9.81, 0.111, 0.303, 0.129];

describe('a robust fit of the stack loss data', () => {
  const fit = fitRobust(
    {
      count: STACK.length,
      size: 4,
      inTime: false,
      residuals: (x, r, J) =>
        STACK.forEach(([a, b, c, loss], i) => {
          r[i] = x[0] + x[1] * a + x[2] * b + x[3] * c - loss;
          J.set([1, a, b, c], 4 * i);
        }),
    },
    [0, 0, 0, 0],
  );
  if (fit.status !== 'ok') throw new Error(fit.status);
  it.each([0, 1, 2, 3])('coefficient %i lies within half a standard error of Huber’s', (p) =>
    expect(Math.abs(fit.x[p] - HUBER[p])).toBeLessThan(0.5 * ERRORS[p]),
  );
  it.each([0, 1, 2, 3])('its standard error %i is Huber’s within a tenth', (p) =>
    expect(Math.abs(Math.sqrt(fit.covariance[p][p]) / ERRORS[p] - 1)).toBeLessThan(0.1),
  );
  it('the four outliers weigh least', () => {
    const least = [...fit.weights.keys()].sort((a, b) => fit.weights[a] - fit.weights[b]).slice(0, 4);
    expect(least.sort((a, b) => a - b)).toEqual([0, 2, 3, 20]);
  });
});

/** Lengths of a degree on the WGS 84 ellipsoid [m] (National Geospatial-Intelligence Agency's table, from memory). */
const DEGREES = [
  [0, 110574, 111320],
  [45, 111132, 78847],
  [60, 111412, 55800],
] as const;

describe('a degree on the ground', () => {
  it.each(DEGREES)('at latitude %d', (lat, north, east) => {
    const at = (lat * Math.PI) / 180,
      { meridian, normal } = radiiAt(at);
    expect((meridian * Math.PI) / 180).toBeCloseTo(north, -1);
    expect((normal * Math.cos(at) * Math.PI) / 180).toBeCloseTo(east, -1);
  });
});
