/**
 * Workers: one for the live assessment (only the newest request is run), one for everything longer, and a few that
 * compute polars side by side.
 */
import type { DesignDocument } from '@skiametra/core/design';
import type { Polar } from '@skiametra/core/section';
import type { Answers, Job, PolarSpec } from './jobs';
import { Lane, POOL, spread, Stopped, type Progress } from './lanes';
import { findKept, keep } from './polarShelf';
import { specKey } from './specKey';

const live = new Lane();
const long = new Lane();

/** Polars that the long lane has not been told yet: it is opened only when something is asked of it. */
let owed: [string, Polar][] = [];

/** Anything that may take longer than a blink. */
export function askCore<K extends Job['task']>(job: Extract<Job, { task: K }>): Promise<Answers[K]> {
  const entries = owed;
  owed = [];
  // jobs of a lane are run in their order
  if (entries.length > 0) void long.ask<'remember'>({ task: 'remember', entries }).catch(() => undefined);
  return long.ask<K>(job);
}

/**
 * Polars of shapes, from what is kept (this page, this browser, the server) or computed side by side.
 * A shape that cannot be computed is given to `onPolar` as a sentence.
 */
export async function polarsOf(
  specs: readonly PolarSpec[],
  onPolar: (polar: Polar | string, spec: PolarSpec, progress: Progress) => void,
  signal?: AbortSignal,
): Promise<void> {
  const keys = specs.map(specKey);
  const kept = await findKept(keys);
  let done = 0;
  const todo: PolarSpec[] = [];
  specs.forEach((s, i) => {
    const p = kept.get(keys[i]!);
    if (p) onPolar(p, s, { done: ++done, total: specs.length });
    else todo.push(s);
  });
  await spread(
    todo,
    async (lane, spec) => {
      try {
        return (await lane.ask<'polar'>({ task: 'polar', spec })).polar;
      } catch (e) {
        if (e instanceof Stopped) throw e;
        return e instanceof Error ? e.message : String(e);
      }
    },
    (polar, spec) => {
      if (typeof polar !== 'string') keep([[specKey(spec), polar]]);
      onPolar(polar, spec, { done: ++done, total: specs.length });
    },
    signal,
  );
}

/** The flow about a section at many angles, shared out over the workers in runs of neighbours. */
export async function picturesOf(
  job: Extract<Job, { task: 'pictures' }>,
  onProgress: (p: Progress) => void,
  signal?: AbortSignal,
): Promise<Answers['pictures']> {
  const half = Math.ceil(job.alphas.length / POOL),
    out: Answers['pictures'] = new Array<null>(job.alphas.length).fill(null);
  const runs = Array.from({ length: POOL }, (_, i) => ({
    from: i * half,
    alphas: job.alphas.slice(i * half, (i + 1) * half),
  })).filter((r) => r.alphas.length > 0);
  let done = 0;
  await spread(
    runs,
    (lane, r) => lane.ask<'pictures'>({ ...job, alphas: r.alphas }),
    (list, r) => {
      list.forEach((p, i) => {
        out[r.from + i] = p;
      });
      done += list.length;
      onProgress({ done, total: job.alphas.length });
    },
    signal,
  );
  return out;
}

/**
 * What the live worker was asked about last; documents share what an edit leaves alone, so that most edits need not ask
 * again. Flaps of a state lower sections of the surfaces they are on.
 */
let asked: readonly unknown[] = [];

function sectionsAsked({ sections, states, surfaces }: DesignDocument['design']): readonly unknown[] {
  return states.some((s) => s.flaps) ? [sections, states, surfaces] : [sections];
}

/** Polars that a lane does not have yet, found or computed. */
async function missingIn(
  lane: Lane,
  document: DesignDocument,
  onProgress: (p: Progress) => void,
): Promise<[string, Polar][]> {
  const missing = await lane.ask<'missing'>({ task: 'missing', document });
  const entries: [string, Polar][] = [];
  if (missing.length === 0) return entries;
  onProgress({ done: 0, total: missing.length });
  const specs = missing.map((m): PolarSpec & { memory: string } => ({
    section: m.section,
    reynolds: m.reynolds,
    memory: m.key,
    ...(m.flow ? { flow: true as const } : {}),
  }));
  await polarsOf(specs, (polar, spec, p) => {
    if (typeof polar !== 'string') entries.push([(spec as (typeof specs)[number]).memory, polar]);
    onProgress(p);
  });
  return entries;
}

/** Sees to it that the live lane knows every polar the document needs, and the long one when it is asked. */
async function preparePolars(document: DesignDocument, onProgress: (p: Progress) => void): Promise<void> {
  const now = sectionsAsked(document.design);
  if (now.length === asked.length && now.every((part, i) => part === asked[i])) return;
  const entries = await missingIn(live, document, onProgress);
  if (entries.length > 0) await live.ask<'remember'>({ task: 'remember', entries });
  owed = [...owed, ...entries];
  asked = now;
}

