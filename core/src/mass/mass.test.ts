import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { loadedState, massState, payloadPoints, placeForCg, solveBalance, weighedDesign } from './index';

const { design } = bitternDocument();
const ferry = design.states[0];
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
    expect(sentence(moved.said)).toMatch(/battery \d+ mm forward/);
    const ballast = solveBalance(design, { forward: cg - 0.12, aft: cg - 0.06 });
    expect(ballast.status === 'ballast' && ballast.ballast.place).toBe('nose');
    expect(solveBalance(design, { forward: cg, aft: cg + 1e-5 }).status).toBe('conflict');
  });
});

describe('inertia of masses typed on the middle line', () => {
  const base = bitternDocument().design;
  const typed = (items: { mass: number; group: (typeof base.items)[number]['group'] }[]) => ({
    ...base,
    items: items.map((t, k) => ({
      ...base.items[0],
      id: `typed-${k}`,
      group: t.group,
      planned: { kind: 'mass' as const, mass: t.mass },
      weighed: null,
      inWing: false,
      box: undefined,
      x: 0.3,
      y: 0,
      z: 0,
    })),
  });
  it('has a roll inertia, so that Stability and the stall map do not vanish ("not square and finite")', () => {
    for (const group of ['structure', 'propulsion', 'battery', 'electronics', 'gear', 'other'] as const) {
      const s = loadedState(typed([{ mass: 0.5, group }]), { count: 0 }, 'best', 1);
      expect(s.ixx, group).toBeGreaterThan(1e-6);
      expect(s.iyy, group).toBeGreaterThan(1e-6);
    }
  });
  it('a box of its own stands over the default, a battery of 0.5 kg is a cube of 64 mm: m a^2 / 6', () => {
    const plain = loadedState(typed([{ mass: 0.5, group: 'battery' }]), { count: 0 }, 'best', 1);
    expect(plain.ixx).toBeCloseTo((0.5 * (0.5 / 1900) ** (2 / 3)) / 6, 9);
    const d = typed([{ mass: 0.5, group: 'battery' }]);
    const boxed = loadedState(
      { ...d, items: [{ ...d.items[0], box: { length: 0.2, width: 0.04, height: 0.03 } }] },
      { count: 0 },
      'best',
      1,
    );
    expect(boxed.ixx).toBeCloseTo((0.5 * (0.04 ** 2 + 0.03 ** 2)) / 12, 9);
  });
  it('a quarter turn of a state about the nose leaves mass and changes only the axes of inertia (law)', () => {
    const s = loadedState(base, base.states[3], 'best', 1);
    const swapped = massState(
      s.points.map((p) => ({
        ...p,
        x: p.y,
        y: p.x,
        own: p.own && { ixx: p.own.iyy, iyy: p.own.ixx, izz: p.own.izz },
      })),
    );
    expect(swapped.ixx).toBeCloseTo(s.iyy, 9);
    expect(swapped.izz).toBeCloseTo(s.izz, 9);
  });
  it('weighed as it stood: the state has that mass and that CG, and what was not weighed keeps its share', () => {
    const w = weighedDesign(base, 'tubes-8', 3.05, 0.402),
      s = loadedState(
        w,
        base.states.find((l) => l.id === 'tubes-8')!,
        'best',
        1.2,
      );
    expect(s.mass).toBeCloseTo(3.05, 9);
    expect(s.x).toBeCloseTo(0.402, 9);
    expect(s.sigmaMass).toBeLessThan(0.01);
  });
});
