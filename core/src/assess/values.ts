/** Numbers and curves of a run. What is read off a step comes in one order: its quantities, then its curves' points. */
import { CURVES, PLAN, READ, READ_IDS, type ReadCurve, type ReadId, type Step } from '../steps';
import type { Run } from './run';

/** By written reference. */
export type Values = Record<string, number>;

/** What is read off one step. */
export interface Reading {
  readonly step: Step;
  readonly ids: readonly ReadId[];
  readonly curves: readonly ReadCurve[];
}

/** Every step that something is read off, in the plan's order. */
export const READINGS: readonly Reading[] = PLAN.map((step) => ({
  step,
  ids: READ_IDS.filter((id) => READ[id].step === step),
  curves: CURVES.filter((c) => c.step === step),
})).filter((r) => r.ids.length + r.curves.length > 0);

const OF_STEP = new Map(READINGS.map((r) => [r.step, r]));

/** Quantities that are read off one step. */
export function numbersOn(step: Step): readonly ReadId[] {
  return OF_STEP.get(step)!.ids;
}

/** Numbers of one result in that order; undefined where the aircraft or state has none. */
export function readAll(step: Step, result: unknown): (number | undefined)[] {
  const { ids, curves } = OF_STEP.get(step)!;
  return [...ids.map((id) => READ[id].read(result)), ...curves.flatMap((c) => c.read(result)?.y ?? [])];
}

export interface Cell {
  readonly key: string;
  readonly id: ReadId;
  /** id of a state, or 'all' */ readonly state: string;
  /** place among what is read off its step */ readonly at: number;
}

/** Every number that the steps may give, whether they do or not: of the whole design, then state by state. */
export function cellsOf(run: Run): Cell[] {
  const all = READINGS.flatMap(({ ids }) => ids.map((id, at) => ({ id, at })));
  const cells = (scope: 'all' | 'state', state: string) =>
    all.flatMap(({ id, at }): Cell[] =>
      READ[id].scope === scope ? [{ key: `${id}@${state}`, id, state, at }] : [],
    );
  return [...cells('all', 'all'), ...run.source.design.states.flatMap((l) => cells('state', l.id))];
}

/** One of them; undefined where this aircraft or state has no such number. */
export function readCell(run: Run, { id, state }: Pick<Cell, 'id' | 'state'>): number | undefined {
  const q = READ[id];
  return q.read(run.of(q.step, state));
}

/** Numbers of a run by written reference. */
export function valuesOf(run: Run, cells: readonly Cell[]): Values {
  const out: Values = {};
  for (const c of cells) {
    const value = readCell(run, c);
    if (value !== undefined) out[c.key] = value;
  }
  return out;
}
