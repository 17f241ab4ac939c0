/**
 * One document at one value of every cause: results of steps, found when they are asked for. What was found for the
 * same content before is taken from the cache; a run with one cause moved shares all that does not lie downstream of it.
 */
import { ABSENT, type Each, type Scope, type Source, type Step } from '../steps';
import type { CauseId, Causes } from '../steps';
import type { State } from '../design';
import { configurationOf, configured } from '../mass';
import type { StepCache } from './cache';
import { Near } from './near';

/** Place of what is done once: for the aircraft as drawn. */
const ONCE = '';

/** The aircraft lacks the part that a result is about. */
class PartAbsent extends Error {}

/** The documents that the states fly, where they are not as drawn. */
interface Flown {
  /** by state: where its own of what is done once stands */ readonly placeOf: ReadonlyMap<string, string>;
  /** by such a place */ readonly sources: ReadonlyMap<string, Source>;
}

function flownAs(source: Source): Flown {
  const placeOf = new Map<string, string>(),
    sources = new Map([[ONCE, source]]);
  for (const s of source.design.states) {
    const flaps = s.flaps?.filter((f) => f.angle !== 0) ?? [],
      changes = configurationOf(s);
    const plain = changes === '' && flaps.length === 0,
      place = plain ? ONCE : `as ${changes}${JSON.stringify(flaps)}`;
    placeOf.set(s.id, place).set(place, place);
    if (plain || sources.has(place)) continue;
    const design = configured(source.design, s);
    sources.set(place, { ...source, design, ...(flaps.length > 0 ? { flaps } : {}) });
  }
  return { placeOf, sources };
}

