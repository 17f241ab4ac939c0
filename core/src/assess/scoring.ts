/** Score of every loading from the brief's formulas over the values of a chain run. */
import { hovers, type Brief, type Design, powertrainOf, courseOf } from '../design';
import { compileFormula, successOf, taskPoints, type FormulaResult } from '../score';
import { ALL, readRef, refText, type QuantityId } from '../steps';
import { say, type Said } from '../words';
import { calledStates, namesOf } from './names';
import type { Values } from './values';

/** Why a loading cannot be flown as asked; empty when it can. */
export function flyProblems(brief: Brief, design: Design, v: Values, loading: string): Said[] {
  const out: Said[] = [],
    state = design.states.find((l) => l.id === loading);
  if (state && hovers(design, state)) {
    const lift = v[`hoverMargin@${loading}`];
    return lift > 1 ? [] : [lift > 0 ? say('lift-below-weight', { ratio: lift }) : say('nothing-lifts', {})];
  }
  // what leaves another way than along the strip has no run
  if (v[`groundRun@${loading}`] > brief.site.stripLength)
    out.push(say('run-over-strip', { run: v[`groundRun@${loading}`], strip: brief.site.stripLength }));
  if (!powertrainOf(design).unpowered && !(v[`climbRate@${loading}`] > 0.2))
    out.push(say('does-not-climb', {}));
  if (v[`failLoadFactor@${loading}`] < 1 / Math.cos(design.flight.turnBank))
    out.push(say('breaks-in-turn', {}));
  return out;
}

/** The brief's formulas, read once. */
export type CompiledTask = { m: Brief['tasks'][number]; f: FormulaResult };

/** Formulas are read once for the same tasks and the same names. */
const compiled = new WeakMap<Brief['tasks'], WeakMap<object, readonly CompiledTask[]>>();

export function compileTasks(brief: Brief, { states }: Pick<Design, 'states'>): readonly CompiledTask[] {
  const names = namesOf(brief, states);
  let by = compiled.get(brief.tasks);
  if (!by) compiled.set(brief.tasks, (by = new WeakMap()));
  let made = by.get(names);
  if (!made)
    by.set(names, (made = brief.tasks.map((m) => ({ m, f: compileFormula(m.formula, names.table) }))));
  return made;
}

export interface ScoreResult {
  values: Values;
  remarks: Record<string, Said[]>;
  errors: Said[];
  /** the state that scores most; null where every task names its own state and there is nothing to choose */
  best: string | null;
}

/** Quantities that decide whether a state can be flown. */
export const GATES: readonly QuantityId[] = ['groundRun', 'climbRate', 'failLoadFactor', 'hoverMargin'];

const namedBy = new WeakMap<readonly CompiledTask[], ReadonlySet<string>>();

/** Quantities that a score is made of: named by the formulas, and those that say whether a state can be flown. */
export function namesIn(
  brief: Brief,
  design: Pick<Design, 'states'>,
  tasks: readonly CompiledTask[],
): ReadonlySet<string> {
  const known = namedBy.get(tasks);
  if (known) return known;
  const { meant } = namesOf(brief, design.states),
    written = tasks.flatMap(({ f }) => (f.status === 'ok' ? [...f.names] : [])),
    named = written.map((n) => meant.get(n)?.id ?? n),
    made = new Set([...named, ...(named.includes('laps') ? ['lapsExact'] : []), ...GATES]);
  namedBy.set(tasks, made);
  return made;
}

/** States whose numbers the scores of some states are made of: their own, those that tasks are bound to or name. */
export function statesOf(
  brief: Brief,
  design: Pick<Design, 'states'>,
  tasks: readonly CompiledTask[],
  scored: Iterable<string>,
): ReadonlySet<string> {
  const { meant } = namesOf(brief, design.states),
    out = new Set([ALL, ...scored]);
  for (const { m, f } of tasks) {
    if (m.state !== 'each') out.add(m.state);
    if (f.status !== 'ok') continue;
    for (const key of f.names.flatMap((n) => meant.get(n)?.keys(ALL) ?? []))
      out.add(readRef(key)?.state ?? ALL);
  }
  return out;
}

/**
 * What the derivatives of a score hold fixed: which states can be flown and which is best. Both are steps, and a step
 * has no slope.
 */
export interface HeldSteps {
  problems: Readonly<Record<string, Said[]>>;
  best: string;
}

