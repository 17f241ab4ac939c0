/**
 * Mass and balance, score, log reduction and refining against statics, sums by hand, textbook Bayes and general-purpose
 * libraries (ml-matrix, ml-levenberg-marquardt: least squares of their own).
 */
import fc from 'fast-check';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { cgFromScales, massState } from '../src/mass';
import { updateLinear } from '../src/numeric';
import { compileFormula } from '../src/score';
import { cleanLog, fitWind, reduceFlight, type FlightLog } from '../src/log';

const point = (id: string, mass: number, x: number, y: number, z: number) => ({
  id,
  name: id,
  mass,
  x,
  y,
  z,
  inWing: false,
  sigma: 0.01 * mass,
});

describe('mass and balance (statics)', () => {
  it('a uniform rod of 1.2 m and 0.3 kg: m L^2 / 12 about its middle, m L^2 / 3 about its end', () => {
    const n = 400,
      rod = Array.from({ length: n }, (_, i) => point(`${i}`, 0.3 / n, (1.2 * (i + 0.5)) / n, 0, 0));
    const s = massState(rod);
    expect(s.iyy).toBeCloseTo((0.3 * 1.2 ** 2) / 12, 5);
    expect(s.iyy + s.mass * s.x ** 2).toBeCloseTo((0.3 * 1.2 ** 2) / 3, 5);
    expect(s.ixx).toBeCloseTo(0, 12);
  });
  it('three scales under the wheels: 0.9, 0.9 and 0.4 kg at 0.30, 0.30 and 1.10 m balance at 0.4455 m (moments by hand)', () => {
    const s = cgFromScales([
      { x: 0.3, y: -0.2, mass: 0.9 },
      { x: 0.3, y: 0.2, mass: 0.9 },
      { x: 1.1, y: 0, mass: 0.4 },
    ])!;
    expect(s.mass).toBeCloseTo(2.2, 12);
    expect(s.x).toBeCloseTo((2 * 0.9 * 0.3 + 0.4 * 1.1) / 2.2, 12);
    expect(s.y).toBeCloseTo(0, 12);
  });
  it('law: moving the datum moves the CG with it and leaves inertia and spreads alone', () => {
    const part = fc.tuple(
      fc.double({ min: 0.001, max: 2, noNaN: true }),
      fc.double({ min: -1, max: 2, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 12 }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (parts, d) => {
          const at = (shift: number) =>
            massState(parts.map(([m, x, y, z], i) => point(`${i}`, m, x + shift, y, z)));
          const a = at(0),
            b = at(d);
          expect(b.x - a.x).toBeCloseTo(d, 9);
          for (const k of ['ixx', 'iyy', 'izz', 'sigmaX', 'sigmaMass'] as const)
            expect(b[k]).toBeCloseTo(a[k], 8);
          // principle of the perpendicular axes: no moment exceeds the sum of the other two
          expect(a.ixx).toBeLessThanOrEqual(a.iyy + a.izz + 1e-9);
        },
      ),
      { seed: 15, numRuns: 80 },
    );
  });
  it('1.3 g of an 84 g model are missing: 76 g of parts and 6.7 g of equipment (trade, sum by hand)', () => {
    const s = massState([point('parts', 0.076, 0.2, 0, 0), point('equipment', 0.0067, 0.1, 0, 0)]);
    expect((0.084 - s.mass) * 1000).toBeCloseTo(1.3, 9);
  });
});

describe('score formulas (sums by hand)', () => {
  const names = { laps: 'count', payloadMass: 'mass', best: null } as const;
  const value = (text: string, env: Record<string, number>) => {
    const f = compileFormula(text, names);
    if (f.status !== 'ok') throw new Error(f.message);
    return f.evaluate(env);
  };
  it('a share of the field’s best, a cap and a bonus: 100 min(1, 9 · 0.6 / 7.2) + 5 = 80', () =>
    expect(
      value('100 * min(1, laps * payloadMass / best) + 5', { laps: 9, payloadMass: 0.6, best: 7.2 }),
    ).toBeCloseTo(80, 9));
  it('the cap holds past the best, and powers come before products', () => {
    expect(value('100 * min(1, laps / best)', { laps: 12, payloadMass: 0, best: 10 })).toBe(100);
    expect(value('2 * laps ^ 2', { laps: 3, payloadMass: 0, best: 1 })).toBe(18);
  });
});

/** Ground velocities of an aircraft that turns at an airspeed in a wind. */
const circle = (V: number, east: number, north: number, noise: (i: number) => number) =>
  Array.from({ length: 60 }, (_, i) => {
    const h = (2 * Math.PI * i) / 60;
    return [V * Math.cos(h) + east + noise(2 * i), V * Math.sin(h) + north + noise(2 * i + 1)] as const;
  });
const windOf = (v: readonly (readonly [number, number])[]) =>
  fitWind({
    east: Float64Array.from(v, (p) => p[0]),
    north: Float64Array.from(v, (p) => p[1]),
    sensor: null,
  });

