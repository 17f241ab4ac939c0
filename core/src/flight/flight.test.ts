/** Drag tables and build-ups: agreement with the plain functions they stand for, and laws. */
import { describe, expect, it } from 'vitest';
import { airAt } from '../air';
import { bitternDocument } from '../demo';
import { parasiteItems, plateFriction } from '../drag';
import { naca4, polarSet } from '../section';
import { linearAero, solveLattice, surfaceDrag } from '../surface';
import {
  bestClimb,
  buildDragTable,
  dragAt,
  glide,
  levelSpeed,
  levelSpeeds,
  speedScale,
  speedWithoutThrust,
  stallSpeed,
  type PointModel,
} from './index';
import fc from 'fast-check';

const { design } = bitternDocument();
const contours = new Map([
  ['wing-section', naca4('4412')],
  ['tail-section', naca4('0009')],
]);
const polars = new Map([...contours].map(([id, c]) => [id, polarSet(c, [4e4, 8e4, 1.6e5, 3.2e5, 6.4e5])]));
const air = airAt(0);
const nu = air.viscosity / air.density;
const aero = linearAero(solveLattice(design, contours), 0, 0);
const table = buildDragTable(design, aero, 0.4, polars, air, speedScale(12, 32).table);
const one = { dragArea: 1, induced: 1, sectionDrag: 1 };
const plain = (v: number, lift: number) => {
  const q = 0.5 * air.density * v * v;
  const d = surfaceDrag(aero, lift / (q * table.area), 0.4, polars, (c) => (v * c) / nu);
  return (
    q * (table.area * (d.profile + d.induced) + parasiteItems(design, v, nu).reduce((s, i) => s + i.area, 0))
  );
};

describe('drag table', () => {
  it.each([
    [9, 24],
    [12, 24],
    [15, 26],
    [20, 26],
    [28, 30],
  ])('at %d m/s carrying %d N it agrees with the plain functions within 3 %%', (v, lift) =>
    expect(Math.abs(dragAt(table, v, lift, air.density, one).total / plain(v, lift) - 1)).toBeLessThan(0.03),
  );
  it('law: induced drag is the lattice’s own, and profile drag within 3 % of the strips’ below the stall of the tail', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0.36, max: 0.44, noNaN: true }),
        fc.double({ min: 7, max: 28, noNaN: true }),
        (cl, cgX, v) => {
          const t = buildDragTable(design, aero, cgX, polars, air, speedScale(12, 32).table),
            q = 0.5 * air.density * v * v * t.area,
            d = dragAt(t, v, cl * q, air.density, one);
          const direct = surfaceDrag(aero, cl, cgX, polars, (c) => (v * c * air.density) / air.viscosity);
          expect(d.induced / q).toBeCloseTo(direct.induced, 10);
          expect(Math.abs(d.profile / q / direct.profile - 1)).toBeLessThan(0.03);
        },
      ),
      { seed: 14, numRuns: 40 },
    );
  });
  it('its parts add up and answer to their own factor only', () => {
    const d = dragAt(table, 14, 25, air.density, one);
    expect(d.parasite + d.profile + d.induced).toBeCloseTo(d.total, 12);
    const e = dragAt(table, 14, 25, air.density, { dragArea: 1.2, induced: 1, sectionDrag: 1 });
    expect(e.total - d.total).toBeCloseTo(0.2 * (d.parasite + d.profile), 9);
    expect(
      dragAt(table, 14, 25, air.density, { dragArea: 1, induced: 1.5, sectionDrag: 1 }).induced,
    ).toBeCloseTo(1.5 * d.induced, 12);
  });
  it('is finite from a crawl to a dive, at any load', () => {
    for (const v of [2, 5, 40, 90])
      for (const lift of [-20, 0, 25, 300])
        expect(Number.isFinite(dragAt(table, v, lift, air.density, one).total)).toBe(true);
  });
});

describe('build-up', () => {
  it('names every item, and interference is 5 % of the rest', () => {
    const items = parasiteItems(design, 15, nu);
    expect(items.map((i) => i.name)).toEqual([
      'body',
      'Fin',
      'Wheels and legs',
      'Hinges, horns, cooling',
      'interference',
    ]);
    const rest = items.slice(0, -1).reduce((s, i) => s + i.area, 0);
    expect(items.at(-1)!.area).toBeCloseTo(0.05 * rest, 12);
  });
  it('friction falls with Reynolds number but for the step to turbulence', () => {
    expect(plateFriction(1e5)).toBeGreaterThan(plateFriction(2.9e5));
    expect(plateFriction(1e6)).toBeGreaterThan(plateFriction(1e8));
    expect(plateFriction(3.0001e5) / plateFriction(3e5)).toBeCloseTo(1, 2);
  });
});

