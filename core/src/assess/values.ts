/** Numbers and curves of a run. What is read off a step comes in one order: its quantities, then its curves' points. */
import { boundMissions, freeMissions, legIds, missionsAsked, type Mission } from '../design';
import {
  ALL,
  boundFlights,
  CURVES,
  FLIGHT_STEPS,
  flownNumbers,
  freeFlights,
  LEG_IDS,
  MISSION_IDS,
  PLAN,
  READ,
  READ_IDS,
  refText,
  saidOfFlown,
  type FlownNumber,
  type QuantityId,
  type ReadCurve,
  type ReadId,
  type Source,
  type Step,
} from '../steps';
import type { Said } from '../words';
import type { Run } from './run';

/** By written reference. */
export type Values = Record<string, number>;

/** One number that is read off a result. */
interface Row {
  readonly id: ReadId;
  /** load case, where the quantity has one number for each */ readonly case?: string;
}

/** What is read off one step. */
export interface Reading {
  readonly step: Step;
  readonly rows: readonly Row[];
  /** those with a spread */ readonly curves: readonly ReadCurve[];
}

const rowsOf = (id: ReadId): Row[] => READ[id].cases?.map((c) => ({ id, case: c })) ?? [{ id }];

/** Every step that something is read off, in the plan's order. */
export const READINGS: readonly Reading[] = PLAN.map((step) => ({
  step,
  rows: READ_IDS.filter((id) => READ[id].step === step).flatMap(rowsOf),
  curves: CURVES.filter((c) => c.step === step && !c.bare),
})).filter((r) => r.rows.length + r.curves.length > 0);

const OF_STEP = new Map(READINGS.map((r) => [r.step, r]));
const FLOWN_STEPS = new Set<Step>(FLIGHT_STEPS);

/** Numbers of missions are many, and asked for one by one. */
const flownKnown = new WeakMap<object, readonly FlownNumber[]>();

function flownOf(result: unknown): readonly FlownNumber[] {
  if (typeof result !== 'object' || result === null) return [];
  let known = flownKnown.get(result);
  if (!known) flownKnown.set(result, (known = flownNumbers(result)));
  return known;
}

/** Numbers of one result in that order; undefined where the aircraft or state has none. */
export function readAll(step: Step, result: unknown): (number | undefined)[] {
  if (FLOWN_STEPS.has(step)) return flownOf(result).map((n) => n.value);
  const { rows, curves } = OF_STEP.get(step)!,
    out: (number | undefined)[] = [];
  for (const r of rows) out.push(READ[r.id].read(result, r.case));
  for (const c of curves) for (const y of c.read(result)?.y ?? []) out.push(y);
  return out;
}

/** How many numbers are read off one step, before its curves. */
export function numberCount(step: Step, result: unknown): number {
  return FLOWN_STEPS.has(step) ? flownOf(result).length : OF_STEP.get(step)!.rows.length;
}

export interface Cell {
  readonly id: QuantityId;
  readonly case?: string;
  /** mission, and leg of it */ readonly part?: string;
  readonly leg?: string;
  readonly key: string;
  /** id of a state, or 'all' */ readonly state: string;
  readonly step: Step;
  /** place among what is read off its step */ readonly at: number;
}

/** What is read of one state, or of the whole design: the same for every document that has such a state. */
const cellsAt = new Map<string, readonly Cell[]>();
/** States of so many names are kept. */
const STATES = 200;

function cellsIn(scope: 'all' | 'state', state: string): readonly Cell[] {
  const known = cellsAt.get(`${scope} ${state}`);
  if (known) return known;
  const made = READINGS.filter((r) => r.step.scope === scope).flatMap(({ step, rows }) =>
    rows.map((row, at): Cell => ({ ...row, key: refText({ ...row, state }), state, step, at })),
  );
  if (cellsAt.size >= STATES) cellsAt.clear();
  cellsAt.set(`${scope} ${state}`, made);
  return made;
}

