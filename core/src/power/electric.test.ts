/** Laws of the drive: what must rise with what, limits, and the two directions of solving. */
import { sentence } from '../words';
import { powertrainOf } from '../design';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import {
  bladeAngle,
  bladeShape,
  bladeSetOf,
  bladeLoad,
  buildDrive,
  chordAt,
  CHEMISTRIES,
  CHEMISTRY,
  estimateCellResistance,
  fanCurve,
  gaugeArea,
  genericParts,
  idleDragArea,
  joinPacks,
  motorLoss,
  openCircuit,
  operate,
  operateForThrust,
  packOf,
  packVolts,
  packWear,
  propellerCurve,
  propellerMass,
  settledHeat,
  staticCard,
  thermalOf,
  thrustCoefficient,
  thrusterOf,
  wireCurrent,
  type PackData,
} from './index';

const ones = { thrust: 1, electricalLoss: 1, capacity: 1, torque: 1 };
const power = powertrainOf(bitternDocument().design);
const drive = buildDrive(power, 1.22, ones);
const rising = (v: readonly number[]) => v.every((x, i) => i === 0 || x > v[i - 1]);
const range = <T>(n: number, f: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => f(i));

describe('laws of the operating point', () => {
  it('thrust, rpm and current rise with throttle; volts fall', () => {
    const o = range(9, (i) => operate(drive, 0.2 + 0.1 * i, 8));
    expect(rising(o.map((p) => p.thrust))).toBe(true);
    expect(rising(o.map((p) => p.omega))).toBe(true);
    expect(rising(o.map((p) => p.current))).toBe(true);
    expect(rising(o.map((p) => -p.voltage))).toBe(true);
  });
  it('thrust falls with airspeed and with an emptier pack', () => {
    expect(rising(range(8, (i) => -operate(drive, 1, 3 * i).thrust))).toBe(true);
    expect(rising(range(8, (i) => operate(drive, 1, 5, 0.1 + 0.12 * i).thrust))).toBe(true);
  });
  it('a coasting propeller brakes and draws nothing but the avionics', () => {
    const o = operate(drive, 0.15, 28);
    expect(o.thrust).toBeLessThan(0);
    expect(o.current).toBeCloseTo(drive.avionics, 1);
  });
  it.each([0.3, 1, 3, 6, 9])(
    'a wish of %s N at 12 m/s is met to a thousandth, and costs more the more is wished',
    (T) => {
      const o = operateForThrust(drive, T, 12);
      if (o.duty <= 1)
        expect(Math.abs(operate(drive, o.duty, 12).thrust - T)).toBeLessThan(2e-3 * Math.max(1, T));
      expect(operateForThrust(drive, T + 0.5, 12).power).toBeGreaterThan(o.power);
    },
  );
  it('factors of the calibration act where they should: thrust on thrust alone, torque on current and rpm, loss on rpm', () => {
    const at = (f: Partial<typeof ones>) => operate(buildDrive(power, 1.22, { ...ones, ...f }), 1, 0),
      base = at({});
    expect(at({ thrust: 0.9 }).thrust / base.thrust).toBeCloseTo(0.9, 9);
    expect(at({ thrust: 0.9 }).current).toBeCloseTo(base.current, 9);
    expect(at({ torque: 1.1 }).current).toBeGreaterThan(base.current);
    expect(at({ torque: 1.1 }).omega).toBeLessThan(base.omega);
    expect(at({ electricalLoss: 1.3 }).omega).toBeLessThan(base.omega);
    expect(buildDrive(power, 1.22, { ...ones, capacity: 0.9 }).charge / drive.charge).toBeCloseTo(0.9, 9);
  });
  it('the card of figures agrees with the point it is of', () => {
    const o = operate(drive, 1, 0),
      c = staticCard(drive, 2, 0, 340, 9.80665);
    expect([c.thrust, c.current, c.power]).toEqual([o.thrust, o.current, o.power]);
    expect(c.thrustToWeight).toBeCloseTo(o.thrust / (2 * 9.80665), 9);
    expect(c.specificPower).toBeCloseTo(o.power / 2, 9);
  });
});

