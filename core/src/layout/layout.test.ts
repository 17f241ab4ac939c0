/** Ground, fit, pieces, hover, warp, schools, sizing, proportions, meshes: closed forms and laws of the trade. */
import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, waferDocument } from '../demo';
import { powertrainOf, type Design } from '../design';
import { G0 } from '../air';
import { parasiteItems } from '../drag';
import { loadedState, measuresOf } from '../mass';
import { sectionModel, TABLE_POINTS } from '../section';
import {
  bodySlopes,
  coupleStrips,
  derivativesOf,
  linearAero,
  planformOf,
  solveLattice,
  tailVolume,
} from '../surface';
import {
  aircraftMesh,
  averageProportions,
  balanced,
  controlLoads,
  decalageFor,
  finForStiffness,
  firstFlight,
  groundGeometry,
  groundRemarks,
  hoverShare,
  internalFit,
  LAYOUT_TEMPLATES,
  piecesOf,
  proportionsOf,
  sizedToVolume,
  surfaceMesh,
  tailForMargin,
  tailVolumeNeutral,
  threeViewLines,
  thrustMoment,
  toStl,
  warpEffect,
  withProportions,
} from './index';

const { design } = bitternDocument();
const contoursOf = (d: Design) =>
  new Map(d.sections.map((s) => [s.id, sectionModel(s.shape, s.change ?? null, TABLE_POINTS).outline]));
const contours = contoursOf(design);

describe('on the ground', () => {
  const wheels = (list: [string, number, number, number][]): Design => ({
    ...design,
    wheels: list.map(([id, x, y, z]) => ({ id, name: id, x, y, z })),
  });
  it('tail wheel: CG angle behind the mains and weight on the tail by moments', () => {
    const g = groundGeometry(
      wheels([
        ['l', 0.3, -0.2, -0.2],
        ['r', 0.3, 0.2, -0.2],
        ['t', 1.3, 0, -0.05],
      ]),
      { x: 0.4, z: 0 },
    )!;
    expect(g.kind).toBe('tail wheel');
    expect(g.endLoad).toBeCloseTo(0.1, 9);
    expect(g.tipBack).toBeCloseTo(Math.atan2(0.1, 0.2), 9);
    expect(g.propellerClearance).toBeCloseTo(0.2 - powertrainOf(design).propeller.diameter / 2, 9);
    expect(g.tailStrike).toBeLessThanOrEqual(Math.atan2(0.15, 1) + 1e-9);
  });
  it('a larger wheel lifts the aircraft by half of what it grew, and costs its drag: one diameter for both', () => {
    const of = (diameter: number): Design => ({
      ...design,
      wheels: [
        { id: 'l', name: 'l', x: 0.335, y: -0.17, z: -0.132, diameter },
        { id: 'r', name: 'r', x: 0.335, y: 0.17, z: -0.132, diameter },
        { id: 't', name: 't', x: 1.2, y: 0, z: -0.02 },
      ],
      dragItems: [
        {
          id: 'w',
          name: 'w',
          dragArea: 0,
          note: '',
          from: { kind: 'drawn wheels', width: 0.02, faired: false },
        },
      ],
    });
    const cg = { x: 0.4, z: 0 },
      clear = (d: number) => groundGeometry(of(d), cg)!.propellerClearance!;
    expect(clear(0.1) - clear(0.06)).toBeCloseTo(0.02, 12);
    const drag = (d: number) => parasiteItems(of(d), 15, 1.5e-5).find((i) => i.name === 'w')!.area;
    expect(drag(0.06)).toBeCloseTo(0.3 * 0.06 * 0.02 * 2, 12);
    expect(drag(0.1) / drag(0.06)).toBeCloseTo(10 / 6, 12);
  });
  it('a nose wheel ahead is seen as one, and a CG behind the mains as sitting on the tail', () => {
    const g = groundGeometry(
      wheels([
        ['l', 0.5, -0.2, -0.2],
        ['r', 0.5, 0.2, -0.2],
        ['n', 0.1, 0, -0.2],
      ]),
      { x: 0.6, z: 0 },
    )!;
    expect(g.kind).toBe('nose wheel');
    expect(groundRemarks(g, 0).map((r) => r.severity)).toContain('stop');
  });
  it('overturn angle of a square stance: height over half the distance to the tipping line', () => {
    const g = groundGeometry(
      wheels([
        ['l', 0.5, -0.3, -0.2],
        ['r', 0.5, 0.3, -0.2],
        ['n', -0.1, 0, -0.2],
      ]),
      { x: 0.5, z: 0.1 },
    )!;
    // line from the nose wheel to one main wheel; foot of the CG between the mains
    expect(g.overturn).toBeCloseTo(Math.atan2(0.3, (0.3 * 0.6) / Math.hypot(0.6, 0.3)), 9);
  });
  it('no wheels, no claim', () =>
    expect(groundGeometry({ ...design, wheels: [] }, { x: 0.4, z: 0 })).toBeNull());
});

