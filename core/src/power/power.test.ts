import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { setPath, powertrainOf } from '../design';
import { fitChanges, isFitted, labelText } from '../mass';
import {
  buildDrive,
  combinationCount,
  driveChain,
  genericParts,
  matchOne,
  matchSlice,
  operate,
  operateForThrust,
  outSaid,
  paretoRows,
  prepareMatch,
  propellerCurve,
  rubberFlight,
  rubberTrials,
  flaringCurves,
  simulateDischarge,
  supplyReport,
  torqueRoll,
  type MatchTask,
  type RubberFlightInput,
  type SupplyPart,
} from './index';

const ones = { thrust: 1, electricalLoss: 1, capacity: 1, torque: 1 };
const power = powertrainOf(bitternDocument().design);
const drive = buildDrive(power, 1.22, ones);

describe('several shafts, gear, fan', () => {
  it('two motors pull twice and draw twice on a pack without resistance', () => {
    const stiff = { ...power, battery: { ...power.battery, cellResistance: 0.0001 }, avionicsCurrent: 0 };
    const one = operate(buildDrive(stiff, 1.22, ones), 1, 0),
      two = operate(
        buildDrive({ ...stiff, arrangement: { count: 2, kind: 'apart', tilt: false } }, 1.22, ones),
        1,
        0,
      );
    expect(two.thrust / one.thrust).toBeCloseTo(2, 1);
    expect(two.current / one.current).toBeCloseTo(2, 1);
  });
  it('counter-rotating propellers behind each other lose standing still and hardly in fast flight', () => {
    const at = (kind: 'apart' | 'counter-rotating', v: number) => {
      const d = buildDrive({ ...power, arrangement: { count: 2, kind, tilt: false } }, 1.22, ones);
      return operate(d, 1, v).thrust;
    };
    expect(at('counter-rotating', 0) / at('apart', 0)).toBeCloseTo(0.85, 2);
    expect(at('counter-rotating', 15) / at('apart', 15)).toBeGreaterThan(0.9);
  });
  it('a gear of g turns a motor of g times the Kv like the direct one, less its own loss', () => {
    const direct = operate(drive, 1, 0),
      geared = operate(
        buildDrive(
          { ...power, motor: { ...power.motor, kv: power.motor.kv * 4, gear: 4, gearEfficiency: 0.95 } },
          1.22,
          ones,
        ),
        1,
        0,
      );
    expect(geared.omega).toBeLessThan(direct.omega);
    expect(geared.omega / direct.omega).toBeGreaterThan(0.95);
  });
  it('a fan is turned by the same drive', () => {
    const d = buildDrive(
      {
        ...power,
        motor: { ...power.motor, kv: 260 },
        fan: { diameter: 0.07, hub: 0.4, exitRatio: 1, efficiency: 0.7, exitSpeedRatio: 0.45 },
      },
      1.22,
      ones,
    );
    const o = operate(d, 1, 0);
    expect(o.thrust).toBeGreaterThan(2);
    expect(operate(d, 1, 25).thrust).toBeLessThan(o.thrust);
  });
  it('a wish for thrust is met at the throttle it says, or told to be past full', () => {
    const o = operateForThrust(drive, 5, 12);
    expect(operate(drive, o.duty, 12).thrust).toBeCloseTo(5, 3);
    expect(operateForThrust(drive, 60, 12).duty).toBeGreaterThan(1);
  });
});