/** Numbers of missions, in the order that they are read off a flight. */
function flownCells(missions: readonly Mission[], step: Step, state: string): Cell[] {
  const refs = missions.flatMap((m) => [
    ...MISSION_IDS.map((id) => ({ id, part: m.id })),
    ...legIds(m).flatMap((leg) => LEG_IDS.map((id) => ({ id, part: m.id, leg }))),
  ]);
  return refs.map((ref, at) => ({ ...ref, key: refText({ ...ref, state }), state, step, at }));
}

/** Every number of missions that is told: of those that name their states, and of those that formulas ask for. */
function cellsOfMissions({ brief, design }: Source): Cell[] {
  const asked = missionsAsked(brief),
    free = freeMissions(brief, design).filter((m) => asked.includes(m.id));
  return [
    ...flownCells(boundMissions(brief, design), boundFlights, 'all'),
    ...(free.length > 0 ? design.states.flatMap((s) => flownCells(free, freeFlights, s.id)) : []),
  ];
}

const isRead = (id: QuantityId): id is ReadId => Object.hasOwn(READ, id);

/** The number of a cell, off its step's result. */
function numberIn(c: Pick<Cell, 'id' | 'case' | 'at'>, result: unknown): number | undefined {
  return isRead(c.id) ? READ[c.id].read(result, c.case) : flownOf(result)[c.at]?.value;
}

/** What must be said with it. */
export function remarksOn(c: Pick<Cell, 'id' | 'part' | 'leg'>, result: unknown, source: Source): Said[] {
  return isRead(c.id) ? READ[c.id].remarks(result, source) : saidOfFlown(result, c);
}

/** Every number that the steps may give, whether they do or not: of the whole design, then state by state. */
export function cellsOf(run: Run): Cell[] {
  const { states } = run.source.design;
  return [
    ...cellsIn('all', 'all'),
    ...states.flatMap((l) => cellsIn('state', l.id)),
    ...cellsOfMissions(run.source),
  ];
}

const FLOWN_IDS: readonly QuantityId[] = [...MISSION_IDS, ...LEG_IDS];

/** Of one set of names, cells by state: the same for every run. */
const namedCells = new WeakMap<ReadonlySet<string>, Map<string, readonly Cell[]>>();

/** Those of some states, or of all, whose quantity is named. */
export function cellsNamed(
  run: Run,
  named: ReadonlySet<string>,
  states: ReadonlySet<string> = new Set([ALL, ...run.source.design.states.map((s) => s.id)]),
): Cell[] {
  let by = namedCells.get(named);
  if (!by) namedCells.set(named, (by = new Map()));
  const out: Cell[] = [];
  for (const state of states) {
    let cells = by.get(state);
    if (!cells)
      by.set(state, (cells = cellsIn(state === ALL ? 'all' : 'state', state).filter((c) => named.has(c.id))));
    out.push(...cells);
  }
  if (!FLOWN_IDS.some((id) => named.has(id))) return out;
  for (const c of cellsOfMissions(run.source)) if (named.has(c.id) && states.has(c.state)) out.push(c);
  return out;
}

/** Cells with the results they are read off: those of one step stand side by side. */
export function eachOf(run: Run, cells: readonly Cell[], take: (c: Cell, result: unknown) => void): void {
  let step: Step | null = null,
    state = '',
    result: unknown;
  for (const c of cells) {
    if (c.step !== step || c.state !== state) result = run.read((step = c.step), (state = c.state));
    take(c, result);
  }
}

/** One of them; undefined where this aircraft or state has no such number. */
export function readCell(
  run: Run,
  c: Pick<Cell, 'id' | 'state' | 'case' | 'step' | 'at'>,
): number | undefined {
  return numberIn(c, run.read(c.step, c.state));
}

/** One that is read off a step, by its name. */
export function readNamed(
  run: Run,
  c: { readonly id: ReadId; readonly state: string; readonly case?: string },
): number | undefined {
  const q = READ[c.id];
  return q.read(run.read(q.step, c.state), c.case);
}

/** Numbers of a run by written reference. */
export function valuesOf(run: Run, cells: readonly Cell[]): Values {
  const out: Values = {};
  eachOf(run, cells, (c, result) => {
    const value = numberIn(c, result);
    if (value !== undefined) out[c.key] = value;
  });
  return out;
}
