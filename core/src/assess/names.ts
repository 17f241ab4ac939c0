/**
 * Names that the formulas of tasks may use. Plain ones are numbers of the state that flies the task, figures of the course
 * and of the field; with a point they are numbers of a mission, of a leg or of another state: `relay.time`,
 * `relay.out.volts` or `out.volts`, `ferry.mass`.
 */
import { legIds, wordOf, type Brief, type Design, type Mission } from '../design';
import type { NameTable } from '../score';
import {
  ALL,
  LEG_IDS,
  MISSION_IDS,
  OF_LEG,
  OF_MISSION,
  QUANTITIES,
  refText,
  type QuantityDef,
  type QuantityId,
} from '../steps';
import type { KindName } from '../units';

/** Where the number of a name stands. */
interface Meant {
  readonly kind: KindName | null;
  readonly id: QuantityId;
  /** what it is, for a list to choose from */ readonly what: string;
  /** by the state that flies the task: the first of these that there is */ keys(
    flown: string,
  ): readonly string[];
}

export interface Names {
  readonly table: NameTable;
  /** by name with a point */ readonly meant: ReadonlyMap<string, Meant>;
}

const CONSTANTS: Record<string, KindName | null> = { window: 'time', timedLaps: null };

/** Quantities that stand alone: no points, and none that needs a mission to be named with it. */
const PLAIN: readonly QuantityDef[] = Object.values(QUANTITIES).filter(
  (q) => q.station !== 'score' && q.of === undefined,
);

const keysAt =
  (id: QuantityId, place: { part: string; leg?: string }) =>
  (flown: string): string[] =>
    [flown, ALL].map((state) => refText({ id, state, ...place }));

function ofMission(m: Mission, put: (name: string, meant: Meant) => void): void {
  const word = wordOf(m.id);
  for (const id of MISSION_IDS)
    put(`${word}.${OF_MISSION[id].after}`, {
      kind: OF_MISSION[id].kind,
      id,
      what: `${OF_MISSION[id].name}: ${m.name}`,
      keys: keysAt(id, { part: m.id }),
    });
}

function ofLegs(m: Mission, put: (name: string, meant: Meant) => void): void {
  const legs = new Map(m.rounds.flatMap((r) => r.legs.map((l) => [l.id, l.name])));
  for (const leg of legIds(m))
    for (const id of LEG_IDS) {
      const { after, kind, name } = OF_LEG[id],
        meant = { kind, id, what: `${name}: ${legs.get(leg)!}`, keys: keysAt(id, { part: m.id, leg }) };
      put(`${wordOf(m.id)}.${wordOf(leg)}.${after}`, meant);
      // alone where nothing else is called so
      put(`${wordOf(leg)}.${after}`, meant);
    }
}

function ofStates(states: Design['states'], put: (name: string, meant: Meant) => void): void {
  for (const s of states)
    for (const q of PLAIN) {
      const id = q.id as QuantityId,
        keys = [s.id, ALL].map((state) => refText({ id, state }));
      put(`${wordOf(s.id)}.${q.id}`, { kind: q.kind, id, what: `${q.name}: ${s.name}`, keys: () => keys });
    }
}

function namesFor(brief: Naming, states: Design['states']): Names {
  const meant = new Map<string, Meant>(),
    // a mission before a state, a state before a leg's short name
    put = (name: string, m: Meant) => {
      if (!meant.has(name)) meant.set(name, m);
    };
  for (const m of brief.missions) ofMission(m, put);
  ofStates(states, put);
  for (const m of brief.missions) ofLegs(m, put);
  const table: Record<string, KindName | null> = { ...CONSTANTS };
  for (const q of PLAIN) table[q.id] = q.kind;
  for (const r of brief.rivals) table[r.name] = null;
  for (const [name, m] of meant) table[name] = m.kind;
  return { table, meant };
}

/** What names are made of, as it stands in a brief. */
type Naming = Pick<Brief, 'missions' | 'rivals'>;

/** States by what names are made of: their ids and what they are called. */
const called = new WeakMap<Design['states'], string>();

export function calledStates(states: Design['states']): string {
  let text = called.get(states);
  if (text === undefined) called.set(states, (text = states.map((s) => `${s.id}\n${s.name}`).join('\n\n')));
  return text;
}

/** Made once for the same missions, figures of the field and names of states, whatever else a brief and a design have. */
const known = new WeakMap<Naming['missions'], WeakMap<Naming['rivals'], Map<string, Names>>>();

export function namesOf(brief: Naming, states: Design['states']): Names {
  let by = known.get(brief.missions);
  if (!by) known.set(brief.missions, (by = new WeakMap()));
  let of = by.get(brief.rivals);
  if (!of) by.set(brief.rivals, (of = new Map()));
  const key = calledStates(states);
  let names = of.get(key);
  if (!names) of.set(key, (names = namesFor(brief, states)));
  return names;
}

/** Names and what each is, for lists: those of missions, legs and states behind the plain ones. */
export function formulaNames(brief: Brief, design: Pick<Design, 'states'>): NameTable {
  return namesOf(brief, design.states).table;
}
