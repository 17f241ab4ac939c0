/** From rotors to wing: its two ends are known; what two shafts cannot hold is said. */
import { beforeAll, describe, expect, it } from 'vitest';
import { G0 } from '../src/air';
import { assess, entryOf, StepCache } from '../src/assess';
import { craneDocument } from '../src/demo';
import { factorsOf, powertrainOf, priorCalibration } from '../src/design';
import {
  buildDrive,
  corridorPoint,
  liftDrive,
  operateForThrust,
  propellerCurve,
  standingTable,
} from '../src/power';
import { BEGINNINGS } from '../src/start';
import { sentence } from '../src/words';
import { loadPolars } from '../testing/polarStore';

beforeAll(loadPolars);

describe('the corridor of lift and cruise', () => {
  const power = powertrainOf(craneDocument().design),
    f = factorsOf(priorCalibration().mean),
    rotor = propellerCurve(power.lift!.propeller),
    lift = liftDrive(power, 4, 1.225, f, rotor, null)!,
    cruise = buildDrive(power, 1.225, f);
  const drag = (v: number, l: number) => {
      const q = 0.5 * 1.225 * v * v;
      return q * 0.015 + (l * l) / (q * Math.PI * 0.85 * 2.5);
    },
    craft = {
      lift,
      table: standingTable(lift),
      cruise,
      weight: 4 * G0,
      density: 1.225,
      area: 0.5,
      clMax: 1.3,
      drag,
      rotorDragArea: 0,
    };
  const stall = Math.sqrt((2 * craft.weight) / (1.225 * 0.5 * 1.3));
  it('standing still is hover', () => {
    const hover = operateForThrust(lift, craft.weight, 0).power,
      idle = operateForThrust(cruise, 0, 0).power;
    expect(corridorPoint(craft, 0, 1.2).power / (hover + idle)).toBeCloseTo(1, 1);
  });
  it('past the margin the wing carries all, and the cruise unit alone takes power', () => {
    const v = 1.25 * stall,
      p = corridorPoint(craft, v, 1.2);
    expect(p.wing).toBe(1);
    expect(p.power).toBeCloseTo(operateForThrust(cruise, drag(v, craft.weight), v).power, 6);
  });
  it('the wing’s share goes with the square of speed, and is the inverse square of the margin at the stall', () => {
    expect(corridorPoint(craft, stall, 1.2).wing).toBeCloseTo(1 / 1.44, 9);
    expect(corridorPoint(craft, 0.5 * stall, 1.2).wing).toBeCloseTo(0.25 / 1.44, 9);
  });
});

describe('two tilting shafts', () => {
  it('hold the CG on their line: beside it they are told of at once, with what moves it', () => {
    const { brief, design, calibration } = BEGINNINGS.find((b) => b.id === 'tilting-twin')!.make();
    const cache = new StepCache(),
      held = assess(brief, design, calibration, cache);
    expect(held.findings.some((q) => q.code === 'cg-beside-rotors')).toBe(false);
    const cg = entryOf(held, 'cgX', 'hover')!.value,
      ahead = (by: number) => ({
        ...design,
        thrusters: design.thrusters.map((t) => ({ ...t, x: cg - by })),
      }),
      told = (d: typeof design) =>
        assess(brief, d, calibration, cache).findings.find((q) => q.code === 'cg-beside-rotors');
    const far = told(ahead(0.036))!;
    expect(far.severity).toBe('stop');
    expect(sentence(far)).toMatch(
      /36 mm behind the line of the two shafts.*pitches up.*Move the shafts 36 mm aft/,
    );
    // what an item's own range reaches is a button, and mends it
    const near = told(ahead(0.003))!,
      [{ path, value }] = near.fix!.changes,
      index = Number(path.split('.')[2]);
    const mended = {
      ...ahead(0.003),
      items: design.items.map((i, k) => (k === index ? { ...i, x: value as number } : i)),
    };
    expect(told(mended)).toBeUndefined();
  });
});

describe('no number of an absent part', () => {
  it.each(['multirotor-4', 'multirotor-6'])('%s: nothing of a wing, a strip, a lap', (id) => {
    const { brief, design, calibration } = BEGINNINGS.find((b) => b.id === id)!.make(),
      ledger = assess(brief, design, calibration);
    const winged =
      /^(wing|stall|clMax|static|neutral|glide|minSink|ground|lift|lap|turn|trim|reynolds|fail|allowed|spar|tip|tail|fin|aspect|mean|drag|span|approach|landing|launch|climb|topSpeed|thrustTo|powerTo|score|points|best)/;
    expect(ledger.entries.filter((e) => winged.test(e.id)).map((e) => e.id)).toEqual([]);
    expect(ledger.curves.every((c) => c.id.startsWith('rotor'))).toBe(true);
  });
  it('mirror: the craft seen in a glass shares as before, right for left', () => {
    const { brief, design, calibration } = BEGINNINGS.find((b) => b.id === 'multirotor-6')!.make();
    const tipped = {
        ...design,
        items: design.items.map((i) => (i.id === 'battery' ? { ...i, y: 0.03 } : i)),
      },
      mirrored = {
        ...tipped,
        items: tipped.items.map((i) => ({ ...i, y: -i.y })),
        thrusters: tipped.thrusters.map((t) => ({ ...t, y: t.y === null ? null : -t.y })),
      };
    const load = (d: typeof design) => entryOf(assess(brief, d, calibration), 'rotorLoad', 'flying')!.value;
    expect(load(mirrored)).toBeCloseTo(load(tipped), 9);
    expect(load(tipped)).toBeGreaterThan(load(design));
  });
});
