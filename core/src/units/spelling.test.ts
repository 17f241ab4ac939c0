/** Fields take what builders write. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseQuantity, type KindName } from './index';
import { commaIsOpen, plainFigures, plainTorque } from './spelling';

const si = (text: string, kind: KindName, comma: 'decimal' | 'thousands' | null = null) => {
  const r = parseQuantity(text, kind, 'metric', comma);
  return r.status === 'ok' ? r.si : r.message;
};
const IN = 0.0254,
  LBF = 4.4482216152605;

describe('fractions', () => {
  it.each([
    ['3/16 in', (3 / 16) * IN],
    ['31 3/4 in', 31.75 * IN],
    ['1 1/2"', 1.5 * IN],
    ['2 ft 6 3/8 in', 24 * IN + 6.375 * IN],
    ['10 - 1 1/4 in', 8.75 * IN],
    ['2*(1 1/2 in)', 3 * IN],
  ] as const)('%s', (text, m) => expect(si(text, 'length')).toBeCloseTo(m, 9));
  it('law: a whole and a proper fraction are their sum, in any unit of length', () => {
    const denominators = fc.constantFrom(2, 3, 4, 8, 16, 32, 64);
    fc.assert(
      fc.property(
        fc.nat(60),
        denominators,
        fc.nat(63),
        fc.constantFrom('in', 'mm', 'cm'),
        (a, d, k, unit) => {
          const n = 1 + (k % (d - 1 || 1));
          fc.pre(n < d);
          expect(si(`${a} ${n}/${d} ${unit}`, 'length')).toBeCloseTo(
            Number(si(`${a + n / d} ${unit}`, 'length')),
            9,
          );
        },
      ),
      { seed: 91, numRuns: 200 },
    );
  });
  it('two whole numbers side by side are no mixed number', () => {
    expect(si('31 3 in', 'length')).toMatch(/not expected/);
    expect(si('31 5/4 in', 'length')).toMatch(/not expected/);
    expect(si('1.5 1/2 in', 'length')).toMatch(/not expected/);
  });
});

describe('forces, torques, densities, speeds, thin things', () => {
  it.each([
    ['1 lb 3 oz', 'force', (1 + 3 / 16) * LBF],
    ['1.2 kg', 'force', 1.2 * 9.80665],
    ['850 g', 'force', 0.85 * 9.80665],
    ['12 N', 'force', 12],
    ['25 knots', 'speed', (25 * 1852) / 3600],
    ['25 kts', 'speed', (25 * 1852) / 3600],
    ['30 mph', 'speed', 13.4112],
    ['8 lb/ft3', 'density', 128.1477],
    ['8 lb/ft^3', 'density', 128.1477],
    ['1.24 g/cm3', 'density', 1240],
    ['1.24 g/cc', 'density', 1240],
    ['4 mil', 'length', 4e-3 * IN],
    ['4 thou', 'length', 4e-3 * IN],
    ['0.4 N·m', 'moment', 0.4],
    ['3 lb-ft', 'moment', 3 * LBF * 0.3048],
    ['2.5 kg-cm', 'moment', 2.5 * 9.80665 * 0.01],
    ['2.5 kg·cm', 'moment', 2.5 * 9.80665 * 0.01],
  ] as const)('%s as %s', (text, kind, value) => expect(si(text, kind)).toBeCloseTo(value, 4));
  it.each([
    'oz-in',
    'in-oz',
    'oz in',
    'in oz',
    'oz·in',
    'ozf·in',
    'ozin',
    'inch-ounces',
    'ounce-inch',
    'OZ-IN',
    'in.oz',
    'oz*in',
  ])('12 %s is a torque of 84.7 mN·m', (unit) =>
    expect(si(`12 ${unit}`, 'smallMoment')).toBeCloseTo((12 / 16) * LBF * IN, 9),
  );
  it('a mass is no force where a mass is asked, nor a force a mass', () => {
    expect(si('1.2 N', 'mass')).toMatch(/does not fit/);
    expect(si('3 kg', 'length')).toMatch(/does not fit/);
    expect(si('2 in 3 oz', 'length')).toMatch(/cannot be added/);
  });
  it('units that only look like a torque are left alone', () => {
    expect(plainTorque('12 in²')).toBe('12 in²');
    expect(plainTorque('1 lb 3 oz')).toBe('1 lb 3 oz');
    expect(plainTorque('5 kg/m³')).toBe('5 kg/m³');
    expect(si('6 ft 2 in', 'distance')).toBeCloseTo(1.8796, 9);
  });
});

describe('times', () => {
  it.each([
    ['6:18', 'time', 378],
    ['1:02:03', 'time', 3723],
    ['0:07.5', 'time', 7.5],
    ['6:18', 'duration', 378],
    ['14:30', 'clock', 14.5 * 3600],
    ['6 min 18 s', 'time', 378],
  ] as const)('%s as %s', (text, kind, s) => expect(si(text, kind)).toBeCloseTo(s, 9));
  it('seventy seconds are no seconds of a minute, and a length is no time', () => {
    expect(si('6:70', 'time')).toMatch(/not a number/);
    expect(si('6:18', 'length')).toMatch(/not a number/);
  });
  it('law: minutes and seconds are read as written', () => {
    fc.assert(
      fc.property(fc.nat(400), fc.nat(59), fc.nat(59), (a, b, c) => {
        const two = (n: number) => String(n).padStart(2, '0');
        expect(si(`${a}:${two(b)}`, 'time')).toBe(60 * a + b);
        expect(si(`${a}:${two(b)}:${two(c)}`, 'time')).toBe(3600 * a + 60 * b + c);
      }),
      { seed: 92, numRuns: 80 },
    );
  });
});

describe('commas', () => {
  it('1,234 is asked about, with both readings, and then read as answered', () => {
    const r = parseQuantity('1,234 mm', 'length', 'metric');
    expect(r.status === 'error' && r.message).toMatch(/can be read two ways/);
    expect(r.status === 'error' && r.comma).toEqual({ decimal: 0.001234, thousands: 1.234 });
    expect(si('1,234 mm', 'length', 'decimal')).toBeCloseTo(0.001234, 12);
    expect(si('1,234 mm', 'length', 'thousands')).toBeCloseTo(1.234, 12);
  });
  it.each([
    ['12,5 mm', 0.0125],
    ['1,234,567 mm', 1234.567],
    ['1,234.5 mm', 1.2345],
    ['1.234,5 mm', 1.2345],
    ['0,75 m', 0.75],
    ['12,3456 m', 12.3456],
  ] as const)('%s is not', (text, m) => expect(si(text, 'length')).toBeCloseTo(m, 9));
  it('law: it is open exactly with one to three figures before and three behind', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99999 }), fc.integer({ min: 0, max: 99999 }), (a, b) => {
        expect(commaIsOpen(`${a},${b}`)).toBe(String(a).length <= 3 && String(b).length === 3);
      }),
      { seed: 93, numRuns: 300 },
    );
  });
  it('law: figures without a comma are left alone', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (x) => {
        const text = x.toFixed(4);
        expect(plainFigures(text, null)).toBe(text);
        expect(commaIsOpen(text)).toBe(false);
      }),
      { seed: 94, numRuns: 100 },
    );
  });
});
