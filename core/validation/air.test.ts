import { beforeAll, describe, expect, it } from 'vitest';
import { assess, entryOf } from '../src/assess';
import { bitternDocument } from '../src/demo';
import { windGrowth } from '../src/design';
import { gustMargin, innerStall } from '../src/flight';
import { loadPolars } from '../testing/polarStore';
import { airAt, isaPressure, isaTemperature, saturation, sutherlandViscosity } from '../src/air';

beforeAll(loadPolars);

/** US Standard Atmosphere 1976, table I by geopotential altitude (from memory): H, T, P, rho. */
const USSA76 = [
  [0, 288.15, 101325, 1.225],
  [1000, 281.65, 89874.6, 1.1116],
  [5000, 255.65, 54019.9, 0.73612],
  [11000, 216.65, 22632.1, 0.36392],
] as const;

describe('standard atmosphere [USSA76]', () => {
  it.each(USSA76)('at %d m', (H, T, P, rho) => {
    expect(isaTemperature(H)).toBeCloseTo(T, 2);
    expect(isaPressure(H) / P).toBeCloseTo(1, 4);
    expect(airAt(H).density / rho).toBeCloseTo(1, 4);
  });
  it('viscosity at 288.15 K is 1.7894e-5 Pa s (USSA76 table, from memory)', () =>
    expect(sutherlandViscosity(288.15) / 1.7894e-5).toBeCloseTo(1, 3));
  it('speed of sound at sea level is 340.294 m/s (USSA76)', () =>
    expect(airAt(0).soundSpeed).toBeCloseTo(340.294, 2));
  it('45 degrees Celsius at sea level: density 1.110, stall 5 % faster (common practice)', () => {
    const hot = airAt(0, 318.15).density;
    expect(hot).toBeCloseTo(1.11, 2);
    expect(Math.sqrt(1.225 / hot)).toBeCloseTo(1.05, 2);
  });
  // moist air at 101 325 Pa: 1.1992 at 20 degrees and 50 % (CIPM-2007), 1.1459 at 30 and 100 %, 1.2041 dry at 20 (from memory)
  it.each([
    [303.15, 1, 1.1459],
    [293.15, 0.5, 1.1992],
    [293.15, 0, 1.2041],
  ])('moist air at %f K and %f: %f kg/m3', (T, humidity, rho) =>
    expect(airAt(0, T, humidity).density / rho).toBeCloseTo(1, 3),
  );
  it('saturated vapour: 2339 Pa at 20 degrees, 4247 Pa at 30 (steam tables, from memory)', () => {
    expect(saturation(293.15) / 2339).toBeCloseTo(1, 2);
    expect(saturation(303.15) / 4247).toBeCloseTo(1, 2);
  });
  it('38 degrees at sea level, dry: 1.134, stall 3.9 % faster (trade)', () => {
    expect(airAt(0, 311.15).density).toBeCloseTo(1.134, 3);
    expect(Math.sqrt(1.225 / airAt(0, 311.15).density)).toBeCloseTo(1.039, 3);
  });
  it('density altitude is the altitude itself on a standard day', () =>
    expect(airAt(1500).densityAltitude).toBeCloseTo(1500, 3));
  it('refuses what is outside, NaN included', () => {
    expect(() => isaTemperature(12000)).toThrow(/outside/);
    expect(() => airAt(Number.NaN)).toThrow();
    expect(() => airAt(0, 20)).toThrow();
  });
});

describe('wind by height, across and from behind', () => {
  it('the seventh-power law: 26 % more at 10 m than at 2 m (common practice)', () => {
    const site = { shear: { read: 2, flown: 10, exponent: 1 / 7 } };
    expect(windGrowth(site)).toBeCloseTo(1.258, 3);
    expect(windGrowth(site, 2)).toBe(1);
    expect(windGrowth({})).toBe(1);
  });
  it('a film flyer of 3.77 m/s stall at 1.3 times that stands 1.13 m/s from behind, not 1.5', () => {
    const wing = { stall: 3.77, half: 0.525, eta: [], ratio: [] };
    expect(gustMargin(wing, 0, 1.3 * 3.77)).toBeCloseTo(1.131, 3);
    expect(gustMargin(wing, 0, 1.3 * 3.77)).toBeLessThan(1.5);
  });
  it('at 50° of bank 1.56 g, and the stall 25 % faster', () => {
    const wing = { stall: 1, half: 1, eta: [], ratio: [] };
    expect(innerStall(wing, (50 * Math.PI) / 180)).toBeCloseTo(1.247, 3);
  });
  it('the inner tip of a hall flyer on a circle of 2 m: slower by half its span over the circle (geometry)', () => {
    // span 0.6 m, 1.2 m/s, circle of 2 m radius: turn rate 0.6 /s, the tip 0.3 m in meets 0.18 m/s less, banked little
    const bank = Math.atan(1.2 ** 2 / (9.80665 * 2)),
      slow = { stall: 0, half: 0.3, eta: [1], ratio: [0] };
    expect(1.2 - gustMargin(slow, bank, 1.2)).toBeCloseTo(0.18 * Math.cos(bank), 3);
  });
  it('wind across that the demo may land in, with steady wind: 0.2 to 0.4 of its stall (14 CFR 23.233 asks 0.2)', () => {
    const doc = bitternDocument(),
      l = assess(doc.brief, doc.design, doc.calibration);
    for (const s of doc.design.states.slice(0, 3)) {
      const steady = 1.6 * entryOf(l, 'windAcross', s.id)!.value;
      expect(steady / entryOf(l, 'stallSpeed', s.id)!.value).toBeGreaterThan(0.2);
      expect(steady / entryOf(l, 'stallSpeed', s.id)!.value).toBeLessThan(0.4);
    }
  });
});