describe('inside the body', () => {
  const tube = (items: Design['items']): Design => ({
    ...design,
    body: [
      { x: 0, width: 0.1, height: 0.1, z: 0 },
      { x: 1, width: 0.1, height: 0.1, z: 0 },
    ],
    items,
  });
  const box = (id: string, x: number, s: number) => ({
    ...design.items[0],
    id,
    name: id,
    planned: { kind: 'mass' as const, mass: 0.1 },
    inWing: false,
    x,
    y: 0,
    z: 0,
    box: { length: 0.2, width: s, height: s },
    movable: { from: 0.05, to: 0.9 },
  });
  it('a square box fits a round tube up to a side of its diameter over root two', () => {
    expect(internalFit(tube([box('a', 0.5, 0.99 * (0.1 / Math.SQRT2))]))[0].inside).toBe(true);
    expect(internalFit(tube([box('a', 0.5, 1.01 * (0.1 / Math.SQRT2))]))[0].inside).toBe(false);
  });
  it('travels until its ends meet the ends of the tube, and says when its range is longer', () => {
    const f = internalFit(tube([box('a', 0.5, 0.04)]))[0];
    expect(f.travel!.from).toBeCloseTo(0.1, 2);
    expect(f.travel!.to).toBeCloseTo(0.9, 2);
    expect(f.blocked).toBe(true);
  });
  it('two boxes in one place run into each other', () =>
    expect(internalFit(tube([box('a', 0.5, 0.04), box('b', 0.6, 0.04)])).map((f) => f.meets.length)).toEqual([
      1, 1,
    ]));
});

describe('pieces', () => {
  const t = () => 0.12;
  it('a wing in one piece is its span, in two halves half of it', () => {
    const whole = piecesOf(
      { ...design, surfaces: design.surfaces.map((s) => ({ ...s, joints: [] })) },
      t,
    ).find((p) => p.part === 'wing')!;
    const half = piecesOf(
      { ...design, surfaces: design.surfaces.map((s) => ({ ...s, joints: s.id === 'wing' ? [0] : [] })) },
      t,
    ).find((p) => p.part === 'wing')!;
    expect(whole.length / half.length).toBeCloseTo(2, 9);
    expect(half.count).toBe(2);
    expect([whole.carries, half.carries]).toEqual([false, true]);
  });
  it('a chord wider than the printer cannot be printed however it is cut', () =>
    expect(piecesOf(design, t).find((p) => p.part === 'wing')!.prints).toBe(Infinity));
});

