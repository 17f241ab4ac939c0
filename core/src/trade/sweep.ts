/**
 * Sweeps: one or two inputs over ranges, any quantity shown, every limit with its margin, so that only what can be flown wins.
 * A cell is the document with its inputs set, through the same steps as everything else.
 */
import { evaluate, QUANTITIES, readRef, refText, type QuantityRef, type StepCache } from '../assess';
import type { DesignDocument } from '../design';
import { DomainError } from '../numeric';
import type { Lever } from './levers';
import { limitsOf, type Limit } from './limits';

export interface Axis {
  readonly lever: Lever;
  readonly values: readonly number[];
}

/** Each cell is flown in the state that scores most there. */
export const BEST = 'best';

export interface SweepTask {
  readonly doc: DesignDocument;
  /** one or two; the first runs fastest */ readonly axes: readonly Axis[];
  /** id of a state, or `best` */ readonly state: string;
  /** written references; without a state they are of the state that is flown */ readonly show: readonly string[];
  /** with limits that are costly to compute */ readonly whole?: boolean;
}

export interface Cell {
  /** by lever */ readonly at: Readonly<Record<string, number>>;
  readonly state: string;
  /** by what was asked; null where there is no such number */ readonly show: Readonly<
    Record<string, number | null>
  >;
  readonly feasible: boolean;
  /** ids of the limits that block */ readonly blocked: readonly string[];
  /** by limit, below zero where it blocks */ readonly margins: Readonly<Record<string, number>>;
  /** why it could not be computed */ readonly stopped: string | null;
}

/** Evenly from one end to the other; whole numbers each once. */
export function axisOf(lever: Lever, from: number, to: number, count: number): Axis {
  const all = Array.from({ length: count }, (_, i) => from + ((to - from) * i) / Math.max(1, count - 1));
  return { lever, values: lever.whole ? [...new Set(all.map(Math.round))] : all };
}

export function cellCount({ axes }: Pick<SweepTask, 'axes'>): number {
  return axes.reduce((n, a) => n * a.values.length, 1);
}

/** Value of every axis at a cell. */
function placesOf(axes: readonly Axis[], index: number): number[] {
  let rest = index;
  return axes.map(({ values }) => {
    const v = values[rest % values.length];
    rest = Math.floor(rest / values.length);
    return v;
  });
}

/** The document of a cell. */
export function documentAt({ doc, axes }: Pick<SweepTask, 'doc' | 'axes'>, index: number): DesignDocument {
  return placesOf(axes, index).reduce((d, v, i) => axes[i].lever.set(d, v), doc);
}

/** A number that is asked for, of the state that is flown where it names none. */
function refIn(text: string, state: string): QuantityRef | null {
  const ref = readRef(text);
  if (!ref) return null;
  const named = text.includes('@');
  return named || QUANTITIES[ref.id].scope === 'all' ? ref : { ...ref, state };
}

interface Tried {
  readonly state: string;
  readonly values: Readonly<Record<string, number>>;
  readonly limits: readonly Limit[];
}

function tried(
  doc: DesignDocument,
  state: string,
  { show, whole = false }: Pick<SweepTask, 'show' | 'whole'>,
  cache: StepCache,
): Tried {
  const limits = limitsOf(doc, state, whole),
    wanted = [
      ...show.flatMap((t) => refIn(t, state) ?? []),
      { id: 'score' as const, state },
      ...limits.flatMap((l) => l.refs),
    ];
  return { state, values: evaluate(doc, wanted, cache), limits };
}

function cellFrom(task: SweepTask, index: number, { state, values, limits }: Tried): Cell {
  const margins: Record<string, number> = {};
  for (const l of limits) {
    const m = l.margin((k) => values[k]);
    if (m !== null) margins[l.id] = m;
  }
  const blocked = Object.keys(margins).filter((id) => !(margins[id] >= 0));
  return {
    at: atOf(task, index),
    state,
    show: Object.fromEntries(
      task.show.map((t) => {
        const ref = refIn(t, state);
        return [t, (ref && values[refText(ref)]) ?? null];
      }),
    ),
    feasible: blocked.length === 0,
    blocked,
    margins,
    stopped: null,
  };
}

