/** Laws of units: what is typed is what is kept, in whichever unit, and what is shown can be typed again. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatForEditing,
  formatMeasured,
  formatNumber,
  formatQuantity,
  formatSpread,
  formatValue,
  fromShown,
  KINDS,
  parseQuantity,
  shownUnit,
  toShown,
  unitLabel,
  UNITS,
  type KindName,
} from './index';

const kinds = Object.keys(KINDS) as KindName[];
const SYSTEMS = ['metric', 'imperial'] as const;
const kind = fc.constantFrom(...kinds),
  system = fc.constantFrom(...SYSTEMS);
const number = fc.double({ min: -1e5, max: 1e5, noNaN: true });
const typed = (text: string, k: KindName, s: (typeof SYSTEMS)[number]) => {
  const r = parseQuantity(text, k, s);
  return r.status === 'ok' ? r.si : Number.NaN;
};
const plain = (shown: string) => Number(shown.replace(/\s/g, '').replace('−', '-'));

describe('conversion', () => {
  it('law: to the shown unit and back is the same number, for every unit', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(UNITS)), number, (u, x) => {
        const unit = u as keyof typeof UNITS;
        expect(Math.abs(fromShown(toShown(x, unit), unit) - x)).toBeLessThan(
          1e-9 * (1 + Math.abs(x)) + 1e-10,
        );
      }),
      { seed: 31, numRuns: 300 },
    );
  });
  it('law: one unit of one system is the same length of the other by the same factor both ways', () => {
    for (const k of kinds) {
      const [m, i] = SYSTEMS.map((s) => shownUnit(k, s));
      const factor = toShown(1, i) - toShown(0, i),
        back = toShown(1, m) - toShown(0, m);
      expect(factor, k).toBeGreaterThan(0);
      expect(back, k).toBeGreaterThan(0);
      expect(UNITS[m].dim, k).toBe(UNITS[i].dim);
    }
  });
  it.each([
    ['length', 'imperial', 0.0254, 1],
    ['speed', 'metric', 1, 1],
    ['allUpMass', 'metric', 1, 1],
    ['percent', 'metric', 0.01, 1],
  ] as const)('%s in %s: %d is shown as %d (by definition of the unit)', (k, s, si, shown) =>
    expect(toShown(si, shownUnit(k, s))).toBeCloseTo(shown, 9),
  );
});

describe('typing', () => {
  it('law: a bare number is in the unit of the field', () => {
    fc.assert(
      fc.property(kind, system, fc.integer({ min: 0, max: 9999 }), (k, s, n) => {
        const expected = fromShown(n, shownUnit(k, s));
        expect(typed(String(n), k, s)).toBeCloseTo(
          expected,
          9 - Math.ceil(Math.log10(1 + Math.abs(expected))),
        );
      }),
      { seed: 32, numRuns: 200 },
    );
  });
  it('law: with its unit written out the system of the field does not matter', () => {
    fc.assert(
      fc.property(kind, fc.integer({ min: 1, max: 999 }), (k, n) => {
        const label = unitLabel(shownUnit(k, 'imperial'));
        // an inverse unit is read, never typed
        fc.pre(label !== '' && !/^\/|\(/.test(label));
        const [a, b] = SYSTEMS.map((s) => typed(`${n} ${label}`, k, s));
        expect(a, `${n} ${label} as ${k}`).toBe(b);
        expect(Number.isFinite(a), `${n} ${label} as ${k}`).toBe(true);
      }),
      { seed: 33, numRuns: 200 },
    );
  });
  it('law: sums and multiples in brackets are arithmetic', () => {
    const int = fc.integer({ min: 1, max: 200 });
    fc.assert(
      fc.property(int, int, int, (a, b, c) => {
        expect(typed(`(${a}+${b})*${c} mm`, 'length', 'metric')).toBeCloseTo(((a + b) * c) / 1000, 9);
        expect(typed(`${a} mm + ${b} mm`, 'length', 'metric')).toBeCloseTo((a + b) / 1000, 12);
        expect(typed(`${a * c}/${c} mm`, 'length', 'metric')).toBeCloseTo(a / 1000, 12);
      }),
      { seed: 34, numRuns: 100 },
    );
  });
  it('a unit after a quotient closes the whole of it (refused before)', () => {
    expect(typed('35/2 mm', 'length', 'metric')).toBeCloseTo(0.0175, 12);
    expect(typed('3/4 in', 'length', 'metric')).toBeCloseTo(0.01905, 12);
    expect(typed('7/8 in + 1/8 in', 'length', 'metric')).toBeCloseTo(0.0254, 12);
    expect(typed('6 mm/2 mm', 'length', 'metric')).toBeNaN();
  });
  it('law: a comma and a point are the same', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.nat(99), (a, b) => {
        const point = typed(`${a}.${String(b).padStart(2, '0')}`, 'length', 'metric');
        expect(typed(`${a},${String(b).padStart(2, '0')}`, 'length', 'metric')).toBe(point);
      }),
      { seed: 35, numRuns: 60 },
    );
  });
  it('law: what an edit field shows reads back to seven figures', () => {
    fc.assert(
      fc.property(kind, system, fc.double({ min: 0.001, max: 9000, noNaN: true }), (k, s, x) => {
        const back = typed(formatForEditing(x, k, s), k, s);
        // a temperature is shifted before it is cut to seven figures
        expect(Math.abs(back - x)).toBeLessThan(k === 'temperature' ? 2e-3 : 2e-6 * x + 1e-12);
      }),
      { seed: 36, numRuns: 300 },
    );
  });
  it('law: any text is a number or a sentence', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60, unit: 'grapheme' }), kind, system, (text, k, s) => {
        const r = parseQuantity(text, k, s);
        if (r.status === 'ok') expect(Number.isFinite(r.si)).toBe(true);
        else expect(r.message).toMatch(/[.!?]$/);
      }),
      { seed: 37, numRuns: 500 },
    );
  });
});

describe('showing', () => {
  it('law: a shown number is right to half of its last figure', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-3, max: 9999, noNaN: true }),
        fc.integer({ min: 2, max: 5 }),
        (x, figures) => {
          const magnitude = Math.floor(Math.log10(x));
          expect(Math.abs(plain(formatNumber(x, figures)) - x)).toBeLessThanOrEqual(
            0.5000001 * 10 ** Math.max(magnitude - figures + 1, -6) + 1e-15,
          );
        },
      ),
      { seed: 38, numRuns: 400 },
    );
  });
  it('law: the sign is kept, and a number that rounds to nothing has none', () => {
    fc.assert(
      fc.property(number, fc.integer({ min: 2, max: 5 }), (x, f) => {
        const text = formatNumber(x, f);
        expect(text).not.toContain('-');
        if (plain(text) === 0) expect(text).not.toContain('−');
        else expect(text.startsWith('−')).toBe(x < 0);
      }),
      { seed: 39, numRuns: 300 },
    );
  });
  it('law: never an exponent, never “NaN”, whatever is shown', () => {
    fc.assert(
      fc.property(
        kind,
        system,
        fc.oneof(number, fc.constantFrom(Number.NaN, Infinity, -Infinity)),
        (k, s, x) => {
          const text = formatQuantity(x, k, s);
          expect(text).not.toMatch(/NaN|Infinity|\de[+-]?\d/);
          expect(text.length).toBeGreaterThan(0);
        },
      ),
      { seed: 40, numRuns: 400 },
    );
  });
  it('law: a spread is scaled and never shifted: half of it is half', () => {
    fc.assert(
      fc.property(kind, system, fc.double({ min: 0.01, max: 50, noNaN: true }), (k, s, x) => {
        const one = plain(formatSpread(x, k, s, 20)),
          half = plain(formatSpread(x / 2, k, s, 20));
        fc.pre(half > 1e-3);
        // one digit where it begins with 3 or more
        expect(Math.abs(half / one - 0.5)).toBeLessThan(0.1);
      }),
      { seed: 41, numRuns: 200 },
    );
  });
  it('law: a larger value is never shown as a smaller number', () => {
    fc.assert(
      fc.property(kind, system, number, fc.double({ min: 0, max: 1e4, noNaN: true }), (k, s, x, by) => {
        fc.pre(k !== 'count');
        expect(plain(formatValue(x + by, k, s))).toBeGreaterThanOrEqual(plain(formatValue(x, k, s)) - 1e-9);
      }),
      { seed: 42, numRuns: 300 },
    );
  });

  // every kind at every size, with a spread from a millionth to all of it
  const size = fc.integer({ min: -7, max: 5 }),
    shown = fc
      .tuple(fc.double({ min: 1, max: 9.999, noNaN: true }), size, fc.constantFrom(1, -1))
      .map(([a, m, sign]) => sign * a * 10 ** m);
  it('law: no false zeros, no −0, no hyphen for a minus, thin spaces in thousands', () => {
    fc.assert(
      fc.property(kind, system, shown, (k, s, x) => {
        const text = formatValue(fromShown(x, shownUnit(k, s)), k, s);
        expect(text).toMatch(/^−?(\d{1,4}|\d{1,3}(\u202f\d{3})+)(\.\d*[1-9])?$/);
        expect(text).not.toBe('−0');
      }),
      { seed: 43, numRuns: 1500 },
    );
  });
  it('law: with a spread both end at the same decimal, of two digits at most', () => {
    const share = fc.integer({ min: -3, max: 0 }).map((m) => 10 ** m);
    fc.assert(
      fc.property(kind, system, shown, share, (k, s, x, part) => {
        fc.pre(k !== 'count');
        const unit = shownUnit(k, s),
          sigma = Math.abs(fromShown(x * part, unit) - fromShown(0, unit));
        const [value, spread] = formatMeasured(fromShown(x, unit), sigma, k, s)
          .replace(/[^\d.\u202f−±]/g, ' ')
          .split('±');
        fc.pre(spread !== undefined);
        const decimals = (t: string) => t.trim().split(' ')[0].split('.')[1]?.length ?? 0,
          digits = spread.trim().split(' ')[0].replace(/[.\s]/g, '').replace(/^0+/, '');
        expect(decimals(value)).toBe(decimals(spread));
        if (decimals(spread) > 0) expect(digits.length).toBeLessThanOrEqual(2);
        expect(value).not.toMatch(/−0(\.0*)?\s/);
      }),
      { seed: 44, numRuns: 1500 },
    );
  });
});
