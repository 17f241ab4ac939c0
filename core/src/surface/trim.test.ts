/** Laws of trim, neutral point and stall on the demo's lattice. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { naca4, polarSet, profileDrag, sectionClMax } from '../section';
import {
  bodyFacts,
  findLiftLimit,
  inducedDrag,
  linearAero,
  planformOf,
  solveLattice,
  solveTrim,
  stationAt,
  stripLift,
  stripStrengths,
  surfaceDrag,
} from './index';

const { design } = bitternDocument();
const contours = new Map([
  ['wing-section', naca4('4412')],
  ['tail-section', naca4('0009')],
]);
const sol = solveLattice(design, contours);
const aero = linearAero(sol, 0, 0);
const RE = [8e4, 3e5];
const polars = new Map([...contours].map(([id, c]) => [id, polarSet(c, RE)]));
const reynolds = (chord: number) => 7e5 * chord;
const total = (cl: number, cg: number) => {
  const t = solveTrim(aero, cl, cg);
  const g = stripStrengths(sol, t.alpha, t.elevator);
  return { t, g, lift: sol.strips.reduce((s, p, i) => s + (4 * g[i] * p.width) / sol.refArea, 0) };
};

describe('trim', () => {
  it.each([
    [0.2, 0.38],
    [0.6, 0.4],
    [1.1, 0.42],
  ])('CL %d with the CG at %d m: the strips carry exactly that lift', (cl, cg) =>
    expect(total(cl, cg).lift).toBeCloseTo(cl, 9),
  );
  it('ahead of the neutral point slower flight needs more up elevator, behind it less', () => {
    const slope = (cg: number) => solveTrim(aero, 1, cg).elevator - solveTrim(aero, 0.3, cg).elevator;
    expect(slope(aero.neutralX - 0.04)).toBeLessThan(0);
    expect(slope(aero.neutralX + 0.04)).toBeGreaterThan(0);
    // the stick-fixed neutral point is where elevator does not change with lift
    expect(slope(aero.neutralX)).toBeCloseTo(0, 9);
  });
  it('an up-thrust moment is met by down elevator', () =>
    expect(solveTrim(aero, 0.5, 0.4, 0.02).elevator).toBeGreaterThan(solveTrim(aero, 0.5, 0.4).elevator));
  it('without an elevator there is no trim, and it says so', () => {
    const fixed = design.surfaces.map((s) => ({ ...s, controls: [] }));
    // the whole tailplane is turned instead, and it works harder than a hinged part of it
    const turned = solveLattice({ surfaces: fixed }, contours);
    expect(turned.pitchControl).toBe('incidence');
    expect(Math.abs(linearAero(turned, 0, 0).near.elevator)).toBeGreaterThan(Math.abs(aero.near.elevator));
    const plank = solveLattice({ surfaces: fixed.filter((s) => s.role === 'wing') }, contours);
    expect(solveTrim(linearAero(plank, 0, 0), 0.5, 0.4).status).toBe('no-control');
  });
  it('a body moves the neutral point forward by its slope over the lift slope; the calibrated shift moves it by chords', () => {
    const c = sol.coefficients.clAlpha;
    expect(aero.neutralX - linearAero(sol, 0.2, 0).neutralX).toBeCloseTo((0.2 / c) * sol.refChord, 9);
    expect(linearAero(sol, 0, 0.05).neutralX - aero.neutralX).toBeCloseTo(0.05 * sol.refChord, 9);
  });
});

describe('drag due to lift', () => {
  it('induced drag is never negative and grows with lift', () => {
    let last = 0;
    for (const cl of [0.3, 0.6, 0.9, 1.2]) {
      const d = surfaceDrag(aero, cl, 0.4, polars, reynolds).induced;
      expect(d).toBeGreaterThan(last);
      last = d;
    }
    expect(
      inducedDrag(
        sol,
        sol.strips.reduce((g) => g, new Float64Array(sol.strips.length)),
      ),
    ).toBe(0);
  });
  it('it lies above the elliptic least for the whole span (Prandtl)', () => {
    const w = planformOf(design.surfaces[0]);
    expect(surfaceDrag(aero, 0.8, 0.4, polars, reynolds).induced).toBeGreaterThan(
      0.98 * (0.64 / (Math.PI * w.aspectRatio)),
    );
  });
});

describe('stall', () => {
  const limit = findLiftLimit(aero, 0.4, polars, reynolds, 1);
  it('one strip is at its limit and none is past it', () => {
    expect(Math.max(...limit.ratios().map((r) => r.ratio))).toBeCloseTo(1, 6);
    const t = solveTrim(aero, limit.clMax, 0.4);
    const local = stripLift(sol, stripStrengths(sol, t.alpha, t.elevator));
    sol.strips.forEach((s, i) => {
      if (s.role === 'wing')
        expect(local[i]).toBeLessThanOrEqual(sectionClMax(polars.get(s.section)!, reynolds(s.chord)) + 1e-6);
    });
  });
  it('begins inboard on the washed-out demo, further out with the washout reversed (trade: root first with washout)', () => {
    const twisted = design.surfaces.map((s) =>
      s.id === 'wing'
        ? { ...s, stations: s.stations.map((p, i) => (i === 2 ? { ...p, twist: 0.16 } : p)) }
        : s,
    );
    const out = findLiftLimit(
      linearAero(solveLattice({ surfaces: twisted }, contours), 0, 0),
      0.4,
      polars,
      reynolds,
      1,
    );
    expect(limit.eta).toBeLessThan(0.5);
    expect(out.eta).toBeGreaterThan(limit.eta + 0.1);
  });
  it('a lower section limit lowers the wing’s by nearly as much', () => {
    const low = findLiftLimit(aero, 0.4, polars, reynolds, 0.9);
    expect(low.clMax / limit.clMax).toBeGreaterThan(0.87);
    expect(low.clMax / limit.clMax).toBeLessThan(0.93);
  });
});

describe('polars between Reynolds numbers', () => {
  const set = polars.get('wing-section')!;
  it('lie between their neighbours and hold the ends', () => {
    const at = (re: number) => profileDrag(set, 0.6, re);
    expect(at(1.5e5)).toBeLessThan(at(8e4));
    expect(at(1.5e5)).toBeGreaterThan(at(3e5));
    expect(at(1e4)).toBe(at(8e4));
    expect(sectionClMax(set, 1e7)).toBe(sectionClMax(set, 3e5));
  });
  it('drag past the stall rises steeply and stays finite', () => {
    const d = [1, 2, 4].map((cl) => profileDrag(set, cl, 2e5));
    expect(d[1]).toBeGreaterThan(2 * d[0]);
    expect(d[2]).toBeLessThan(10);
  });
});

describe('geometry helpers', () => {
  it('stations blend linearly and hold the tip', () => {
    const w = design.surfaces[0];
    expect(stationAt(w, 0.6).chord).toBeCloseTo(0.23, 9);
    expect(stationAt(w, 5).chord).toBe(0.19);
  });
  it('a cylinder’s volume and wetted area (closed form)', () => {
    const f = bodyFacts([
      { x: 0, width: 0.1, height: 0.1, z: 0 },
      { x: 1, width: 0.1, height: 0.1, z: 0 },
    ]);
    expect(f.volume).toBeCloseTo(Math.PI * 0.0025, 9);
    expect(f.wetted).toBeCloseTo(Math.PI * 0.1, 6);
  });
  it('a cone has a third of its cylinder', () =>
    expect(
      bodyFacts([
        { x: 0, width: 0, height: 0, z: 0 },
        { x: 1, width: 0.1, height: 0.1, z: 0 },
      ]).volume,
    ).toBeCloseTo((Math.PI * 0.0025) / 3, 9));
});
