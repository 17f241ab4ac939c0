/** Files from outside, cut, garbled and mixed up: every reader answers with what it read or a sentence, and never throws. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternProject } from '@skiametra/core/demo';
import { naca4 } from '@skiametra/core/section';
import {
  MAX_BENCH_BYTES,
  MAX_PROJECT_BYTES,
  parseBenchCsv,
  parseCoefficientCsv,
  parseDat,
  parsePolarCsv,
  parseProjectJson,
  writeBenchCsv,
  writeDat,
  writeProjectJson,
} from './index';

type Answer = { status: string; message?: string };
const READERS: Record<string, (text: string) => Answer> = {
  section: (t) => parseDat(t),
  bench: parseBenchCsv,
  coefficients: parseCoefficientCsv,
  polar: parsePolarCsv,
  project: parseProjectJson,
};

const c = naca4('2412', 41);
const outline = Array.from({ length: 41 }, (_, i) => [c.xy[2 * i], c.xy[2 * i + 1]] as [number, number]);
const lines = (head: string, row: (i: number) => (number | string)[], n = 20) =>
  [head, ...Array.from({ length: n }, (_, i) => row(i).join(','))].join('\n');
/** A good file for each reader. */
const GOOD: Record<string, string> = {
  section: writeDat('Plain', outline),
  bench: lines('throttle,volts,amps,thrust,rpm', (i) => [i / 20, 15, i, i / 2, 300 * i]),
  coefficients: lines('J,CT,CP', (i) => [i / 20, 0.1 - i / 250, 0.05 - i / 600]),
  polar: lines('alpha,cl,cd', (i) => [i - 5, 0.1 * (i - 5) + 0.4, 0.01]),
  project: writeProjectJson(bitternProject()),
};

const sentence = (a: Answer, of: string) => {
  if (a.status !== 'error') return;
  expect(a.message, of).toMatch(/^[A-Z0-9“].*[.?]$/s);
  expect(a.message!.length, of).toBeLessThan(600);
  expect(a.message, of).not.toMatch(/undefined|\[object|NaN|at \S+ \(/);
};

describe.each(Object.keys(READERS))('%s', (name) => {
  const read = READERS[name]!,
    good = GOOD[name]!;
  it('reads its own good file', () => expect(read(good).status).toBe('ok'));
  it('law: any text is read or refused with a sentence', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300, unit: 'binary' }), (text) => sentence(read(text), name)),
      { seed: 51, numRuns: 120 },
    );
  });
  it('law: a good file cut short anywhere is read in part or refused with a sentence', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) =>
        sentence(read(good.slice(0, Math.floor(share * good.length))), name),
      ),
      { seed: 52, numRuns: 60 },
    );
  });
  it('law: a good file with a piece overwritten is read or refused with a sentence', () => {
    const piece = fc.constantFrom(
      '',
      '\u0000',
      ',,,',
      '"',
      '{',
      '}',
      '1e999',
      'NaN',
      '-',
      '\n\n',
      '😀',
      '=1+1',
      '\ufeff',
    );
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(40), piece, (share, width, p) => {
        const at = Math.floor(share * good.length);
        sentence(read(good.slice(0, at) + p + good.slice(at + width)), name);
      }),
      { seed: 53, numRuns: name === 'project' ? 60 : 150 },
    );
  });
  it('law: another reader’s file is refused with a sentence', () => {
    for (const [other, text] of Object.entries(GOOD))
      if (other !== name) {
        const a = read(text);
        expect(a.status, `${other} read as ${name}`).toBe('error');
        sentence(a, `${other} read as ${name}`);
      }
  });
  it('reads the same with the line ends of another system and a byte order mark', () => {
    if (name === 'project') return expect(read(good.replaceAll('\n', '\r\n')).status).toBe('ok');
    expect(read(good.replaceAll('\n', '\r\n')).status).toBe('ok');
    expect(read(`\ufeff${good}`).status).toBe('ok');
  });
});

describe('size', () => {
  it.each([
    ['bench', MAX_BENCH_BYTES, /MB/],
    ['project', MAX_PROJECT_BYTES, /40 MB/],
    ['polar', 200_000, /200 kB/],
    ['section', 200_000, /200 kB/],
  ] as const)('%s files over %d bytes are refused before they are read', (name, most, said) => {
    const before = performance.now();
    const a = READERS[name]!('x'.repeat(most + 1));
    expect(a.status).toBe('error');
    expect(a.message).toMatch(said);
    expect(performance.now() - before).toBeLessThan(500);
  });
});

describe('what is written is read again', () => {
  it('law: an outline to the figures of its file', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Z][a-z]{2,12} [0-9]{1,3}$/), (name) => {
        const r = parseDat(writeDat(name, outline));
        expect(r.status === 'ok' && r.name).toBe(name);
        if (r.status === 'ok')
          r.points.forEach((p, i) => {
            expect(p[0]).toBeCloseTo(outline[i]![0], 5);
            expect(p[1]).toBeCloseTo(outline[i]![1], 5);
          });
      }),
      { seed: 54, numRuns: 20 },
    );
  });
  it('law: bench rows to the figures of their file', () => {
    const row = fc.tuple(
      fc.integer({ min: 0, max: 600 }),
      fc.integer({ min: 0, max: 100 }).map((p) => p / 100),
      fc.integer({ min: 60, max: 250 }).map((v) => v / 10),
      fc.integer({ min: 0, max: 800 }).map((a) => a / 10),
      fc.integer({ min: 0, max: 400 }).map((t) => t / 10),
      fc.integer({ min: 0, max: 1200 }),
      fc.constant(null),
    );
    fc.assert(
      fc.property(fc.array(row, { minLength: 2, maxLength: 30 }), (rows) => {
        const r = parseBenchCsv(writeBenchCsv(rows));
        expect(r.status).toBe('ok');
        if (r.status === 'ok')
          // rpm and percent are written whole or to a tenth
          r.rows.forEach((x, i) =>
            x.slice(0, 6).forEach((v, k) => expect(Math.abs(v! - rows[i]![k]!)).toBeLessThan(0.06)),
          );
      }),
      { seed: 55, numRuns: 40 },
    );
  });
  it('a project, byte for byte once it is in the reader’s order', () => {
    const again = (text: string) => {
      const r = parseProjectJson(text);
      return r.status === 'ok' ? writeProjectJson(r.value) : r.message;
    };
    const once = again(GOOD.project!);
    expect(again(once)).toBe(once);
    expect(JSON.parse(once)).toEqual(JSON.parse(GOOD.project!));
  });
});
