/**
 * Numbers pinned before a rebuilding, so that it can be seen to change none. Written by the computation itself with
 * `UPDATE_GOLDEN=1`: evidence that nothing moved, not that it is right (that is what `validation/` is for).
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  bitternCanardDocument,
  bitternDocument,
  bitternSolarDocument,
  craneDocument,
  dunlinDocument,
  gnatDocument,
  starterDocument,
  waferDocument,
  withoutStudies,
} from '../src/demo';
import { lapMission, readDocument, SCHEMA_VERSION, type DesignDocument } from '../src/design';
import { pin, type Pinned } from './pin';

const RELATIVE = 1e-9,
  /** what is nil by symmetry is so only to rounding */ NIL = 1e-12;

/** A document as an earlier version of the program stored it, brought up to this one. */
function upgraded(name: string): DesignDocument {
  const text = readFileSync(new URL(`./old/${name}.json`, import.meta.url), 'utf8'),
    read = readDocument(JSON.parse(text));
  if (read.status === 'error') throw new Error(read.message);
  return read.value;
}

/** With their reports, or the ledger alone. */
const DOCUMENTS: Record<string, [make: () => DesignDocument, reports: boolean]> = {
  bittern: [bitternDocument, true],
  gnat: [gnatDocument, true],
  wafer: [waferDocument, true],
  crane: [craneDocument, true],
  dunlin: [dunlinDocument, false],
  solar: [bitternSolarDocument, false],
  canard: [bitternCanardDocument, false],
  starter: [starterDocument, true],
  'of-schema-1': [() => upgraded('bittern-1'), false],
  'of-schema-2': [() => upgraded('gnat-2'), false],
};

/** A share that is nil is not written. */
function apart(was: Pinned[string] = 0, is: Pinned[string] = 0): boolean {
  if (typeof was !== 'number' || typeof is !== 'number') return was !== is;
  return !(Math.abs(is - was) <= RELATIVE * Math.max(Math.abs(was), Math.abs(is)) + NIL);
}

/** Places at which two differ, with both values. */
export function differences(was: Pinned, is: Pinned): string[] {
  const places = new Set([...Object.keys(was), ...Object.keys(is)]);
  return [...places].filter((k) => apart(was[k], is[k])).map((k) => `${k}: ${was[k]} -> ${is[k]}`);
}

/** Numbers to twelve figures: more is rounding. */
const written = (p: Pinned): string => {
  const rows = Object.entries(p).map(([k, v]) =>
    [k, typeof v === 'number' ? Number(v.toPrecision(12)) : v].map((x) => JSON.stringify(x)).join(': '),
  );
  return `{\n${rows.join(',\n')}\n}\n`;
};

const OF_SCHEMA_4: Record<string, () => DesignDocument> = {
  bittern: bitternDocument,
  bitternsolar: bitternSolarDocument,
  crane: craneDocument,
  gnat: gnatDocument,
  starter: starterDocument,
  wafer: waferDocument,
};

/** What bears the demos has been drawn anew since, and what they fly beside laps has been written leg by leg. */
function unborne(document: DesignDocument): object {
  const { design, brief, ...doc } = withoutStudies(document);
  const { structure: _, ...rest } = design,
    tasks = brief.tasks.map(({ mission: _m, ...t }) => t),
    laps = lapMission(brief)?.mission.id === 'laps' && brief.missions.length > 1;
  const missions = laps ? brief.missions.filter((m) => m.id === 'laps') : [];
  return { ...doc, brief: { ...brief, missions, tasks }, design: rest };
}

describe('documents stored by earlier versions', () => {
  for (const [name, make] of Object.entries(OF_SCHEMA_4))
    it(`${name} of schema 4 is the present one but for its members and missions`, () => {
      // the demo's turns were banked anew since
      const old = upgraded(`${name}-4`),
        { turnBank } = make().design.flight;
      const { design } = old,
        banked = { ...old, design: { ...design, flight: { ...design.flight, turnBank } } };
      expect(unborne(banked)).toEqual(unborne(make()));
    });
  // the canard is balanced anew when it is made, by masses as they are placed now
  const read = ['bitterncanard-4', 'crane-1', 'bittern-2', 'wafer-2', 'bittern-3', 'crane-3'];
  for (const name of [...read, 'bittern-5', 'crane-5', 'dunlin-5', 'bittern-6'])
    it(`${name} can be read`, () => expect(upgraded(name).schemaVersion).toBe(SCHEMA_VERSION));
});

describe('legs of schema 5', () => {
  it.each([
    ['bittern-5', ['takeOff', 'climb', 'straight', 'glide']],
    ['dunlin-5', ['climb', 'straight', 'drop', 'straight', 'hover']],
  ])('%s: by the kinds that are flown now', (name, kinds) => {
    const flown = upgraded(name).brief.missions.find((m) => m.id === 'flight')!;
    expect(flown.rounds.flatMap((r) => r.legs.map((l) => l.kind))).toEqual(kinds);
  });
});

describe('golden', () => {
  for (const [name, [make, reports]] of Object.entries(DOCUMENTS))
    it(`${name} comes to what it came to`, { timeout: 240_000 }, () => {
      const file = new URL(`./${name}.json`, import.meta.url),
        is = pin(make(), reports);
      if (process.env.UPDATE_GOLDEN) writeFileSync(file, written(is));
      expect(existsSync(file)).toBe(true);
      const was = JSON.parse(readFileSync(file, 'utf8')) as Pinned;
      expect(differences(was, is).slice(0, 40)).toEqual([]);
    });
});