describe('hover', () => {
  const crane = craneDocument().design;
  const rotors = powertrainOf(crane).rotors!.map((r) => ({ ...r, most: 24 }));
  const middle = rotors.reduce((s, r) => s + r.x, 0) / 4;
  it('CG in the middle: a quarter each; behind it the rear pair carries more, and the sum is the weight', () => {
    for (const r of hoverShare(rotors, { mass: 4, x: middle, y: 0 })!.rotors)
      expect(r.share).toBeCloseTo(0.25, 9);
    const h = hoverShare(rotors, { mass: 4, x: middle + 0.03, y: 0 })!;
    expect(h.rotors.reduce((s, r) => s + r.thrust, 0)).toBeCloseTo(4 * G0, 9);
    expect(h.rotors.reduce((s, r, i) => s + r.thrust * rotors[i].x, 0) / (4 * G0)).toBeCloseTo(
      middle + 0.03,
      9,
    );
  });
  it('leans to the arc cosine of weight over thrust', () => {
    const h = hoverShare(rotors, { mass: 4, x: middle, y: 0 })!;
    expect(Math.cos(h.lean)).toBeCloseTo(1 / h.thrustToWeight, 9);
  });
  it('two shafts side by side hold a CG on their line alone, and say how far it lies beside it', () => {
    const shafts = [-0.4, 0.4].map((y, i) => ({ id: `${i}`, name: `${i}`, x: 0.21, y, most: 20 }));
    expect(hoverShare(shafts, { mass: 2.1, x: 0.246, y: 0 })!.beside!.x).toBeCloseTo(0.036, 9);
    const held = hoverShare(shafts, { mass: 2.1, x: 0.21, y: 0.1 })!;
    expect(held.beside).toBeNull();
    expect(held.rotors.map((r) => r.share)).toEqual([expect.closeTo(0.375, 9), expect.closeTo(0.625, 9)]);
  });
  it('the range that the CG may have ends where a rotor reaches its ceiling', () => {
    const h = hoverShare(rotors, { mass: 4, x: middle, y: 0 })!,
      at = hoverShare(rotors, { mass: 4, x: h.to, y: 0 })!;
    const loads = at.rotors.map((r) => r.load),
      shares = at.rotors.map((r) => 4 * r.share);
    expect(Math.min(0.75 - Math.max(...loads), Math.min(...shares) - 0.1)).toBeCloseTo(0, 6);
  });
});

describe('schools and first flights', () => {
  it('a tail of half the wing on a long arm balances near 0.9 to 0.95 of the chord by the trade’s rule', () => {
    const np = tailVolumeNeutral(6, 0.5 * 4);
    expect(np - 0.1).toBeGreaterThan(0.85);
    expect(np - 0.1).toBeLessThan(1);
  });
  it('begins at the forward end and steps aft by about a hundredth of the chord', () => {
    const f = firstFlight(design, { forward: 0.38, aft: 0.41 }, 0.405);
    expect(f.start).toBeCloseTo(0.383, 9);
    expect(f.step).toBeCloseTo(0.003, 9);
    expect(sentence(f.said)).toContain('22 mm ahead');
  });
});

