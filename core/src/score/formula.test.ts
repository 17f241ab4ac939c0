import { describe, expect, it } from 'vitest';
import { compileFormula, type NameTable } from './index';

const names: NameTable = {
  laps: 'count',
  payloadCount: 'count',
  lapTime: 'time',
  mass: 'allUpMass',
  window: 'time',
  energyLeft: 'percent',
  best: null,
};
const value = (text: string, v: Record<string, number>) => {
  const f = compileFormula(text, names);
  if (f.status === 'error') throw new Error(f.message);
  return f.evaluate(v);
};

describe('formulas', () => {
  it.each([
    ['200 * payloadCount * laps / best', { payloadCount: 8, laps: 11, best: 110 }, 160],
    ['min(1, best / lapTime) * 100', { best: 20, lapTime: 25 }, 80],
    ['laps > 5 ? 10 : laps', { laps: 4 }, 4],
    ['laps > 5 ? 10 : laps', { laps: 6 }, 10],
    ['-laps^2 + 1', { laps: 3 }, -8],
    ['floor(laps / 2) + abs(-1)', { laps: 5 }, 3],
    ['(laps >= 3) * 50', { laps: 3 }, 50],
    ['2 < laps < 5', { laps: 4 }, 1],
    ['laps > 2 and laps < 3', { laps: 4 }, 0],
    ['steps(laps, 5, 10, 8, 25)', { laps: 4 }, 0],
    ['steps(laps, 5, 10, 8, 25)', { laps: 8 }, 25],
    ['table(lapTime, 20, 100, 30, 0)', { lapTime: 25 }, 50],
    ['table(lapTime, 20, 100, 30, 0)', { lapTime: 45 }, 0],
    ['rank(laps, 11, 9, 9)', { laps: 10 }, 2],
    ['rank(laps, 10, 9)', { laps: 10 }, 1],
  ] as const)('%s', (text, v, expected) => expect(value(text, v)).toBeCloseTo(expected, 9));
  it('an unknown name is named, with its place and a suggestion', () => {
    const f = compileFormula('100 * lapz / best', names);
    expect(f.status).toBe('error');
    if (f.status === 'error') {
      expect(f.message).toMatch(/“lapz”.*Did you mean “laps”/);
      expect(f.at).toBe(6);
    }
  });
  it.each(['laps +', '(laps', '3 * * 4', '', 'laps'.repeat(200)])('“%s” cannot be read', (t) =>
    expect(compileFormula(t, names).status).toBe('error'),
  );
  it.each([
    'import("fs")',
    'f(x) = 1',
    'a = 3',
    '"text"',
    '[1,2]',
    'laps.constructor',
    'cos(laps)',
    'evaluate("1")',
    'constructor',
    'toString',
    '1:3',
    'laps; 3',
    '{a: 1}',
    'laps!',
  ])('“%s” is refused by the allow-list', (t) => expect(compileFormula(t, names).status).toBe('error'));
  it('adding a time to a mass is questioned, scaling by a number is not', () => {
    const odd = compileFormula('lapTime + mass', names);
    expect(odd.status === 'ok' && odd.warnings[0]).toMatch(/a time together with a mass/);
    const fine = compileFormula('lapTime / window + 2 * energyLeft', names);
    expect(fine.status === 'ok' && fine.warnings).toEqual([]);
  });
  it('a table takes a value and pairs, and its places ascend', () => {
    const odd = compileFormula('steps(laps, 5, 10, 8)', names);
    expect(odd.status === 'error' && odd.message).toMatch(/pairs of a place and what counts there/);
    expect(value('table(laps, 8, 1, 5, 2)', { laps: 6 })).toBeNaN();
  });
  it('places of a table are of the kind of what it is read at', () => {
    const f = compileFormula('table(lapTime, mass, 1, 30, 2)', names);
    expect(f.status === 'ok' && f.warnings[0]).toMatch(/a time together with a mass/);
  });
});
