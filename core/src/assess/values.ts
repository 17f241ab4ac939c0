/** Numbers and curves of a run. What is read off a step comes in one order: its quantities, then its curves' points. */
import { CURVES, PLAN, READ, READ_IDS, refText, type ReadCurve, type ReadId, type Step } from '../steps';
import type { Run } from './run';

/** By written reference. */
export type Values = Record<string, number>;

/** One number that is read off a result. */
export interface Row {
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

/** Quantities that are read off one step. */
export function numbersOn(step: Step): readonly Row[] {
  return OF_STEP.get(step)!.rows;
}

/** Numbers of one result in that order; undefined where the aircraft or state has none. */
export function readAll(step: Step, result: unknown): (number | undefined)[] {
  const { rows, curves } = OF_STEP.get(step)!,
    out: (number | undefined)[] = [];
  for (const r of rows) out.push(READ[r.id].read(result, r.case));
  for (const c of curves) for (const y of c.read(result)?.y ?? []) out.push(y);
  return out;
}

export interface Cell extends Row {
  readonly key: string;
  /** id of a state, or 'all' */ readonly state: string;
  /** place among what is read off its step */ readonly at: number;
}

/** What is read of one state, or of the whole design: the same for every document that has such a state. */
const cellsAt = new Map<string, readonly Cell[]>();
/** States of so many names are kept. */
const STATES = 200;

function cellsIn(scope: 'all' | 'state', state: string): readonly Cell[] {
  const known = cellsAt.get(`${scope} ${state}`);
  if (known) return known;
  const made = READINGS.filter((r) => r.step.scope === scope).flatMap(({ rows }) =>
    rows.map((row, at): Cell => ({ ...row, key: refText({ ...row, state }), state, at })),
  );
  if (cellsAt.size >= STATES) cellsAt.clear();
  cellsAt.set(`${scope} ${state}`, made);
  return made;
}

/** Every number that the steps may give, whether they do or not: of the whole design, then state by state. */
export function cellsOf(run: Run): Cell[] {
  const { states } = run.source.design;
  return [...cellsIn('all', 'all'), ...states.flatMap((l) => cellsIn('state', l.id))];
}

/** Cells with the results they are read off: those of one step stand side by side. */
export function eachOf(run: Run, cells: readonly Cell[], take: (c: Cell, result: unknown) => void): void {
  let step: Step | null = null,
    state = '',
    result: unknown;
  for (const c of cells) {
    const of = READ[c.id].step;
    if (of !== step || c.state !== state) result = run.read((step = of), (state = c.state));
    take(c, result);
  }
}

/** One of them; undefined where this aircraft or state has no such number. */
export function readCell(run: Run, c: Pick<Cell, 'id' | 'state' | 'case'>): number | undefined {
  const q = READ[c.id];
  return q.read(run.read(q.step, c.state), c.case);
}

/** Numbers of a run by written reference. */
export function valuesOf(run: Run, cells: readonly Cell[]): Values {
  const out: Values = {};
  eachOf(run, cells, (c, result) => {
    const value = READ[c.id].read(result, c.case);
    if (value !== undefined) out[c.key] = value;
  });
  return out;
}
