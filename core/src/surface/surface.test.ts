/** Laws of the lattice's parts: panels, controls, forces, lift tables, handling of odd layouts. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import type { Design, Surface } from '../design';
import { naca4, polarSet } from '../section';
import {
  antisymmetricMix,
  coupleStrips,
  derivativesOf,
  downwashSlope,
  flapEffect,
  forcesOf,
  gridOf,
  inducedDrag,
  isMirrored,
  leastWashout,
  liftShares,
  liftTable,
  linearAero,
  placeOf,
  planformOf,
  sectionLimits,
  solveCoupled,
  solveLattice,
  stripSections,
  strengths,
  sweepStall,
  symmetricMix,
  tableAt,
  tipSections,
} from './index';

const { design } = bitternDocument();
const contours = new Map([
  ['wing-section', naca4('4412')],
  ['tail-section', naca4('0009')],
]);
const polars = new Map([...contours].map(([id, c]) => [id, polarSet(c, [8e4, 3e5])]));
const sol = solveLattice(design, contours);
const aero = linearAero(sol, 0, 0);
const coupled = coupleStrips(sol);
const reynolds = (chord: number) => 7e5 * chord;
const sections = stripSections(coupled, polars, reynolds);
const none = { pitch: 0, yaw: 0, side: 0 };
const with_ = (change: (s: Surface) => Surface): Design => ({
  ...design,
  surfaces: design.surfaces.map(change),
});

describe('panels', () => {
  const grid = gridOf(design.surfaces, contours);

  it('cover each surface once: strip areas sum to half of the plan area, or to all of a fin', () => {
    for (const s of design.surfaces) {
      const area = grid.strips
        .filter((q) => q.surface === s.id)
        .reduce((sum, q) => sum + q.width * q.chord, 0);
      expect(area / (planformOf(s).area / (isMirrored(s) ? 2 : 1))).toBeCloseTo(1, 2);
    }
  });

  it('a fin stands in the middle with its normal to the left, a wing’s points up', () => {
    const fin = grid.panels.find((p) => !p.mirrored)!,
      wing = grid.panels[0];
    expect(fin.ny).toBeCloseTo(-1, 9);
    expect(fin.yc).toBe(0);
    expect(wing.nz).toBeGreaterThan(0.99);
  });

  it('a fin’s stations go up from its root, also when it stands off the middle', () => {
    const fin = design.surfaces.find((s) => s.role === 'fin')!;
    const p = placeOf({ ...fin, y: 0.3 }, fin.stations[1]);
    expect(p.y).toBeCloseTo(0.3, 12);
    expect(p.z).toBeCloseTo(fin.z + fin.stations[1].y, 12);
  });

  it('normals of a V-tail lean inward and have unit length', () => {
    const v = with_((s) =>
      s.id === 'tail' ? { ...s, stations: s.stations.map((q) => ({ ...q, z: q.y })) } : s,
    );
    const p = gridOf(v.surfaces, contours).panels.find((q) => v.surfaces[q.surface].id === 'tail')!;
    expect(p.ny).toBeCloseTo(-Math.SQRT1_2, 6);
    expect(p.ny ** 2 + p.nz ** 2).toBeCloseTo(1, 12);
  });

  it('the hinge falls where the control’s share of the chord begins', () => {
    const elevator = grid.panels.filter((p) => p.hinge.some((h) => h.control === 'tail.elevator'));
    const behind = grid.strips
      .map((_, i) => elevator.filter((p) => p.strip === i).reduce((s, p) => s + p.hinge[0].share, 0) / 3)
      .filter((v) => v > 0);
    for (const share of behind) expect(share).toBeCloseTo(0.35, 9);
  });
});

describe('sticks', () => {
  const surfaces = [
    ...design.surfaces,
    {
      ...design.surfaces[1],
      id: 'fore',
      role: 'canard' as const,
      x: 0,
      controls: [{ ...design.surfaces[1].controls[0], id: 'fe' }],
    },
  ];

  it('elevator moves a tail down and a foreplane up for the same nose-down', () => {
    const mix = symmetricMix(surfaces, 'elevator');
    expect(mix.get('tail.elevator')).toBe(1);
    expect(mix.get('fore.fe')).toBe(-1);
  });

  it('elevons and ruddervators answer to two sticks, flaps to one', () => {
    const kinds = (kind: Surface['controls'][number]['kind']) => [
      { ...design.surfaces[0], controls: [{ ...design.surfaces[0].controls[0], kind }] },
    ];
    expect(
      symmetricMix(kinds('elevon'), 'elevator').size + antisymmetricMix(kinds('elevon'), 'aileron').size,
    ).toBe(2);
    expect(
      symmetricMix(kinds('ruddervator'), 'elevator').size +
        antisymmetricMix(kinds('ruddervator'), 'rudder').size,
    ).toBe(2);
    expect(
      symmetricMix(kinds('flaperon'), 'flap').size + antisymmetricMix(kinds('flaperon'), 'aileron').size,
    ).toBe(2);
    expect(symmetricMix(kinds('flap'), 'elevator').size).toBe(0);
  });

  it('a rudder at the nose is turned the other way', () => {
    const fin = design.surfaces[2];
    expect(antisymmetricMix([design.surfaces[0], { ...fin, x: -0.5 }], 'rudder').get('fin.rudder')).toBe(-1);
    expect(antisymmetricMix(design.surfaces, 'rudder').get('fin.rudder')).toBe(1);
  });

  it('every stick does what it says: nose down, roll right, yaw right, for tail, V-tail and elevons', () => {
    const d = derivativesOf(sol, { alpha: 0.05, elevator: 0, x: 0.4, z: 0 }, none);
    expect(d.Cmelevator).toBeLessThan(0);
    expect(d.Claileron).toBeGreaterThan(0);
    expect(d.Cnrudder).toBeGreaterThan(0);
    const v = with_((s) =>
      s.id === 'tail'
        ? {
            ...s,
            stations: s.stations.map((q) => ({ ...q, z: 0.8 * q.y })),
            controls: [{ ...s.controls[0], kind: 'ruddervator' as const }],
          }
        : s,
    );
    const dv = derivativesOf(solveLattice(v, contours), { alpha: 0.05, elevator: 0, x: 0.4, z: 0 }, none);
    expect(dv.Cmelevator).toBeLessThan(0);
    expect(dv.Cnrudder).toBeGreaterThan(0);
    const plank = {
      surfaces: [
        { ...design.surfaces[0], controls: [{ ...design.surfaces[0].controls[0], kind: 'elevon' as const }] },
      ],
    };
    const de = derivativesOf(
      solveLattice(plank, contours),
      { alpha: 0.05, elevator: 0, x: 0.34, z: 0 },
      none,
    );
    expect(de.Claileron).toBeGreaterThan(0);
    expect(de.Cmelevator).toBeLessThan(0);
  });

  it('controls bring their angle to the strips they span, on the right side', () => {
    const strip = sol.strips.find((s) => s.surface === 'wing' && s.y / 0.8 > 0.7)!,
      inner = sol.strips[0];
    const f = flapEffect(strip.flaps, { aileron: 0.2 });
    expect(f.right).toBeLessThan(0);
    expect(f.left).toBeCloseTo(-f.right, 12);
    expect(flapEffect(inner.flaps, { aileron: 0.2 }).right).toBe(0);
  });
});

describe('forces', () => {
  it('left and right are mirror images: opposite slips give opposite side force, roll and yaw', () => {
    const a = forcesOf(sol, { alpha: 0.05, beta: 0.05, x: 0.4, z: 0 }),
      b = forcesOf(sol, { alpha: 0.05, beta: -0.05, x: 0.4, z: 0 });
    expect(a.CY).toBeCloseTo(-b.CY, 10);
    expect(a.Cl).toBeCloseTo(-b.Cl, 10);
    expect(a.Cn).toBeCloseTo(-b.Cn, 10);
    expect(a.CL).toBeCloseTo(b.CL, 10);
  });

  it('pitching about another point is the same motion with a changed angle of attack', () => {
    const a = strengths(sol, { alpha: 0.05, q: 0.1, x: 0.4, z: 0 }),
      b = strengths(sol, { alpha: 0.05 + 0.1 * (0.5 - 0.4), q: 0.1, x: 0.5, z: 0 });
    a.symmetric.forEach((g, i) => expect(g).toBeCloseTo(b.symmetric[i], 9));
  });

  it('shares of lift add up to one, and the tail takes some with the CG far aft', () => {
    const s = liftShares(sol, 0.05, 0);
    expect(Object.values(s).reduce((x, y) => x + y, 0)).toBeCloseTo(1, 12);
    expect(liftShares(sol, 0.1, 0.2).tail).toBeGreaterThan(liftShares(sol, 0.1, -0.2).tail);
  });

  it('the tail flies in downwash of a few tenths, none without a tail', () => {
    expect(downwashSlope(sol)).toBeGreaterThan(0.2);
    expect(downwashSlope(sol)).toBeLessThan(0.6);
    expect(downwashSlope(solveLattice({ surfaces: [design.surfaces[0]] }, contours))).toBe(0);
  });

  it('pitch damping needs the tail’s arm squared', () => {
    const at = { alpha: 0.05, elevator: 0, x: 0.4, z: 0 };
    const far = solveLattice(
      with_((s) => (s.id === 'tail' ? { ...s, x: s.x + 0.3 } : s)),
      contours,
    );
    expect(derivativesOf(far, at, none).Cmq / derivativesOf(sol, at, none).Cmq).toBeGreaterThan(1.5);
  });

  it('the ground lessens induced drag for the same strengths', () => {
    const low = solveLattice(design, contours, 1, 0.15);
    expect(inducedDrag(low, sol.alpha)).toBeLessThan(0.75 * inducedDrag(sol, sol.alpha));
  });
});

describe('lift tables', () => {
  const set = polars.get('wing-section')!;

  it('follow the polar at its own Reynolds number where the flow is attached', () => {
    const polar = set.polars[1],
      t = liftTable(set, polar.reynolds),
      p = polar.points.find((q) => Math.abs(q.alpha - 0.0698) < 0.03)!;
    expect(tableAt(t.cl, p.alpha).value).toBeCloseTo(p.cl, 1);
  });

  it('a factor stretches the largest lift and leaves the slope', () => {
    const a = liftTable(set, 2e5),
      b = liftTable(set, 2e5, 0.9);
    expect(b.clMax / a.clMax).toBeCloseTo(0.9, 1);
    expect(tableAt(b.cl, 0).slope / tableAt(a.cl, 0).slope).toBeCloseTo(1, 1);
  });

  it('never fall faster than is flown on a wing', () => {
    const t = liftTable(set, 1e5);
    for (let k = 1; k < t.cl.length; k++)
      if (k * 0.5 - 24 > 16) expect(t.cl[k] - t.cl[k - 1]).toBeGreaterThan(-2.0001 * (Math.PI / 360));
  });
});

describe('coupled strips', () => {
  it('a start from the neighbouring angle changes the work, not the answer', () => {
    const m = { alpha: 0.15, x: 0.4, z: 0 },
      cold = solveCoupled(coupled, sections, m),
      warm = solveCoupled(coupled, sections, m, solveCoupled(coupled, sections, { ...m, alpha: 0.13 }).added);
    expect(warm.status).toBe('settled');
    expect(warm.CL).toBeCloseTo(cold.CL, 4);
  });

  it('the symmetric flow solved as an asymmetric one is the same', () => {
    const m = { alpha: 0.1, x: 0.4, z: 0 },
      even = solveCoupled(coupled, sections, m),
      odd = solveCoupled(coupled, sections, { ...m, beta: 1e-9 });
    expect(odd.CL).toBeCloseTo(even.CL, 5);
    expect(Math.abs(odd.Cl)).toBeLessThan(1e-6);
    expect(odd.strips).toHaveLength(2 * even.strips.length);
  });

  it('flaps down raise lift at one angle and stall their strips at a smaller one', () => {
    const flapped = with_((s) =>
      s.id === 'wing'
        ? {
            ...s,
            controls: [
              ...s.controls,
              {
                id: 'flap',
                name: 'Flap',
                kind: 'flap' as const,
                from: 0,
                to: 0.5,
                chordFraction: 0.25,
                maxDeflection: 0.5,
              },
            ],
          }
        : s,
    );
    const l = solveLattice(flapped, contours),
      c = coupleStrips(l),
      sec = stripSections(c, polars, reynolds);
    const up = solveCoupled(c, sec, { alpha: 0.12, x: 0.4, z: 0 }),
      down = solveCoupled(c, sec, { alpha: 0.12, flap: 0.3, x: 0.4, z: 0 });
    expect(down.CL).toBeGreaterThan(up.CL + 0.1);
    expect(down.strips[0].margin).toBeLessThan(up.strips[0].margin);
  });

  it('a rolling aircraft meets more angle on the wing that goes down', () => {
    const f = solveCoupled(coupled, sections, { alpha: 0.12, p: 0.06, x: 0.4, z: 0 });
    const tip = (side: 'left' | 'right') =>
      f.strips.filter((s) => s.surface === 'wing' && s.side === side)[12].angle;
    expect(tip('right')).toBeGreaterThan(tip('left') + 0.02);
    expect(f.Cl).toBeLessThan(0);
  });

  it('a sweep ends past the stall and reports the largest lift inside it', () => {
    const s = sweepStall({ coupled, sections, design, aero, x: 0.4, z: 0 });
    // the top of the parabola through the best angle and its neighbours
    const best = Math.max(...s.flows.filter((f) => f.alpha <= s.alphaStall + 0.02).map((f) => f.CL));
    expect(s.clMax).toBeGreaterThanOrEqual(best);
    expect(s.clMax).toBeLessThan(1.005 * best);
    expect(s.flows.at(-1)!.alpha).toBeGreaterThan(s.alphaStall);
    expect(s.first.map((f) => f.alpha)).toEqual([...s.first.map((f) => f.alpha)].sort((a, b) => a - b));
  });

  it('limits of the critical section are the sections’ own; fins have none', () => {
    const l = sectionLimits(aero, polars, reynolds);
    sol.strips.forEach((s, i) =>
      s.role === 'fin' ? expect(l[i]).toBe(0) : expect(l[i]).toBeGreaterThan(0.5),
    );
  });
});

describe('remedies', () => {
  const task = { coupled, sections, design, aero, x: 0.4, z: 0 };

  it('nothing is added where the ailerons answer long enough already', () => {
    const r = leastWashout(task, 0.01, 0.5)!;
    expect(r.twist).toBeCloseTo(0, 12);
    expect(r.addedDrag).toBeCloseTo(0, 12);
  });

  it('washout buys reserve and costs largest lift or induced drag', () => {
    const plain = sweepStall(task).aileronReserve!,
      r = leastWashout(task, plain + 0.03, 0.3);
    if (r === null) return expect(leastWashout(task, plain + 0.03, 0.3, 0.2)?.twist ?? -1).toBeLessThan(0);
    expect(r.twist).toBeLessThan(0);
    expect(r.reserve).toBeGreaterThan(plain);
    expect(r.addedDrag !== 0 || r.lostLift < 0).toBe(true);
  });

  it('without ailerons there is nothing to keep alive', () => {
    const bare = with_((s) => (s.id === 'wing' ? { ...s, controls: [] } : s));
    expect(leastWashout({ ...task, design: bare }, 0.05, 0.5)).toBeNull();
  });

  it('a weaker section outboard is not offered', () => {
    const zero = new Map(coupled.at.map((i, n) => [sol.strips[i].section, sections.zero[n]]));
    const found = tipSections(task, polars, reynolds, (id) => zero.get(id)!, 0.5);
    for (const r of found)
      expect(r.reserve).toBeGreaterThanOrEqual(
        sweepStall(task, { kind: 'level' }, Math.PI / 180, undefined, Math.PI / 90).aileronReserve!,
      );
  });
});
