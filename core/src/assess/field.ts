/**
 * A person's own designs scored as if they were the whole field: the best of them stands for the best of the field, each
 * flies the state that scores most against it, and that may change who is best. Repeated until nothing changes.
 */
import type { Brief, Calibration, Design } from '../design';
import { compileFormula, type FormulaResult } from '../score';
import { DomainError } from '../numeric';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { namesOf } from './names';
import { compileTasks, scoreStates, type ScoreResult } from './scoring';
import { cellsOf, valuesOf, type Values } from './values';

export interface Entrant {
  readonly name: string;
  readonly design: Design;
  readonly calibration: Calibration;
}

interface FieldRow {
  readonly name: string;
  /** state that it flies */ readonly state: string;
  readonly score: number;
  /** by task */ readonly points: Readonly<Record<string, number>>;
}

export interface FieldResult {
  /** best first */ readonly rows: readonly FieldRow[];
  /** designs that cannot be scored under this brief, and why */ readonly out: readonly {
    name: string;
    why: string;
  }[];
  /** figures of the field that the designs set */ readonly figures: Readonly<Record<string, number>>;
  /** figures that say of nothing what they are the best of: left as they were typed */ readonly typed: readonly string[];
  readonly status: 'settled' | 'goes-round';
  readonly rounds: number;
}

/** A field that has not settled after so many rounds goes round in circles. */
const ROUNDS = 40;

interface Flown {
  readonly of: Entrant;
  readonly values: Values;
}

/** What a design comes to in one state by the formula of a figure. */
function figureOf(brief: Brief, { of, values }: Flown, state: string, f: FormulaResult): number {
  if (f.status !== 'ok') return NaN;
  const { meant } = namesOf(brief, of.design.states),
    env = Object.fromEntries(
      f.names.map((n) => {
        const keys = meant.get(n)?.keys(state) ?? [`${n}@${state}`, `${n}@all`];
        return [n, values[keys.find((k) => values[k] !== undefined) ?? ''] ?? NaN];
      }),
    );
  return f.evaluate(env);
}

function bestState(brief: Brief, { of, values }: Flown, rivals: Record<string, number>) {
  const score: ScoreResult = scoreStates(brief, of.design, values, {
      rivals,
      tasks: compileTasks(brief, of.design),
    }),
    at = (id: string) => score.values[`score@${id}`] ?? -Infinity;
  const state = of.design.states.reduce((a, s) => (at(s.id) > at(a) ? s.id : a), of.design.states[0].id);
  return { state, score: at(state), values: score.values };
}

type Best = ReturnType<typeof bestState>;

/** Best of the field by every figure that says what it is the best of. */
function figuresOf(
  brief: Brief,
  field: readonly Flown[],
  best: readonly Best[],
  before: Record<string, number>,
) {
  const out = { ...before };
  for (const r of brief.rivals) {
    if (!r.of?.trim()) continue;
    const all = field.flatMap((f, i) => {
      const x = figureOf(
        brief,
        f,
        best[i].state,
        compileFormula(r.of!, namesOf(brief, f.of.design.states).table),
      );
      return Number.isFinite(x) ? [x] : [];
    });
    if (all.length > 0) out[r.name] = r.better === 'less' ? Math.min(...all) : Math.max(...all);
  }
  return out;
}

function flownBy(brief: Brief, entrants: readonly Entrant[], cache: StepCache) {
  const field: Flown[] = [],
    out: { name: string; why: string }[] = [];
  for (const of of entrants) {
    const missing = brief.tasks.find(
      (t) => t.state !== 'each' && !of.design.states.some((s) => s.id === t.state),
    );
    if (missing) {
      out.push({
        name: of.name,
        why: `it has no state “${missing.state}”, which “${missing.name}” is flown in`,
      });
      continue;
    }
    try {
      const run = runOf({ brief, design: of.design }, of.calibration, cache);
      field.push({ of, values: valuesOf(run, cellsOf(run)) });
    } catch (e) {
      if (!(e instanceof DomainError)) throw e;
      out.push({ name: of.name, why: e.message });
    }
  }
  return { field, out };
}

const same = (a: Record<string, number>, b: Record<string, number>) =>
  Object.keys(a).every((k) => Math.abs(a[k] - b[k]) <= 1e-9 * Math.max(1, Math.abs(a[k])));

export function fieldScores(brief: Brief, entrants: readonly Entrant[], cache: StepCache): FieldResult {
  const { field, out } = flownBy(brief, entrants, cache);
  let figures: Record<string, number> = Object.fromEntries(brief.rivals.map((r) => [r.name, r.likely])),
    best: Best[] = [],
    rounds = 0,
    settled = false;
  for (; rounds < ROUNDS && !settled; rounds++) {
    best = field.map((f) => bestState(brief, f, figures));
    const next = figuresOf(brief, field, best, figures);
    settled = same(figures, next);
    figures = next;
  }
  const rows = field.map(({ of }, i): FieldRow => {
    const { state, score, values } = best[i];
    const points = Object.fromEntries(
      brief.tasks.map((t) => [t.id, values[`points@${state};part=${t.id}`] ?? 0]),
    );
    return { name: of.name, state, score, points };
  });
  return {
    rows: rows.sort((a, b) => b.score - a.score),
    out,
    figures,
    typed: brief.rivals.filter((r) => !r.of?.trim()).map((r) => r.name),
    status: settled ? 'settled' : 'goes-round',
    rounds,
  };
}
