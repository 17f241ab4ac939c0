/**
 * Where the spread of every number comes from:
 *   sigma^2 = J C J^T over the calibration factors, by central differences of one standard deviation through the whole chain,
 *           + sum over the items of the mass list (a + b (x_i - x)/m + c (z_i - z)/m)^2 s_i^2, a, b, c by mass
 * and CG of the state:
 *             three derivatives a state, chained back to the items, so that states that share an item move together,
 *           + what the site and the methods leave open, each an input with a spread of its own that no test teaches.
 */
import { airAt } from '../air';
import { factorsOf, FACTOR_IDS, siteSpread, type Brief, type Calibration, type Design } from '../design';
import { heaviestState, loadedState, massSteps, type MassState } from '../mass';
import { rubberMotor } from '../power';
import { runChain, type ChainResult, type Nudge } from './chain';
import { METHOD_SPREAD } from './methodSpread';
import type { Prepared } from './prepare';

/** What a spread may come from beside the calibration factors. */
export const INPUTS = [
  { id: 'items', name: 'masses of the parts' },
  { id: 'wind', name: 'wind of the day' },
  { id: 'friction', name: 'rolling friction' },
  { id: 'temperature', name: 'temperature' },
  { id: 'liftSlope', name: 'lattice lift slope' },
  { id: 'yaw', name: 'fin and body in yaw' },
  { id: 'stallAngle', name: 'angle of the stall' },
  { id: 'rubber', name: 'rubber of the batch' },
] as const;
export type InputId = (typeof INPUTS)[number]['id'];
export const INPUT_IDS: readonly InputId[] = INPUTS.map((i) => i.id);

/** Breaking turns scatter less than energy, and less again where one was broken to find out. */
const TURNS_SHARE = 0.5,
  BROKEN_SPREAD = 0.02;

type Numbers = Record<string, number[]>;

/** Change of every number [one row a key, one column a cause]. */
export interface Jacobian {
  /** per unit of each factor */ factors: Record<string, number[][]>;
  /** by one spread of each input; items come from `states` */ inputs: Record<string, number[][]>;
  /** per kg of mass, per m of CG along x and z of the state */ states: Record<string, number[][]>;
}

export interface Cause {
  brief: Brief;
  design: Design;
  prep: Prepared;
  cal: Calibration;
  /** score and unrounded laps of a run, put into its values */ finish: (
    r: ChainResult,
    brief: Brief,
  ) => void;
}

const rowsOf = (r: ChainResult): Numbers => ({
  ...Object.fromEntries(Object.entries(r.values).map(([k, v]) => [k, [v]])),
  ...r.curves,
});

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

interface Run {
  brief?: Brief;
  design?: Design;
  prep?: Prepared;
  nudge?: Nudge;
}

/** Both sides of one cause: what a run changes by one spread up, and by one down. */
function inputRuns({ brief, design, prep }: Cause): Partial<Record<InputId, (sign: 1 | -1) => Run>> {
  const s = siteSpread(brief.site),
    site = (change: Partial<Brief['site']>): Run => ({
      brief: { ...brief, site: { ...brief.site, ...change } },
    });
  const rubber = design.power.rubber,
    turnsSpread = rubber?.breakTurns ? BROKEN_SPREAD : TURNS_SHARE * METHOD_SPREAD.rubber;
  return {
    wind: (g) => site({ wind: Math.max(0, brief.site.wind + g * s.wind) }),
    friction: (g) => site({ rollingFriction: Math.max(0, brief.site.rollingFriction + g * s.friction) }),
    temperature: (g) => ({
      prep: { ...prep, air: airAt(brief.site.elevation, brief.site.temperature + g * s.temperature) },
    }),
    liftSlope: (g) => ({ nudge: { liftSlope: 1 + g * METHOD_SPREAD.liftSlope } }),
    yaw: (g) => ({ nudge: { yaw: 1 + g * METHOD_SPREAD.yaw } }),
    stallAngle: (g) => ({ nudge: { stallAngle: 1 + g * METHOD_SPREAD.stallAngle } }),
    ...(rubber
      ? {
          rubber: (g) => ({
            design: {
              ...design,
              power: {
                ...design.power,
                rubber: {
                  ...rubber,
                  breakTurns: rubberMotor(rubber).breakTurns * (1 + g * turnsSpread),
                },
              },
            },
            prep: { ...prep, rubberFlights: new Map() },
            nudge: { rubberEnergy: 1 + g * METHOD_SPREAD.rubber },
          }),
        }
      : {}),
  };
}

/** Differences of the whole chain over every cause. */
export function differentiate(cause: Cause): Jacobian {
  const { brief, design, prep, cal } = cause;
  const out: Jacobian = { factors: {}, inputs: {}, states: {} };
  const rows = (mean: ReturnType<typeof factorsOf>, run: Run = {}): Numbers => {
    const b = run.brief ?? brief,
      r = runChain(b, run.design ?? design, run.prep ?? prep, mean, run.nudge);
    cause.finish(r, b);
    return rowsOf(r);
  };
  const f = factorsOf(cal.mean);
  FACTOR_IDS.forEach((_, k) => {
    const h = Math.sqrt(cal.covariance[k][k]);
    if (!(h > 1e-9)) return;
    const up = rows(factorsOf(cal.mean, k, h)),
      down = rows(factorsOf(cal.mean, k, -h));
    place(out.factors, spreadRows(up, down, 2 * h), k, FACTOR_IDS.length);
  });
  for (const [id, make] of Object.entries(inputRuns(cause)))
    place(
      out.inputs,
      spreadRows(rows(f, make(1)), rows(f, make(-1)), 2),
      INPUT_IDS.indexOf(id as InputId),
      INPUT_IDS.length,
    );
  (['mass', 'x', 'z'] as const).forEach((axis, k) => {
    const up = rows(f, { nudge: { [axis]: 1 } }),
      down = rows(f, { nudge: { [axis]: -1 } });
    const column = spreadRows(up, down, 2);
    for (const [key, values] of Object.entries(column)) {
      const step = massSteps(stateFor(design, key, f.massGrowth))[axis];
      column[key] = values.map((v) => v / step);
    }
    place(out.states, column, k, 3);
  });
  return out;
}

/** The mass state that a number belongs to; numbers of the whole design go with the heaviest. */
function stateFor(design: Design, key: string, growth: number): MassState {
  const loading = design.loadings.find((l) => l.id === key.slice(key.indexOf('@') + 1));
  return loading ? loadedState(design, loading, 'best', growth) : heaviestState(design, growth);
}

/** By item, what one spread of its mass does to a number. */
export function itemParts(
  state: MassState,
  d: readonly number[],
): { id: string; name: string; part: number }[] {
  const m = Math.max(state.mass, 1e-9);
  return state.points.map((p) => ({
    id: p.id,
    name: p.name,
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
  cause: Pick<Cause, 'design' | 'cal'>,
  jacobian: Jacobian,
  key: string,
  i = 0,
): Spread {
  const { cal, design } = cause;
  const j = jacobian.factors[key]?.[i] ?? FACTOR_IDS.map(() => 0),
    inputs = jacobian.inputs[key]?.[i] ?? INPUT_IDS.map(() => 0),
    d = jacobian.states[key]?.[i] ?? [0, 0, 0];
  const factorParts = j.map((a, p) => a * cal.covariance[p].reduce((s, c, q) => s + c * j[q], 0));
  const inputParts = inputs.map((v) => v * v);
  const payload = key.startsWith('payloadMass@');
  if (payload || d.some((v) => v !== 0)) {
    const state = stateFor(design, key, factorsOf(cal.mean).massGrowth),
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
