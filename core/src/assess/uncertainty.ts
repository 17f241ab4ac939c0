/**
 * Where the spread of every number comes from:
 *   sigma^2 = J C J^T over the calibration factors, by central differences of one standard deviation,
 *           + sum over the items of the mass list (a + b (x_i - x)/m + c (z_i - z)/m)^2 s_i^2, a, b, c by mass
 * and CG of the state:
 *             three derivatives a state, chained back to the items, so that states that share an item move together,
 *           + what the site and the methods leave open, each an input with a spread of its own that no test teaches.
 * A step is run again for the causes that reach it and no others; what both sides came to is kept under its own key.
 */
import { FACTOR_IDS, type Calibration } from '../design';
import { massSteps, type MassState } from '../mass';
import {
  ALL,
  balance,
  heaviestKnown,
  INPUT_IDS,
  OTHER_CAUSES,
  PLACE_IDS,
  type CauseId,
  type InputId,
  type PlaceId,
  type Step,
} from '../steps';
import type { Run } from './run';
import { numberCount, readAll } from './values';

/** Change of one number: per unit of each factor; by one spread of each input; per kg and m of its state. */
export interface Slope {
  factors: number[];
  inputs: number[];
  states: number[];
}

/** What one cause, moved up and down by its step, makes of a list of numbers. */
export interface Sides {
  cause: CauseId;
  up: readonly (number | undefined)[];
  down: readonly (number | undefined)[];
}

export interface Spread {
  sigma: number;
  /** of the variance, in the order of FACTOR_IDS */ shares: number[];
  /** of the variance, in the order of INPUT_IDS */ inputShares: number[];
}

const FACTORS_AT = new Map<CauseId, number>(FACTOR_IDS.map((id, k) => [id, k]));
const isPlace = (id: CauseId): id is PlaceId => (PLACE_IDS as readonly string[]).includes(id);

/** A document's numbers and how they move. */
export class Slopes {
  private readonly moved = new Map<CauseId, { up: Run; down: Run }>();
  private readonly known = new Map<string, readonly Sides[]>();
  private readonly spread = new Map<string, readonly Spread[]>();
  /** factors have a step of one standard deviation, everything else of one spread */
  private readonly steps: ReadonlyMap<CauseId, number>;
  readonly stepsKey: string;
  private readonly covarianceKey: string;

  constructor(
    readonly run: Run,
    readonly cal: Calibration,
  ) {
    const deviations = FACTOR_IDS.map((_, k) => Math.sqrt(cal.covariance[k][k]));
    // a factor that is known exactly moves nothing
    const factors = FACTOR_IDS.flatMap((id, k): [CauseId, number][] =>
      deviations[k] > 1e-9 ? [[id, deviations[k]]] : [],
    );
    this.steps = new Map([...factors, ...OTHER_CAUSES.map((id): [CauseId, number] => [id, 1])]);
    this.stepsKey = run.cache.contentOf(deviations);
    this.covarianceKey = run.cache.contentOf(cal.covariance);
  }

  /** Causes that are moved at all. */
  get causes(): Iterable<CauseId> {
    return this.steps.keys();
  }

  /** The document with one cause a step up, and a step down. */
  sidesOf(cause: CauseId): { up: Run; down: Run } {
    const known = this.moved.get(cause);
    if (known) return known;
    const at = this.run.causes[cause],
      h = this.steps.get(cause)!,
      made = { up: this.run.withCause(cause, at + h), down: this.run.withCause(cause, at - h) };
    this.moved.set(cause, made);
    return made;
  }

  /** Everything that is read off one step, on both sides of every cause that reaches it. */
  of(step: Step, state: string): readonly Sides[] {
    const at = `${step.id}@${state}`,
      known = this.known.get(at);
    if (known) return known;
    const key = `${this.run.keyOf(step, state)} ${this.stepsKey}`;
    const made = this.run.cache.kept(`both sides of ${step.id}`, key, 400, () =>
      [...this.steps.keys()]
        .filter((c) => step.reach.has(c))
        .map((cause): Sides => {
          const { up, down } = this.sidesOf(cause);
          return {
            cause,
            up: readAll(step, up.read(step, state)),
            down: readAll(step, down.read(step, state)),
          };
        }),
    );
    this.known.set(at, made);
    return made;
  }