describe('chain', () => {
  const limits = { escCurrent: 40, wireArea: 2e-6, soundSpeed: 340, air: 288 };
  it('what one link gives the next takes; losses add up to what went in less what came out', () => {
    for (const [duty, v] of [
      [1, 0],
      [0.7, 14],
    ]) {
      const c = driveChain(drive, operate(drive, duty, v), v, limits),
        loss = c.links.reduce((s, l) => s + l.loss, 0);
      for (let i = 2; i < c.links.length; i++)
        expect(c.links[i].powerIn).toBeCloseTo(c.links[i - 1].powerOut, 1);
      const first = c.links[0],
        last = c.links[c.links.length - 1];
      expect(loss + drive.avionics * c.point.voltage).toBeCloseTo(first.powerIn - last.powerOut, 0);
      for (const l of c.links) expect(l.loss).toBeGreaterThanOrEqual(-1e-6);
    }
  });
  it('the weakest link is named with its figure', () => {
    const c = driveChain(drive, operate(drive, 1, 0), 0, { ...limits, escCurrent: 14 });
    expect(c.weakest!.link.id).toBe('esc');
    expect(sentence(c.weakest!.said)).toMatch(/of 14 A, 1\d\d % of what it stands/);
    expect(sentence(driveChain(drive, operate(drive, 0.3, 10), 10, limits).weakest!.said)).toMatch(
      /Nothing is near a limit/,
    );
  });
  it('a history that asks too much ends where it cannot be held', () =>
    expect(
      simulateDischarge(drive, [
        { seconds: 10, speed: 12, throttle: 0.5 },
        { seconds: 100, speed: 12, thrust: 80 },
      ]).end,
    ).toBe('cannot be held'));
});

