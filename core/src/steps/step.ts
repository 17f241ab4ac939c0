/**
 * One step of the aircraft's computation. It declares the steps it needs, the slice of the document it reads and the
 * causes of uncertainty that are its own, and sees nothing else: the same needs, slice and causes give the same result.
 * Formulas live in the domain folders; a step fetches, calls and hands on.
 */
import type { Brief, Design, State } from '../design';
import type { CauseId, Causes } from './causes';

export interface Source {
  readonly brief: Brief;
  readonly design: Design;
  /** set in the states that these steps are of */ readonly flaps?: State['flaps'];
}

/** Result of a step of a part that the aircraft has not; so is what needs it. */
export const ABSENT: unique symbol = Symbol('absent');
export type Absent = typeof ABSENT;

/** Once for the design, or once for each of its states. */
export type Scope = 'all' | 'state';

/** Results of a state step, for a step of the whole design. Computed when they are asked for. */
export interface Each<O> {
  of(state: string): O;
}

/** Results kept within a step, by content, for parts of it that serve more than one run. */
export type Keep = <T>(part: string, inputs: unknown, make: () => T) => T;

// a step is stored beside others of other results: its own types are known where it is defined
/* eslint-disable @typescript-eslint/no-explicit-any */
export interface Step<O = any, S extends Scope = Scope> {
  readonly id: string;
  readonly scope: S;
  /** without one of these it is absent itself */ readonly needs: readonly (readonly [
    name: string,
    step: Step,
  ])[];
  /** taken where they are; null where they are absent */ readonly wants: readonly (readonly [
    name: string,
    step: Step,
  ])[];
  /** its own causes */ readonly causes: readonly CauseId[];
  /** its own and those of all it needs */ readonly reach: ReadonlySet<CauseId>;
  /** how many of its results are worth memory */ readonly keeps: number;
  /** what depends on it is the same while its result is, whatever it was made from */ readonly byContent: boolean;
  /** taken as it comes out at rest: no cause moves it */ readonly still: boolean;
  readonly slice: (source: Source, state: State) => object;
  readonly run: (results: any, slice: any, causes: any, keep: Keep) => O | Absent;
}

type ResultOf<T, S extends Scope> =
  T extends Step<infer O, infer Of> ? (S extends 'all' ? (Of extends 'state' ? Each<O> : O) : O) : never;
export type Results<N, S extends Scope> = { readonly [K in keyof N]: ResultOf<N[K], S> };
type Wanted<W, S extends Scope> = { readonly [K in keyof W]: ResultOf<W[K], S> | null };
/* eslint-enable */

/** Results of most steps are small: two of each state and cause, for a few documents. */
const KEEPS = 2000;

/** A step; `reach` is found from its needs. The types of results and slice are those of its own functions. */
export function step<
  S extends Scope,
  N extends Readonly<Record<string, Step>>,
  I extends object,
  O,
  C extends CauseId = never,
  W extends Readonly<Record<string, Step>> = Record<never, Step>,
>(made: {
  id: string;
  scope: S;
  needs: N;
  wants?: W;
  causes?: readonly C[];
  keeps?: number;
  byContent?: boolean;
  still?: boolean;
  slice: (source: Source, state: State) => I;
  run: (results: Results<N, S> & Wanted<W, S>, slice: I, causes: Pick<Causes, C>, keep: Keep) => O | Absent;
}): Step<Exclude<O, Absent>, S> {
  const { causes = [], keeps = KEEPS, byContent = false, still = false, ...rest } = made;
  const reach = new Set<CauseId>(causes),
    needs = Object.entries(made.needs),
    wants = Object.entries(made.wants ?? {});
  if (!still) for (const [, n] of [...needs, ...wants]) for (const c of n.reach) reach.add(c);
  // what is absent is told from results where it is run
  const run = made.run as Step<Exclude<O, Absent>>['run'];
  return { ...rest, run, needs, wants, causes, keeps, byContent, still, reach };
}

/** A step that reads nothing of the document by itself. */
export const NOTHING = () => ({});
