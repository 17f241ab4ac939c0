/** States, calculated masses, scales, growth and what-if: closed forms, statics and check values of the trade. */
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument } from '../demo';
import { setPath, type Design, type Item } from '../design';
import {
  cgFromScales,
  changesOf,
  cgPath,
  growthOf,
  itemPoints,
  loadedState,
  massForCg,
  massState,
  measuresOf,
  plannedItem,
  standsWherePut,
  solveBalance,
  whatIf,
} from './index';

const { design } = bitternDocument();
const item = (id: string, mass: number, x: number, more: Partial<Item> = {}): Item => ({
  ...design.items[6],
  id,
  name: id,
  group: 'other',
  planned: { kind: 'mass', mass },
  weighed: null,
  x,
  y: 0,
  z: 0,
  inWing: false,
  movable: null,
  ...more,
});

describe('inertia of simple bodies', () => {
  it('a box about its middle: m (a^2 + b^2) / 12', () => {
    const p = itemPoints(
        { ...design, items: [item('b', 2, 0.5, { box: { length: 0.3, width: 0.2, height: 0.1 } })] },
        'plan',
        1,
      ),
      s = massState(p);
    expect(s.ixx).toBeCloseTo((2 * (0.04 + 0.01)) / 12, 12);
    expect(s.iyy).toBeCloseTo((2 * (0.09 + 0.01)) / 12, 12);
    expect(s.izz).toBeCloseTo((2 * (0.09 + 0.04)) / 12, 12);
  });
  it('a wing of even chord is a rod: m b^2 / 12 about the roll axis, within half a per cent', () => {
    const wing = {
      ...design.surfaces[0],
      stations: [0, 0.8].map((y) => ({ ...design.surfaces[0].stations[0], y, z: 0, x: 0, chord: 0.25 })),
    };
    const s = massState(
      itemPoints(
        {
          ...design,
          surfaces: [wing],
          items: [{ ...item('w', 0, 0), planned: { kind: 'areal', surface: 'wing', perArea: 1.5 } }],
        },
        'plan',
        1,
      ),
    );
    expect(s.ixx / ((s.mass * 1.6 ** 2) / 12)).toBeCloseTo(1, 2);
  });
});

describe('masses from what things are made of', () => {
  it('covering counts both faces: a flat plate weighs twice its area times the covering, plus the edge', () => {
    const m = measuresOf(design, 'tail')!,
      made = {
        ...item('t', 0, 0),
        planned: { kind: 'made' as const, part: 'tail', skin: null, core: null, covering: { perArea: 0.06 } },
      };
    expect(plannedItem(made, design).mass).toBeCloseTo(0.06 * m.wetted, 12);
    const area = 2 * 0.27 * 0.5 * (0.17 + 0.13);
    expect(m.wetted / area).toBeGreaterThan(2);
    expect(m.wetted / area).toBeLessThan(2.1);
  });
  it('a solid core of NACA 0012 holds 0.0817 c^2 a metre (integral of the 4-digit thickness with a closed trailing edge; 0.0822 with the open one of Abbott and von Doenhoff)', () => {
    const d: Design = {
      ...design,
      sections: [{ id: 's', name: '0012', shape: { kind: 'naca4', digits: '0012' }, note: '' }],
      surfaces: [
        {
          ...design.surfaces[0],
          stations: [0, 0.5].map((y) => ({ y, x: 0, z: 0, chord: 0.2, twist: 0, section: 's' })),
        },
      ],
    };
    expect(measuresOf(d, 'wing')!.volume / (0.04 * 1)).toBeCloseTo(0.0817, 3);
  });
  it('skin is taken out of the core, and infill thins it', () => {
    const part = (infill: number) =>
      plannedItem(
        {
          ...item('b', 0, 0),
          planned: {
            kind: 'made',
            part: 'body',
            skin: { thickness: 0.001, density: 1240 },
            core: { density: 1240, infill },
            covering: null,
          },
        },
        design,
      ).mass;
    const m = measuresOf(design, 'body')!;
    expect(part(0)).toBeCloseTo(m.wetted * 1.24, 9);
    expect(part(1)).toBeCloseTo(m.volume * 1240, 6);
  });
});

