/** Score of every loading from the brief's formulas over the values of a chain run. */
import { hovers, type Brief, type Design, powertrainOf, courseOf } from '../design';
import { compileFormula, type FormulaResult, type NameTable } from '../score';
import type { KindName } from '../units';
import { QUANTITIES, refText } from '../steps';
import { say, type Said } from '../words';
import type { Values } from './values';

const CONSTANTS: Record<string, KindName | null> = { window: 'time', timedLaps: null };

/** Names a formula may use: ledger quantities but scores, the course's figures, and the brief's rivals. */
export function formulaNames(brief: Brief): NameTable {
  const names: Record<string, KindName | null> = { ...CONSTANTS };
  for (const q of Object.values(QUANTITIES)) if (q.station !== 'score') names[q.id] = q.kind;
  for (const r of brief.rivals) names[r.name] = null;
  return names;
}

/** Why a loading cannot be flown as asked; empty when it can. */
export function flyProblems(brief: Brief, design: Design, v: Values, loading: string): Said[] {
  const out: Said[] = [],
    state = design.states.find((l) => l.id === loading);
  if (state && hovers(state)) {
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

export function compileTasks(brief: Brief): CompiledTask[] {
  const names = formulaNames(brief);
  return brief.tasks.map((m) => ({ m, f: compileFormula(m.formula, names) }));
}

export interface ScoreResult {
  values: Values;
  remarks: Record<string, Said[]>;
  errors: Said[];
  /** the state that scores most; null where every task names its own state and there is nothing to choose */
  best: string | null;
}

/** What decides whether a state can be flown. */
const FLYING = ['groundRun', 'climbRate', 'failLoadFactor', 'hoverMargin'];

/** Quantities that a score is made of: named by the formulas, and those that say whether a state can be flown. */
export function namesIn(tasks: readonly CompiledTask[]): ReadonlySet<string> {
  const named = tasks.flatMap(({ f }) => (f.status === 'ok' ? [...f.names] : []));
  return new Set([...named, ...(named.includes('laps') ? ['lapsExact'] : []), ...FLYING]);
}

/** What the derivatives of a score hold fixed: which states can be flown and which is best. Both are steps, and a step has no slope. */
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
  const tasks = compileTasks(brief);
  const scores = fieldFigures(brief).map(
    (rivals) => scoreStates(brief, design, v, { rivals, tasks }).values[`score@${state}`],
  );
  return [Math.min(...scores), Math.max(...scores)];
}

/**
 * Points per task and loading and the total. A loading that cannot be flown scores nothing on its free tasks.
 * @param options.rivals which figure of each range of the field, or figures by name; likely where left out
 * @param options.tasks formulas read before, for repeated runs
 * @param options.held for derivatives: unrounded laps, and steps held where they are
 */
export function scoreStates(
  brief: Brief,
  design: Design,
  v: Values,
  options: { rivals?: Rivals; held?: HeldSteps; tasks?: readonly CompiledTask[] } = {},
): ScoreResult {
  const { rivals = 'likely', held, tasks = compileTasks(brief) } = options;
  const course = courseOf(brief),
    fixed: Record<string, number> = course ? { window: course.window, timedLaps: course.timedLaps } : {};
  for (const r of brief.rivals)
    fixed[r.name] = typeof rivals === 'string' ? r[rivals] : (rivals[r.name] ?? r.likely);
  const out: ScoreResult = { values: {}, remarks: {}, errors: [], best: null };
  for (const { m, f } of tasks)
    if (f.status === 'error')
      out.errors.push(say('formula-error', { task: m.name || m.id, problem: f.message }));
  for (const l of design.states) {
    let total = 0;
    for (const { m, f } of tasks) {
      const flown = m.state === 'each' ? l.id : m.state,
        key = refText({ id: 'points', state: l.id, part: m.id });
      let points = 0;
      if (f.status === 'ok') {
        const env = { ...fixed };
        for (const name of f.names)
          if (!(name in fixed)) env[name] = v[`${name}@${flown}`] ?? v[`${name}@all`] ?? NaN;
        if (held && f.names.includes('laps')) env.laps = v[`lapsExact@${flown}`];
        points = f.evaluate(env);
        const problems = held ? held.problems[flown] : flyProblems(brief, design, v, flown);
        if (problems.length) {
          points = 0;
          (out.remarks[key] ??= []).push(say('no-points', { because: problems }));
        }
        if (!Number.isFinite(points)) {
          points = 0;
          (out.remarks[key] ??= []).push(say('formula-no-number', {}));
        }
      }
      out.values[key] = points;
      total += points;
    }
    out.values[`score@${l.id}`] = total;
  }
  const best =
    design.states.find((l) => l.id === held?.best) ??
    design.states.reduce(
      (a, l) => (out.values[`score@${l.id}`] > out.values[`score@${a.id}`] ? l : a),
      design.states[0],
    );
  out.values['bestScore@all'] = out.values[`score@${best.id}`];
  // tasks bound to a state score the same whatever else is carried: none is then the best to carry
  if (brief.tasks.some((m) => m.state === 'each')) {
    out.values['bestCount@all'] = best.count;
    out.best = best.id;
  }
  return out;
}