export function heldSteps(
  brief: Brief,
  design: Design,
  v: Values,
  tasks: readonly CompiledTask[],
): HeldSteps {
  const score = scoreStates(brief, design, v, { tasks }).values;
  return {
    problems: Object.fromEntries(design.states.map((l) => [l.id, flyProblems(brief, design, v, l.id)])),
    best: design.states.reduce(
      (a, l) => (score[`score@${l.id}`] > score[`score@${a.id}`] ? l : a),
      design.states[0],
    ).id,
  };
}

/** One figure of every range of the field, or figures by name. */
export type Rivals = 'low' | 'likely' | 'high' | Readonly<Record<string, number>>;

/** Ranges of the field that are tried in every combination; more of them one by one. */
const COMBINED = 6;

/** Figures of the field to try: each at its low and high, beside one another where they are few. */
function fieldFigures(brief: Brief): Record<string, number>[] {
  const ends = brief.rivals.map((r) => [r.low, r.likely, r.high].map((v) => ({ [r.name]: v })));
  if (ends.length > COMBINED) return ends.flat();
  return ends.reduce<Record<string, number>[]>(
    (all, one) => all.flatMap((a) => one.map((b) => ({ ...a, ...b }))),
    [{}],
  );
}

/** Least and most that a state scores while the field does between its low and its high figures. */
export function scoreRange(brief: Brief, design: Design, v: Values, state: string): [number, number] {
  const tasks = compileTasks(brief, design);
  const scores = fieldFigures(brief).map(
    (rivals) => scoreStates(brief, design, v, { rivals, tasks }).values[`score@${state}`],
  );
  return [Math.min(...scores), Math.max(...scores)];
}

/** What of a state's score rests on figures of the field. */
export interface OnField {
  /** points of tasks whose formulas name one */ readonly points: number;
  /** of all its points that are not below zero */ readonly share: number;
  /** least and most while the field does between its low and high */ readonly low: number;
  readonly high: number;
  /** the figures */ readonly names: readonly string[];
}

/** @returns null where no formula names a figure of the field */
export function restsOnField(brief: Brief, design: Design, v: Values, state: string): OnField | null {
  const tasks = compileTasks(brief, design),
    rivals = new Set(brief.rivals.map((r) => r.name)),
    scored = scoreStates(brief, design, v, { tasks }).values,
    points = ({ m }: CompiledTask) => scored[refText({ id: 'points', state, part: m.id })] ?? 0;
  const names = new Set(
    tasks.flatMap(({ f }) => (f.status === 'ok' ? f.names.filter((n) => rivals.has(n)) : [])),
  );
  if (names.size === 0) return null;
  const naming = tasks.filter(({ f }) => f.status === 'ok' && f.names.some((n) => rivals.has(n))),
    all = tasks.reduce((s, t) => s + Math.max(0, points(t)), 0),
    on = naming.reduce((s, t) => s + points(t), 0),
    [low, high] = scoreRange(brief, design, v, state);
  return { points: on, share: all > 0 ? Math.max(0, on) / all : 0, low, high, names: [...names] };
}

/** One task as one state flies it: what its points are called, and where its formula's names are found. */
interface Row {
  readonly task: CompiledTask;
  /** id of the state that flies it */ readonly flown: string;
  readonly key: string;
  /** names of its formula, and where their numbers may stand */ readonly names: readonly {
    readonly name: string;
    readonly keys: readonly string[];
  }[];
}

type Meanings = ReturnType<typeof namesOf>['meant'];
const rowsKnown = new WeakMap<readonly CompiledTask[], Map<string, readonly Row[][]>>();

function rowOf(task: CompiledTask, state: string, meant: Meanings): Row {
  const { m, f } = task,
    flown = m.state === 'each' ? state : m.state,
    names = f.status === 'ok' ? [...f.names] : [];
  return {
    task,
    flown,
    key: refText({ id: 'points', state, part: m.id }),
    names: names.map((name) => ({
      name,
      keys: meant.get(name)?.keys(flown) ?? [`${name}@${flown}`, `${name}@${ALL}`],
    })),
  };
}

/** Rows of every state: the same for all values. */
function rowsOf(tasks: readonly CompiledTask[], brief: Brief, states: Design['states']): readonly Row[][] {
  let by = rowsKnown.get(tasks);
  if (!by) rowsKnown.set(tasks, (by = new Map()));
  const key = calledStates(states);
  let rows = by.get(key);
  const { meant } = namesOf(brief, states);
  if (!rows) by.set(key, (rows = states.map((l) => tasks.map((t) => rowOf(t, l.id, meant)))));
  return rows;
}

