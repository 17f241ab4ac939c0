/** Slopes of the numbers that somebody measured, for refining: found when they are asked for. */
import type { Brief, Calibration, Design } from '../design';
import { ALL, READ, readRef } from '../steps';
import { runOf } from './assess';
import { StepCache } from './cache';
import type { Run } from './run';
import { compileTasks, heldSteps, scoreStates, type CompiledTask } from './scoring';
import { Spreads } from './spreads';
import { cellsOf, readCell, valuesOf, type Cell, type Values } from './values';

export interface Sensitivities {
  /** a number by its written reference; undefined where there is none */ value(
    key: string,
  ): number | undefined;
  /** by unit of each calibration factor, in the order of FACTOR_IDS */ gradient(key: string): number[];
  /** variance that no factor stands for: items, site, methods */ beyond(key: string): number;
}

/** Scores at unrounded laps, with what is a step held: as they are differentiated. */
function scoredOf(
  task: { run: Run; cells: readonly Cell[]; tasks: readonly CompiledTask[] },
  calibration: Calibration,
): { values: Values; spreads: Spreads } {
  const { run, cells, tasks } = task,
    { brief, design } = run.source,
    values = valuesOf(run, cells),
    held = heldSteps(brief, design, values, tasks);
  return {
    values: scoreStates(brief, design, values, { held, tasks }).values,
    spreads: new Spreads({ ...task, values }, calibration),
  };
}

/** @throws DomainError where a step cannot be done */
export function sensitivities(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  cache: StepCache = new StepCache(),
): Sensitivities {
  const run = runOf({ brief, design }, calibration, cache),
    cells = cellsOf(run),
    at = new Map(cells.map((c): [string, Cell] => [c.key, c])),
    tasks = compileTasks(brief, design);
  let known: { values: Values; spreads: Spreads } | null = null;
  // scores need every number; what is read off a step needs only its own
  const scored = () => (known ??= scoredOf({ run, cells, tasks }, calibration));
  const plain = new Spreads({ run, cells, values: {}, tasks }, calibration);
  const isScore = (key: string) => !at.has(key) && !((readRef(key)?.id ?? '') in READ),
    spreadsFor = (key: string) => (isScore(key) ? scored().spreads : plain),
    stateOf = (key: string) => readRef(key)?.state ?? ALL;
  return {
    value: (key) => {
      const cell = at.get(key);
      if (cell) return readCell(run, cell);
      return isScore(key) ? scored().values[key] : undefined;
    },
    gradient: (key) => spreadsFor(key).slope(key, stateOf(key)).factors,
    beyond: (key) => {
      const s = spreadsFor(key).of(key, stateOf(key));
      return s.sigma ** 2 * s.inputShares.reduce((sum, x) => sum + x, 0);
    },
  };
}