describe('point performance laws', () => {
  const model = (mass: number, thrust: number): PointModel => ({
    mass,
    density: air.density,
    area: table.area,
    clMax: 1.4,
    drag: (v, n = 1) => dragAt(table, v, n * mass * 9.80665, air.density, one).total,
    fullThrust: (v) => Math.max(0, thrust * (1 - v / 32)),
  });
  it('at top speed thrust equals drag; more thrust is faster', () => {
    const m = model(2.6, 12),
      v = levelSpeed(m, m.fullThrust)!;
    expect(m.fullThrust(v)).toBeCloseTo(m.drag(v), 4);
    expect(levelSpeed(model(2.6, 15), model(2.6, 15).fullThrust)!).toBeGreaterThan(v);
  });
  it('climb is the spare power over weight, and never better than thrust over weight times speed', () => {
    const m = model(2.6, 12),
      c = bestClimb(m);
    expect(c.rate).toBeCloseTo(((m.fullThrust(c.speed) - m.drag(c.speed)) * c.speed) / (2.6 * 9.80665), 6);
    expect(c.rate).toBeLessThan((m.fullThrust(c.speed) * c.speed) / (2.6 * 9.80665));
  });
  it('a glide ratio is lift over drag at its speed; least sink is slower than best glide', () => {
    const m = model(2.6, 0),
      g = glide(m);
    expect(g.ratio).toBeCloseTo((2.6 * 9.80665) / m.drag(g.speed), 4);
    expect(g.sinkSpeed).toBeLessThanOrEqual(g.speed + 1e-6);
    expect(g.sink).toBeLessThan(g.speed / g.ratio + 1e-9);
  });
  it('speeds go with the root of mass (fact of the trade)', () =>
    expect(stallSpeed(model(5.2, 1)) / stallSpeed(model(2.6, 1))).toBeCloseTo(Math.SQRT2, 9));
});

describe('level speeds against the closed form, D = A V^2 + B / V^2 with a thrust that does not change', () => {
  const plane = (least: number, at: number, stall: number, fastest?: number): PointModel => {
    // least drag at the speed `at`: A = least / 2 at^2, B = least at^2 / 2
    const A = least / (2 * at * at),
      B = (least * at * at) / 2;
    return {
      mass: 1,
      density: 1.225,
      area: 1,
      clMax: (2 * 9.80665) / (1.225 * stall * stall),
      drag: (v, n = 1) => A * v * v + (B * n * n) / (v * v),
      fullThrust: () => 0,
      ...(fastest ? { fastest } : {}),
    };
  };
  const cases = fc.record({
    at: fc.double({ min: 1, max: 60, noNaN: true }),
    ratio: fc.oneof(fc.constant(1.02), fc.double({ min: 1.01, max: 12, noNaN: true })),
    stall: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
    scale: fc.double({ min: 1.2, max: 8, noNaN: true }),
  });
  it('both crossings are found, also at 1.02 times least drag, and none is stepped over', () => {
    fc.assert(
      fc.property(cases, ({ at, ratio, stall, scale }) => {
        const m = plane(2, at, stall * at, scale * at),
          thrust = 2 * ratio;
        // x^2 with x = V / at: ratio +- sqrt(ratio^2 - 1)
        const root = Math.sqrt(ratio * ratio - 1),
          fast = at * Math.sqrt(ratio + root),
          slow = at * Math.sqrt(ratio - root);
        const found = levelSpeeds(m, () => thrust);
        expect(found).not.toBeNull();
        expect(Math.abs(found!.fast / fast - 1)).toBeLessThan(1e-6);
        if (slow > stall * at * 1.0001) expect(Math.abs(found!.slow! / slow - 1)).toBeLessThan(1e-6);
        else if (slow < stall * at * 0.9999) expect(found!.slow).toBeNull();
        expect(levelSpeed(m, () => thrust)).toBe(found!.fast);
      }),
      { seed: 5, numRuns: 400 },
    );
  });
  it('less thrust than least drag holds no level flight', () =>
    expect(levelSpeeds(plane(2, 12, 6), () => 1.999)).toBeNull());
  it('a fast aircraft’s thrust is not held past its table: it falls to nil on its own scale', () => {
    const end = speedWithoutThrust((v) => 30 * (1 - v / 90))!;
    expect(end).toBeCloseTo(90, 3);
    const s = speedScale(14, end);
    expect(s.high).toBeGreaterThan(end);
    expect(s.table[0]).toBeLessThan(s.low);
    expect(s.table[s.table.length - 1]).toBeGreaterThanOrEqual(s.high);
    expect(s.thrust[0]).toBe(0);
  });
  it('without a motor there is no such speed, and the scale ends in a dive', () => {
    expect(speedWithoutThrust(() => 0)).toBeNull();
    expect(speedScale(5, null).high).toBeCloseTo(16, 6);
  });
});