describe('packs of every chemistry', () => {
  const pack = (chemistry: PackData['chemistry'], more: Partial<PackData> = {}): PackData => ({
    series: 3,
    parallel: 1,
    capacity: 7200,
    cellResistance: 0.01,
    maxC: 20,
    usable: 0.8,
    chemistry,
    ...more,
  });
  it.each(CHEMISTRIES)('%s: open volts rise with charge, between least and full; label between them', (c) => {
    const v = range(21, (i) => openCircuit(i / 20, c)),
      f = CHEMISTRY[c];
    expect(v.every((x, i) => i === 0 || x >= v[i - 1])).toBe(true);
    expect(v[20]).toBeLessThanOrEqual(f.full + 1e-9);
    expect(f.nominal).toBeGreaterThan(f.least);
    expect(f.nominal).toBeLessThan(f.full);
  });
  it.each(CHEMISTRIES)('%s: two alike in parallel halve the resistance, in series add volts', (c) => {
    const a = packOf(pack(c)),
      p = joinPacks(a, a, 'parallel'),
      s = joinPacks(a, a, 'series');
    expect(
      p.status === 'joined' && [
        p.pack.resistance / a.resistance,
        p.pack.charge / a.charge,
        p.pack.maxCurrent / a.maxCurrent,
      ],
    ).toEqual([0.5, 2, 2]);
    expect(s.status === 'joined' && [s.pack.nominal / a.nominal, s.pack.charge / a.charge]).toEqual([2, 1]);
  });
  it('unequal packs: a word of caution; the smaller ends the series', () => {
    const small = packOf(pack('LiPo', { capacity: 3600 })),
      big = packOf(pack('LiPo'));
    const s = joinPacks(small, big, 'series'),
      p = joinPacks(small, big, 'parallel');
    expect(s.status === 'joined' && s.pack.charge).toBe(small.charge);
    expect(s.status === 'joined' && sentence(s.remarks[0])).toMatch(/smaller pack is empty first/);
    expect(p.status === 'joined' && sentence(p.remarks[0])).toMatch(/equal volts/);
  });
  it('age and cold raise the resistance and take charge; a bigger pack has less resistance', () => {
    expect(packWear(298.15, 0.2).resistance).toBeCloseTo(2, 9);
    expect(packWear(298.15, 0.2).capacity).toBeCloseTo(0.8, 9);
    expect(packWear(273.15).capacity).toBeLessThan(1);
    expect(estimateCellResistance(7200, 30)).toBeLessThan(estimateCellResistance(3600, 30));
    expect(estimateCellResistance(3600, 30, 'Li-ion')).toBeGreaterThan(estimateCellResistance(3600, 30));
    expect(() => estimateCellResistance(0, 30)).toThrow(/capacity/);
  });
  it('mass estimates of common packs: 4S 2600 mAh 240 to 310 g, 3S 2200 mAh 150 to 210 g (common practice, no source)', () => {
    const grams = (series: number, mAh: number) =>
      packOf({ series, parallel: 1, capacity: mAh * 3.6, cellResistance: 0.01, maxC: 30, usable: 0.8 }).mass *
      1000;
    expect(grams(4, 2600)).toBeGreaterThan(240);
    expect(grams(4, 2600)).toBeLessThan(310);
    expect(grams(3, 2200)).toBeGreaterThan(150);
    expect(grams(3, 2200)).toBeLessThan(210);
  });
  it('two packs in a design are one drive; a pair that must not be joined counts as the first', () => {
    const two = buildDrive({ ...power, second: { joined: 'parallel', battery: power.battery } }, 1.22, ones);
    expect(two.charge / drive.charge).toBeCloseTo(2, 9);
    const bad = buildDrive(
      { ...power, second: { joined: 'parallel', battery: { ...power.battery, series: 2 } } },
      1.22,
      ones,
    );
    expect(packVolts(bad, 0.5)).toBe(packVolts(drive, 0.5));
  });
});

