/**
 * What a run shares with one of nearly the same document: steps that read nothing that differs, and need none that does.
 * Their results are taken as they are, without a key made of all they depend on: most of what a sweep's cell costs else.
 */
import equal from 'fast-deep-equal';
import type { Source, Step } from '../steps';
import type { Run } from './run';

/** Parts that are the very same in both, of all parts of a document. */
const FAMILY = 0.5;

/** Whether most parts of two documents are the very same: then comparing them costs nothing. */
export function ofOneFamily(a: Source, b: Source): boolean {
  const parts = [...Object.keys(a.design), ...Object.keys(a.brief)].length;
  const shared = (x: object, y: object) =>
    Object.entries(x).filter(([k, v]) => v === (y as Record<string, unknown>)[k]).length;
  return shared(a.design, b.design) + shared(a.brief, b.brief) >= FAMILY * parts;
}

export class Near {
  private readonly known = new Map<Step, Map<string, boolean>>();
  private readonly sameStates: boolean;

  constructor(
    /** as it was */ readonly run: Run,
    private readonly mine: Run,
  ) {
    this.sameStates = equal([...run.states.keys()], [...mine.states.keys()]);
  }

  /** Whether a step has the same result in both. @param at a state, or the place of what is done once */
  holds(step: Step, at: string): boolean {
    let of = this.known.get(step);
    if (!of) this.known.set(step, (of = new Map()));
    let is = of.get(at);
    if (is === undefined) of.set(at, (is = this.compare(step, at)));
    return is;
  }

  private compare(step: Step, at: string): boolean {
    const { run, mine } = this;
    if (!run.flies(at)) return false;
    for (const c of step.causes) if (run.causes[c] !== mine.causes[c]) return false;
    for (const [, need] of step.needs) if (!this.needHolds(step, need, at)) return false;
    for (const [, want] of step.wants) if (!this.needHolds(step, want, at)) return false;
    return equal(run.sliceFor(step, at), mine.sliceFor(step, at));
  }

  private needHolds(step: Step, need: Step, at: string): boolean {
    if (step.scope === 'state' || need.scope === 'all') {
      const place = this.mine.placeOf(need, at);
      // a state that now flies as another one did asks for that one's
      return this.run.placeOf(need, at) === place && this.holds(need, place);
    }
    if (!this.sameStates) return false;
    for (const s of this.mine.states.keys()) if (!this.holds(need, s)) return false;
    return true;
  }
}