const atOf = ({ axes }: SweepTask, index: number) =>
  Object.fromEntries(placesOf(axes, index).map((v, i) => [axes[i].lever.id, v]));

/** The one that can be flown and scores most; of none that can, the one that scores most. */
function bestTried(all: readonly Tried[]): Tried {
  const score = (t: Tried) => t.values[`score@${t.state}`] ?? -Infinity,
    flies = (t: Tried) => t.limits.every((l) => (l.margin((k) => t.values[k]) ?? 0) >= 0);
  const ahead = (a: Tried, b: Tried) => Number(flies(b)) - Number(flies(a)) || score(b) - score(a);
  return all.reduce((a, b) => (ahead(a, b) > 0 ? b : a));
}

/** @param index from 0 to `cellCount` */
export function sweepCell(task: SweepTask, index: number, cache: StepCache): Cell {
  const none = { show: Object.fromEntries(task.show.map((t) => [t, null])), margins: {} };
  try {
    const doc = documentAt(task, index),
      states = task.state === BEST ? doc.design.states.map((s) => s.id) : [task.state];
    return cellFrom(task, index, bestTried(states.map((s) => tried(doc, s, task, cache))));
  } catch (e) {
    if (!(e instanceof DomainError)) throw e;
    return {
      ...none,
      at: atOf(task, index),
      state: task.state,
      feasible: false,
      blocked: [],
      stopped: e.message,
    };
  }
}

/** Cells by their indices. */
export function sweepCells(task: SweepTask, indices: readonly number[], cache: StepCache): Cell[] {
  return indices.map((i) => sweepCell(task, i, cache));
}

/** Whether an axis draws another shape: that costs more than all else. */
function reshapes(doc: DesignDocument, { lever, values }: Axis): boolean {
  const at = (v: number) => lever.set(doc, v).design,
    { surfaces, sections } = at(values[0]);
  return values.some((v) => at(v).surfaces !== surfaces || at(v).sections !== sections);
}

/** Every index once, in the order in which neighbours share most: all of one shape before the next. */
export function sweepOrder(task: Pick<SweepTask, 'doc' | 'axes'>): number[] {
  const { doc, axes } = task,
    all = Array.from({ length: cellCount(task) }, (_, i) => i);
  if (axes.length < 2 || !reshapes(doc, axes[0]) || reshapes(doc, axes[1])) return all;
  const across = axes[0].values.length,
    up = axes[1].values.length;
  return all.map((i) => (i % up) * across + Math.floor(i / up));
}

/**
 * Index of the best cell that can be flown.
 * @returns null where none can
 */
export function bestCell(cells: readonly (Cell | null)[], show: string): number | null {
  const ref = readRef(show),
    sign = ref && QUANTITIES[ref.id].better === 'less' ? -1 : 1;
  let best: number | null = null,
    most = -Infinity;
  cells.forEach((c, i) => {
    const v = c?.feasible ? c.show[show] : null;
    if (v !== null && v !== undefined && sign * v > most) {
      most = sign * v;
      best = i;
    }
  });
  return best;
}

/**
 * The best cell that can be flown with every limit held against it, costly ones too; what falls out that way is marked.
 * @param cells of the task in order; null where not computed
 * @returns the cells as they are then known, and the index of the winner
 */
export function flyableWinner(
  task: SweepTask,
  cells: readonly (Cell | null)[],
  show: string,
  cache: StepCache,
): { cells: (Cell | null)[]; best: number | null } {
  const known = [...cells];
  for (;;) {
    const best = bestCell(known, show);
    if (best === null) return { cells: known, best };
    const cell = sweepCell({ ...task, state: known[best]!.state, whole: true }, best, cache);
    known[best] = cell;
    if (cell.feasible) return { cells: known, best };
  }
}

/** Names of the limits of a state: what its lines are called. */
export function limitNames(task: Pick<SweepTask, 'doc' | 'state'>): Record<string, string> {
  const { doc, state } = task,
    states = state === BEST ? doc.design.states.map((s) => s.id) : [state];
  return Object.fromEntries(states.flatMap((s) => limitsOf(doc, s, true).map((l) => [l.id, l.name])));
}
