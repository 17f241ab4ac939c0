/** Sections read from points against the same sections from their formula, and against published figures. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contourFacts,
  contourFromPoints,
  naca4,
  prepareContour,
  polarOfPrepared,
  FREE,
} from '../src/section';
import { freeMoments } from '../src/section/polar';
import { solveInviscid } from '../src/section/panels';
import { interpolateLinear } from '../src/numeric';
import { E387 } from './e387';

const DEG = Math.PI / 180;
type Points = (readonly [number, number])[];

/** The points a file would list: Abbott and von Doenhoff, 6.1 to 6.4, written here apart from the product's families. */
function listed(camber: number, at: number, thickness: number, count: number, uniform: boolean): Points {
  const half = (x: number) =>
    5 * thickness * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - 0.1036 * x ** 4);
  const line = (x: number) =>
    x < at
      ? [(camber / at ** 2) * (2 * at * x - x * x), ((2 * camber) / at ** 2) * (at - x)]
      : [
          (camber / (1 - at) ** 2) * (1 - 2 * at + 2 * at * x - x * x),
          ((2 * camber) / (1 - at) ** 2) * (at - x),
        ];
  const k = (count - 1) / 2;
  return Array.from({ length: count }, (_, i) => {
    const u = Math.abs(i - k) / k,
      x = uniform ? u : 0.5 * (1 - Math.cos(Math.PI * u)),
      [y, slope] = camber > 0 ? line(x) : [0, 0];
    const s = i <= k ? 1 : -1,
      turn = Math.atan(slope);
    return [x - s * half(x) * Math.sin(turn), y + s * half(x) * Math.cos(turn)] as const;
  });
}

const section = fc.record({
  camber: fc.integer({ min: 0, max: 6 }),
  at: fc.integer({ min: 3, max: 6 }),
  thickness: fc.integer({ min: 8, max: 18 }),
  half: fc.integer({ min: 20, max: 120 }),
  uniform: fc.boolean(),
});

describe('an imported section is neither turned nor sheared by taking its foremost point for the nose', () => {
  it('by name and by its own 41 to 241 points: zero lift to 0.03 degrees, camber to 0.03 %, moment to 0.002', () => {
    fc.assert(
      fc.property(section, ({ camber, at, thickness, half, uniform }) => {
        const digits = `${camber}${camber ? at : 0}${String(thickness).padStart(2, '0')}`;
        const named = naca4(digits, 120),
          read = contourFromPoints(
            listed(camber / 100, at / 10, thickness / 100, 2 * half + 1, uniform),
            120,
          );
        const a = freeMoments(solveInviscid(named)),
          b = freeMoments(solveInviscid(read));
        expect(Math.abs(a.zeroLift - b.zeroLift) / DEG).toBeLessThan(0.03);
        expect(Math.abs(a.moment - b.moment)).toBeLessThan(0.002);
        expect(Math.abs(contourFacts(named).camber - contourFacts(read).camber)).toBeLessThan(0.0003);
      }),
      { seed: 11, numRuns: 40 },
    );
  });
  it('a file in millimetres, turned by some degrees, comes back to its chord line', () => {
    fc.assert(
      fc.property(fc.integer({ min: -80, max: 80 }), fc.integer({ min: 1, max: 400 }), (tenths, chord) => {
        const c = Math.cos((tenths / 10) * DEG),
          s = Math.sin((tenths / 10) * DEG);
        const plain = listed(0, 0.4, 0.12, 81, false);
        const turned = plain.map(
          ([x, y]) => [30 + chord * (x * c - y * s), 7 + chord * (x * s + y * c)] as const,
        );
        const f = contourFacts(contourFromPoints(turned));
        expect(Math.abs(f.camber)).toBeLessThan(3e-4);
        expect(f.thickness).toBeCloseTo(0.12, 3);
      }),
      { seed: 11, numRuns: 25 },
    );
  });
});

describe('E387 as published: 9.06 % thick, camber 3.8 % (listed with its coordinates; from memory)', () => {
  const contour = contourFromPoints(E387);
  it('thickness and camber to 0.05 % of the chord', () => {
    const f = contourFacts(contour);
    expect(Math.abs(f.thickness - 0.0906)).toBeLessThan(5e-4);
    expect(Math.abs(f.camber - 0.038)).toBeLessThan(5e-4);
  });
  it('no lift at -3.6 ± 0.2 degrees at Re 4.6e5 (read off the lift curves of NASA TM-4062; from memory)', () => {
    const q = polarOfPrepared(prepareContour(contour), 4.6e5, { ...FREE, step: DEG }).points.filter(
      (p) => p.how === 'solved' && Math.abs(p.alpha) < 6 * DEG,
    );
    const zero = interpolateLinear(
      q.map((p) => p.cl),
      q.map((p) => p.alpha),
      0,
    );
    expect(Math.abs(zero / DEG + 3.6)).toBeLessThan(0.2);
  });
});
