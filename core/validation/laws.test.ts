/**
 * Laws of physics and of records, as property tests with fixed seeds: scaling, conservation, monotony, round
 * trips. Each holds for every
 * input in its range, so that no chosen example can flatter it.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airAt, G0 } from '../src/air';
import { bitternDocument, starterDocument } from '../src/demo';
import { getPath, mergeThreeWay, setPath, type Member, type MemberShape, type TipSizes } from '../src/design';
import { outsideDragArea, plateFriction, towedLine } from '../src/drag';
import { climbAt, glide, groundRun, stallSpeed, type PointModel } from '../src/flight';
import { loadedState, massState, solveBalance, changesOf } from '../src/mass';
import { flyLap, lapsInWindow } from '../src/mission';
import {
  findMinimum,
  findRoot,
  interpolateLinear,
  solveDense,
  splineCurvatures,
  splineValue,
} from '../src/numeric';
import { gaugeArea, joinPacks, openCircuit, packOf, rubberMotor, wireResistance } from '../src/power';
import { compileFormula } from '../src/score';
import { camberAt, contourFacts, naca4, thicknessAt } from '../src/section';
import { materialNamed, memberSection, solveCantilever, type Distribution } from '../src/structure';
import { planformOf, referencePlanform } from '../src/surface';
import { formatForEditing, KINDS, parseQuantity, UNIT_SYSTEMS, type KindName } from '../src/units';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const law = <T extends [unknown, ...unknown[]]>(
  runs: number,
  arbs: { [K in keyof T]: fc.Arbitrary<T[K]> },
  check: (...args: T) => void,
) =>
  fc.assert(
    fc.property(...arbs, (...args) => {
      check(...args);
    }),
    { seed: 1511, numRuns: runs },
  );

describe('air', () => {
  it('density falls with height and with heat; the gas law closes: p = rho R T', () =>
    law<[number, number]>(200, [num(0, 8000), num(250, 320)], (h, T) => {
      const a = airAt(h, T);
      expect(airAt(h + 100, T).density).toBeLessThan(a.density);
      expect(airAt(h, T + 1).density).toBeLessThan(a.density);
      expect((a.density * T) / (airAt(h, T + 10).density * (T + 10))).toBeCloseTo(1, 9);
    }));
});

describe('units', () => {
  it('what an edit field shows is read back as the same quantity, in every kind and both systems', () => {
    const kinds = (Object.keys(KINDS) as KindName[]).filter((k) => k !== 'count');
    law<[KindName, 'metric' | 'imperial', number]>(
      600,
      [fc.constantFrom(...kinds), fc.constantFrom(...UNIT_SYSTEMS), num(0.01, 900)],
      (kind, system, si) => {
        const back = parseQuantity(formatForEditing(si, kind, system), kind, system);
        expect(back.status, `${kind} ${system} ${si}`).toBe('ok');
        // seven figures are shown, of a temperature those of its degrees
        const size = kind === 'temperature' ? 300 : si;
        if (back.status === 'ok') expect(Math.abs(back.si - si)).toBeLessThan(1e-6 * size);
      },
    );
  });
  it('a sum of two typed lengths is the sum of the lengths', () =>
    law<[number, number]>(
      200,
      [fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 90 })],
      (mm, inch) => {
        const r = parseQuantity(`${mm} mm + ${inch} in`, 'length', 'metric');
        expect(r.status === 'ok' && r.si).toBeCloseTo(mm / 1000 + inch * 0.0254, 12);
      },
    ));
});

describe('numeric', () => {
  it('a root is found inside its bracket wherever a rising cubic crosses', () =>
    law<[number, number]>(200, [num(-3, 3), num(0.01, 4)], (r, k) => {
      const f = (x: number) => k * (x - r) * ((x - r) ** 2 + 0.5),
        found = findRoot(f, -10, 10);
      expect(found.status).toBe('found');
      if (found.status === 'found') expect(found.x).toBeCloseTo(r, 7);
    }));
  it('a least value is found wherever it lies', () =>
    law<[number, number]>(200, [num(-2, 2), num(0.1, 9)], (at, k) =>
      expect(findMinimum((x) => k * (x - at) ** 2 + Math.abs(x - at), -5, 5, 1e-7).x).toBeCloseTo(at, 4),
    ));
  it('the solution of a diagonally dominant system gives its right side back', () =>
    law<[number[], number[]]>(
      100,
      [
        fc.array(num(-1, 1), { minLength: 25, maxLength: 25 }),
        fc.array(num(-5, 5), { minLength: 5, maxLength: 5 }),
      ],
      (a, b) => {
        const rows = Array.from({ length: 5 }, (_, i) =>
          Array.from({ length: 5 }, (_, j) => a[5 * i + j] + (i === j ? 8 : 0)),
        );
        const x = solveDense(rows, b);
        rows.forEach((r, i) => expect(r.reduce((s, v, j) => s + v * x[j], 0)).toBeCloseTo(b[i], 9));
      },
    ));
  it('a spline passes through its points and is straight through points of a line', () =>
    law<[number[], number, number]>(
      100,
      [fc.array(num(0.05, 1), { minLength: 4, maxLength: 12 }), num(-3, 3), num(-2, 2)],
      (gaps, slope, y0) => {
        const xs = gaps.reduce((s, g) => [...s, s[s.length - 1] + g], [0]),
          ys = xs.map((x) => y0 + slope * x);
        const m = splineCurvatures(xs, ys),
          middle = 0.5 * (xs[1] + xs[2]);
        xs.forEach((x, i) => expect(splineValue(xs, ys, m, x)).toBeCloseTo(ys[i], 9));
        expect(splineValue(xs, ys, m, middle)).toBeCloseTo(y0 + slope * middle, 9);
        expect(interpolateLinear(xs, ys, middle)).toBeCloseTo(y0 + slope * middle, 9);
      },
    ));
});

describe('sections', () => {
  it('a NACA section has the thickness and camber of its name at any digits, and its camber line lies between its faces', () =>
    law<[number, number, number]>(
      40,
      [fc.integer({ min: 0, max: 6 }), fc.integer({ min: 2, max: 7 }), fc.integer({ min: 6, max: 21 })],
      (m, p, t) => {
        const c = naca4(`${m}${m ? p : 0}${String(t).padStart(2, '0')}`, 120),
          f = contourFacts(c);
        expect(100 * f.thickness).toBeCloseTo(t, 0);
        expect(Math.abs(100 * f.camber - m)).toBeLessThan(0.06);
        for (const x of [0.1, 0.3, 0.5, 0.8]) {
          expect(thicknessAt(c, x)).toBeGreaterThan(0);
          expect(Math.abs(camberAt(c, x))).toBeLessThan(0.01 * m + 0.002);
        }
      },
    ));
});

describe('surfaces', () => {
  it('a plan form twice as large has four times the area, twice the chord and the same aspect ratio', () =>
    law<[number, number, number, number]>(
      100,
      [num(0.1, 1), num(0.2, 1), num(0.3, 3), num(-0.3, 0.5)],
      (chord, taper, half, sweep) => {
        const at = (k: number) =>
          planformOf({
            ...starterDocument().design.surfaces[0],
            x: 0,
            stations: [
              { y: 0, x: 0, z: 0, chord: k * chord, twist: 0, section: 's' },
              { y: k * half, x: k * sweep, z: 0, chord: k * chord * taper, twist: 0, section: 's' },
            ],
          });
        const a = at(1),
          b = at(2);
        expect(b.area / a.area).toBeCloseTo(4, 9);
        expect(b.mac / a.mac).toBeCloseTo(2, 9);
        expect(b.aspectRatio).toBeCloseTo(a.aspectRatio, 9);
        // the mean chord of a tapered wing: 2/3 c (1 + t + t^2)/(1 + t) (textbook)
        expect(a.mac).toBeCloseTo(((2 / 3) * chord * (1 + taper + taper ** 2)) / (1 + taper), 9);
      },
    ));
  it('an ordinary tail is no second wing, and the reference is then the wing’s own', () => {
    const { surfaces } = bitternDocument().design;
    expect(referencePlanform(surfaces).area).toBe(planformOf(surfaces[0]).area);
    expect(referencePlanform(surfaces).wings).toEqual([surfaces[0].name]);
  });
});

describe('drag of outside parts', () => {
  it('wires add up by length and count, and friction of a plate falls with Reynolds number away from transition', () =>
    law<[number, number, number]>(
      100,
      [num(0.1, 3), num(0.0005, 0.005), fc.integer({ min: 1, max: 8 })],
      (l, d, n) => {
        const one = outsideDragArea({ kind: 'wire', length: l, diameter: d, count: 1 }, 12, 1.46e-5);
        expect(outsideDragArea({ kind: 'wire', length: l, diameter: d, count: n }, 12, 1.46e-5)).toBeCloseTo(
          n * one,
          12,
        );
        expect(plateFriction(2e6 * (1 + l))).toBeLessThan(plateFriction(2e6));
      },
    ));
  it('a towed body hangs lower when it is slower, and its line never hangs above its hook', () =>
    law<[number, number, number]>(100, [num(0.05, 2), num(0.001, 0.05), num(5, 25)], (mass, dragArea, v) => {
      const tow = { mass, dragArea, line: 8, lineDiameter: 0.001, x: 0, z: 0 };
      const fast = towedLine(tow, v, 1.225),
        slow = towedLine(tow, 0.7 * v, 1.225);
      expect(slow.below).toBeGreaterThanOrEqual(fast.below - 1e-9);
      expect(fast.below).toBeGreaterThan(0);
      expect(Math.hypot(fast.below, fast.behind)).toBeLessThanOrEqual(8 + 1e-6);
    }));
});

/** An aircraft with a parabolic polar and a thrust that falls with speed. */
const aircraft = (mass: number, thrust: number): PointModel => ({
  mass,
  density: 1.225,
  area: 0.4,
  clMax: 1.3,
  drag: (v, n = 1) => {
    const q = 0.5 * 1.225 * v * v,
      cl = (n * mass * G0) / (q * 0.4);
    return q * 0.4 * (0.03 + (cl * cl) / (Math.PI * 6.4 * 0.9));
  },
  fullThrust: (v) => Math.max(0, thrust * (1 - v / 32)),
});

