/** Stall at the nose: where it bounds, where it must not, and that the curve is cut, not bent. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { naca4 } from './families';
import type { FlowPoint } from './flowPoint';
import { bearableDifference, cutAtNose, heldAtNose, noseLimit } from './noseStall';
import { solveInviscid } from './panels';

const DEG = Math.PI / 180;
const basisOf = (digits: string) => solveInviscid(naca4(digits, 120));
const point = (alpha: number, cl: number): FlowPoint => ({
  alpha,
  cl,
  cd: 0.01 + 0.01 * cl * cl,
  cm: 0,
  transitionUpper: 0.3,
  transitionLower: 0.9,
  separationUpper: 1,
  separationLower: 1,
  bubble: null,
});
/** A lift line of a section that never stalls by itself. */
const line = (zero = 0) =>
  Array.from({ length: 33 }, (_, i) => (i - 8) * DEG).map((a) => point(a, 6 * (a - zero)));

describe('what a nose bears', () => {
  it('is the published curve: 7.5 at Re 1e6, 13 at 7e6, held at both ends', () => {
    expect(bearableDifference(1e6)).toBeCloseTo(7.5, 9);
    expect(bearableDifference(7e6)).toBeCloseTo(13, 9);
    expect(bearableDifference(5e4)).toBe(bearableDifference(1e6));
    expect(bearableDifference(1e8)).toBe(bearableDifference(2e7));
  });
  it('law: never falls with the Reynolds number', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 7.5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lg, by) => bearableDifference(10 ** lg) <= bearableDifference(10 ** (lg + by)) + 1e-12,
      ),
      { seed: 5, numRuns: 200 },
    );
  });
  it('a symmetric section bears the same both ways', () => {
    const basis = basisOf('0009');
    expect(noseLimit(basis, 3e6, -1)).toBeCloseTo(-noseLimit(basis, 3e6, 1), 2);
  });
  it('a thicker section bears more lift, and a cambered one more upwards than downwards', () => {
    const at = (digits: string, side: 1 | -1 = 1) => Math.abs(noseLimit(basisOf(digits), 3e6, side));
    expect(at('0006')).toBeLessThan(at('0009'));
    expect(at('0009')).toBeLessThan(at('0012'));
    expect(at('2409')).toBeGreaterThan(at('0009'));
    expect(at('2409', -1)).toBeLessThan(at('0009'));
  });
  it('law of the nose’s parabola: the lift borne goes with thickness (radius with its square), within 6 %', () => {
    // peak speed sqrt(1 + 2 a² / r) at an angle a (Lighthill 1951; Van Dyke, Perturbation Methods in Fluid Mechanics)
    const at = (digits: string) => noseLimit(basisOf(digits), 3e6, 1) / Number(digits.slice(2));
    for (const digits of ['0006', '0008', '0010', '0012'])
      expect(Math.abs(at(digits) / at('0009') - 1)).toBeLessThan(0.06);
  });
  it('does not bind an ellipse so thick that no angle up to 34 degrees brings it to the bound', () => {
    const turn = (i: number) => (2 * Math.PI * i) / 120;
    const xy = Array.from({ length: 121 }, (_, i) => [
      0.5 + 0.5 * Math.cos(turn(i)),
      0.4 * Math.sin(turn(i)),
    ]);
    const ellipse = solveInviscid({ xy: Float64Array.from(xy.flat()) });
    expect(noseLimit(ellipse, 2e7, 1)).toBe(Infinity);
    expect(noseLimit(ellipse, 2e7, -1)).toBe(-Infinity);
  });
});

describe('a curve cut at the nose', () => {
  const basis = basisOf('0009'),
    up = noseLimit(basis, 3e6, 1),
    down = noseLimit(basis, 3e6, -1);
  it('ends at the bound on both sides, and is untouched between', () => {
    const all = line(),
      cut = cutAtNose(all, 15, basis, 3e6);
    expect(cut.points[cut.points.length - 1].cl).toBeCloseTo(up, 9);
    expect([cut.up, cut.down]).toEqual([true, false]);
    expect(cut.points[0]).toBe(all[0]);
    for (const p of cut.points.slice(0, -1)) expect(all).toContain(p);
  });
  it('the last point lies on the line between its neighbours', () => {
    const cut = cutAtNose(line(), 15, basis, 3e6),
      last = cut.points[cut.points.length - 1];
    expect(last.alpha).toBeCloseTo(last.cl / 6, 9);
    expect(last.transitionUpper).toBeCloseTo(0.3, 12);
  });
  it('is cut downwards too where the walk went that far', () => {
    const far = Array.from({ length: 60 }, (_, i) => point((i - 30) * DEG, 6 * (i - 30) * DEG));
    const cut = cutAtNose(far, 35, basis, 3e6);
    expect([cut.up, cut.down]).toEqual([true, true]);
    expect(cut.points[0].cl).toBeCloseTo(down, 9);
  });
  it('keeps the walk’s first point whatever the bound', () => {
    const cut = cutAtNose([point(0.3, 1.9), point(0.32, 2)], 0, basis, 3e6);
    expect(cut.points.map((p) => p.cl)).toEqual([1.9]);
  });
  it('law: no point lies past the bound, and angles stay ascending', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.1, max: 0.1, noNaN: true }), fc.nat(32), (zero, middle) => {
        const all = line(zero),
          { points } = cutAtNose(all, middle, basis, 3e6);
        const inside = Math.abs(all[middle].cl) < Math.min(up, -down);
        points.forEach((p, i) => {
          if (i > 0) expect(p.alpha).toBeGreaterThan(points[i - 1].alpha);
          if (inside) expect(p.cl).toBeLessThanOrEqual(up + 1e-9);
          if (inside) expect(p.cl).toBeGreaterThanOrEqual(down - 1e-9);
        });
      }),
      { seed: 11, numRuns: 80 },
    );
  });
});

describe('asked angles past the nose', () => {
  const basis = basisOf('0006');
  it('follow the flat-plate law from the stall on, and those before it stay', () => {
    const asked = line().map((p, i) => (i === 5 ? null : p));
    const { points, stall } = heldAtNose(asked, basis, 6e6);
    expect(stall!.cl).toBeCloseTo(noseLimit(basis, 6e6, 1), 9);
    points.forEach((p, i) => {
      if (p && p.alpha <= stall!.alpha) expect(p).toBe(asked[i]);
      if (p && p.alpha > stall!.alpha) expect(p.cd).toBeGreaterThan(stall!.cd);
    });
    expect(points[5]).toBeNull();
  });
  it('say nothing of a nose where none gives way', () => {
    const asked = [0, 1, 2].map((d) => point(d * DEG, 6 * d * DEG));
    expect(heldAtNose(asked, basis, 6e6)).toEqual({ points: asked, stall: null });
    expect(heldAtNose([null], basis, 6e6).stall).toBeNull();
  });
});
