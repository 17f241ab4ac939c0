/**
 * One document at one value of every cause: results of steps, found when they are asked for. What was found for the
 * same content before is taken from the cache; a run with one cause moved shares all that does not lie downstream of it.
 */
import type { Each, Scope, Source, Step } from '../steps';
import type { CauseId, Causes } from '../steps';
import type { State } from '../design';
import type { StepCache } from './cache';

const ONCE = '';

export class Run {
  private readonly keys = new Map<Step, Map<string, string>>();
  private readonly found = new Map<Step, Map<string, unknown>>();
  private readonly slices = new Map<Step, string>();
  private readonly states: ReadonlyMap<string, State>;
  /** what sets it apart from its base */ private readonly mark: string;

  /** @param base the same document with only `moved` at another value */
  constructor(
    readonly source: Source,
    readonly causes: Causes,
    readonly cache: StepCache,
    private readonly base: Run | null = null,
    private readonly moved: CauseId | null = null,
  ) {
    this.states = base ? base.states : new Map(source.design.states.map((l) => [l.id, l]));
    this.mark = moved ? `~${moved}:${causes[moved]}` : '';
  }

  /** The same document with one cause at another value. */
  withCause(id: CauseId, value: number): Run {
    return new Run(this.source, { ...this.causes, [id]: value }, this.cache, this, id);
  }

  /** Result of a step; of a state for what is done once for each. @throws DomainError */
  of<O>(step: Step<O, 'all'>): O;
  of<O>(step: Step<O, 'state'>, state: string): O;
  of<O>(step: Step<O, Scope>, state: string): O;
  of(step: Step, state = ONCE): unknown {
    if (this.sharedWithBase(step)) return this.base!.of(step, state);
    const at = step.scope === 'all' ? ONCE : state;
    let known = this.found.get(step);
    if (!known) this.found.set(step, (known = new Map()));
    if (!known.has(at)) known.set(at, this.find(step, at));
    return known.get(at);
  }

  private sharedWithBase(step: Step): boolean {
    return this.base !== null && !step.reach.has(this.moved!);
  }

  private find(step: Step, state: string): unknown {
    return this.cache.kept(step.id, this.keyOf(step, state), step.keeps, () => {
      const slice = step.slice(this.source, this.states.get(state)!);
      return Object.freeze(
        step.run(this.resultsFor(step, state), slice, this.causes, this.cache.partsOf(step)),
      );
    });
  }

  private resultsFor(step: Step, state: string): Record<string, unknown> {
    const all = step.scope === 'all',
      out: Record<string, unknown> = {};
    for (const [name, need] of step.needs)
      out[name] =
        all && need.scope === 'state'
          ? ({ of: (s) => this.of(need, s) } satisfies Each<unknown>)
          : this.of(need, state);
    return out;
  }

  /** What a step's result depends on: with a cause moved, all that it did and where that cause is. */
  keyOf(step: Step, state: string): string {
    if (this.sharedWithBase(step)) return this.base!.keyOf(step, state);
    const at = step.scope === 'all' ? ONCE : state;
    let known = this.keys.get(step);
    if (!known) this.keys.set(step, (known = new Map()));
    let key = known.get(at);
    if (key === undefined)
      known.set(at, (key = this.base ? this.base.keyOf(step, at) + this.mark : this.makeKey(step, at)));
    return key;
  }

  private makeKey(step: Step, state: string): string {
    let text = this.sliceOf(step, state);
    for (const [, need] of step.needs)
      if (step.scope === 'all' && need.scope === 'state')
        for (const s of this.states.keys()) text += `|${this.markOf(need, s)}`;
      else text += `|${this.markOf(need, state)}`;
    for (const c of step.causes) text += `|${this.causes[c]}`;
    return this.cache.keyOf(text);
  }

  /** What a step reads without asking for the state is gone through once. */
  private sliceOf(step: Step, state: string): string {
    const content = () => this.cache.contentOfSlice(step.slice(this.source, this.states.get(state)!));
    if (step.slice.length > 1) return content();
    let known = this.slices.get(step);
    if (known === undefined) this.slices.set(step, (known = content()));
    return known;
  }

  /** What others depend on in it. */
  private markOf(step: Step, state: string): string {
    return step.byContent ? this.cache.contentOf(this.of(step, state)) : this.keyOf(step, state);
  }
}