describe('blades and propellers', () => {
  it('a blade angle is that of its pitch: tan beta = p / (2 pi r)', () =>
    expect(Math.tan(bladeAngle(0.6, 0.75)) * Math.PI * 0.75).toBeCloseTo(0.6, 12));
  it('chords are those of the family, and an unknown family is refused by name', () => {
    expect(chordAt(bladeShape('indoor'), 0.6)).toBeGreaterThan(chordAt(bladeShape('sport'), 0.6));
    expect(() => bladeShape('toString')).toThrow(/there are slow-fly/);
  });
  it('more pitch: more thrust and power in flight, a higher speed of no thrust', () => {
    const c = [0.1, 0.13, 0.16, 0.2].map((pitch) => propellerCurve({ diameter: 0.25, pitch, blades: 2 }));
    expect(rising(c.map((x) => x.j0))).toBe(true);
    expect(rising(c.map((x) => x.cp0))).toBe(true);
    expect(rising(c.map((x) => thrustCoefficient(x, 0.4)))).toBe(true);
  });
  it('a pitch distribution equal everywhere is the plain pitch; washed-out tips take less power', () => {
    const size = { diameter: 0.3, pitch: 0.18, blades: 2 };
    const same = propellerCurve({
        ...size,
        pitchAt: [
          { r: 0.2, pitch: 0.18 },
          { r: 1, pitch: 0.18 },
        ],
      }),
      plain = propellerCurve(size),
      washed = propellerCurve({
        ...size,
        pitchAt: [
          { r: 0.2, pitch: 0.18 },
          { r: 1, pitch: 0.13 },
        ],
      });
    expect(same.ct0).toBeCloseTo(plain.ct0, 9);
    expect(washed.cp0).toBeLessThan(plain.cp0);
  });
  it('slower tips, lower Reynolds number, more power for the thrust', () => {
    const set = bladeSetOf({ diameter: 0.25, pitch: 0.125, blades: 2 }),
      merit = (rpm: number) => {
        const l = bladeLoad(set, (rpm * Math.PI) / 30, 0);
        return l.CT ** 1.5 / l.CP;
      };
    expect(merit(9000)).toBeGreaterThan(merit(3000));
  });
  it('a correction from the bench multiplies what is read', () => {
    const plain = propellerCurve({ diameter: 0.25, pitch: 0.125, blades: 2 }),
      benched = propellerCurve({
        diameter: 0.25,
        pitch: 0.125,
        blades: 2,
        correction: { thrust: 0.9, torque: 1.1 },
      });
    expect(thrustCoefficient(benched, 0.2) / thrustCoefficient(plain, 0.2)).toBeCloseTo(0.9, 9);
  });
  it('idle drag: held still a plate, turning a brake; only folding blades lie back', () => {
    expect(idleDragArea(propellerCurve({ diameter: 0.25, pitch: 0.125, blades: 2 })).folded).toBeNull();
    expect(
      idleDragArea(propellerCurve({ diameter: 0.25, pitch: 0.125, blades: 2, folds: true })).folded,
    ).toBeGreaterThan(0);
  });
  it('weights rise with size and blades', () => {
    expect(propellerMass({ diameter: 0.3, blades: 2 })).toBeGreaterThan(
      propellerMass({ diameter: 0.25, blades: 2 }),
    );
    expect(propellerMass({ diameter: 0.3, blades: 3 })).toBeGreaterThan(
      propellerMass({ diameter: 0.3, blades: 2 }),
    );
    // trade: a moulded propeller of 300 mm weighs about 12 g, a balsa one 5 to 6 g (free-flight); thin electric ones are
    // stiffer and heavier
    expect(propellerMass({ diameter: 0.3, blades: 2, family: 'carved' })).toBeGreaterThan(0.005);
    expect(propellerMass({ diameter: 0.3, blades: 2, family: 'carved' })).toBeLessThan(0.022);
  });
  it('a fan in a design takes the propeller’s place', () => {
    const fan = { diameter: 0.07, hub: 0.4, exitRatio: 1, efficiency: 0.7, exitSpeedRatio: 0.45 };
    expect(thrusterOf({ propeller: power.propeller, fan }).from).toBe('fan');
    const c = fanCurve(fan);
    expect(rising(range(10, (i) => -thrustCoefficient(c, (c.j0 * i) / 10)))).toBe(true);
  });
});

describe('heat, wire, catalogue', () => {
  it('more mass and more air keep a motor cooler', () => {
    const loss = motorLoss(drive, operate(drive, 1, 0)),
      air = { temperature: 290, speed: 8 };
    const at = (mass: number, speed = 8) =>
      settledHeat(thermalOf({ ...power.motor, mass }), loss, { ...air, speed }).winding;
    expect(at(0.2)).toBeLessThan(at(0.1));
    expect(at(0.1, 16)).toBeLessThan(at(0.1, 2));
  });
  it('thicker wire carries more', () =>
    expect(rising([22, 18, 14, 10].map((g) => wireCurrent(gaugeArea(g))))).toBe(true));
  it('catalogue motors: the motor constant rises with mass; Kv and resistance belong together', () => {
    const outrunners = genericParts().motors.filter((m) => m.data.kind === 'outrunner'),
      constant = (m: (typeof outrunners)[number]) => 1 / (m.data.kv * Math.sqrt(m.data.resistance));
    for (const m of outrunners) expect(Math.abs(constant(m) / (0.5 * m.mass + 0.006) - 1)).toBeLessThan(0.02);
  });
});
