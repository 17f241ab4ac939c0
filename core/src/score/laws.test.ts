/** Laws of the score's language: what is written is what is computed, and what cannot be read says where. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compileFormula, type NameTable } from './index';

const names: NameTable = { laps: 'count', best: null, lapTime: 'time', mass: 'allUpMass', window: 'time' };
const NAMES = Object.keys(names);

/** A formula beside the number it must come to, worked out here and not by the parser. */
interface Written {
  text: string;
  of: (v: Record<string, number>) => number;
}

const { written } = fc.letrec<{
  written: Written;
  leaf: Written;
  pair: Written;
  call: Written;
  choice: Written;
}>((tie) => ({
  leaf: fc.oneof(
    fc.integer({ min: 0, max: 999 }).map((n): Written => ({ text: String(n), of: () => n })),
    fc
      .double({ min: 0.001, max: 999, noNaN: true })
      .map((n): Written => ({ text: n.toFixed(4), of: () => Number(n.toFixed(4)) })),
    fc.constantFrom(...NAMES).map((n): Written => ({ text: n, of: (v) => v[n] })),
  ),
  pair: fc
    .tuple(tie('written'), fc.constantFrom('+', '-', '*', '<', '>=', '=='), tie('written'))
    .map(([a, op, b]): Written => {
      const run: Record<string, (x: number, y: number) => number> = {
        '+': (x, y) => x + y,
        '-': (x, y) => x - y,
        '*': (x, y) => x * y,
        '<': (x, y) => (x < y ? 1 : 0),
        '>=': (x, y) => (x >= y ? 1 : 0),
        '==': (x, y) => (x === y ? 1 : 0),
      };
      return { text: `(${a.text} ${op} ${b.text})`, of: (v) => run[op](a.of(v), b.of(v)) };
    }),
  call: fc
    .tuple(fc.constantFrom('min', 'max'), tie('written'), tie('written'))
    .map(([name, a, b]): Written => ({
      text: `${name}(${a.text}, ${b.text})`,
      of: (v) => (name === 'min' ? Math.min(a.of(v), b.of(v)) : Math.max(a.of(v), b.of(v))),
    })),
  choice: fc.tuple(tie('written'), tie('written'), tie('written')).map(([c, t, f]): Written => ({
    text: `(${c.text} > 10 ? ${t.text} : ${f.text})`,
    of: (v) => (c.of(v) > 10 ? t.of(v) : f.of(v)),
  })),
  written: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    tie('leaf'),
    tie('pair'),
    tie('call'),
    tie('choice'),
  ),
}));
const values = fc.record(Object.fromEntries(NAMES.map((n) => [n, fc.integer({ min: 0, max: 500 })])));

describe('a formula that is read', () => {
  it('law: comes to what its own parts come to', () => {
    fc.assert(
      fc.property(written, values, (w, v) => {
        fc.pre(w.text.length <= 500);
        const f = compileFormula(w.text, names);
        expect(f.status, w.text).toBe('ok');
        if (f.status === 'ok') expect(f.evaluate(v)).toBe(w.of(v));
      }),
      { seed: 21, numRuns: 300 },
    );
  });
  it('law: names exactly the quantities it reads', () => {
    fc.assert(
      fc.property(written, (w) => {
        fc.pre(w.text.length <= 500);
        const f = compileFormula(w.text, names);
        const seen = new Set(w.text.match(/[A-Za-z]+/g)?.filter((x) => NAMES.includes(x)) ?? []);
        if (f.status === 'ok') expect(new Set(f.names)).toEqual(seen);
      }),
      { seed: 22, numRuns: 150 },
    );
  });
  it('law: spaces and brackets around the whole change nothing', () => {
    fc.assert(
      fc.property(written, values, fc.nat(3), (w, v, n) => {
        fc.pre(w.text.length <= 450);
        const plain = compileFormula(w.text, names),
          wrapped = compileFormula(`${' '.repeat(n)}((${w.text}))${' '.repeat(n)}`, names);
        if (plain.status === 'ok' && wrapped.status === 'ok')
          expect(wrapped.evaluate(v)).toBe(plain.evaluate(v));
        expect(wrapped.status).toBe(plain.status);
      }),
      { seed: 23, numRuns: 100 },
    );
  });
  it('law: dividing a kind by its own kind is a plain number and is never questioned', () => {
    for (const [name, other] of [
      ['lapTime', 'window'],
      ['window', 'lapTime'],
    ])
      for (const rest of ['+ 1', '* 100 + laps', '- best']) {
        const f = compileFormula(`${name} / ${other} ${rest}`, names);
        expect(f.status === 'ok' && f.warnings, `${name} / ${other} ${rest}`).toEqual([]);
      }
  });
});