describe('sizing', () => {
  it('a load further aft needs more tail (trap of the trade)', () => {
    const a = tailForMargin(design, contours, 0.4, 0.1)!,
      b = tailForMargin(design, contours, 0.42, 0.1)!;
    expect(b.factor).toBeGreaterThan(1.15 * a.factor);
  }, 60_000);
  it('the sized fin gives the stiffness that was asked', () => {
    const sized = finForStiffness(design, contours, 0.4, 0.05)!;
    expect(sized.factor).toBeGreaterThan(0.3);
    expect(finForStiffness(design, contours, 0.4, 0.08)!.factor).toBeGreaterThan(sized.factor);
  }, 60_000);
  it('a tail or fin drawn to a volume has it, and keeps its proportions', () => {
    const wing = planformOf(design.surfaces[0]);
    for (const [id, volume] of [
      ['tail', 0.8],
      ['tail', 0.4],
      ['fin', 0.06],
    ] as const) {
      const s = design.surfaces.find((q) => q.id === id)!,
        t = sizedToVolume(wing, s, volume)!;
      expect(tailVolume(wing, planformOf(t), id === 'fin').volume).toBeCloseTo(volume, 3);
      expect(planformOf(t).taper).toBeCloseTo(planformOf(s).taper, 2);
      expect(planformOf(t).aspectRatio).toBeCloseTo(planformOf(s).aspectRatio, 1);
    }
  });
  it('a volume ahead of the wing is not drawn from a tail behind it', () =>
    expect(sizedToVolume(planformOf(design.surfaces[0]), design.surfaces[1], -0.5)).toBeNull());
  it('at the decalage it names the moment is zero with the elevator in line', () => {
    const sol = solveLattice(design, contours),
      body = bodySlopes(design, sol).pitch,
      d = decalageFor(design, contours, 0.6, 0.4, body)!;
    const turned = {
      ...design,
      surfaces: design.surfaces.map((s) => (s.id === 'tail' ? { ...s, incidence: d.incidence } : s)),
    };
    const a = linearAero(solveLattice(turned, contours), body, 0),
      c = a.sol.coefficients,
      alpha = (0.6 - c.cl0) / c.clAlpha;
    expect(a.near.zero + a.cmAlpha * alpha + ((0.4 - a.sol.refX) / a.sol.refChord) * 0.6).toBeCloseTo(0, 6);
  });
  it('a canard balances ahead of the wing, and a swept tailless wing needs washout to trim (traps of the trade)', () => {
    const canard = LAYOUT_TEMPLATES.find((t) => t.id === 'canard')!.make(design),
      wing = canard.surfaces.find((s) => s.role === 'wing')!;
    expect(loadedState(canard, canard.states[0], 'best', 1).x).toBeLessThan(wing.x);
    const swept = LAYOUT_TEMPLATES.find((t) => t.id === 'swept')!.make(design),
      flat = {
        ...swept,
        surfaces: swept.surfaces.map((s) => ({
          ...s,
          stations: s.stations.map((q) => ({ ...q, twist: 0, section: 'sweep-section' })),
        })),
      };
    const cm = (d: Design) => {
      const a = linearAero(solveLattice(d, contoursOf(d)), 0, 0),
        c = a.sol.coefficients;
      return a.near.zero - (a.near.alpha / c.clAlpha) * c.cl0;
    };
    expect(cm(flat)).toBeLessThan(0);
    expect(cm(swept)).toBeGreaterThan(cm(flat) + 0.03);
  }, 60_000);
});

describe('built shape', () => {
  const warp = (right: number, left: number, halves?: Design['halves']) => {
    const tip = design.surfaces[0].stations[2].twist + design.surfaces[0].incidence;
    const d = {
      ...design,
      halves,
      built: [
        { surface: 'wing', side: 'right' as const, y: 0.8, twist: tip + right },
        { surface: 'wing', side: 'left' as const, y: 0.8, twist: tip + left },
      ],
    };
    const sol = solveLattice(d, contours);
    return warpEffect(
      d,
      coupleStrips(sol),
      derivativesOf(sol, { alpha: 0.05, elevator: 0, x: 0.4, z: 0 }, { pitch: 0, yaw: 0, side: 0 }),
      { speed: 14, density: 1.225, g: G0 },
    )!;
  };
  it('more angle on the right lifts it: rolls left, held by right aileron, drops the right wing at the stall', () => {
    const w = warp(0.02, 0);
    expect(w.drifts).toBe('left');
    expect(w.aileron!).toBeGreaterThan(0);
    expect(w.drops).toBe('right');
  });
  it('the same error on both sides rolls nowhere; opposite errors add', () => {
    expect(warp(0.02, 0.02).drifts).toBe('straight');
    expect(warp(0.02, -0.02).roll / warp(0.02, 0).roll).toBeCloseTo(2, 6);
  });
  it('a heavy right half rolls right and is told from a warp by flying slower', () => {
    const w = warp(0, 0, [{ surface: 'wing', left: 0.3, right: 0.34 }]);
    expect(w.drifts).toBe('right');
    expect(w.causes[0].test).toContain('slower');
  });
  it('the Wafer demo drifts', () => {
    const d = waferDocument().design;
    expect(d.built!.length).toBe(4);
  });
});