describe('states', () => {
  const base = design.states[0];
  it('an absent item is gone, a moved one shifts the CG by mass times distance', () => {
    const all = loadedState(design, base, 'best', 1),
      without = loadedState(design, { ...base, absent: ['battery'] }, 'best', 1),
      moved = loadedState(design, { ...base, moved: [{ item: 'battery', x: 0.33 }] }, 'best', 1);
    expect(all.mass - without.mass).toBeCloseTo(0.274, 12);
    expect(moved.x - all.x).toBeCloseTo((0.274 * 0.1) / all.mass, 12);
  });
  it('front first leaves the rear of the load aboard', () => {
    const half = (leaves: 'front first' | 'rear first') =>
      loadedState(design, { ...base, count: 6, leaves }, 'best', 1).x;
    expect(half('front first')).toBeGreaterThan(half('rear first') + 0.01);
  });
  it('the path of the CG ends empty and begins full', () => {
    const full = design.states[9],
      p = cgPath(design, full);
    expect(p).toHaveLength(full.count + 1);
    expect(p[0].x).toBeCloseTo(loadedState(design, full, 'best', 1).x, 12);
    expect(p.at(-1)!.x).toBeCloseTo(loadedState(design, { ...full, count: 0 }, 'best', 1).x, 12);
  });
  it('the CG is the surer the more is weighed', () => {
    const w = { ...design, items: design.items.map((i) => ({ ...i, weighed: plannedItem(i, design).mass })) };
    expect(loadedState(w, base, 'best', 1).sigmaX).toBeLessThan(
      0.2 * loadedState(design, base, 'best', 1).sigmaX,
    );
  });
});

describe('scales', () => {
  it('two scales: the CG divides the distance as the readings (statics)', () => {
    const c = cgFromScales([
      { x: 0.3, y: 0, mass: 1.8 },
      { x: 1.2, y: 0, mass: 0.2 },
    ])!;
    expect(c.x).toBeCloseTo(0.39, 12);
    expect(c.mass).toBeCloseTo(2, 12);
  });
  it('three scales show a heavy side; nothing on them is nothing', () => {
    expect(
      cgFromScales([
        { x: 0.3, y: -0.2, mass: 0.9 },
        { x: 0.3, y: 0.2, mass: 1 },
        { x: 1.2, y: 0, mass: 0.1 },
      ])!.y,
    ).toBeCloseTo(0.01, 12);
    expect(
      cgFromScales([
        { x: 0, y: 0, mass: 0 },
        { x: 1, y: 0, mass: 0 },
      ]),
    ).toBeNull();
  });
});

describe('growth', () => {
  it('nothing weighed: no growth is claimed', () => {
    const g = growthOf(design);
    expect(g.factor).toBeNull();
    expect(g.forecast).toBeCloseTo(g.planned, 12);
  });
  it('45 % over in the structure is carried over to the rest of the structure only where it was weighed', () => {
    const d = {
      ...design,
      items: design.items.map((i) =>
        i.id === 'body-shell'
          ? { ...i, weighed: 0.42 * 1.45 }
          : i.id === 'motor'
            ? { ...i, weighed: 0.128 }
            : i,
      ),
    };
    const g = growthOf(d),
      of = (n: string) => g.groups.find((x) => x.group === n)!;
    expect(of('structure').factor).toBeCloseTo(1.45, 9);
    expect(of('structure').forecast).toBeCloseTo(1.45 * of('structure').planned, 9);
    expect(of('propulsion').forecast).toBeCloseTo(of('propulsion').planned, 9);
    expect(of('other').factor).toBeNull();
    expect(g.forecast).toBeGreaterThan(g.planned);
  });
});