describe('flight', () => {
  it('stall speed goes with the root of mass and of load factor', () =>
    law<[number, number]>(100, [num(0.5, 6), num(1, 5)], (m, n) => {
      const a = stallSpeed(aircraft(m, 10)),
        b = stallSpeed(aircraft(m, 10), n);
      expect(b / a).toBeCloseTo(Math.sqrt(n), 9);
    }));
  it('the best glide is half the root of pi AR e over CD0, whatever the mass', () =>
    law<[number]>(60, [num(0.4, 5)], (m) =>
      expect(glide(aircraft(m, 0)).ratio).toBeCloseTo(0.5 * Math.sqrt((Math.PI * 6.4 * 0.9) / 0.03), 3),
    ));
  it('a heavier aircraft runs longer and climbs less on the same thrust; a head wind shortens the run', () =>
    law<[number, number]>(60, [num(1.5, 2.6), num(0, 4)], (m, wind) => {
      const run = (mass: number, w: number) => {
        const r = groundRun(aircraft(mass, 14), {
          friction: 0.05,
          wind: w,
          liftOffFactor: 1.15,
          groundCl: 0.3,
          dragArea: 0.015,
        });
        return r.status === 'airborne' ? r.distance : Infinity;
      };
      expect(run(m + 0.2, wind)).toBeGreaterThan(run(m, wind));
      expect(run(m, wind + 0.5)).toBeLessThan(run(m, wind));
      expect(climbAt(aircraft(m + 0.2, 14), 14)).toBeLessThan(climbAt(aircraft(m, 14), 14));
    }));
  it('a lap takes longer in wind, and no more laps fit than the clock allows', () =>
    law<[number, number, number]>(100, [num(8, 25), num(0, 6), num(60, 900)], (speed, wind, window) => {
      const course = { straight: 150, straightsPerLap: 2, turnsPerLap: 2 },
        lap = (w: number) =>
          flyLap(course, { speed, wind: w, bank: 0.8, straightPower: 100, turnPower: 140 });
      expect(lap(wind).time).toBeGreaterThanOrEqual(lap(0).time - 1e-9);
      const { laps } = lapsInWindow(window, 5, lap(0).time, 1e9, lap(0).energy);
      expect(laps * lap(0).time).toBeLessThanOrEqual(Math.max(0, window - 5) + 1e-6);
    }));
});