describe('a formula that is not', () => {
  it('law: any text is read or refused with a sentence and a place in it; nothing is thrown', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80, unit: 'grapheme' }), (text) => {
        const f = compileFormula(text, names);
        if (f.status === 'ok') return;
        expect(f.message).toMatch(/^[A-Z“].*[.?]$/s);
        expect(f.at).toBeGreaterThanOrEqual(0);
        expect(f.at).toBeLessThanOrEqual(Math.max(1, text.length));
      }),
      { seed: 24, numRuns: 500 },
    );
  });
  it('law: a name of ours misspelt by a letter is suggested', () => {
    fc.assert(
      fc.property(fc.constantFrom(...NAMES), fc.nat(20), (name, at) => {
        const i = at % name.length,
          wrong = `${name.slice(0, i)}q${name.slice(i + 1)}`;
        const f = compileFormula(`3 * ${wrong}`, names);
        expect(f.status).toBe('error');
        if (f.status === 'error') {
          expect(f.message).toContain(`“${wrong}” is not a name known here`);
          expect(f.message).toContain(`“${name}”`);
          expect(f.at).toBe(4);
        }
      }),
      { seed: 25, numRuns: 60 },
    );
  });
  it('a formula of 500 characters is read and one of 501 is not', () => {
    const long = (n: number) => `${'1 + '.repeat(124)}${'1'.repeat(n - 496)}`;
    expect(compileFormula(long(500), names).status).toBe('ok');
    const over = compileFormula(long(501), names);
    expect(over.status === 'error' && over.message).toMatch(/500 characters at most/);
  });
  it.each([
    ['min()', /takes 1 or more values/],
    ['sqrt(1, 2)', /takes 1 value\./],
    ['2 laps', null],
    ['laps % * 200', null],
    ['laps & best', /“&” cannot be used here/],
    ['not laps', /“not” cannot be used here/],
  ] as const)('“%s”', (text, sentence) => {
    const f = compileFormula(text, names);
    if (sentence === null) expect(f.status === 'ok' && f.evaluate({ laps: 4 })).toBe(8);
    else expect(f.status === 'error' && f.message).toMatch(sentence);
  });
  it('dividing by nothing is infinite, not a throw: the score decides what to say of it', () => {
    const f = compileFormula('laps / best', names);
    expect(f.status === 'ok' && f.evaluate({ laps: 3, best: 0 })).toBe(Infinity);
    expect(f.status === 'ok' && f.evaluate({ laps: 0, best: 0 })).toBeNaN();
  });
});

describe('what cannot be a formula', () => {
  const piece = fc.constantFrom(
    ...'( ) [ ] { } . , ; : ? + - * / ^ % ! = < > & | " \' ` @ # $ \\ laps best import eval constructor __proto__ f(x)=x 1e999 NaN'.split(
      ' ',
    ),
    ...NAMES,
  );
  it('is refused with a sentence, quickly, and runs nothing that is not listed', () => {
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 120 }), (parts) => {
        const text = parts.join(' '),
          f = compileFormula(text, names);
        if (f.status === 'error') {
          expect(f.message.length).toBeGreaterThan(0);
          expect(f.at).toBeGreaterThanOrEqual(0);
          return;
        }
        expect(f.names.every((n) => NAMES.includes(n))).toBe(true);
        expect(typeof f.evaluate({ laps: 1, best: 1, lapTime: 1, mass: 1, window: 1 })).toBe('number');
      }),
      { numRuns: 2000 },
    );
  });
  it('however deep it is nested, it is read or refused and never breaks', () => {
    for (const deep of [
      '('.repeat(240) + '1' + ')'.repeat(240),
      'abs('.repeat(99) + '1' + ')'.repeat(99),
      '-'.repeat(499) + '1',
    ])
      expect(['ok', 'error']).toContain(compileFormula(deep, names).status);
  });
});