describe('balance solver', () => {
  const line = (items: Item[], states = [{ id: 'a', name: 'a', count: 0 }]): Design => ({
    ...design,
    items,
    states,
    payload: { ...design.payload, unitMass: 0 },
  });
  it('moves before it adds: mass times distance, no ballast', () => {
    const p = solveBalance(
      line([item('fixed', 1, 0.5), item('pack', 0.5, 0.3, { movable: { from: 0, to: 0.6 } })]),
      { forward: 0.38, aft: 0.4 },
      1,
      0,
    );
    expect(p.status).toBe('moved');
    if (p.status === 'moved') expect(0.5 + p.moves[0].to * 0.5).toBeCloseTo(1.5 * 0.4, 9);
  });
  it('a long pack turned across reaches further before ballast is called for', () => {
    const pack = item('pack', 0.5, 0.2, {
      movable: { from: 0.15, to: 0.3 },
      box: { length: 0.14, width: 0.04, height: 0.03 },
    });
    const p = solveBalance(line([item('fixed', 1, 0.5), pack]), { forward: 0.3, aft: 0.37 }, 1, 0);
    expect(p.status).toBe('moved');
    if (p.status === 'moved') {
      expect(p.moves[0].across).toBe(true);
      expect(p.moves[0].to).toBeGreaterThanOrEqual(0.15 - 0.05 - 1e-9);
    }
  });
  it('ballast as the last resort puts the state on its limit (statics)', () => {
    const d = line([item('fixed', 1, 0.5)]),
      p = solveBalance(d, { forward: 0.3, aft: 0.45 }, 1, 0);
    expect(p.status).toBe('ballast');
    if (p.status === 'ballast')
      expect((0.5 + p.ballast.mass * p.ballast.x) / (1 + p.ballast.mass)).toBeCloseTo(0.45, 9);
  });
  it('a proposal applied by its changes balances the aircraft, moves and ballast together', () => {
    const d = line([item('fixed', 1, 0.5), item('pack', 0.1, 0.3, { movable: { from: 0.2, to: 0.4 } })]),
      limits = { forward: 0.3, aft: 0.44 },
      p = solveBalance(d, limits, 1, 0);
    expect(p.status).toBe('ballast');
    const after = changesOf(d, p).reduce((q, c) => setPath(q, c.path, c.value), d);
    expect(after.items.some((i) => i.id === 'ballast-nose')).toBe(true);
    expect(solveBalance(after, { ...limits, aft: 0.4405 }, 1, 0).status).toBe('inside');
  });
  it('a spread wider than the limits is a conflict, and a hover state does not count', () => {
    const wide = {
      ...line(
        [item('fixed', 1, 0.4), item('load', 1, 0.4)],
        [
          { id: 'a', name: 'a', count: 0 },
          { id: 'b', name: 'b', count: 0 },
        ],
      ),
    };
    const d: Design = {
      ...wide,
      states: [wide.states[0], { ...wide.states[1], moved: [{ item: 'load', x: 0.8 }] }],
    };
    expect(solveBalance(d, { forward: 0.38, aft: 0.42 }).status).toBe('conflict');
    expect(
      solveBalance(
        { ...d, states: [d.states[0], { ...d.states[1], hover: true }] },
        { forward: 0.38, aft: 0.42 },
      ).status,
    ).toBe('inside');
  });
  it('the mass that trims is checked by putting it in', () => {
    const m = massForCg(design, 'propeller', 'ferry', 0.4)!;
    const s = loadedState(
      {
        ...design,
        items: design.items.map((i) =>
          i.id === 'propeller' ? { ...i, planned: { kind: 'mass' as const, mass: m } } : i,
        ),
      },
      design.states[0],
      'best',
      1,
    );
    expect(s.x).toBeCloseTo(0.4, 9);
  });
  it('a longer nose moves the CG forward by what stands ahead of the wing', () => {
    const rows = whatIf(design, { longerNose: 0.05 }),
      ahead = design.items
        .filter((i) => standsWherePut(i) && i.x < 0.3)
        .reduce((s, i) => s + plannedItem(i, design).mass, 0),
      r = rows[0];
    expect(r.before - r.x).toBeCloseTo((0.05 * ahead) / r.mass, 9);
  });
  it('the Crane’s flying states leave its hover state out', () =>
    expect(solveBalance(craneDocument().design, { forward: 0.3, aft: 0.6 }).status).toBe('inside'));
});
