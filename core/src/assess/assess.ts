/**
 * assess(brief, design, calibration): the plan's steps, one ledger out.
 *   1 the steps at the calibrated mean
 *   2 score
 *   3 what lies downstream of each cause of uncertainty, moved up and down (`uncertainty.ts`)
 *   4 findings: what is wrong, in sentences, with the change that mends it
 * The browser's worker, the server and the command line all call this one function.
 */
import type { Brief, Calibration, Design } from '../design';
import { DomainError } from '../numeric';
import { causesAt, inputsOf, QUANTITIES, readRef, type QuantityId, type Source } from '../steps';
import { StepCache } from './cache';
import { drawnCurves } from './curves';
import { findingsOf } from './findings';
import { entriesByKey, type Ledger, type LedgerEntry } from './ledger';
import { Run } from './run';
import { compileTasks, scoreStates, type CompiledTask, type ScoreResult } from './scoring';
import { stripChances } from './stripChance';
import { Spreads } from './spreads';
import { say, type Said } from '../words';
import { cellsOf, eachOf, remarksOn, valuesOf, type Cell, type Values } from './values';

/** The steps of a document at what was learnt. */
export function runOf(source: Source, calibration: Calibration, cache: StepCache): Run {
  return new Run(source, causesAt(calibration.mean), cache);
}

/** What an assessment is made of before uncertainties. */
interface Task {
  run: Run;
  cells: Cell[];
  values: Values;
  tasks: readonly CompiledTask[];
}

function prepareTask(brief: Brief, design: Design, cal: Calibration, cache: StepCache): Task {
  const run = runOf({ brief, design }, cal, cache),
    cells = cellsOf(run);
  return { run, cells, values: valuesOf(run, cells), tasks: compileTasks(brief, design) };
}

/** The best score names its state. */
const namesOf = (id: QuantityId, best: string | null) =>
  (id === 'bestScore' || id === 'bestCount') && best !== null ? { names: best } : {};

const NO_SPREAD = say('no-spread', {});

/** A number of a ledger before its spread is known. */
type Told = Pick<LedgerEntry, 'id' | 'state' | 'part' | 'leg' | 'case' | 'value' | 'warnings' | 'names'> & {
  key: string;
};

/** Everything that a task comes to, scores after what the steps gave. */
function toldBy(task: Task, score: ScoreResult): Told[] {
  const { run, cells, values } = task;
  const read: Told[] = [];
  eachOf(run, cells, (cell, result) => {
    const { key, id, state, case: of, part, leg } = cell,
      value = values[key];
    if (value === undefined) return;
    const warnings = remarksOn(cell, result, run.sourceOf(state)),
      place = { ...(of && { case: of }), ...(part && { part }), ...(leg && { leg }) };
    read.push({ key, id, state, ...place, value, warnings });
  });
  const scores = Object.entries(score.values).flatMap(([key, value]): Told[] => {
    const ref = readRef(key);
    if (!ref) return [];
    const { id, state = 'all', part } = ref,
      warnings = score.remarks[key] ?? [];
    return [
      {
        key,
        id,
        state,
        ...(part === undefined ? {} : { part }),
        value,
        warnings,
        ...namesOf(id, score.best),
      },
    ];
  });
  return [...read, ...scores];
}

const noEntry = (stopped: Said): Ledger => ({ entries: [], curves: [], findings: [], stopped });

/** Why the computation could not be done, for the person whose design it is. */
function stoppedBy(e: DomainError, design: Design): Said {
  const section = design.sections.find((s) => s.id === e.fields.section);
  const why =
    e.code === 'no-flow' && section
      ? say('no-flow', { section: section.name })
      : say('fault', { text: e.message, of: e.code, fields: e.fields });
  return say('stopped', { why });
}

/**
 * The numbers alone, in a twentieth of the time: uncertainties and their shares are those of an earlier ledger. For
 * showing something at once while `assess` runs.
 * @returns null where the earlier ledger has not the same quantities, or something stops the computation
 */
export function assessQuickly(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  cache: StepCache,
  earlier: Ledger,
): Ledger | null {
  let task: Task;
  try {
    task = prepareTask(brief, design, calibration, cache);
  } catch (e) {
    if (e instanceof DomainError) return null;
    throw e;
  }
  const score = scoreStates(brief, design, task.values, { tasks: task.tasks }),
    told = toldBy(task, score);
  const before = entriesByKey(earlier);
  const known = earlier.entries.filter((e) => e.id !== 'stripChance').length;
  if (told.length !== known || told.some((t) => !before.has(t.key) || !Number.isFinite(t.value))) return null;
  const entries = told.map(({ key, ...t }): LedgerEntry => ({ ...before.get(key)!, ...t }));
  entries.push(...stripChances(brief, design, entries));
  const curves = drawnCurves(task.run).map((c) => {
    const old = earlier.curves.find((o) => o.id === c.id && o.state === c.state);
    return { ...c, sigma: old?.sigma?.length === c.y.length ? old.sigma : null };
  });
  const ledger: Ledger = { entries, curves, findings: [], stopped: null, quick: true };
  return { ...ledger, findings: findingsOf(brief, design, ledger, score.errors) };
}

/**
 * @param cache results of unchanged steps from earlier calls; owned by the caller
 * @returns the ledger; never throws for a design the schema accepts: a step that cannot be done is named in `stopped`
 */
export function assess(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  cache: StepCache = new StepCache(),
): Ledger {
  let task: Task;
  try {
    task = prepareTask(brief, design, calibration, cache);
  } catch (e) {
    if (!(e instanceof DomainError)) throw e;
    return noEntry(stoppedBy(e, design));
  }
  const score = scoreStates(brief, design, task.values, { tasks: task.tasks });
  const spreads = new Spreads(task, calibration);
  const entries: LedgerEntry[] = [];
  let stopped: Said | null = null;
  for (const { key, ...told } of toldBy(task, score)) {
    const def = QUANTITIES[told.id];
    if (!Number.isFinite(told.value)) {
      stopped ??= say('no-number', { name: def.name });
      continue;
    }
    const { sigma, shares, inputShares } = spreads.of(key, told.state),
      found = Number.isFinite(sigma);
    entries.push({
      ...told,
      // a spread that cannot be found is as large as the number, never nil
      sigma: found ? sigma : Math.abs(told.value),
      kind: def.kind,
      method: def.method,
      inputs: inputsOf(def),
      warnings: found ? told.warnings : [...told.warnings, NO_SPREAD],
      shares,
      inputShares,
    });
  }
  entries.push(...stripChances(brief, design, entries));
  const curves = drawnCurves(task.run, (c, state, y) => spreads.along(c, state, y));
  const ledger: Ledger = { entries, curves, findings: [], stopped };
  return { ...ledger, findings: findingsOf(brief, design, ledger, score.errors) };
}