describe('wind from ground velocities', () => {
  it('opposite runs of 23.4 and 15.8 m/s: airspeed the mean, wind half the difference (trade)', () => {
    const runs = [
      ...Array.from({ length: 8 }, () => [23.4, 0] as const),
      ...Array.from({ length: 8 }, () => [-15.8, 0] as const),
    ].map(([u, w], i) => [u, w + 1e-3 * Math.sin(i)] as const);
    const f = windOf(runs)!;
    expect(f.east).toBeCloseTo(3.8, 2);
    expect(f.airspeed).toBeCloseTo(19.6, 1);
  });
  it('agrees with a general least-squares library on a noisy circle, to 2 % of the airspeed', () => {
    const noise = (i: number) => 0.35 * Math.sin(12.9898 * i + 78.233 * i * i);
    const seen = circle(15, 3, -2, noise),
      ours = windOf(seen)!;
    // distance of each velocity from the circle, driven to nil by Levenberg and Marquardt
    const theirs = levenbergMarquardt(
      { x: seen.map((_, i) => i), y: seen.map(() => 0) },
      ([V, e, n]) =>
        (i) =>
          Math.hypot(seen[Math.round(i)][0] - e, seen[Math.round(i)][1] - n) - V,
      { initialValues: [10, 0, 0], maxIterations: 200, damping: 0.1, gradientDifference: 1e-4 },
    ).parameterValues;
    expect(Math.abs(ours.airspeed - theirs[0])).toBeLessThan(0.3);
    expect(Math.abs(ours.east - theirs[1])).toBeLessThan(0.3);
    expect(Math.abs(ours.north - theirs[2])).toBeLessThan(0.3);
  });
  it('law: turning the map turns the wind with it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (a, w) => {
          const f = windOf(circle(12, w * Math.cos(a), w * Math.sin(a), () => 0))!;
          expect(f.airspeed).toBeCloseTo(12, 6);
          expect(Math.hypot(f.east, f.north)).toBeCloseTo(w, 6);
        },
      ),
      { seed: 15, numRuns: 60 },
    );
  });
  it('487 m in 265 s is a climb of 1.84 m/s (trade): a log that climbs so reads so', () => {
    const rate = 487 / 265;
    const t = Float64Array.from({ length: 1500 }, (_, i) => i * 0.2),
      log: FlightLog = {
        t,
        channels: {
          east: t.map((v) => 12 * Math.max(0, v - 4)),
          north: t.map(() => 0),
          height: t.map((v) => rate * Math.max(0, v - 4)),
          volts: t.map(() => 15),
          amps: t.map(() => 10),
        },
        events: [],
        begun: null,
      };
    const { results } = reduceFlight(cleanLog(log).log, { mass: null, area: null, density: null });
    expect(results.find((r) => r.id === 'climbRate')!.value).toBeCloseTo(1.84, 2);
  });
});

describe('linear Bayes (textbook examples and a general least-squares library)', () => {
  it('one number, prior 0 ± 1, read as 1 ± 1: 0.5 ± 0.707 (Gelman and others, Bayesian Data Analysis, 2.5; from memory)', () => {
    const r = updateLinear([0], [[1]], [[1]], [1], [1]);
    expect(r.mean[0]).toBeCloseTo(0.5, 12);
    expect(Math.sqrt(r.covariance[0][0])).toBeCloseTo(Math.SQRT1_2, 12);
  });
  it('the sum of two numbers is read: the gain is C H / (H C H + R) = (4, 1) / 6 (Kalman 1960, by hand)', () => {
    const C = [
      [4, 0],
      [0, 1],
    ];
    const r = updateLinear([0, 0], C, [[1, 1]], [3], [1]);
    expect(r.mean[0]).toBeCloseTo(2, 12);
    expect(r.mean[1]).toBeCloseTo(0.5, 12);
    expect(r.covariance[0][0]).toBeCloseTo(4 - 16 / 6, 12);
    expect(r.covariance[0][1]).toBeCloseTo(-4 / 6, 12);
  });
  it('law: it is least squares with the prior as further rows, solved by singular values (ml-matrix)', () => {
    const num = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(num, num, num, num, fc.double({ min: 0.1, max: 2, noNaN: true })), {
          minLength: 1,
          maxLength: 9,
        }),
        (rows) => {
          const sd = [0.5, 1, 2],
            J = rows.map(([a, b, c]) => [a, b, c]),
            y = rows.map((r) => r[3]),
            sigma = rows.map((r) => r[4]);
          const ours = updateLinear(
            [1, -1, 0],
            sd.map((s, i) => sd.map((_, j) => (i === j ? s * s : 0))),
            J,
            y,
            sigma,
          );
          const A = new Matrix([
            ...J.map((r, k) => r.map((v) => v / sigma[k])),
            ...sd.map((s, i) => sd.map((_, j) => (i === j ? 1 / s : 0))),
          ]);
          const b = Matrix.columnVector([...y.map((v, k) => v / sigma[k]), 0, 0, 0]);
          const x = new SingularValueDecomposition(A, { autoTranspose: true }).solve(b).to1DArray();
          [1, -1, 0].forEach((m, i) => expect(ours.mean[i]).toBeCloseTo(m + x[i], 6));
        },
      ),
      { seed: 15, numRuns: 60 },
    );
  });
  it('law: readings in any order, at once or one after the other, teach the same', () => {
    const C = [
      [1, 0.2],
      [0.2, 0.5],
    ];
    const at = updateLinear(
      [0, 0],
      C,
      [
        [1, 0.5],
        [0.3, -1],
      ],
      [0.7, 0.2],
      [0.4, 0.3],
    );
    const one = updateLinear([0, 0], C, [[0.3, -1]], [0.2], [0.3]);
    const two = updateLinear(
      one.mean,
      one.covariance,
      [[1, 0.5]],
      [0.7 - (one.mean[0] + 0.5 * one.mean[1])],
      [0.4],
    );
    two.mean.forEach((m, i) => expect(m).toBeCloseTo(at.mean[i], 10));
  });
});
