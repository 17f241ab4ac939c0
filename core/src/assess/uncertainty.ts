/**
 * Where the spread of every number comes from:
 *   sigma^2 = J C J^T over the calibration factors, by central differences of one standard deviation,
 *           + sum over the items of the mass list (a + b (x_i - x)/m + c (z_i - z)/m)^2 s_i^2, a, b, c by mass
 * and CG of the state:
 *             three derivatives a state, chained back to the items, so that states that share an item move together,
 *           + what the site and the methods leave open, each an input with a spread of its own that no test teaches.
 * Only what lies downstream of a cause is run again.
 */
import { FACTOR_IDS, type Calibration } from '../design';
import { massSteps, type MassState } from '../mass';
import {
  balance,
  heaviestKnown,
  INPUT_IDS,
  OTHER_CAUSES,
  PLACE_IDS,
  type CauseId,
  type InputId,
  type PlaceId,
} from '../steps';
import type { Run } from './run';
import { valuesOf, type Cell, type CurveCell, type Values } from './values';

type Numbers = Record<string, number[]>;

/** Change of every number [one row a key, one column a cause]. */
export interface Jacobian {
  /** per unit of each factor */ factors: Record<string, number[][]>;
  /** by one spread of each input; items come from `states` */ inputs: Record<string, number[][]>;
  /** per kg of mass, per m of CG along x and z of the state */ states: Record<string, number[][]>;
}

export interface Cause {
  run: Run;
  cal: Calibration;
  cells: readonly Cell[];
  curves: readonly CurveCell[];
  /** scores of the values of a run with a cause moved; steps of the score held */ score: (
    changed: Values,
    cause: CauseId,
  ) => Values;
}

/** Everything downstream of a cause in a run with it moved. */
function numbersOf({ cells, curves, score }: Cause, run: Run, id: CauseId): Numbers {
  const values = valuesOf(run, cells, id),
    out: Numbers = {};
  for (const [key, v] of Object.entries({ ...values, ...score(values, id) })) out[key] = [v];
  for (const { key, curve, state } of curves) {
    if (!curve.step.reach.has(id)) continue;
    const drawn = curve.read(run.of(curve.step, state));
    if (drawn) out[key] = [...drawn.y];
  }
  return out;
}

function spreadRows(up: Numbers, down: Numbers, over: number): Numbers {
  return Object.fromEntries(
    Object.entries(up).flatMap(([k, u]) => (down[k] ? [[k, u.map((v, i) => (v - down[k][i]) / over)]] : [])),
  );
}

/** Puts one column into rows of `width` columns. */
function place(into: Record<string, number[][]>, column: Numbers, at: number, width: number): void {
  for (const [k, values] of Object.entries(column)) {
    const rows = (into[k] ??= values.map(() => new Array<number>(width).fill(0)));
    values.forEach((v, i) => {
      if (rows[i]) rows[i][at] = v;
    });
  }
}

/** Half the change between one step of a cause up and one down, over that step. */
function column(cause: Cause, id: CauseId, step: number, over = 1): Numbers {
  const { run } = cause,
    at = run.causes[id],
    side = (g: 1 | -1) => numbersOf(cause, run.withCause(id, at + g * step), id);
  return spreadRows(side(1), side(-1), 2 * over);
}

const isPlace = (id: CauseId): id is PlaceId => (PLACE_IDS as readonly string[]).includes(id);

/** Differences of everything over every cause. */
export function differentiate(cause: Cause): Jacobian {
  const { run, cal } = cause;
  const out: Jacobian = { factors: {}, inputs: {}, states: {} };
  FACTOR_IDS.forEach((id, k) => {
    const h = Math.sqrt(cal.covariance[k][k]);
    if (h > 1e-9) place(out.factors, column(cause, id, h, h), k, FACTOR_IDS.length);
  });
  for (const id of OTHER_CAUSES) {
    const by = column(cause, id, 1);
    if (!isPlace(id)) {
      place(out.inputs, by, INPUT_IDS.indexOf(id as InputId), INPUT_IDS.length);
      continue;
    }
    for (const [key, values] of Object.entries(by)) {
      const step = massSteps(stateFor(run, key))[id];
      by[key] = values.map((v) => v / step);
    }
    place(out.states, by, PLACE_IDS.indexOf(id), PLACE_IDS.length);
  }
  return out;
}

/** The mass state that a number belongs to; numbers of the whole design go with the heaviest. */
function stateFor(run: Run, key: string): MassState {
  const state = key.slice(key.indexOf('@') + 1).split(';')[0];
  return run.source.design.loadings.some((l) => l.id === state)
    ? run.of(balance, state).state
    : run.of(heaviestKnown);
}

/** By item, what one spread of its mass does to a number. */
export function itemParts(state: MassState, d: readonly number[]): { id: string; part: number }[] {
  const m = Math.max(state.mass, 1e-9);
  return state.points.map((p) => ({
    id: p.id,
    part: p.sigma * (d[0] + (d[1] * (p.x - state.x)) / m + (d[2] * (p.z - state.z)) / m),
  }));
}

export interface Spread {
  sigma: number;
  /** of the variance, in the order of FACTOR_IDS */ shares: number[];
  /** of the variance, in the order of INPUT_IDS */ inputShares: number[];
}

/** Spread of one number, row `i` of its key. */
export function spreadOf(
  { run, cal }: Pick<Cause, 'run' | 'cal'>,
  jacobian: Jacobian,
  key: string,
  i = 0,
): Spread {
  const j = jacobian.factors[key]?.[i] ?? FACTOR_IDS.map(() => 0),
    inputs = jacobian.inputs[key]?.[i] ?? INPUT_IDS.map(() => 0),
    d = jacobian.states[key]?.[i] ?? [0, 0, 0];
  const factorParts = j.map((a, p) =>
    a === 0 ? 0 : a * cal.covariance[p].reduce((s, c, q) => s + c * j[q], 0),
  );
  const inputParts = inputs.map((v) => v * v);
  const payload = key.startsWith('payloadMass@');
  if (payload || d.some((v) => v !== 0)) {
    const state = stateFor(run, key),
      parts = payload
        ? itemParts(state, [1, 0, 0]).filter((p) => p.id.startsWith('payload-'))
        : itemParts(state, d);
    inputParts[INPUT_IDS.indexOf('items')] = parts.reduce((s, p) => s + p.part ** 2, 0);
  }
  const variance = [...factorParts, ...inputParts].reduce((s, p) => s + p, 0);
  const share = (p: number) => (variance > 0 ? p / variance : 0);
  return {
    sigma: Math.sqrt(Math.max(0, variance)),
    shares: factorParts.map(share),
    inputShares: inputParts.map(share),
  };
}
