/**
 * assess(brief, design, calibration): the whole chain, one ledger out.
 *   1 air, sections, surfaces   (prepare: no calibration factor changes them)
 *   2 balance, power, flight, structure, laps   (chain, at the calibrated mean)
 *   3 score
 *   4 the same once more per cause of uncertainty (`uncertainty.ts`)
 *   5 findings: what is wrong, in sentences, with the change that mends it
 * The browser's worker, the server and the command line all call this one function.
 */
import { factorsOf, type Brief, type Calibration, type Design } from '../design';
import { DomainError } from '../numeric';
import { runChain, type ChainResult } from './chain';
import { designCurves } from './curves';
import { findingsOf } from './findings';
import { keyOf, type Ledger, type LedgerCurve, type LedgerEntry } from './ledger';
import { prepare, type Prepared } from './prepare';
import type { StepCache } from './cache';
import { inputsOf, quantityDef } from './quantities';
import { compileMissions, heldSteps, scoreLoadings, type CompiledMission, type HeldSteps } from './scoring';
import { stripChances } from './stripChance';
import { differentiate, spreadOf, type Cause } from './uncertainty';

/** What every run of one assessment shares. */
interface Task {
  brief: Brief;
  design: Design;
  prep: Prepared;
  cal: Calibration;
  held: HeldSteps;
  missions: CompiledMission[];
}

function prepareTask(
  brief: Brief,
  design: Design,
  cal: Calibration,
  cache: StepCache,
): Task & { base: ChainResult } {
  const prep = prepare(brief, design, cache);
  const base = runChain(brief, design, prep, factorsOf(cal.mean));
  const missions = compileMissions(brief);
  return { brief, design, prep, cal, base, missions, held: heldSteps(brief, design, base.values, missions) };
}

/** The causes of spread of one task; unrounded laps, steps of the score held. */
function causeOf({ brief, design, prep, cal, held, missions }: Task): Cause {
  return {
    brief,
    design,
    prep,
    cal,
    finish: (r, b) =>
      void Object.assign(r.values, scoreLoadings(b, design, r.values, { held, missions }).values),
  };
}

/** What bears on a number when it is differentiated. */
const differenced = (key: string): string => key.replace(/^laps@/, 'lapsExact@');

/** Gradient of ledger values with respect to the calibration factors, for refining. Keys `quantity@state`. */
export function sensitivities(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  cache: StepCache = new Map(),
): {
  values: Record<string, number>;
  gradient: Record<string, number[]>;
  /** variance that no factor stands for: items, site, methods */ beyond: (key: string) => number;
} {
  const task = prepareTask(brief, design, calibration, cache),
    cause = causeOf(task),
    J = differentiate(cause);
  return {
    values: {
      ...task.base.values,
      ...scoreLoadings(brief, design, task.base.values, { held: task.held, missions: task.missions }).values,
    },
    gradient: Object.fromEntries(Object.entries(J.factors).map(([k, rows]) => [k, rows[0]])),
    beyond: (key) => {
      const s = spreadOf(cause, J, key);
      return s.sigma ** 2 * s.inputShares.reduce((sum, x) => sum + x, 0);
    },
  };
}

/** The best score names its state. */
const namesOf = (id: string, best: string | null) =>
  (id === 'bestScore' || id === 'bestCount') && best !== null ? { names: best } : {};

const NO_SPREAD = 'Its uncertainty could not be found; it may be as large as the number itself.';

/** A curve less the points outside its range (speeds below the stall). */
function withoutGaps(c: LedgerCurve): LedgerCurve {
  const keep = c.y.flatMap((y, i) => (Number.isFinite(y) ? [i] : []));
  return {
    ...c,
    x: keep.map((i) => c.x[i]),
    y: keep.map((i) => c.y[i]),
    sigma: c.sigma && keep.map((i) => c.sigma![i]),
  };
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
  let task: ReturnType<typeof prepareTask>;
  try {
    task = prepareTask(brief, design, calibration, cache);
  } catch (e) {
    if (e instanceof DomainError) return null;
    throw e;
  }
  const score = scoreLoadings(brief, design, task.base.values, { missions: task.missions });
  const values = { ...task.base.values, ...score.values },
    remarks = { ...task.base.remarks, ...score.remarks };
  const entries: LedgerEntry[] = [];
  for (const e of earlier.entries) {
    if (e.id === 'stripChance') continue;
    const value = values[keyOf(e.id, e.state)];
    if (!Number.isFinite(value)) return null;
    entries.push({
      ...e,
      value,
      warnings: remarks[keyOf(e.id, e.state)] ?? [],
      ...namesOf(e.id, score.best),
    });
  }
  if (Object.keys(values).filter((k) => quantityDef(k.split('@')[0])).length !== entries.length) return null;
  entries.push(...stripChances(brief, design, entries));
  const curves = designCurves(design, task.prep, task.base)
    .map((c) => ({
      ...c,
      sigma:
        earlier.curves.find((o) => o.id === c.id && o.state === c.state && o.y.length === c.y.length)
          ?.sigma ?? null,
    }))
    .map(withoutGaps);
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
  cache: StepCache = new Map(),
): Ledger {
  let task: ReturnType<typeof prepareTask>;
  try {
    task = prepareTask(brief, design, calibration, cache);
  } catch (e) {
    if (!(e instanceof DomainError)) throw e;
    return { entries: [], curves: [], findings: [], stopped: `The computation stopped: ${e.message}.` };
  }
  const { prep, base } = task;
  const score = scoreLoadings(brief, design, base.values, { missions: task.missions });
  const values = { ...base.values, ...score.values };
  const remarks = { ...base.remarks, ...score.remarks };
  const cause = causeOf(task),
    J = differentiate(cause);

  const entries: LedgerEntry[] = [];
  let bad: string | null = null;
  for (const [key, value] of Object.entries(values)) {
    const [id, state] = key.split('@');
    const def = quantityDef(id);
    if (!def) continue;
    if (!Number.isFinite(value)) {
      bad ??= `${def.name} does not come to a number`;
      continue;
    }
    const { sigma, shares, inputShares } = spreadOf(cause, J, differenced(key));
    entries.push({
      id,
      state,
      value,
      // a spread that cannot be found is as large as the number, never nil
      sigma: Number.isFinite(sigma) ? sigma : Math.abs(value),
      kind: def.kind,
      method: def.method,
      inputs: inputsOf(def),
      warnings: [...(remarks[key] ?? []), ...(Number.isFinite(sigma) ? [] : [NO_SPREAD])],
      shares,
      inputShares,
      ...namesOf(id, score.best),
    });
  }
  entries.push(...stripChances(brief, design, entries));
  const curves: LedgerCurve[] = designCurves(design, prep, base);
  for (const c of curves) {
    const key = keyOf(c.id, c.state);
    if (J.factors[key])
      (c as { sigma: number[] | null }).sigma = c.y.map((y, i) => {
        const s = spreadOf(cause, J, key, i).sigma;
        return Number.isFinite(s) ? s : Math.abs(y);
      });
  }
  const drawn = curves.map(withoutGaps);
  const ledger: Ledger = {
    entries,
    curves: drawn,
    findings: [],
    stopped: bad ? `${bad}; check the sizes that were entered last.` : null,
  };
  return { ...ledger, findings: findingsOf(brief, design, ledger, score.errors) };
}
