/** Numbers and curves of a run by their written references. */
import { CURVES, READ, type CauseId, type ReadCurve, type ReadId } from '../steps';
import { OF_DESIGN, OF_STATES } from './plan';
import type { Run } from './run';

/** By written reference. */
export type Values = Record<string, number>;

export interface Cell {
  readonly key: string;
  readonly id: ReadId;
  /** id of a state, or 'all' */ readonly state: string;
}

/** Every number that the steps may give, whether they do or not. */
export function cellsOf(run: Run): Cell[] {
  const cell = (id: ReadId, state: string): Cell => ({ key: `${id}@${state}`, id, state });
  return [
    ...OF_DESIGN.map((id) => cell(id, 'all')),
    ...run.source.design.loadings.flatMap((l) => OF_STATES.map((id) => cell(id, l.id))),
  ];
}

/** One of them; undefined where this aircraft or state has no such number. */
export function readCell(run: Run, { id, state }: Pick<Cell, 'id' | 'state'>): number | undefined {
  const q = READ[id];
  return q.read(run.of(q.step, state));
}

export interface CurveCell {
  readonly key: string;
  readonly curve: ReadCurve;
  readonly state: string;
}

export function curveCellsOf(run: Run): CurveCell[] {
  return CURVES.flatMap((curve) =>
    (curve.step.scope === 'all' ? ['all'] : run.source.design.loadings.map((l) => l.id)).map((state) => ({
      key: `${curve.id}@${state}`,
      curve,
      state,
    })),
  );
}

/** All numbers of a run; those downstream of a cause alone where one is named. */
export function valuesOf(run: Run, cells: readonly Cell[], downstreamOf?: CauseId): Values {
  const out: Values = {};
  for (const c of cells) {
    if (downstreamOf && !READ[c.id].step.reach.has(downstreamOf)) continue;
    const value = readCell(run, c);
    if (value !== undefined) out[c.key] = value;
  }
  return out;
}