describe('thrust line and controls', () => {
  it('a line above the CG pushes the nose down by thrust times distance', () => {
    const m = thrustMoment({ ...powertrainOf(design).propeller, z: 0.1 }, 10, 100, 0.4, 0.25, {
      x: 0.4,
      z: 0,
    });
    expect(m.cm).toBeCloseTo(-(10 * 0.1) / (100 * 0.4 * 0.25), 9);
  });
  it('hinge moments go with the square of speed and the cube of size', () => {
    const one = controlLoads(design, 100, 0.05, G0),
      fast = controlLoads(design, 400, 0.05, G0);
    expect(fast[0].torque / one[0].torque).toBeCloseTo(4, 9);
    const big = controlLoads(
      {
        ...design,
        surfaces: design.surfaces.map((s) => ({
          ...s,
          stations: s.stations.map((q) => ({ ...q, y: 2 * q.y, chord: 2 * q.chord })),
        })),
      },
      100,
      0.05,
      G0,
    );
    expect(big[0].torque / one[0].torque).toBeCloseTo(8, 6);
  });
});

describe('first guess from models', () => {
  const models = [
    {
      id: 'a',
      name: 'a',
      note: '',
      span: 1.5,
      area: 0.375,
      mass: 2,
      tailArea: 0.075,
      tailArm: 0.75,
      finArea: null,
      bodyLength: null,
      cgChord: null,
    },
    {
      id: 'b',
      name: 'b',
      note: '',
      span: 2,
      area: 0.5,
      mass: null,
      tailArea: 0.125,
      tailArm: 1,
      finArea: 0.05,
      bodyLength: null,
      cgChord: null,
    },
  ];
  it('means leave out what is not known', () => {
    const p = averageProportions(models);
    expect(p.aspectRatio).toBeCloseTo(7, 9);
    expect(p.wingLoading).toBeCloseTo(2 / 0.375, 9);
    expect(p.tailShare).toBeCloseTo(0.225, 9);
    expect(p.finShare).toBeCloseTo(0.1, 9);
    expect(proportionsOf(models[0]).tailVolume).toBeCloseTo(0.2 * 3, 9);
  });
  it('a design drawn to them has them', () => {
    const p = averageProportions(models),
      s = withProportions(design, p);
    const area = (id: string) => measuresOf({ ...design, surfaces: s }, id)!;
    expect(area('wing').volume).toBeGreaterThan(0);
    const half = s[0].stations.at(-1)!.y;
    const a = s[0].stations
      .slice(1)
      .reduce((t, q, i) => t + (q.y - s[0].stations[i].y) * (q.chord + s[0].stations[i].chord), 0);
    expect((4 * half * half) / a).toBeCloseTo(7, 6);
  });
});