  /** Spreads of all quantities that are read off one step. */
  spreadsOf(step: Step, state: string): readonly Spread[] {
    const at = `${step.id}@${state}`,
      known = this.spread.get(at);
    if (known) return known;
    const { run } = this,
      masses = state === ALL ? run.keyOf(heaviestKnown, ALL) : run.keyOf(balance, state);
    const key = `${run.keyOf(step, state)} ${masses} ${this.covarianceKey}`;
    const made = run.cache.kept(`spreads of ${step.id}`, key, 400, () => {
      const sides = this.of(step, state);
      const count = numberCount(step, run.read(step, state));
      return Array.from({ length: count }, (_, i) => this.spreadOf(this.slopeOf(sides, i, state), state));
    });
    this.spread.set(at, made);
    return made;
  }

  /** Standard uncertainty of `n` numbers of a step from place `from` on: a curve needs no shares. */
  sigmasOf(step: Step, state: string, from: number, n: number): readonly number[] {
    const sides = this.of(step, state),
      { covariance } = this.cal;
    // by mass and CG of the state, chained back to its items once for all
    const masses = sides.some((s) => isPlace(s.cause)) ? this.stateFor(state) : null,
      h = masses && massSteps(masses);
    return Array.from({ length: n }, (_, k) => {
      const i = from + k,
        slopes: [factor: number, slope: number][] = [],
        place = [0, 0, 0];
      let variance = 0;
      for (const { cause, up, down } of sides) {
        const a = up[i],
          b = down[i];
        if (a === undefined || b === undefined || a === b) continue;
        const factor = FACTORS_AT.get(cause);
        if (factor !== undefined) slopes.push([factor, (a - b) / (2 * this.steps.get(cause)!)]);
        else if (isPlace(cause)) place[PLACE_IDS.indexOf(cause)] = (a - b) / 2 / h![cause];
        else variance += ((a - b) / 2) ** 2;
      }
      for (const [p, a] of slopes) for (const [q, b] of slopes) variance += a * b * covariance[p][q];
      if (masses && place.some((v) => v !== 0))
        variance += itemParts(masses, place).reduce((s, p) => s + p.part ** 2, 0);
      return Math.sqrt(Math.max(0, variance));
    });
  }

  /** Number `i` of a list of both sides. @param state id of the state it belongs to, or 'all' */
  slopeOf(sides: readonly Sides[], i: number, state: string): Slope {
    const out: Slope = {
      factors: FACTOR_IDS.map(() => 0),
      inputs: INPUT_IDS.map(() => 0),
      states: PLACE_IDS.map(() => 0),
    };
    for (const { cause, up, down } of sides) {
      const a = up[i],
        b = down[i];
      if (a === undefined || b === undefined) continue;
      const k = FACTORS_AT.get(cause);
      if (k !== undefined) out.factors[k] = (a - b) / (2 * this.steps.get(cause)!);
      else if (isPlace(cause))
        out.states[PLACE_IDS.indexOf(cause)] = (a - b) / 2 / massSteps(this.stateFor(state))[cause];
      else out.inputs[INPUT_IDS.indexOf(cause as InputId)] = (a - b) / 2;
    }
    return out;
  }

  /** The mass state that a number belongs to; numbers of the whole design go with the heaviest. */
  private stateFor(state: string): MassState {
    return this.run.source.design.states.some((l) => l.id === state)
      ? this.run.of(balance, state).state
      : this.run.of(heaviestKnown);
  }

  /** @param payload the number is the mass of the payload: its own units alone bear on it */
  spreadOf(slope: Slope, state: string, payload = false): Spread {
    const { covariance } = this.cal,
      j = slope.factors;
    const factorParts = j.map((a, p) =>
      a === 0 ? 0 : a * covariance[p].reduce((s, c, q) => s + c * j[q], 0),
    );
    const inputParts = slope.inputs.map((v) => v * v);
    if (payload || slope.states.some((v) => v !== 0)) {
      const of = this.stateFor(state),
        parts = payload
          ? itemParts(of, [1, 0, 0]).filter((p) => p.id.startsWith('payload-'))
          : itemParts(of, slope.states);
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
}

/** By item, what one spread of its mass does to a number. */
function itemParts(state: MassState, d: readonly number[]): { id: string; part: number }[] {
  const m = Math.max(state.mass, 1e-9);
  return state.points.map((p) => ({
    id: p.id,
    part: p.sigma * (d[0] + (d[1] * (p.x - state.x)) / m + (d[2] * (p.z - state.z)) / m),
  }));
}