describe('matching', () => {
  const parts = genericParts(),
    bench = prepareMatch(parts);
  const task: MatchTask = {
    airframeMass: 1.85,
    area: 0.4,
    clMax: 1.25,
    dragArea: 0.0095,
    induced: 0.13,
    density: 1.22,
    soundSpeed: 340,
    gravity: 9.80665,
    avionics: 0.5,
    reserve: 0.15,
    factors: ones,
    strip: 20,
    wind: 0.5,
    friction: 0.06,
    groundCl: 0.35,
    liftOffFactor: 1.15,
    throttle: 0.8,
    speed: 14,
    limits: { diameter: 0.28, current: 30, mass: 3.5, climb: 2, time: 300, margin: 0.15 },
  };
  it('the catalogue holds at least 30 motors, 40 propellers, 20 packs, 10 controllers: over 20 000 combinations, ids distinct', () => {
    expect(parts.motors.length).toBeGreaterThanOrEqual(30);
    expect(parts.propellers.length).toBeGreaterThanOrEqual(40);
    expect(parts.packs.length).toBeGreaterThanOrEqual(20);
    expect(parts.escs.length).toBeGreaterThanOrEqual(10);
    expect(combinationCount(parts)).toBeGreaterThan(20_000);
    const ids = [...parts.motors, ...parts.propellers, ...parts.packs, ...parts.escs].map((p) => p.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
  const rows = matchSlice(parts, bench, task, 12_000, 13_500);
  it('slices are the same as one by one, and every row is in or says why not', () => {
    expect(rows[7]).toEqual(matchOne(parts, bench, task, 12_007));
    for (const r of rows)
      for (const o of r.out) expect(sentence(outSaid(o, r, task)).length).toBeGreaterThan(10);
    expect(rows.some((r) => r.out.length === 0)).toBe(true);
    expect(rows.some((r) => r.out.includes('diameter'))).toBe(true);
  });
  it('nobody on the front is beaten in all three', () => {
    const front = paretoRows(rows);
    for (const a of front)
      expect(
        rows.some(
          (b) =>
            b.out.length === 0 && b.thrustAtSpeed > a.thrustAtSpeed && b.time > a.time && b.mass < a.mass,
        ),
      ).toBe(false);
  });
  it('a tighter limit never lets more in', () => {
    const tight = matchSlice(
      parts,
      bench,
      { ...task, limits: { ...task.limits, climb: 5, time: 600 } },
      12_000,
      13_500,
    );
    rows.forEach((r, i) => {
      if (r.out.length > 0) expect(tight[i].out.length).toBeGreaterThan(0);
    });
  });
});

describe('supply', () => {
  const part = (
    id: string,
    kind: SupplyPart['kind'],
    feeds: string[],
    more: Partial<SupplyPart> = {},
  ): SupplyPart => ({
    id,
    name: id,
    kind,
    feeds,
    volts: null,
    rating: null,
    draw: 0,
    minVolts: null,
    maxVolts: null,
    vital: false,
    ...more,
  });
  it('one regulator is a single point of failure, two are not', () => {
    const one = [
      part('pack', 'pack', []),
      part('reg', 'regulator', ['pack']),
      part('rx', 'receiver', ['reg'], { vital: true, draw: 1 }),
    ];
    expect(supplyReport(one).singlePoints).toEqual(['pack', 'reg', 'rx']);
    const two = [
      ...one.slice(0, 2),
      part('pack2', 'pack', []),
      part('reg2', 'regulator', ['pack2']),
      { ...one[2], feeds: ['reg', 'reg2'] },
    ];
    expect(supplyReport(two).singlePoints).toEqual(['rx']);
  });
  it('currents add up the line, ratings are held against them', () => {
    const r = supplyReport([
      part('pack', 'pack', [], { rating: 10 }),
      part('reg', 'regulator', ['pack'], { rating: 2 }),
      part('a', 'servo', ['reg'], { draw: 1.5 }),
      part('b', 'servo', ['reg'], { draw: 1 }),
    ]);
    expect(r.lines.map((l) => l.current)).toEqual([2.5, 2.5, 1.5, 1]);
    expect(r.lines[1].said.map((x) => sentence(x)).join(' ')).toMatch(/rated 2 A/);
  });
  it('printed, full and sagged volts are kept apart: a part for 16 V fails on a full 4S', () =>
    expect(
      supplyReport([
        part('pack', 'pack', [], { volts: 14.8 }),
        part('esc', 'controller', ['pack'], { minVolts: 9, maxVolts: 16 }),
      ]).volts[0],
    ).toMatchObject({ ok: false, full: expect.closeTo(16.8, 6), sagged: expect.closeTo(13.2, 6) }));
  it('a ring without a source feeds nobody', () =>
    expect(
      supplyReport([part('a', 'regulator', ['b']), part('b', 'regulator', ['a'])]).lines[0].said.map(
        (x) => x.code,
      ),
    ).toContain('fed-by-nothing'));
});

describe('swaps', () => {
  const design = bitternDocument().design,
    p2 = design.swaps!.find((s) => s.id === 'prop-11x5_5')!,
    b = design.swaps!.find((s) => s.id === 'pack-b')!;
  it('fitting changes data and mass, keeps the place, and then counts as fitted', () => {
    expect(isFitted(design, p2)).toBe(false);
    const next = fitChanges(design, p2).reduce((d, c) => setPath(d, c.path, c.value), design);
    expect(isFitted(next, p2)).toBe(true);
    expect(next.items.find((i) => i.id === 'propeller')!.weighed).toBe(0.039);
    expect(powertrainOf(next).propeller.x).toBe(powertrainOf(design).propeller.x);
    expect(
      isFitted(
        fitChanges(design, b).reduce((d, c) => setPath(d, c.path, c.value), design),
        b,
      ),
    ).toBe(true);
  });
  it('the label says what it is and what it weighs', () =>
    expect(labelText(p2)).toBe('P2 11 × 5.5\n11 × 5.5 in, 2 blades\n39.0 g weighed\nfor the boardwalk'));
});

describe('torque roll', () => {
  const o = { q: 50, area: 0.4, span: 1.6, roll: 0.3, most: 0.35, pusher: false, cancelled: false };
  it('aileron holds the torque: Q = q S b Cl delta', () =>
    expect(torqueRoll(0.5, o).aileron! * 50 * 0.4 * 1.6 * 0.3).toBeCloseTo(0.5, 9));
  it('half of the throw is warned of; no ailerons and cancelled shafts are said', () => {
    expect(sentence(torqueRoll(2, o).said)).toMatch(/smaller propeller/);
    expect(sentence(torqueRoll(2, { ...o, roll: 0 }).said)).toMatch(/No ailerons/);
    expect(sentence(torqueRoll(0, { ...o, cancelled: true }).said)).toMatch(/against each other/);
  });
});

describe('rubber flights', () => {
  const motor = {
    width: 0.00192,
    thickness: 0.00105,
    strands: 2,
    length: 0.38,
    density: 930,
    lubricated: true,
    wound: 0.9,
    backedOff: 150,
    winder: 15,
  };
  const size = { diameter: 0.34, pitch: 0.52, blades: 2, family: 'indoor' },
    blades = flaringCurves(size, 1.25, 50);
  const input: RubberFlightInput = {
    motor,
    blades,
    flare: 50,
    mass: 0.005,
    area: 0.063,
    trimCl: 0.8,
    density: 1.2,
    gravity: 9.81,
    ceiling: null,
    drag: (v, L) => {
      const q = 0.6 * v * v;
      return q * 0.063 * 0.055 + (L * L) / (q * Math.PI * 0.302);
    },
  };
  const f = rubberFlight(input);
  it('turns are used up as they are turned, height and time are of a hall’s order', () => {
    const used = f.rows.reduce(
      (s, r, i) => s + (r.omega * ((f.rows[i + 1]?.time ?? f.time) - r.time)) / (2 * Math.PI),
      0,
    );
    expect(used / (f.rows[0].turns - f.turnsLeft)).toBeCloseTo(1, 1);
    expect(f.end).toBe('landed');
    expect(f.time).toBeGreaterThan(60);
    // trade: good low-ceiling flights turn at about 145 to 160 rpm; a wide soft propeller a little slower
    expect(f.cruiseOmega / ((2 * Math.PI) / 60)).toBeGreaterThan(110);
    expect(f.cruiseOmega / ((2 * Math.PI) / 60)).toBeLessThan(170);
  });
  it('more torque at the launch climbs higher; a ceiling is never passed and is said', () => {
    const high = rubberFlight({ ...input, motor: { ...motor, backedOff: 0 } });
    expect(high.peak).toBeGreaterThan(f.peak);
    const under = rubberFlight({ ...input, motor: { ...motor, backedOff: 0 }, ceiling: 4 });
    expect(under.peak).toBe(4);
    expect(under.touched).not.toBeNull();
  });
  it('flare takes the burst: less rpm at the launch than stiff blades', () =>
    expect(rubberFlight({ ...input, flare: 50 }).launchOmega).toBeLessThan(
      rubberFlight({ ...input, flare: 0, blades: flaringCurves(size, 1.25, 0) }).launchOmega,
    ));
  it('too heavy does not fly', () => expect(rubberFlight({ ...input, mass: 0.2 }).end).toBe('does not fly'));
  it('the builder’s next steps keep under the ceiling when they say so', () => {
    const fly = (m: typeof motor, pitch: number, flare: number) =>
      rubberFlight({
        ...input,
        motor: m,
        ceiling: 5,
        flare,
        blades: pitch === size.pitch ? blades : flaringCurves({ ...size, pitch }, 1.25, flare),
      });
    const list = rubberTrials(
      { ...motor, backedOff: 0, flare: 50, pitch: size.pitch, ceiling: 5 },
      fly as never,
    );
    const off = list.find((t) => t.id === 'back-off')!;
    expect(off.touched).toBe(false);
    expect(off.peak).toBeGreaterThan(4);
    expect(list.map((t) => t.id)).toEqual(expect.arrayContaining(['longer', 'pitch', 'flare', 'thinner']));
  });
});

it('a propeller table is one object per size: the same size twice gives the same numbers', () =>
  expect(propellerCurve({ diameter: 0.25, pitch: 0.12, blades: 2 })).toEqual(
    propellerCurve({ diameter: 0.25, pitch: 0.12, blades: 2 }),
  ));
