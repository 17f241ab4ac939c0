/** Sentences: every fact in the person's units, nothing left unsaid, no word that nobody says. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess, StepCache } from '../assess';
import { layoutReport, powerReport } from '../views';
import { bitternDocument, bitternSolarDocument, craneDocument, gnatDocument, waferDocument } from '../demo';
import { setPath, type DesignDocument } from '../design';
import { WORDS, say, sentence, type AnySaid } from './index';

/** Everything that is said anywhere in a value. */
function saidIn(value: unknown, into: AnySaid[] = []): AnySaid[] {
  if (typeof value !== 'object' || value === null) return into;
  if ('code' in value && 'fields' in value) into.push(value as AnySaid);
  for (const v of Object.values(value)) saidIn(v, into);
  return into;
}

/** A ledger and the reports of all states, of a design that is rather wrong. */
function heard(doc: DesignDocument): AnySaid[] {
  const { brief, design, calibration } = doc,
    cache = new StepCache(),
    ledger = assess(brief, design, calibration, cache);
  return saidIn([
    ledger,
    design.states.map((l) => [
      layoutReport({ brief, design, calibration }, ledger, l.id, cache),
      powerReport(brief, design, calibration, ledger, l.id, cache),
    ]),
  ]);
}

const wrong = (doc: DesignDocument): DesignDocument =>
  [
    ['brief.site.stripLength', 6],
    ['design.structure.members.spar.shape.outer', 0.006],
    ['design.drives.main.controller.maxCurrent', 12],
    ['design.items.battery.x', 0.5],
    ['design.claims', { payload: 1, hoverPower: 60, topSpeed: 90, flightTime: 9e4, thrust: 90, current: 90 }],
  ].reduce((d, [path, value]) => setPath(d, path as string, value), doc);

/** Without what only looks like a unit: load factors, cells in parallel, and what a person called a state. */
function unitsOf(said: AnySaid, units: 'metric' | 'imperial'): string {
  const { state, name, kind } = said.fields;
  if (kind === 'loadFactor') return '';
  const called = (x: unknown) => (typeof x === 'string' && x !== '' ? x : '\0');
  return sentence(said, units)
    .replaceAll(called(state), '')
    .replaceAll(called(name), '')
    .replace(/\d+ in parallel/g, '')
    .replace(/(breaks? at|break at|failure at|needs|asks|with a factor of [\d.]+ needs|;) [−\d.]+ g/g, '');
}

const METRIC = /\d (mm|m|m\/s|g|kg|N|mN·m|g\/dm²|cm²|dm²|m²)(?![\w/·²])|°C/,
  IMPERIAL = /\d (in|ft|mph|oz|lb|lbf|in²|oz\/ft²)(?![\w/·²])|°F/;

describe.each([
  ['Bittern', bitternDocument],
  ['Bittern, wrong', () => wrong(bitternDocument())],
  ['Crane', craneDocument],
  ['Crane, wrong', () => wrong(craneDocument())],
  ['Gnat', gnatDocument],
  ['Wafer', waferDocument],
  ['long wing', bitternSolarDocument],
] as const)('%s', (_name, make) => {
  const all = heard(make());
  it('says something', () => expect(all.length).toBeGreaterThan(3));
  it('says every fact in the units that are asked for, and mixes none', () => {
    for (const said of all) {
      expect(unitsOf(said, 'imperial'), said.code).not.toMatch(METRIC);
      expect(unitsOf(said, 'metric'), said.code).not.toMatch(IMPERIAL);
    }
  });
  it('leaves no hole in a sentence', () => {
    for (const said of all)
      for (const units of ['metric', 'imperial'] as const)
        expect(sentence(said, units), said.code).not.toMatch(/undefined|NaN|\[object|Infinity/);
  });
  it('survives a copy to another thread', () => {
    for (const said of all) expect(sentence(structuredClone(said))).toBe(sentence(said));
  });
});

describe('words', () => {
  it('a code that is not known is said as it is, never thrown', () =>
    fc.assert(
      fc.property(fc.string(), (code) => {
        fc.pre(!Object.hasOwn(WORDS, code));
        expect(sentence({ code, fields: {} })).toBe(code);
      }),
    ));
  it('a length has as many figures in inches as in millimetres', () => {
    const moved = say('balance-moves', { moves: [{ name: 'Battery', by: -0.031, across: false }] });
    expect(sentence(moved, 'metric')).toBe('Move the battery 31 mm forward.');
    expect(sentence(moved, 'imperial')).toBe('Move the battery 1.2 in forward.');
  });
  it('law: the same length within half of the last figure, whichever way it is written', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.9, noNaN: true }), (by) => {
        const text = (units: 'metric' | 'imperial') =>
          Number(/[\d.]+(?= (mm|in))/.exec(sentence(say('move-item', { name: 'x', by }), units))![0]);
        expect(Math.abs(text('metric') / 1000 - by)).toBeLessThanOrEqual(0.000501);
        expect(Math.abs(text('imperial') * 0.0254 - by)).toBeLessThanOrEqual(0.06 * by);
      }),
    ));
  it('no code is worded that nobody says', () => {
    const root = new URL('../../../', import.meta.url).pathname;
    const files = ['core/src', 'web/parts', 'web/stations'].flatMap((d) =>
      readdirSync(join(root, d), { recursive: true, encoding: 'utf8' })
        .map((f) => join(root, d, f))
        .filter((f) => /\.tsx?$/.test(f) && !/\.test\.|\/words\//.test(f)),
    );
    const text = files.map((f) => readFileSync(f, 'utf8')).join('\n');
    const silent = Object.keys(WORDS).filter((c) => !text.includes(`'${c}'`) && !c.startsWith('out-'));
    expect(silent).toEqual([]);
  });
});
