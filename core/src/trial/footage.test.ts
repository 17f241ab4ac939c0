/** A flight of which only the picture on the ground is left. */
import { describe, expect, it } from 'vitest';
import { emptyFootage, emptyRecord, type TestBody } from '../design';
import { footageMeasurements, footageRemarks } from './footage';
import { reduceRecord } from './reduceRecord';

const none = emptyFootage();
const of = (f: Partial<NonNullable<TestBody['record']['footage']>>, mass: number | null = 1.9) =>
  footageMeasurements({ ...none, ...f }, mass, 'flight');
const value = (list: ReturnType<typeof of>, q: string) => list.find((m) => m.quantity === q)?.value;

describe('figures of a picture', () => {
  it('opposite passes of 23.4 and 15.8 m/s: airspeed 19.6, wind 3.8 (fact of the trade: mean and half the difference)', () => {
    const m = of({ pass: 23.4, passBack: 15.8 });
    expect(value(m, 'log-airspeed')).toBeCloseTo(19.6, 9);
    expect(value(m, 'log-windSpeed')).toBeCloseTo(3.8, 9);
    expect(m.every((x) => x.setAside && x.reason)).toBe(true);
  });
  it('212 m in 96 s climb 2.21 m/s, with its spread, and may teach', () => {
    const [m] = of({ height: 212, seconds: 96 });
    expect(m.value).toBeCloseTo(2.208, 3);
    expect(m.sigma).toBeLessThan(0.05);
    expect(m.setAside).toBe(false);
  });
  it('24.8 A less 0.6 at four cells of 3.52 V: 179 W/kg of 1.9 kg; the resting 3.86 V would say 197', () => {
    const f = { amps: 24.8, ampsRest: 0.6, voltsLoaded: 4 * 3.52, voltsRest: 4 * 3.86 };
    expect(value(of(f), 'powerToWeight')).toBeCloseTo(179.3, 1);
    expect(footageRemarks({ ...none, ...f }, 1.9).join()).toMatch(/197 W\/kg: 10 % too much/);
  });
  it('what is missing is asked for, and nothing is made up for it', () => {
    expect(of({ pass: 20 })).toEqual([]);
    expect(of({ amps: 20, voltsRest: 16 })).toEqual([]);
    expect(footageRemarks({ ...none, amps: 20, voltsRest: 16 }, null).join()).toMatch(
      /mass.*motor off say nothing/,
    );
    expect(footageRemarks({ ...none, passBack: 20 }, 1).join()).toMatch(/One pass alone/);
  });
  it('stands beside what was typed and timed, under its own source', () => {
    const body = {
      card: { state: 'flight' },
      record: { ...emptyRecord({ flown: true, mass: 1.9 }), footage: { ...none, height: 212, seconds: 96 } },
    } as unknown as TestBody;
    expect(reduceRecord(body).map((m) => [m.quantity, m.source])).toEqual([
      ['mass', 'typed'],
      ['climbRate', 'footage'],
    ]);
  });
});