describe('meshes and drawings', () => {
  const volumeOf = (m: { points: Float32Array; triangles: Uint32Array }) => {
    let v = 0;
    for (let t = 0; t < m.triangles.length; t += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => {
        const i = 3 * m.triangles[t + k];
        return [m.points[i], m.points[i + 1], m.points[i + 2]];
      });
      v +=
        (a[0] * (b[1] * c[2] - b[2] * c[1]) -
          a[1] * (b[0] * c[2] - b[2] * c[0]) +
          a[2] * (b[0] * c[1] - b[1] * c[0])) /
        6;
    }
    return v;
  };
  it.each(['wing', 'tail', 'fin'])(
    'the closed mesh of the %s has the volume of its sections, faces outward',
    (id) => {
      const s = design.surfaces.find((q) => q.id === id)!,
        want = measuresOf(design, id)!.volume / (id === 'fin' ? 1 : 2);
      expect(volumeOf(surfaceMesh(s, contours, 1, 1)) / want).toBeGreaterThan(0.95);
      expect(volumeOf(surfaceMesh(s, contours, 1, 1)) / want).toBeLessThan(1.05);
      if (id !== 'fin')
        expect(volumeOf(surfaceMesh(s, contours, -1, 1))).toBeCloseTo(
          volumeOf(surfaceMesh(s, contours, 1, 1)),
          9,
        );
    },
  );
  it('the body’s mesh has the volume of its frustums within the corners cut off its ellipses (1.2 % at 24 corners), faces outward', () => {
    const body = aircraftMesh(design, contours).find((m) => m.part === 'body')!;
    expect(volumeOf(body) / measuresOf(design, 'body')!.volume).toBeGreaterThan(0.97);
    expect(volumeOf(body) / measuresOf(design, 'body')!.volume).toBeLessThan(1.01);
  });
  it('every edge of the mesh is shared by two triangles (watertight), and the STL says how many there are', () => {
    const meshes = aircraftMesh(design, contours, 4),
      edges = new Map<string, number>(),
      m = meshes[0];
    for (let t = 0; t < m.triangles.length; t += 3)
      for (let k = 0; k < 3; k++) {
        const a = m.triangles[t + k],
          b = m.triangles[t + ((k + 1) % 3)],
          key = `${Math.min(a, b)}-${Math.max(a, b)}`;
        edges.set(key, (edges.get(key) ?? 0) + 1);
      }
    expect([...edges.values()].every((n) => n === 2)).toBe(true);
    const stl = toStl(meshes),
      count = new DataView(stl.buffer).getUint32(80, true);
    expect(stl.length).toBe(84 + 50 * count);
    expect(count).toBe(meshes.reduce((s, q) => s + q.triangles.length / 3, 0));
  });
  it('the three views have the span and the length of the aircraft', () => {
    const plan = threeViewLines(design)
        .filter((l) => l.view === 'plan')
        .flatMap((l) => l.points),
      v = plan.map((p) => p[1]);
    expect(Math.max(...v) - Math.min(...v)).toBeCloseTo(1.6, 9);
  });
});

describe('templates', () => {
  const winged = LAYOUT_TEMPLATES.filter((t) => !t.wingless);
  it.each(winged.map((t) => [t.id, t] as const))(
    '%s is drawn at the span asked for, and balanced at a margin inside its limits',
    (_, t) => {
      const d = t.make(design),
        sol = solveLattice(d, contoursOf(d)),
        np = linearAero(sol, bodySlopes(d, sol).pitch, 0).neutralX;
      expect(
        2 * Math.max(...d.surfaces.find((s) => s.role === 'wing')!.stations.map((s) => s.y)),
      ).toBeCloseTo(1.6, 2);
      const margins = d.states.map((l) => (np - loadedState(d, l, 'best', 1).x) / sol.refChord);
      expect(Math.min(...margins)).toBeGreaterThan(d.flight.marginMin - 0.03);
      expect(Math.max(...margins)).toBeLessThan(d.flight.marginMax + 0.03);
      expect(balanced(d).surfaces[0].x).toBeCloseTo(d.surfaces[0].x, 2);
    },
    60_000,
  );
  it('one layout after another keeps the size: chord within a tenth after a round through all of them', () => {
    let d = design;
    for (const t of winged) d = t.make(d);
    const size = (q: Design) => {
      const p = planformOf(q.surfaces.find((s) => s.role === 'wing')!);
      return p.area / p.span;
    };
    expect(Math.abs(size(d) / size(design) - 1)).toBeLessThan(0.1);
  }, 90_000);
  it('the narrow margins of a tailless wing do not outlive it', () => {
    const make = (id: string, d: Design) => LAYOUT_TEMPLATES.find((t) => t.id === id)!.make(d);
    const swept = make('swept', design);
    expect(swept.flight.marginMin).toBe(0.04);
    expect(make('conventional', swept).flight.marginMin).toBe(0.08);
    expect(
      make('conventional', { ...design, flight: { ...design.flight, marginMin: 0.1 } }).flight.marginMin,
    ).toBe(0.1);
  }, 60_000);
});
