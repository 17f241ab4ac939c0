import { powertrainOf } from '../src/design';
import { describe, expect, it } from 'vitest';
import { buildDrive, openCircuit, operate, operateForThrust } from '../src/power';
import { bitternDocument } from '../src/demo';

const RPM = (2 * Math.PI) / 60;
const ones = { thrust: 1, electricalLoss: 1, capacity: 1 };
const power = powertrainOf(bitternDocument().design);
const drive = buildDrive(power, 1.225, ones);

describe('motor, controller, pack', () => {
  it('operating point satisfies the hand-written equations of the three-constant motor', () => {
    const o = operate(drive, 0.7, 8);
    const source = drive.packResistance;
    const voc = 4 * openCircuit(0.5);
    const vm =
      0.7 *
      (voc - source * (0.7 * o.motorCurrent + drive.avionics) - drive.wireResistance * 0.7 * o.motorCurrent);
    // averaged buck converter: its switches carry the motor's current all the time, on or freewheeling (textbook; from memory)
    expect(o.omega).toBeCloseTo(
      drive.kv * (vm - o.motorCurrent * (drive.motorResistance + drive.escResistance)),
      2,
    );
    expect(o.torque).toBeCloseTo((o.motorCurrent - power.motor.noLoadCurrent) / drive.kv, 6);
  });
  it('a hand-solved case: stalled shaft draws V / (R + source) (Ohm)', () => {
    const stiff = buildDrive(
      { ...power, avionicsCurrent: 0, propeller: { ...power.propeller, diameter: 2.9, pitch: 2.9 } },
      1.225e6,
      ones,
    );
    const o = operate(stiff, 1, 0);
    const R = stiff.motorResistance + stiff.packResistance + stiff.escResistance + stiff.wireResistance;
    expect(o.motorCurrent / ((4 * openCircuit(0.5)) / R)).toBeCloseTo(1, 1);
  });
  it('part throttle keeps its energy: the controller loses I^2 R of the motor’s current, not of duty times it', () => {
    const o = operate(drive, 0.5, 6),
      cable = 0.5 * o.motorCurrent;
    const losses =
      o.motorCurrent ** 2 * (drive.motorResistance + drive.escResistance) +
      cable ** 2 * drive.wireResistance +
      (power.motor.noLoadCurrent / drive.kv) * o.omega +
      drive.avionics * o.voltage;
    expect((o.shaftPower + losses) / o.power).toBeCloseTo(1, 3);
  });
  it('energy balance: pack power = shaft + copper + no-load + source losses + avionics', () => {
    const o = operate(drive, 1, 10);
    const voc = 4 * openCircuit(0.5);
    const losses =
      o.current ** 2 * drive.packResistance +
      o.motorCurrent ** 2 * (drive.motorResistance + drive.escResistance + drive.wireResistance) +
      (power.motor.noLoadCurrent / drive.kv) * o.omega +
      drive.avionics * o.voltage;
    expect((o.shaftPower + losses) / (voc * o.current)).toBeCloseTo(1, 2);
  });
  it('the two ways of solving agree: thrust of a throttle, then throttle of that thrust', () => {
    for (const [duty, v] of [
      [1, 0.01],
      [0.8, 12],
      [0.55, 6],
    ]) {
      const o = operate(drive, duty, v);
      const back = operateForThrust(drive, o.thrust, v);
      expect(back.duty).toBeCloseTo(duty, 4);
      expect(back.current).toBeCloseTo(o.current, 3);
    }
  });
  it('four lithium cells: 16.8 V full (4.2 a cell) and near 15.4 V open at half charge', () => {
    expect(4 * openCircuit(1)).toBeCloseTo(16.8, 6);
    expect(4 * openCircuit(0.5)).toBeCloseTo(15.4, 1);
  });
  it('static rpm of the demo lies below Kv times volts by the usual 15 to 30 % load (common practice)', () => {
    const o = operate(drive, 1, 0);
    const free = power.motor.kv * o.voltage;
    expect(o.omega / free).toBeGreaterThan(0.7);
    expect(o.omega / free).toBeLessThan(0.97);
    expect(o.omega / RPM).toBeGreaterThan(6000);
  });
});