export class Run {
  private readonly keys = new Map<Step, Map<string, string>>();
  private readonly found = new Map<Step, Map<string, unknown>>();
  private readonly slices = new Map<string, string>();
  private readonly given = new Map<Step, Map<string, object>>();
  readonly states: ReadonlyMap<string, State>;
  private near: Near | null = null;
  private readonly flown: Flown;
  /** where what is done once is asked for when no state is named */ private readonly home: string = ONCE;
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
    this.flown = base ? base.flown : flownAs(source);
    this.mark = moved ? `~${moved}:${causes[moved]}` : '';
  }

  /** Takes over from a run of nearly the same document what does not differ. */
  nearTo(other: Run): this {
    this.near = new Near(other, this);
    return this;
  }

  /** The same document with one cause at another value. */
  withCause(id: CauseId, value: number): Run {
    return new Run(this.source, { ...this.causes, [id]: value }, this.cache, this, id);
  }

  /**
   * Result of a step; of a state for what is done once for each.
   * @throws DomainError; PartAbsent where the aircraft lacks what it is about
   */
  of<O>(step: Step<O, 'all'>): O;
  of<O>(step: Step<O, 'state'>, state: string): O;
  of<O>(step: Step<O, Scope>, state: string): O;
  of(step: Step, state = this.home): unknown {
    const found = this.read(step, state);
    if (found === ABSENT) throw new PartAbsent(step.id);
    return found;
  }

  /** The same, null where the aircraft lacks what it is about. */
  maybe<O>(step: Step<O, 'all'>): O | null;
  maybe<O>(step: Step<O, 'state'>, state: string): O | null;
  maybe(step: Step, state = this.home): unknown {
    const found = this.read(step, state);
    return found === ABSENT ? null : found;
  }

  /** The same for what is read off it: ABSENT comes out as it is. */
  read(step: Step, state = this.home): unknown {
    if (this.sharedWithBase(step)) return this.base!.read(step, state);
    const at = this.placeOf(step, state);
    let known = this.found.get(step);
    if (!known) this.found.set(step, (known = new Map()));
    if (!known.has(at))
      known.set(at, this.near?.holds(step, at) ? this.near.run.read(step, at) : this.find(step, at));
    return known.get(at);
  }

  /** The document as a state flies it; as it is written for the whole design. */
  sourceOf(state: string): Source {
    return this.flown.sources.get(this.flown.placeOf.get(state) ?? ONCE)!;
  }

  /** The same run asked from a state: its source is the aircraft as that state flies it, and so is what is done once. */
  inState(state: string): Run {
    const home = this.flown.placeOf.get(state) ?? ONCE;
    if (home === this.home) return this;
    const from: Run = Object.create(Run.prototype);
    return Object.assign(from, this, { home, source: this.sourceOf(home) });
  }

  /** Whether a state is there, or one that flies what is done once so. */
  flies(at: string): boolean {
    return this.flown.sources.has(at) || this.states.has(at);
  }

  /** What a step reads of the document, gone through once. */
  sliceFor(step: Step, at: string): object {
    let known = this.given.get(step);
    if (!known) this.given.set(step, (known = new Map()));
    let slice = known.get(at);
    if (!slice) known.set(at, (slice = step.slice(this.sourceOf(at), this.states.get(at)!)));
    return slice;
  }

  /** A state that changes the aircraft has its own of what else is done once. */
  placeOf(step: Step, state: string): string {
    return step.scope === 'state' ? state : (this.flown.placeOf.get(state) ?? ONCE);
  }

  private sharedWithBase(step: Step): boolean {
    return this.base !== null && !step.reach.has(this.moved!);
  }

  private find(step: Step, state: string): unknown {
    return this.cache.kept(step.id, this.keyOf(step, state), step.keeps, () => {
      const results = this.resultsFor(step, state);
      if (!results) return ABSENT;
      try {
        return Object.freeze(
          step.run(results, this.sliceFor(step, state), this.causes, this.cache.partsOf(step)),
        );
      } catch (e) {
        // it asked for a state's result that there is not
        if (e instanceof PartAbsent) return ABSENT;
        throw e;
      }
    });
  }

  /** null where something that it needs is absent */
  private resultsFor(step: Step, state: string): Record<string, unknown> | null {
    const out: Record<string, unknown> = {};
    for (const [name, need] of step.needs) {
      const result = this.resultFor(step, need, state);
      if (result === ABSENT) return null;
      out[name] = result;
    }
    for (const [name, want] of step.wants) {
      const result = this.resultFor(step, want, state);
      out[name] = result === ABSENT ? null : result;
    }
    return out;
  }

  private resultFor(step: Step, need: Step, state: string): unknown {
    if (step.scope === 'all' && need.scope === 'state')
      return { of: (s) => this.of(need, s) } satisfies Each<unknown>;
    return this.read(need, state);
  }

  /** What a step's result depends on: with a cause moved, all that it did and where that cause is. */
  keyOf(step: Step, state: string): string {
    if (this.sharedWithBase(step)) return this.base!.keyOf(step, state);
    const at = this.placeOf(step, state);
    let known = this.keys.get(step);
    if (!known) this.keys.set(step, (known = new Map()));
    let key = known.get(at);
    if (key === undefined) {
      if (this.near?.holds(step, at)) key = this.near.run.keyOf(step, at);
      else key = this.base ? this.base.keyOf(step, at) + this.mark : this.makeKey(step, at);
      known.set(at, key);
    }
    return key;
  }

  private makeKey(step: Step, state: string): string {
    let text = this.sliceOf(step, state);
    for (const [, need] of [...step.needs, ...step.wants])
      if (step.scope === 'all' && need.scope === 'state')
        for (const s of this.states.keys()) text += `|${this.markOf(need, s)}`;
      else text += `|${this.markOf(need, state)}`;
    for (const c of step.causes) text += `|${this.causes[c]}`;
    return this.cache.keyOf(text);
  }

  /** What a step reads without asking for the state is gone through once. */
  private sliceOf(step: Step, state: string): string {
    const content = () => this.cache.contentOfSlice(this.sliceFor(step, state));
    if (step.slice.length > 1) return content();
    const at = `${step.id} ${this.flown.placeOf.get(state) ?? ONCE}`;
    let known = this.slices.get(at);
    if (known === undefined) this.slices.set(at, (known = content()));
    return known;
  }

  /** What others depend on in it. */
  private markOf(step: Step, state: string): string {
    return step.byContent ? this.contentOf(step, state) : this.keyOf(step, state);
  }

  private contentOf(step: Step, state: string): string {
    const found = this.read(step, state);
    return found === ABSENT ? 'absent' : this.cache.contentOf(found);
  }
}