describe('mass and balance', () => {
  const { design } = bitternDocument();
  it('taking an item out and putting it back is nothing; the order of the list does not matter', () =>
    law<[number]>(30, [fc.integer({ min: 0, max: 1000 })], (k) => {
      const s = loadedState(design, design.states[k % design.states.length], 'best', 1);
      const turned = massState([
        ...s.points.slice(k % s.points.length),
        ...s.points.slice(0, k % s.points.length),
      ]);
      for (const q of ['mass', 'x', 'z', 'ixx', 'iyy', 'izz', 'sigmaX'] as const)
        expect(turned[q]).toBeCloseTo(s[q], 10);
    }));
  it('a proposal that says every state is inside puts every state inside', () =>
    law<[number, number]>(40, [num(0.34, 0.44), num(0.02, 0.06)], (forward, width) => {
      const limits = { forward, aft: forward + width },
        p = solveBalance(design, limits);
      if (p.status === 'conflict' || p.status === 'inside') return;
      const mended = changesOf(design, p).reduce(
        (d, c) => setPath(d, `design.${c.path}`, c.value),
        bitternDocument(),
      ).design;
      for (const l of mended.states.filter((q) => !q.hover)) {
        const x = loadedState(mended, l, 'best', 1).x;
        expect(x, l.id).toBeGreaterThan(limits.forward - 0.0015);
        expect(x, l.id).toBeLessThan(limits.aft + 0.0015);
      }
    }));
});

