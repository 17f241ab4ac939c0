/** The wanted numbers of a design and nothing else: no uncertainty, no findings. What a search calls. */
import type { DesignDocument } from '../design';
import { FLOWN, QUANTITIES, READ, refText, type QuantityRef, type ReadId } from '../steps';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { compileTasks, namesIn, scoreStates } from './scoring';
import { cellsOf, readNamed, valuesOf, type Values } from './values';

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
  const run = runOf({ brief, design }, calibration, cache),
    out: Values = {};
  for (const ref of wanted) {
    if (!isRead(ref.id)) continue;
    const state = QUANTITIES[ref.id].scope === 'all' ? 'all' : (ref.state ?? design.states[0].id);
    const value = readNamed(run, { id: ref.id, state, ...(ref.case ? { case: ref.case } : {}) });
    if (value !== undefined) out[refText(ref)] = value;
  }
  if (wanted.every((r) => isRead(r.id))) return out;
  const tasks = compileTasks(brief, design),
    named = namesIn(brief, design, tasks),
    values = valuesOf(
      run,
      cellsOf(run).filter((c) => named.has(c.id) || wanted.some((w) => w.id === c.id && isFlown(c.id))),
    ),
    score = scoreStates(brief, design, values, { tasks }).values;
  for (const ref of wanted) {
    const value = score[refText(ref)] ?? (isFlown(ref.id) ? values[refText(ref)] : undefined);
    if (value !== undefined) out[refText(ref)] = value;
  }
  return out;
}
