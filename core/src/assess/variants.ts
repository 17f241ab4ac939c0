/** The same contest under other rules: the brief with places changed, and with what that costs or gives. */
import {
  briefSchema,
  problemOf,
  setPath,
  getPath,
  type Brief,
  type DesignDocument,
  type Variant,
} from '../design';
import type { Said } from '../words';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { flyProblems, scoreStates } from './scoring';
import { cellsOf, valuesOf } from './values';

type Ruled = { status: 'ok'; brief: Brief } | { status: 'error'; message: string };

/** A task by its id that no other has. */
const ADDED = 'variant-points';

/** @returns the brief under a variant's rules, or why there is none */
export function underRules(brief: Brief, variant: Variant): Ruled {
  let changed: Brief = brief;
  for (const { path, value } of variant.changes) {
    if (getPath(changed, path) === undefined)
      return { status: 'error', message: `“${variant.name}” changes “${path}”, which this brief has not.` };
    changed = setPath(changed, path, value);
  }
  const weighed = changed.tasks.map((t) => ({
    ...t,
    weight: (t.weight ?? 1) * variant.factor,
    ...(t.odds && { odds: { ...t.odds, failed: t.odds.failed * variant.factor } }),
  }));
  const nothing = !(variant.factor > 0),
    tasks = nothing ? [] : variant.factor === 1 ? changed.tasks : weighed;
  const added = variant.added.trim();
  const next = {
    ...changed,
    tasks: added
      ? [...tasks, { id: ADDED, name: variant.name, mission: null, formula: added, state: 'each' }]
      : tasks,
  };
  const read = briefSchema.safeParse(next);
  if (!read.success) return { status: 'error', message: `“${variant.name}”: ${problemOf(read.error)}` };
  // what was asked for before stands as it was: nothing is made anew that the variant leaves alone
  return { status: 'ok', brief: next };
}

/** What a design scores under one set of rules. */
export interface UnderRules {
  readonly id: string;
  readonly name: string;
  /** why there are no such rules here; null where there are */ readonly wrong: string | null;
  /** the state that scores most */ readonly state: string | null;
  readonly score: number;
  /** by state */ readonly scores: Readonly<Record<string, number>>;
  /** why the states that score nothing do not, by state */ readonly blocked: Readonly<
    Record<string, readonly Said[]>
  >;
}

function scoredUnder(id: string, name: string, brief: Brief, doc: Doc, cache: StepCache): UnderRules {
  const { design, calibration } = doc,
    run = runOf({ brief, design }, calibration, cache),
    values = valuesOf(run, cellsOf(run)),
    score = scoreStates(brief, design, values).values;
  const scores = Object.fromEntries(design.states.map((s) => [s.id, score[`score@${s.id}`] ?? 0])),
    state = design.states.reduce((a, s) => (scores[s.id] > scores[a] ? s.id : a), design.states[0].id);
  const blocked = Object.fromEntries(
    design.states.map((s) => [s.id, flyProblems(brief, design, values, s.id)]),
  );
  return { id, name, wrong: null, state, score: scores[state], scores, blocked };
}

type Doc = Pick<DesignDocument, 'brief' | 'design' | 'calibration'>;

/**
 * The same design under the rules as they are, under each variant, and under rules of other briefs.
 * @param others briefs of other versions, by what they are called
 */
export function scoresUnderRules(
  doc: Doc,
  others: readonly { name: string; brief: Brief }[],
  cache: StepCache,
): UnderRules[] {
  const nothing = { state: null, score: 0, scores: {}, blocked: {} };
  const made: { id: string; name: string; ruled: Ruled }[] = [
    { id: 'as-written', name: 'As written', ruled: { status: 'ok', brief: doc.brief } },
    ...(doc.brief.variants ?? []).map((v) => ({ id: v.id, name: v.name, ruled: underRules(doc.brief, v) })),
    ...others.map((o, i) => ({ id: `other-${i}`, name: o.name, ruled: knownStates(o.brief, doc) })),
  ];
  return made.map(({ id, name, ruled }) =>
    ruled.status === 'ok'
      ? scoredUnder(id, name, ruled.brief, doc, cache)
      : { id, name, wrong: ruled.message, ...nothing },
  );
}

/** Rules of another version bind tasks to states: these must be here too. */
function knownStates(brief: Brief, { design }: Doc): Ruled {
  const missing = brief.tasks.find((t) => t.state !== 'each' && !design.states.some((s) => s.id === t.state));
  return missing
    ? { status: 'error', message: `“${missing.name}” is flown in a state that this design has not.` }
    : { status: 'ok', brief };
}