describe('power', () => {
  const pack = (series: number, capacity: number) =>
    packOf({ series, parallel: 1, capacity, cellResistance: 0.008, maxC: 25, usable: 0.8 });
  it('packs alike in parallel double charge and halve resistance, in series double volts; energy doubles either way', () =>
    law<[number, number]>(60, [fc.integer({ min: 1, max: 12 }), num(1000, 40000)], (s, c) => {
      const a = pack(s, c);
      for (const how of ['parallel', 'series'] as const) {
        const j = joinPacks(a, a, how);
        expect(j.status).toBe('joined');
        if (j.status !== 'joined') continue;
        expect(j.pack.energy / a.energy).toBeCloseTo(2, 9);
        expect(j.pack.charge / a.charge).toBeCloseTo(how === 'parallel' ? 2 : 1, 9);
        expect(j.pack.resistance / a.resistance).toBeCloseTo(how === 'parallel' ? 0.5 : 2, 9);
        expect(j.pack.nominal / a.nominal).toBeCloseTo(how === 'parallel' ? 1 : 2, 9);
      }
    }));
  it('open-circuit volts rise with charge in every chemistry; wire resistance goes with length over area', () =>
    law<[number, number, number]>(
      100,
      [num(0, 0.98), num(0.1, 3), fc.integer({ min: 8, max: 25 })],
      (soc, l, gauge) => {
        for (const c of ['LiPo', 'Li-ion', 'LiFePO4', 'NiMH'] as const)
          expect(openCircuit(soc + 0.02, c)).toBeGreaterThanOrEqual(openCircuit(soc, c));
        expect(wireResistance(2 * l, gaugeArea(gauge))).toBeCloseTo(
          2 * wireResistance(l, gaugeArea(gauge)),
          12,
        );
        expect(gaugeArea(gauge + 1)).toBeLessThan(gaugeArea(gauge));
      },
    ));
  it('rubber: a motor twice as long takes twice the turns at the same torque; energy goes with mass', () =>
    law<[number, number, number]>(
      60,
      [num(0.1, 0.8), fc.integer({ min: 2, max: 12 }), num(0.3, 0.98)],
      (l, strands, wound) => {
        const of = (length: number) =>
          rubberMotor({
            width: 0.003,
            thickness: 0.001,
            strands,
            length,
            density: 920,
            lubricated: true,
            wound,
            backedOff: 0,
            winder: 10,
          });
        const a = of(l),
          b = of(2 * l);
        expect(b.breakTurns / a.breakTurns).toBeCloseTo(2, 9);
        expect(b.launchTorque / a.launchTorque).toBeCloseTo(1, 9);
        expect(b.energy / b.mass).toBeCloseTo(a.energy / a.mass, 6);
      },
    ));
});

/** A member of one shape, alone. */
const memberOf = (shape: MemberShape, tip?: TipSizes): Member => ({
  id: 'm',
  name: 'M',
  surface: 'wing',
  chordPlace: 0.3,
  shape,
  ...(tip ? { tip } : {}),
});
const alone = (
  shape: MemberShape,
  length: number,
  load: number,
  more: { tip?: TipSizes; intervals?: number; distribution?: Distribution } = {},
) =>
  solveCantilever({
    member: memberOf(shape, more.tip),
    named: materialNamed,
    length,
    load,
    distribution: more.distribution ?? 'elliptic',
    ...(more.intervals ? { intervals: more.intervals } : {}),
  })!;
const tubeOf = (outer: number, wall: number): MemberShape => ({
  kind: 'tube',
  outer,
  wall,
  material: 'carbon-tube',
});

