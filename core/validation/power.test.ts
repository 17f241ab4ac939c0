import { describe, expect, it } from 'vitest';
import { buildDrive, lipoOpenCircuit, operate, operateForThrust, powerCoefficient, propellerCurve, propellerLoad, thrustCoefficient } from '../src/power';
import { bitternDocument } from '../src/demo';

const RPM = (2 * Math.PI) / 60;
const ones = { thrust: 1, electricalLoss: 1, capacity: 1 };
const power = bitternDocument().design.power;
const drive = buildDrive(power, 1.225, ones);

/** Static CT and CP of thin electric propellers near 5000 rpm (Brandt and Selig, AIAA 2011-1255; from memory, +-5 % reading error). */
const STATIC = [
  ['10 x 5', 10, 5, 0.105, 0.0435],
  ['10 x 7', 10, 7, 0.122, 0.062],
  ['11 x 5.5', 11, 5.5, 0.105, 0.0425],
  ['9 x 6', 9, 6, 0.12, 0.059],
] as const;

describe('propeller curves', () => {
  it.each(STATIC)('%s static within 12 % [Brandt and Selig, from memory]', (_name, d, p, ct, cp) => {
    const c = propellerCurve({ diameter: d * 0.0254, pitch: p * 0.0254, blades: 2 });
    expect(Math.abs(thrustCoefficient(c, 0) / ct - 1)).toBeLessThan(0.12);
    expect(Math.abs(powerCoefficient(c, 0) / cp - 1)).toBeLessThan(0.12);
  });
  it('never beats momentum theory: ideal efficiency at every advance ratio, figure of merit below 1 (Rankine-Froude)', () => {
    for (const ratio of [0.4, 0.5, 0.6, 0.8]) {
      const c = propellerCurve({ diameter: 0.25, pitch: 0.25 * ratio, blades: 2 });
      expect((c.ct0 ** 1.5 / c.cp0) * Math.sqrt(2 / Math.PI)).toBeLessThan(0.8);
      for (let J = 0.05; J < c.j0 - 0.02; J += 0.05) {
        const CT = thrustCoefficient(c, J), eta = (J * CT) / powerCoefficient(c, J);
        const ideal = 2 / (1 + Math.sqrt(1 + (8 * CT) / (Math.PI * J * J)));
        expect(eta).toBeLessThan(ideal);
      }
    }
  });
  it('greatest efficiency of a 10 x 5 lies between 0.58 and 0.68 near J 0.45 (published curves, from memory)', () => {
    const c = propellerCurve({ diameter: 0.254, pitch: 0.127, blades: 2 });
    const eta = Array.from({ length: 60 }, (_, i) => 0.01 * (i + 1)).map((J) => ({ J, e: (J * thrustCoefficient(c, J)) / Math.max(powerCoefficient(c, J), 1e-9) })).reduce((a, b) => (b.e > a.e ? b : a));
    expect(eta.e).toBeGreaterThan(0.58);
    expect(eta.e).toBeLessThan(0.68);
    expect(Math.abs(eta.J - 0.45)).toBeLessThan(0.08);
  });
  it('power absorbed goes with diameter to the fifth at fixed rpm: 5 % more is 28 % (trade: about 25 %)', () => {
    const at = (d: number) => propellerLoad(propellerCurve({ diameter: d, pitch: 0.5 * d, blades: 2 }), 800, 0, 1.225).torque;
    expect(at(1.05) / at(1)).toBeCloseTo(1.05 ** 5, 6);
  });
});

describe('motor, controller, pack', () => {
  it('operating point satisfies the hand-written equations of the three-constant motor', () => {
    const o = operate(drive, 0.7, 8);
    const source = drive.packResistance + drive.escResistance;
    const voc = 4 * lipoOpenCircuit(0.5);
    const vm = 0.7 * (voc - source * (0.7 * o.motorCurrent + drive.avionics));
    expect(o.omega).toBeCloseTo(drive.kv * (vm - o.motorCurrent * drive.motorResistance), 2);
    expect(o.torque).toBeCloseTo((o.motorCurrent - drive.noLoad) / drive.kv, 6);
  });
  it('a hand-solved case: stalled shaft draws V / (R + source) (Ohm)', () => {
    const stiff = buildDrive({ ...power, avionicsCurrent: 0, propeller: { ...power.propeller, diameter: 2.9, pitch: 2.9 } }, 1.225e6, ones);
    const o = operate(stiff, 1, 0);
    const R = stiff.motorResistance + stiff.packResistance + stiff.escResistance;
    expect(o.motorCurrent / ((4 * lipoOpenCircuit(0.5)) / R)).toBeCloseTo(1, 1);
  });
  it('energy balance: pack power = shaft + copper + no-load + source losses + avionics', () => {
    const o = operate(drive, 1, 10);
    const voc = 4 * lipoOpenCircuit(0.5);
    const losses = o.current ** 2 * (drive.packResistance + drive.escResistance) + o.motorCurrent ** 2 * drive.motorResistance + (drive.noLoad / drive.kv) * o.omega + drive.avionics * o.voltage;
    expect((o.shaftPower + losses) / (voc * o.current)).toBeCloseTo(1, 2);
  });
  it('the two ways of solving agree: thrust of a throttle, then throttle of that thrust', () => {
    for (const [duty, v] of [[1, 0.01], [0.8, 12], [0.55, 6]]) {
      const o = operate(drive, duty, v);
      const back = operateForThrust(drive, o.thrust, v);
      expect(back.duty).toBeCloseTo(duty, 4);
      expect(back.current).toBeCloseTo(o.current, 3);
    }
  });
  it('four lithium cells: 16.8 V full (4.2 a cell) and near 15.4 V open at half charge', () => {
    expect(4 * lipoOpenCircuit(1)).toBeCloseTo(16.8, 6);
    expect(4 * lipoOpenCircuit(0.5)).toBeCloseTo(15.4, 1);
  });
  it('static rpm of the demo lies below Kv times volts by the usual 15 to 30 % load (common practice)', () => {
    const o = operate(drive, 1, 0);
    const free = power.motor.kv * o.voltage;
    expect(o.omega / free).toBeGreaterThan(0.7);
    expect(o.omega / free).toBeLessThan(0.97);
    expect(o.omega / RPM).toBeGreaterThan(6000);
  });
});
