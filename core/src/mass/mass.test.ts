import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { loadedState, massState, payloadPoints, placeForCg, solveBalance } from './index';

const { design } = bitternDocument();
const ferry = design.loadings[0];
const point = (mass: number, x: number, y = 0, z = 0) => ({
  id: `${x}`,
  name: '',
  mass,
  x,
  y,
  z,
  inWing: false,
  sigma: 0,
});

describe('mass state', () => {
  it('two masses: CG by moments, inertia by reduced mass (statics)', () => {
    const s = massState([point(1, 0), point(3, 1)]);
    expect(s.x).toBe(0.75);
    expect(s.iyy).toBeCloseTo((1 * 3) / 4, 12);
    expect(s.ixx).toBe(0);
  });
  it('a rod of many points has m L^2 / 12 (textbook)', () => {
    const n = 400;
    expect(massState(Array.from({ length: n }, (_, i) => point(1 / n, (i + 0.5) / n))).izz).toBeCloseTo(
      1 / 12,
      4,
    );
  });
  it('shifting the datum shifts the CG and leaves the inertia', () => {
    const a = massState([point(1, 0.1, 0.2, 0.3), point(2, 0.5)]),
      b = massState([point(1, 1.1, 0.2, 0.3), point(2, 1.5)]);
    expect(b.x - a.x).toBeCloseTo(1, 12);
    expect(b.iyy).toBeCloseTo(a.iyy, 12);
  });
  it('free-flight sum check of the trade: 76 g + 6.7 g = 82.7 g', () =>
    expect(massState([point(0.076, 0), point(0.0067, 0)]).mass).toBeCloseTo(0.0827, 12));
});

describe('payload', () => {
  it('a full bay is centred; a few units sit near its middle', () => {
    const mean = (n: number) => {
      const p = payloadPoints(design, { count: n });
      return p.reduce((s, q) => s + q.x, 0) / n;
    };
    const middle = design.payload.x + 2.5 * design.payload.pitch;
    expect(mean(12)).toBeCloseTo(middle, 9);
    expect(Math.abs(mean(4) - middle)).toBeLessThan(1e-9);
  });
});

describe('where must it go', () => {
  const cg = loadedState(design, ferry, 'best', 1).x;
  it('places one item so that the CG is exactly where wanted', () => {
    const x = placeForCg(design, 'battery', 'ferry', cg - 0.01)!;
    const moved = { ...design, items: design.items.map((i) => (i.id === 'battery' ? { ...i, x } : i)) };
    expect(loadedState(moved, ferry, 'best', 1).x).toBeCloseTo(cg - 0.01, 9);
    expect(placeForCg(design, 'nobody', 'ferry', 0.3)).toBeNull();
  });
  it('inside, moved, ballast and conflict are told apart', () => {
    expect(solveBalance(design, { forward: cg - 0.05, aft: cg + 0.05 }).status).toBe('inside');
    const moved = solveBalance(design, { forward: cg - 0.03, aft: cg - 0.0005 });
    expect(moved.status).toBe('moved');
    expect(moved.sentence).toMatch(/battery \d+ mm forward/);
    const ballast = solveBalance(design, { forward: cg - 0.12, aft: cg - 0.06 });
    expect(ballast.status === 'ballast' && ballast.ballast.place).toBe('nose');
    expect(solveBalance(design, { forward: cg, aft: cg + 1e-5 }).status).toBe('conflict');
  });
});
