/** Rotors in hover and ahead, against closed forms of momentum theory. */
import { describe, expect, it } from 'vitest';
import { G0 } from '../src/air';
import { powertrainOf, factorsOf, priorCalibration } from '../src/design';
import {
  idealHoverPower,
  inducedFlow,
  INDUCED_FACTOR,
  leaningDragArea,
  liftDrive,
  propellerCurve,
  rotorFlight,
  rotorPoint,
  standingTable,
  type RotorCraft,
} from '../src/power';
import { BEGINNINGS } from '../src/start';

const RHO = 1.225;

describe('ideal hover (Rankine and Froude)', () => {
  // figures of the trade computed from T^1.5 / sqrt(2 rho A), g 9.80665, air 1.225
  it.each([
    { rotors: 4, inches: 22, mass: 6.985, ideal: 366 },
    { rotors: 4, inches: 27, mass: 22, ideal: 1666 },
    { rotors: 4, inches: 15, mass: 2.8, ideal: 136 },
  ])('$rotors rotors of $inches in carry $mass kg on $ideal W', ({ rotors, inches, mass, ideal }) => {
    const area = (rotors * Math.PI * (inches * 0.0254) ** 2) / 4;
    expect(idealHoverPower(mass * G0, area, RHO)).toBeCloseTo(ideal, 0);
  });
});

describe('induced flow (Glauert 1926)', () => {
  it('standing still is that of hover', () => expect(inducedFlow(4.2, 0, 0)).toBeCloseTo(4.2, 9));
  it.each([0.5, 1, 2, 5])('level disc at %f times it: the root of v4 + V2 v2 = vh4', (ratio) => {
    const vh = 4.2,
      v2 = (ratio * vh) ** 2;
    expect(inducedFlow(vh, ratio * vh, 0)).toBeCloseTo(Math.sqrt((Math.hypot(v2, 2 * vh * vh) - v2) / 2), 8);
  });
  it('fast: as an elliptic wing of its diameter, vh2 / V', () =>
    expect(inducedFlow(4.2, 60, 0) / (4.2 ** 2 / 60)).toBeCloseTo(1, 3));
  it('straight up it is -V/2 + sqrt(V2/4 + vh2)', () =>
    expect(inducedFlow(4.2, 5, Math.PI / 2)).toBeCloseTo(-2.5 + Math.hypot(2.5, 4.2), 8));
});

function craft(mass: number, front: number): RotorCraft {
  const { design } = BEGINNINGS.find((b) => b.id === 'multirotor-4')!.make(),
    power = powertrainOf(design),
    factors = factorsOf(priorCalibration().mean);
  const rotor = propellerCurve(power.lift!.propeller),
    drive = liftDrive(power, 4, RHO, factors, rotor, null)!;
  const frame = { front, side: front, top: front };
  return { drive, table: standingTable(drive), weight: mass * G0, frame, density: RHO };
}

describe('level flight on rotors', () => {
  const flown = craft(2, 0.03),
    found = rotorFlight(flown, 0.8);
  it('standing still takes what the blade elements take', () => {
    const p = rotorPoint(flown, 0),
      shaft = flown.table.shaft;
    expect(p.shaft).toBeGreaterThan(shaft[1]);
    const at = flown.table.thrust.findIndex((t) => t > flown.weight);
    expect(p.shaft).toBeLessThan(shaft[at]);
    expect(p.shaft).toBeGreaterThan(shaft[at - 1]);
  });
  it('least power lies where what is induced falls as fast as drag rises: V4 = k W2 / (3 rho2 A f)', () => {
    // profile power grows with speed and draws it a little lower
    const area = 4 * (Math.PI / 4) * flown.drive.curve.size.diameter ** 2,
      closed = ((INDUCED_FACTOR * flown.weight ** 2) / (3 * RHO ** 2 * area * 0.03)) ** 0.25;
    expect(found.longest!.speed / closed).toBeGreaterThan(0.85);
    expect(found.longest!.speed / closed).toBeLessThan(1.02);
  });
  it('goes farthest faster than it lasts longest, and fastest beyond both', () => {
    expect(found.farthest!.speed).toBeGreaterThan(found.longest!.speed);
    expect(found.fastest!.speed).toBeGreaterThan(found.farthest!.speed);
  });
  it('leans by the arc tangent of drag over weight', () => {
    const { lean, speed, thrust } = rotorPoint(flown, 12),
      drag = 0.5 * RHO * speed ** 2 * leaningDragArea(flown.frame, lean);
    expect(Math.tan(lean)).toBeCloseTo(drag / flown.weight, 6);
    expect(thrust * Math.cos(lean)).toBeCloseTo(flown.weight, 5);
  });
  it('a heavier one, and one with more drag, is slower, lasts less and rises less', () => {
    const heavy = rotorFlight(craft(2.3, 0.03), 0.8),
      blunt = rotorFlight(craft(2, 0.05), 0.8);
    expect(heavy.longest!.power).toBeGreaterThan(found.longest!.power);
    expect(heavy.rise).toBeLessThan(found.rise);
    expect(blunt.fastest!.speed).toBeLessThan(found.fastest!.speed);
  });
  it('descends into its wash from half to one and a half times what hover induces (Leishman, from memory)', () => {
    const vh = Math.sqrt(flown.weight / (2 * RHO * Math.PI * flown.drive.curve.size.diameter ** 2));
    expect(found.ring).toEqual([expect.closeTo(0.5 * vh, 9), expect.closeTo(1.5 * vh, 9)]);
  });
});

describe('a tilt rotor and a helicopter of the textbook [Leishman, Principles of Helicopter Aerodynamics; from memory]', () => {
  it('6500 lb on a rotor of 25 ft across: 52.7 ft/s through the disc, 623 hp without a loss (example 2.1)', () => {
    const thrust = 6500 * 0.45359237 * G0,
      area = Math.PI * (12.5 * 0.3048) ** 2,
      v = Math.sqrt(thrust / (2 * 0.002378 * 515.379 * area));
    expect(v / 0.3048).toBeCloseTo(52.7, 0);
    expect((thrust * inducedFlow(v, 0, 0)) / 745.7).toBeCloseTo(623, -1);
  });
  it('level power of a 16 000 lb helicopter falls to about half by 70 to 80 kt and is that of hover again past 130 (fig. 5.8)', () => {
    // radius 27 ft, 725 ft/s, solidity 0.083, section drag 0.008, equivalent flat plate 23 ft2, sea level
    const thrust = 16000 * 0.45359237 * G0,
      density = 1.225,
      radius = 27 * 0.3048,
      area = Math.PI * radius ** 2,
      tip = 725 * 0.3048,
      vh = Math.sqrt(thrust / (2 * density * area)),
      profile = (density * area * tip ** 3 * 0.083 * 0.008) / 8;
    const power = (v: number) =>
      1.15 * thrust * inducedFlow(vh, v, 0) +
      profile * (1 + 4.65 * (v / tip) ** 2) +
      0.5 * density * 23 * 0.3048 ** 2 * v ** 3;
    const knots = Array.from({ length: 171 }, (_, k) => k),
      at = knots.map((k) => power(k * 0.5144)),
      least = at.indexOf(Math.min(...at)),
      again = at.findIndex((p, k) => k > least && p > at[0]!);
    expect(least).toBeGreaterThan(65);
    expect(least).toBeLessThan(82);
    expect(at[least]! / at[0]!).toBeGreaterThan(0.4);
    expect(at[least]! / at[0]!).toBeLessThan(0.58);
    expect(again).toBeGreaterThan(130);
    expect(again).toBeLessThan(170);
  });
});