/** A lane of its own brought to what a document needs. */
export async function readyFor(lane: Lane, document: DesignDocument): Promise<void> {
  const entries = await missingIn(lane, document, () => undefined);
  if (entries.length > 0) await lane.ask<'remember'>({ task: 'remember', entries });
}

/**
 * @param onQuick gets the numbers first, with the uncertainties of the assessment before
 * @param stale whether something newer waits: then the full assessment is left to it
 * @returns null when it was left
 */
export async function assessLive(
  document: Extract<Job, { task: 'assess' }>['document'],
  onProgress: (p: Progress) => void = () => undefined,
  onQuick?: (l: Answers['assess']) => void,
  stale: () => boolean = () => false,
): Promise<Answers['assess'] | null> {
  await preparePolars(document, onProgress);
  if (onQuick) {
    const quick = await live.ask<'assessQuickly'>({ task: 'assessQuickly', document });
    if (quick) onQuick(quick);
    if (quick && stale()) return null;
  }
  return live.ask<'assess'>({ task: 'assess', document });
}

/** The same for the drive. */
export async function reportPower(
  job: Omit<Extract<Job, { task: 'power' }>, 'task'>,
): Promise<Answers['power']> {
  return live.ask<'power'>({ task: 'power', ...job });
}

const SLICE = 700;

/**
 * Every combination of a parts list, in slices over the workers; `signal` ends it and what was found so far stays with
 * the caller.
 */
export async function matchParts(
  parts: Extract<Job, { task: 'match' }>['parts'],
  match: Extract<Job, { task: 'match' }>['match'],
  total: number,
  onSlice: (s: Answers['match'], p: Progress) => void,
  signal?: AbortSignal,
): Promise<void> {
  const slices = Array.from({ length: Math.ceil(total / SLICE) }, (_, i) => ({
    from: i * SLICE,
    to: Math.min(total, (i + 1) * SLICE),
  }));
  let done = 0;
  await spread(
    slices,
    (lane, s) => lane.ask<'match'>({ task: 'match', parts, match, ...s }),
    (found, s) => {
      done += s.to - s.from;
      onSlice(found, { done, total });
    },
    signal,
  );
}

/** A report on the document that was just assessed: its steps lie in the live worker's cache. */
export async function reportLayout(
  job: Omit<Extract<Job, { task: 'layout' }>, 'task'>,
): Promise<Answers['layout']> {
  return live.ask<'layout'>({ task: 'layout', ...job });
}

/** Run or throw over mass, by the same worker. */
export async function reportByMass(
  job: Omit<Extract<Job, { task: 'byMass' }>, 'task'>,
): Promise<Answers['byMass']> {
  return live.ask<'byMass'>({ task: 'byMass', ...job });
}

/** What hangs on rotors, by the same worker. */
export async function reportRotors(
  job: Omit<Extract<Job, { task: 'rotors' }>, 'task'>,
): Promise<Answers['rotors']> {
  return live.ask<'rotors'>({ task: 'rotors', ...job });
}

/** A mission leg by leg, by the same worker. */
export async function reportMission(
  job: Omit<Extract<Job, { task: 'mission' }>, 'task'>,
): Promise<Answers['mission']> {
  return live.ask<'mission'>({ task: 'mission', ...job });
}

/** What the wing of one state bears, by the worker that has just assessed it. */
export async function reportStructure(
  job: Omit<Extract<Job, { task: 'structure' }>, 'task'>,
): Promise<Answers['structure']> {
  return live.ask<'structure'>({ task: 'structure', ...job });
}

/** Drops of one slice: between two of them it may be stopped. */
const DROPS = 500;

/** Many drops, in a worker of their own. @returns ahead and aside, drop after drop [m] @throws Stopped */
export async function dropsOf(
  job: Omit<Extract<Job, { task: 'drops' }>, 'task' | 'seed'>,
  onProgress: (p: Progress) => void,
  signal?: AbortSignal,
): Promise<Float64Array> {
  const slices = Array.from({ length: Math.ceil(job.count / DROPS) }, (_, i) => i),
    places = new Float64Array(2 * job.count);
  let done = 0;
  await spread(
    slices,
    (lane, i) => {
      const count = Math.min(DROPS, job.count - i * DROPS);
      return lane.ask<'drops'>({ task: 'drops', drop: job.drop, spread: job.spread, count, seed: i + 1 });
    },
    (slice, i) => {
      places.set(slice, 2 * i * DROPS);
      done += slice.length / 2;
      onProgress({ done, total: job.count });
    },
    signal,
  );
  return places;
}
