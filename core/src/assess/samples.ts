/**
 * Samples of everything that is not known: calibration factors by their covariance, masses of the items, the day, methods. For
 * what is a step and has no slope: whether a state leaves the strip, whether another lap fits.
 */
import { FACTOR_IDS, type Brief, type Calibration, type DesignDocument } from '../design';
import { massSteps, type MassState } from '../mass';
import { choleskyLower } from '../numeric';
import { balance, INPUT_IDS, type CauseId, type Causes } from '../steps';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { Run } from './run';
import {
  compileTasks,
  flyProblems,
  namesIn,
  scoreStates,
  statesOf,
  type CompiledTask,
  type HeldSteps,
} from './scoring';
import { cellsNamed, valuesOf, type Cell, type Values } from './values';

/** Moves of mass and CG by items that are each a spread of their own off. */
function placeMoves(of: MassState, normal: () => number): Pick<Causes, 'mass' | 'x' | 'z'> {
  const h = massSteps(of),
    m = Math.max(of.mass, 1e-9);
  let mass = 0,
    x = 0,
    z = 0;
  for (const p of of.points) {
    const d = p.sigma * normal();
    mass += d;
    x += (d * (p.x - of.x)) / m;
    z += (d * (p.z - of.z)) / m;
  }
  return { mass: mass / h.mass, x: x / h.x, z: z / h.z };
}

/**
 * @param normal standard normal numbers, from outside
 * @param pairs each is taken with its opposite, so that what is linear comes out without noise
 * @returns twice as many sets of causes
 */
export function causeSamples(
  run: Run,
  cal: Calibration,
  state: string,
  normal: () => number,
  pairs: number,
): Causes[] {
  const L = choleskyLower(cal.covariance),
    of = run.of(balance, state).state,
    inputs = INPUT_IDS.filter((i) => i !== 'items');
  return Array.from({ length: pairs }, () => {
    const e = FACTOR_IDS.map(() => normal()),
      factors = L.map((row) => row.reduce((s, l, k) => s + l * e[k], 0)),
      moves: [CauseId, number][] = [
        ...FACTOR_IDS.map((id, k): [CauseId, number] => [id, factors[k]]),
        ...inputs.map((id): [CauseId, number] => [id, normal()]),
        ...(Object.entries(placeMoves(of, normal)) as [CauseId, number][]),
      ];
    return [1, -1].map((sign): Causes => {
      const causes: Record<string, number> = { ...run.causes };
      for (const [id, d] of moves) causes[id] += sign * d;
      return causes as Causes;
    });
  }).flat();
}

type Doc = Pick<DesignDocument, 'brief' | 'design' | 'calibration'>;

/** Points of one task as it is flown once, as if it left the strip. */
export interface Flown {
  readonly task: string;
  readonly points: number;
  /** ground run of the state that flies it [m]; null where it does not run */ readonly run: number | null;
  /** nothing else than the strip keeps it from being flown */ readonly flies: boolean;
}

interface Scored {
  readonly doc: Doc;
  readonly state: string;
  readonly tasks: readonly CompiledTask[];
  readonly cells: readonly Cell[];
  readonly free: Brief;
}

/** What is read for the score of a state. The strip has no end: whether it is left is counted apart. */
function scoredOf(doc: Doc, state: string, cache: StepCache): Scored {
  const { brief, design, calibration } = doc,
    tasks = compileTasks(brief, design),
    states = statesOf(brief, design, tasks, [state]),
    named = namesIn(brief, design, tasks);
  return {
    doc,
    state,
    tasks,
    cells: cellsNamed(runOf({ brief, design }, calibration, cache), named, states),
    free: { ...brief, site: { ...brief.site, stripLength: Infinity } },
  };
}

function flownAt({ doc: { design }, state, tasks, free }: Scored, v: Values, held?: HeldSteps): Flown[] {
  const scored = scoreStates(free, design, v, {
    tasks,
    only: new Set([state]),
    ...(held && { held }),
  }).values;
  return tasks.map(({ m }) => {
    const flown = m.state === 'each' ? state : m.state;
    return {
      task: m.id,
      points: scored[`points@${state};part=${m.id}`] ?? 0,
      run: v[`groundRun@${flown}`] ?? null,
      flies: flyProblems(free, design, v, flown).length === 0,
    };
  });
}

/**
 * Tasks of one state at every sample of the causes.
 * @returns by sample, by task
 * @throws DomainError
 */
export function sampledPoints(
  doc: Doc,
  state: string,
  samples: readonly Causes[],
  cache: StepCache,
): Flown[][] {
  const of = scoredOf(doc, state, cache),
    { brief, design } = doc;
  return samples.map((causes) => flownAt(of, valuesOf(new Run({ brief, design }, causes, cache), of.cells)));
}

/** Tasks of one state as predicted, laps unrounded and nothing held against it: without a step in them. @throws DomainError */
export function smoothPoints(doc: Doc, state: string, cache: StepCache): Flown[] {
  const of = scoredOf(doc, state, cache),
    { brief, design, calibration } = doc,
    values = valuesOf(runOf({ brief, design }, calibration, cache), of.cells),
    problems = Object.fromEntries(design.states.map((s) => [s.id, []]));
  return flownAt(of, values, { problems, best: state });
}