describe('structure', () => {
  it('everything a load does grows with it, and it fails at so much less', () =>
    law<[number, number]>(60, [num(0.3, 2), num(5, 80)], (length, load) => {
      const one = alone(tubeOf(0.012, 0.001), length, load),
        two = alone(tubeOf(0.012, 0.001), length, 2 * load);
      expect(two.moment[0] / one.moment[0]).toBeCloseTo(2, 9);
      expect(two.deflection.at(-1)! / one.deflection.at(-1)!).toBeCloseTo(2, 9);
      expect(one.first!.factor / two.first!.factor).toBeCloseTo(2, 9);
    }));
  it('a load moved outward never helps the root: tip, even and elliptic in this order', () =>
    law<[number]>(40, [num(0.3, 2)], (length) => {
      const root = (distribution: Distribution) =>
        alone(tubeOf(0.012, 0.001), length, 20, { distribution }).moment[0];
      expect(root('tip')).toBeGreaterThan(root('uniform'));
      expect(root('uniform')).toBeGreaterThan(root('elliptic'));
    }));
  it('turned upside down a member stands the same downward as upward before', () =>
    law<[number, number, number]>(60, [num(0.008, 0.03), num(0.006, 0.02), num(0.05, 0.25)], (h, w, t) => {
      const shape: MemberShape = {
        kind: 'channel',
        height: h,
        width: w,
        cap: t * w,
        web: t * h,
        material: 'alu-6061',
        lies: true,
      };
      const s = memberSection(shape, materialNamed, null)!;
      // the open edge is the further one: pressed or pulled it gives way first
      expect(Math.min(...s.up.map((c) => c.at))).toBeLessThan(Infinity);
      const upright = memberSection({ ...shape, lies: false }, materialNamed, null)!;
      expect(upright.up[0]!.at).toBeCloseTo(upright.down[0]!.at, 9);
    }));
  it('a thicker tube is stiffer, stronger and heavier', () =>
    law<[number, number]>(60, [num(0.006, 0.03), num(0.05, 0.35)], (outer, share) => {
      const tube = (wall: number) => memberSection(tubeOf(outer, wall), materialNamed, null)!;
      const thin = tube(share * outer),
        thick = tube(share * outer * 1.2);
      expect(thick.EI).toBeGreaterThan(thin.EI);
      expect(Math.min(...thick.up.map((c) => c.at))).toBeGreaterThan(Math.min(...thin.up.map((c) => c.at)));
      expect(thick.perLength).toBeGreaterThan(thin.perLength);
    }));
  it('the load factor at failure goes smoothly with every size', () =>
    law<[number, number]>(80, [num(0.006, 0.03), num(0.02, 0.4)], (outer, share) => {
      const at = (d: number) => alone(tubeOf(d, share * outer), 0.8, 20).first!.factor;
      expect(Math.abs(at(outer * 1.0001) / at(outer) - 1)).toBeLessThan(0.001);
    }));
  it('twice the places move nothing by half a per cent, tapered as well', () =>
    law<[number, number]>(40, [num(0.4, 1), num(0.3, 2)], (taper, length) => {
      const at = (intervals: number) =>
        alone(tubeOf(0.014, 0.001), length, 20, { tip: { outer: 0.014 * taper }, intervals });
      const [few, many] = [at(24), at(48)];
      expect(Math.abs(few.deflection.at(-1)! / many.deflection.at(-1)! - 1)).toBeLessThan(0.005);
      expect(Math.abs(few.first!.factor / many.first!.factor - 1)).toBeLessThan(0.005);
    }));
});

describe('score and documents', () => {
  it('a formula of sums, products and caps is the same sum worked here', () =>
    law<[number, number, number]>(200, [num(0, 30), num(0, 5), num(0.5, 50)], (laps, mass, best) => {
      const f = compileFormula('10 * laps + 100 * min(1, mass / best) - 2 * max(0, laps - 20)', {
        laps: null,
        mass: null,
        best: null,
      });
      expect(f.status).toBe('ok');
      if (f.status === 'ok')
        expect(f.evaluate({ laps, mass, best })).toBeCloseTo(
          10 * laps + 100 * Math.min(1, mass / best) - 2 * Math.max(0, laps - 20),
          9,
        );
    }));
  it('a number set by its path is read by its path, and a merge of edits to different leaves keeps both', () => {
    const base = bitternDocument(),
      leaves = [
        'design.items.battery.x',
        'design.flight.lapThrottle',
        'brief.site.wind',
        'design.payload.unitMass',
      ];
    law<[number, number, number]>(
      100,
      [fc.integer({ min: 0, max: 3 }), fc.integer({ min: 1, max: 3 }), num(0.11, 0.9)],
      (i, step, v) => {
        const mine = setPath(base, leaves[i], v),
          theirs = setPath(base, leaves[(i + step) % 4], v / 2);
        expect(getPath(mine, leaves[i])).toBe(v);
        const both = mergeThreeWay(base, mine, theirs);
        expect(getPath(both.merged, leaves[i])).toBe(v);
        expect(getPath(both.merged, leaves[(i + step) % 4])).toBe(v / 2);
      },
    );
  });
});
