/** The wanted numbers of a design and nothing else: no uncertainty, no findings. What a search calls. */
import type { DesignDocument } from '../design';
import { ALL, FLOWN, QUANTITIES, READ, refText, type QuantityRef, type ReadId } from '../steps';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { ofOneFamily } from './near';
import type { Run } from './run';
import { compileTasks, namesIn, scoreStates, statesOf } from './scoring';
import { cellsNamed, readNamed, valuesOf, type Values } from './values';

const isRead = (id: string): id is ReadId => Object.hasOwn(READ, id);
const isFlown = (id: string) => Object.hasOwn(FLOWN, id);

/**
 * @param wanted numbers by reference; scores need all that their formulas name
 * @param cache results of unchanged steps from earlier calls; owned by the caller
 * @returns values [SI] by written reference; what this aircraft or state has not is left out
 * @throws DomainError where a step that is needed cannot be done
 */
export function evaluate(
  { brief, design, calibration }: Pick<DesignDocument, 'brief' | 'design' | 'calibration'>,
  wanted: readonly QuantityRef[],
  cache: StepCache,
): Values {
  const run = inFamily(runOf({ brief, design }, calibration, cache), cache),
    out: Values = {};
  for (const ref of wanted) {
    if (!isRead(ref.id)) continue;
    const state = QUANTITIES[ref.id].scope === 'all' ? 'all' : (ref.state ?? design.states[0].id);
    const value = readNamed(run, { id: ref.id, state, ...(ref.case ? { case: ref.case } : {}) });
    if (value !== undefined) out[refText(ref)] = value;
  }
  if (wanted.every((r) => isRead(r.id))) return out;
  Object.assign(out, scoresOf(run, wanted));
  return out;
}

/** A run near to the first of its family; the first of another family takes its place. */
function inFamily(run: Run, cache: StepCache): Run {
  if (cache.family && ofOneFamily(cache.family.source, run.source)) return run.nearTo(cache.family);
  cache.family = run;
  return run;
}

/** Scores among what is wanted, and numbers of missions: of the states that they are made of, and of no others. */
function scoresOf(run: Run, wanted: readonly QuantityRef[]): Values {
  const { brief, design } = run.source,
    tasks = compileTasks(brief, design),
    named = namesIn(brief, design, tasks),
    missions = new Set(wanted.filter((r) => isFlown(r.id)).map((r) => r.id)),
    scored = wanted.filter((r) => !isRead(r.id) && !isFlown(r.id));
  const every = scored.some((r) => r.state === undefined || r.state === ALL),
    only = every ? undefined : new Set(scored.map((r) => r.state!)),
    states = only && statesOf(brief, design, tasks, [...only, ...wanted.flatMap((r) => r.state ?? [])]);
  const values = valuesOf(
    run,
    cellsNamed(run, missions.size > 0 ? new Set([...named, ...missions]) : named, states),
  );
  const score =
      scored.length > 0 ? scoreStates(brief, design, values, { tasks, ...(only && { only }) }).values : {},
    out: Values = {};
  for (const ref of wanted) {
    const key = refText(ref),
      value = score[key] ?? (isFlown(ref.id) ? values[key] : undefined);
    if (value !== undefined) out[key] = value;
  }
  return out;
}
