import { describe, expect, it } from 'vitest';
import {
  kindAt,
  KINDS,
  UNITS,
  formatForEditing,
  formatNumber,
  formatQuantity,
  formatSpread,
  parseQuantity,
  spreadMatters,
  type KindName,
} from './index';

const si = (text: string, kind: KindName, system: 'metric' | 'imperial' = 'metric') => {
  const r = parseQuantity(text, kind, system);
  return r.status === 'ok' ? r.si : r.message;
};

describe('parseQuantity', () => {
  it.each([
    ['2*14 in', 'length', 0.7112],
    ['1 lb 3 oz', 'mass', 0.45359237 * (1 + 3 / 16)],
    ['(1600-40)/2', 'length', 0.78],
    ['12,5 mm', 'length', 0.0125],
    ['6 ft 2 in', 'distance', 1.8796],
    ['3+2 in', 'length', 0.127],
    ['1.6 m', 'length', 1.6],
    ['-2', 'angle', (-2 * Math.PI) / 180],
    ['20 °C', 'temperature', 293.15],
    ['68 F', 'temperature', 293.15],
    ['2600 mAh', 'charge', 9360],
    ['2.6 Ah', 'charge', 9360],
    ['60 km/h', 'speed', 60 / 3.6],
    ['4 g', 'loadFactor', 4],
    ['15 %', 'percent', 0.15],
    ['7 mΩ', 'resistance', 0.007],
    ['1 h 30 min', 'duration', 5400],
    ['55 g/dm2', 'wingLoading', 5.5],
    ['1e3', 'length', 1],
  ] as const)('%s as %s', (text, kind, value) => expect(si(text, kind)).toBeCloseTo(value, 9));
  it('a bare number is in the person’s own unit', () => {
    expect(si('10', 'length', 'imperial')).toBeCloseTo(0.254, 12);
    expect(si('32', 'temperature', 'imperial')).toBeCloseTo(273.15, 9);
  });
  it.each([
    ['', /Type a number/],
    ['abc', /number was expected|not a number/],
    ['12 parsecs', /not a unit/],
    ['3 kg', /does not fit/],
    ['2 in * 3 in', /plain number/],
    ['(3', /not closed/],
    ['5 +', /stops short/],
    ['1/0', /not come to a number/],
    ['alert(1)', /expected/],
    ['9'.repeat(90), /too long/],
    ['3 mm + 2 g', /cannot be added/],
  ] as const)('%s is refused with a sentence', (text, sentence) =>
    expect(si(text, 'length')).toMatch(sentence),
  );
  it('every kind’s two units agree in dimension, and editing text reads back to the same value', () => {
    for (const [name, k] of Object.entries(KINDS)) {
      expect(UNITS[k.metric].dim, name).toBe(UNITS[k.imperial].dim);
      for (const system of ['metric', 'imperial'] as const)
        for (const x of [0.123456, 1, 37.25]) {
          const back = si(formatForEditing(x, name as KindName, system), name as KindName, system);
          expect(Math.abs(Number(back) - x), `${name} ${system}`).toBeLessThan(
            name === 'temperature' ? 1e-4 : 1e-5 * x,
          );
        }
    }
  });
});

describe('format', () => {
  it.each([
    [14.2857142, 3, '14.3'],
    [0.000346, 2, '0.00035'],
    [25346, 3, '25\u202f300'],
    [-3.2, 2, '−3.2'],
    [0, 3, '0'],
    [Number.NaN, 3, '–'],
    [1234.6, 4, '1235'],
  ] as const)('%d with %d figures', (x, f, text) => expect(formatNumber(x, f)).toBe(text));
  it('a model under 100 g has its all-up mass in grams; hundreds are counted whole', () => {
    expect(formatQuantity(0.00504, 'allUpMass', 'metric')).toBe('5.04 g');
    expect(formatQuantity(2.79, 'allUpMass', 'metric')).toBe('2.79 kg');
    expect(kindAt('mass', 0.01)).toBe('mass');
    expect(formatQuantity(423.97, 'count', 'metric')).toBe('424');
  });
  it('shows the unit, and a load factor as g', () => {
    expect(formatQuantity(8.42, 'speed', 'metric')).toBe('8.42 m/s');
    expect(formatQuantity(4, 'loadFactor', 'metric')).toBe('4 g');
    expect(formatQuantity(11, 'count', 'metric')).toBe('11');
  });
  it('a spread under a two-thousandth is not worth showing', () => {
    expect(spreadMatters(400, 0.06)).toBe(false);
    expect(spreadMatters(400, 3)).toBe(true);
  });
});

describe('a spread stands in the unit of its value', () => {
  it('an all-up mass of 12 g is ± 2.0 g, not ± 0.0020 (the unit was chosen by the spread’s own kind)', () => {
    const si = 'metric';
    expect(formatQuantity(0.012, 'allUpMass', si)).toBe('12 g');
    expect(formatSpread(0.002, 'allUpMass', si, 0.012)).toBe('2.0');
    expect(formatSpread(0.02, 'allUpMass', si, 2.4)).toBe('0.020');
  });
});