interface Scoring {
  readonly v: Values;
  /** the course's figures and the field's */ readonly fixed: Readonly<Record<string, number>>;
  readonly held: HeldSteps | undefined;
  problems(state: string): readonly Said[];
}

/** Points of one row, and why there are none. */
function pointsOf({ task: { m, f }, flown, names }: Row, s: Scoring): { points: number; said: Said[] } {
  if (f.status !== 'ok') return { points: 0, said: [] };
  const env: Record<string, number> = { ...s.fixed };
  for (const { name, keys } of names)
    if (!(name in s.fixed)) env[name] = s.v[keys.find((k) => s.v[k] !== undefined) ?? ''] ?? NaN;
  if (s.held && f.names.includes('laps')) env.laps = s.v[`lapsExact@${flown}`];
  const points = taskPoints(m, f.evaluate(env)),
    problems = s.problems(flown);
  if (problems.length > 0) return { points: 0, said: [say('no-points', { because: [...problems] })] };
  const said: Said[] = m.odds && !successOf(m.odds) ? [say('never-tried', {})] : [];
  return Number.isFinite(points)
    ? { points, said }
    : { points: 0, said: [...said, say('formula-no-number', {})] };
}

/** Figures of the course and of the field, which no aircraft changes. */
export function fixedFigures(brief: Brief, rivals: Rivals): Record<string, number> {
  const course = courseOf(brief),
    out: Record<string, number> = course ? { window: course.window, timedLaps: course.timedLaps } : {};
  for (const r of brief.rivals)
    out[r.name] = typeof rivals === 'string' ? r[rivals] : (rivals[r.name] ?? r.likely);
  return out;
}

/**
 * Points per task and state and the total. A state that cannot be flown scores nothing on its free tasks.
 * @param options.rivals which figure of each range of the field, or figures by name; likely where left out
 * @param options.tasks formulas read before, for repeated runs
 * @param options.held for derivatives: unrounded laps, and steps held where they are
 * @param options.only states that are asked for; none of the others is scored and no best one is found
 */
export function scoreStates(
  brief: Brief,
  design: Design,
  v: Values,
  options: {
    rivals?: Rivals;
    held?: HeldSteps;
    tasks?: readonly CompiledTask[];
    only?: ReadonlySet<string>;
  } = {},
): ScoreResult {
  const { rivals = 'likely', held, tasks = compileTasks(brief, design), only } = options;
  const out: ScoreResult = { values: {}, remarks: {}, errors: [], best: null };
  // where nothing is scored there is no score, and none is nought
  if (!tasks.length) return out;
  const problems = new Map<string, readonly Said[]>();
  const scoring: Scoring = {
    v,
    fixed: fixedFigures(brief, rivals),
    held,
    problems(state) {
      let known = held ? held.problems[state] : problems.get(state);
      if (!known) problems.set(state, (known = flyProblems(brief, design, v, state)));
      return known;
    },
  };
  for (const { m, f } of tasks)
    if (f.status === 'error')
      out.errors.push(say('formula-error', { task: m.name || m.id, problem: f.message }));
  rowsOf(tasks, brief, design.states).forEach((rows, i) => {
    if (only && !only.has(design.states[i].id)) return;
    let total = 0;
    for (const row of rows) {
      const { points, said } = pointsOf(row, scoring);
      out.values[row.key] = points;
      if (said.length > 0) out.remarks[row.key] = said;
      total += points;
    }
    out.values[`score@${design.states[i].id}`] = total;
  });
  return only ? out : withBest(brief, design, out, held);
}

function withBest(brief: Brief, design: Design, out: ScoreResult, held: HeldSteps | undefined): ScoreResult {
  const scoreOf = (l: { id: string }) => out.values[`score@${l.id}`];
  const best =
    design.states.find((l) => l.id === held?.best) ??
    design.states.reduce((a, l) => (scoreOf(l) > scoreOf(a) ? l : a), design.states[0]);
  out.values['bestScore@all'] = scoreOf(best);
  // tasks bound to a state score the same whatever else is carried: none is then the best to carry
  if (brief.tasks.some((m) => m.state === 'each')) {
    out.values['bestCount@all'] = best.count;
    out.best = best.id;
  }
  return out;
}
