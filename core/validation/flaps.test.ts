/** Flaps of a state, and what is towed, against published increments and elementary mechanics. */
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, entryOf, runOf, StepCache } from '../src/assess';
import { bitternDocument } from '../src/demo';
import { towMoment } from '../src/drag';
import { beyondFlow, flapClMax, FLOW } from '../src/section/flapped';
import type { Surface } from '../src/design';
import { sectionClMax } from '../src/section';
import { lattice, sections, trust } from '../src/steps';
import { flapAuthority, forcesOf, planformOf, stationAt } from '../src/surface';
import { loadPolars } from '../testing/polarStore';

beforeAll(loadPolars);
const DEG = Math.PI / 180;

describe('largest lift of a section by its flap', () => {
  it.each([
    // Abbott and von Doenhoff, Theory of Wing Sections, app. IV: 0.20c split flap at 60°, Re 6e6, against plain; read
    // off the plots, from memory
    ['0012', 0.82],
    ['2412', 0.85],
    ['4412', 0.85],
  ])('NACA %s: a fifth of the chord at 60°', (_, published) => {
    // a plain flap of the same share gives a little less than a split one
    const got = flapClMax(0.2, 60 * DEG);
    expect(got / published).toBeGreaterThan(0.85);
    expect(got / published).toBeLessThan(1.05);
  });
  it('a quarter-chord plain flap adds 0.9 (Raymer, table 12.2)', () =>
    expect(flapClMax(0.25, 60 * DEG)).toBeCloseTo(0.9, 2));
});

describe('lift and drag of a deflection', () => {
  it('at 40° a fifth-chord flap still gives about half of the theory (Perkins and Hage, fig. 5-33, from memory)', () => {
    const share = 0.2,
      { lift } = beyondFlow({ hinge: 1 - share, angle: 40 * DEG });
    // thin aerofoil theory for all of it, and what the flow up to FLOW is worth by the same measure
    const theory = 2 * Math.PI * flapAuthority(share) * 40 * DEG,
      first = 0.8 * 2 * Math.PI * flapAuthority(share) * FLOW;
    expect((first + lift) / theory).toBeGreaterThan(0.38);
    expect((first + lift) / theory).toBeLessThan(0.55);
  });
  it('drag of a quarter-chord flap at 60° is near 0.2 of the area behind it (Hoerner, 3-46: split flaps, from memory)', () =>
    expect(beyondFlow({ hinge: 0.75, angle: 60 * DEG }).drag).toBeCloseTo(0.19, 1));
});

describe('a wing with part-span flaps', () => {
  const doc = bitternDocument(),
    cache = new StepCache(),
    wing = doc.design.surfaces.find((s) => s.role === 'wing')!,
    [aileron] = wing.controls,
    flap = { ...aileron!, id: 'flap', name: 'Flap', kind: 'flap' as const, from: 0.08, to: 0.5 };
  wing.controls = [flap, { ...aileron!, from: 0.55 }];
  const [first] = doc.design.states;
  doc.design.states = [
    first!,
    { ...first!, id: 'down', name: 'Down', flaps: [{ surface: wing.id, control: 'flap', angle: 40 * DEG }] },
    {
      ...first!,
      id: 'little',
      name: 'Little',
      flaps: [{ surface: wing.id, control: 'flap', angle: 5 * DEG }],
    },
  ];
  it('carries more by the section’s increment over the area it is on (DATCOM 6.1.4.3, from memory, to a fifth)', () => {
    const l = assess(doc.brief, doc.design, doc.calibration, cache),
      most = (s: string) => entryOf(l, 'clMax', s)!.value;
    const run = runOf(doc, doc.calibration, cache),
      { polars } = run.inState('down').of(sections),
      root = wing.stations[0]!.section,
      flapped = [...polars.keys()].find((k) => k.startsWith(`${root} flap`))!,
      added = sectionClMax(polars.get(flapped)!, 2e5) - sectionClMax(polars.get(root)!, 2e5);
    const half = wing.stations.at(-1)!.y,
      part: Surface = {
        ...wing,
        stations: [stationAt(wing, 0.08 * half), stationAt(wing, 0.25 * half), stationAt(wing, 0.5 * half)],
      },
      share = planformOf(part).area / planformOf(wing).area;
    // what the elevator takes to hold the flap's moment: lift of the tail over that of the wing
    const moment = 0.17 * added * share,
      arm = 3;
    const expected = run.of(trust).lift * 0.92 * added * share - moment / arm;
    expect((most('down') - most(first!.id)) / expected).toBeGreaterThan(0.8);
    expect((most('down') - most(first!.id)) / expected).toBeLessThan(1.2);
  });
  it('a small one lifts as the flap of the lattice does that is hinged there, not drawn into its sections', () => {
    const run = runOf(doc, doc.calibration, cache),
      plain = run.of(lattice),
      set = run.inState('little').of(lattice);
    const lift = (sol: typeof plain, flapAngle: number) =>
      forcesOf(sol, { alpha: 0.05, flap: flapAngle, x: sol.refX, z: sol.refZ }).CL;
    const hinged = lift(plain, 5 * DEG) - lift(plain, 0),
      drawn = lift(set, 0) - lift(plain, 0);
    expect(drawn / hinged).toBeGreaterThan(0.95);
    expect(drawn / hinged).toBeLessThan(1.05);
  });
});

describe('pull of a towed body in trim', () => {
  it('without a line’s own drag: q times drag area times the hook’s height over the CG', () => {
    const t = { mass: 0.2, dragArea: 0.01, line: 3, lineDiameter: 0, x: 0, z: 0.05 },
      q = 0.5 * 1.225 * 144;
    const cm = towMoment(t, 12, 1.225, { z: -0.02, area: 0.3, chord: 0.2 });
    expect(cm).toBeCloseTo((q * 0.01 * 0.07) / (q * 0.3 * 0.2), 9);
    expect(towMoment({ ...t, z: -0.02 }, 12, 1.225, { z: -0.02, area: 0.3, chord: 0.2 })).toBe(0);
  });
});
