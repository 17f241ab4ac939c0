/**
 * Calibration factors from measurements: linear Bayes update about the present mean, repeated until it
 * settles (Gauss-Newton with the prior as regulariser). Jacobian by differences through the whole assessment.
 *
 * Each measurement is held against the prediction for the version it was flown with. Model error beyond the
 * factors is allowed for by adding `MODEL_SHARE` of the value to the measurement's own sigma (common practice, no source).
 */
import {
  FACTOR_IDS,
  FACTORS,
  type Brief,
  type Calibration,
  type Design,
  type DesignDocument,
  type FactorId,
  type Measurement,
  type Source,
  type TestBody,
} from '../design';
import { sensitivities, StepCache, type Sensitivities } from '../assess';
import { cutBelow, updateLinear, type BayesUpdate } from '../numeric';
import { weighedDesign } from '../mass';
import { designOfTheDay, measuredKeys } from '../trial';

const MODEL_SHARE = 0.02;
const ROUNDS = 3;
/** a residual past this many sigmas is pointed at */
export const OUTLIER_SIGMAS = 3;

export interface Observed {
  /** id of the test */ test?: string;
  brief: Brief;
  design: Design;
  measurements: readonly Measurement[];
}

export interface FitRow {
  quantity: string;
  state: string;
  source: Source;
  /** id of its test, where that is known */ test: string | null;
  measured: number;
  sigma: number;
  /** with the prior, and with the updated factors */ before: number;
  after: number;
  /** (measured - before) over its expected spread (measurement, model and prior together) */ surprise: number;
  outlier: boolean;
  /** how much it counts: 1 near what the rest says, towards 0 far from it */ weight: number;
}

/** What is kept and shown, but teaches nothing. */
interface Unattributed {
  quantity: string;
  test: string | null;
  reason: string;
}

/** What one test taught, all the others being known. */
interface Lesson {
  test: string;
  factors: {
    factor: FactorId;
    /** without the test, and with it */ from: number;
    to: number;
    /** share by which the spread of the factor became less */ narrowed: number;
  }[];
}

export type CalibrationResult =
  | {
      status: 'updated';
      calibration: Calibration;
      rows: FitRow[];
      unused: Unattributed[];
      lessons: Lesson[];
    }
  | { status: 'nothing'; reason: string };

interface Row {
  obs: Observed;
  m: Measurement;
  key: string;
}

/** What a hand-held meter and a thermometer at the field are good for (common practice, no source). */
const FIELD_WIND = 0.5,
  FIELD_WIND_SHARE = 0.15,
  FIELD_TEMPERATURE = 1.5;

/** Conditions on the day, with their own spread, replace the site of the brief: they are never learnt. */
export function briefOfTheDay(brief: Brief, temperature: number, wind: number): Brief {
  const spread = {
    ...brief.site.spread,
    wind: Math.max(FIELD_WIND, FIELD_WIND_SHARE * wind),
    temperature: FIELD_TEMPERATURE,
  };
  return { ...brief, site: { ...brief.site, temperature, wind, spread } };
}

/**
 * Quantities that are themselves of the scale: they teach the growth of masses and are held against the list, not
 * against that day's weight.
 */
const OF_THE_SCALE = new Set(['mass', 'cgX', 'cgChord', 'wingLoading', 'staticMargin']);

/** What a measurement was flown with, where it says it, else what the record says. */
function flownWith(m: Measurement, { record }: TestBody) {
  const c = m.conditions ?? {};
  return {
    temperature: c.temperature ?? record.temperature,
    wind: c.wind ?? record.wind,
    mass: OF_THE_SCALE.has(m.quantity) ? null : (c.mass ?? record.mass),
    cgX: c.cgX ?? record.cgX,
  };
}

/**
 * What one test says of the version it was flown with, a group for all that was flown alike: its air, its turns and, where it
 * was weighed that day, its mass in place of the drawing's. A bench figure was brought to the site's own air before.
 */
export function observedOf(doc: Pick<DesignDocument, 'brief' | 'design'>, body: TestBody): Observed[] {
  const { record, measurements, bench, load, card } = body;
  if (bench || load) return [{ brief: doc.brief, design: doc.design, measurements }];
  const design = designOfTheDay(doc.design, record),
    groups = new Map<string, Measurement[]>();
  for (const m of measurements) {
    const key = JSON.stringify(flownWith(m, body));
    groups.set(key, [...(groups.get(key) ?? []), m]);
  }
  return [...groups.values()].map((alike) => {
    const { temperature, wind, mass, cgX } = flownWith(alike[0], body);
    return {
      brief: briefOfTheDay(doc.brief, temperature, wind),
      design: mass === null ? design : weighedDesign(design, card.state, mass, cgX),
      measurements: alike,
    };
  });
}

/** Whether any factor moves a number that this design has. */
function hasSlope(s: Sensitivities, key: string): boolean {
  return s.value(key) !== undefined && s.gradient(key).some((g) => Math.abs(g) > 1e-12);
}

interface Linear {
  readonly J: readonly (readonly number[])[];
  /** measured less predicted at the prior mean */ readonly residual: readonly number[];
  readonly sigma: readonly number[];
  /** known to be no less than this */ readonly bound: readonly boolean[];
}

/**
 * Values first, then bounds: a bound turns the normal spread of its number into one that is cut off, and its mean and
 * variance are taken on (`cutBelow`).
 */
function fitted(prior: Calibration, { J, residual, sigma, bound }: Linear): BayesUpdate {
  const two = residual.flatMap((_, i) => (bound[i] ? [] : [i])),
    pick = <T>(of: readonly T[]) => two.map((i) => of[i]);
  let at = updateLinear(prior.mean, prior.covariance, pick(J), pick(residual), pick(sigma));
  residual.forEach((r, i) => {
    if (!bound[i]) return;
    const already = J[i].reduce((s, g, j) => s + g * (at.mean[j] - prior.mean[j]), 0);
    at = cutBelow(at, J[i], r - already, sigma[i]);
  });
  return at;
}

/** Degrees of freedom of Student's t by which far readings count less. */
const NU = 4,
  WEIGHINGS = 8;

/** Full weight within one spread of what is expected, less and less beyond it: never dropped. */
const weightOf = (u: number) => Math.min(1, (NU + 1) / (NU + u * u));

/** The fit with readings far from it counting less: weights by what is left, again until they stay. */
function fittedRobust(prior: Calibration, linear: Linear): { at: BayesUpdate; weights: number[] } {
  let weights = linear.sigma.map(() => 1),
    at = fitted(prior, linear);
  for (let k = 0; k < WEIGHINGS; k++) {
    weights = linear.residual.map((r, i) => {
      const left = r - linear.J[i].reduce((s, g, j) => s + g * (at.mean[j] - prior.mean[j]), 0);
      return linear.bound[i] ? 1 : weightOf(left / linear.sigma[i]);
    });
    at = fitted(prior, { ...linear, sigma: linear.sigma.map((s, i) => s / Math.sqrt(weights[i])) });
  }
  return { at, weights };
}

/** Rows that a factor can learn from, and what of no factor is. */
function attributed(observed: readonly Observed[], first: readonly Sensitivities[]) {
  const unused: Unattributed[] = [];
  const rows = observed.flatMap((obs, group) =>
    obs.measurements.flatMap((m): (Row & { group: number })[] => {
      const test = obs.test ?? null;
      if (m.setAside) {
        unused.push({ quantity: m.quantity, test, reason: m.reason ?? 'set aside' });
        return [];
      }
      const key = measuredKeys(m).find((k) => hasSlope(first[group], k));
      if (key) return [{ obs, m, key, group }];
      unused.push({ quantity: m.quantity, test, reason: 'no factor moves it' });
      return [];
    }),
  );
  return { rows, unused };
}

/** Residuals of the linear model about the present factors, carried back to the prior's mean. */
function linearAt(
  prior: Calibration,
  rows: readonly (Row & { group: number })[],
  lin: readonly Sensitivities[],
  at: readonly number[],
  sigma: readonly number[],
): Linear {
  const J = rows.map((r) => lin[r.group].gradient(r.key));
  return {
    J,
    sigma,
    bound: rows.map((r) => r.m.bound === 'least'),
    residual: rows.map(
      (r, i) =>
        r.m.value - lin[r.group].value(r.key)! + J[i].reduce((s, g, j) => s + g * (at[j] - prior.mean[j]), 0),
    ),
  };
}

/** What each test taught: the factor that it moved most, and by how much of its spread, the others being known. */
function lessonsOf(
  prior: Calibration,
  rows: readonly Row[],
  linear: Linear,
  { at, weights }: { at: BayesUpdate; weights: readonly number[] },
): Lesson[] {
  const sd = (of: BayesUpdate, j: number) => Math.sqrt(Math.max(1e-12, of.covariance[j][j])),
    names = [...new Set(rows.flatMap((r) => r.obs.test ?? []))];
  return names.map((test) => {
    const keep = rows.flatMap((r, i) => (r.obs.test === test ? [] : [i])),
      pick = <T>(of: readonly T[]) => keep.map((i) => of[i]);
    const without = fitted(prior, {
      J: pick(linear.J),
      residual: pick(linear.residual),
      bound: pick(linear.bound),
      sigma: keep.map((i) => linear.sigma[i] / Math.sqrt(weights[i])),
    });
    const factors = FACTOR_IDS.map((factor, j) => ({
      factor,
      from: without.mean[j],
      to: at.mean[j],
      narrowed: 1 - sd(at, j) / sd(without, j),
    }));
    const told = factors
      .filter((f) => f.narrowed > TOLD)
      .sort((a, b) => b.narrowed - a.narrowed)
      .slice(0, MOST_TOLD);
    return { test, factors: told };
  });
}

/** A spread that narrows by less is not told of; no more than so many factors a test. */
const TOLD = 0.03,
  MOST_TOLD = 3;

/** A row as it is shown: how far from what was expected, and how much it counted. */
function rowOf(
  prior: Calibration,
  r: Row,
  sigma: number,
  weight: number,
  [before, after]: readonly [Sensitivities, Sensitivities],
): FitRow {
  const g = before.gradient(r.key),
    spread = Math.sqrt(
      sigma ** 2 +
        g.reduce(
          (s, a, p) => s + a * FACTOR_IDS.reduce((t, _, q) => t + prior.covariance[p][q] * g[q], 0),
          0,
        ),
    ),
    expected = before.value(r.key)!,
    over = (r.m.value - expected) / spread,
    // more than a bound is what is expected of it
    surprise = r.m.bound === 'least' ? Math.max(0, over) : over;
  return {
    quantity: r.m.quantity,
    state: r.m.state,
    source: r.m.source,
    test: r.obs.test ?? null,
    measured: r.m.value,
    sigma: r.m.sigma,
    before: expected,
    after: after.value(r.key)!,
    weight,
    surprise,
    outlier: Math.abs(surprise) > OUTLIER_SIGMAS || weight < FAR_WEIGHT,
  };
}

/** Counting less than this it is pointed at: past three spreads of what is left. */
const FAR_WEIGHT = weightOf(OUTLIER_SIGMAS);

/**
 * Readings of one quantity side by side, typed, timed, logged and of the bench, each by its own spread; those far from the rest
 * count less, by Student's t.
 * @param prior the calibration before these measurements (prior means at the start)
 * @param observed groups of measurements, one per version and day
 * @param from ids of the tests, kept in the result
 */
export function calibrate(
  prior: Calibration,
  observed: readonly Observed[],
  from: readonly string[],
  cache: StepCache = new StepCache(),
): CalibrationResult {
  const slopes = (mean: readonly number[]) =>
    observed.map((o) => sensitivities(o.brief, o.design, { ...prior, mean: [...mean] }, cache));
  const first = slopes(prior.mean),
    { rows, unused } = attributed(observed, first);
  if (rows.length === 0)
    return {
      status: 'nothing',
      reason:
        'No measurement bears on a calibration factor yet: record a ground run, laps, charge used or a stall speed.',
    };
  // beside the reading and the model: masses not weighed that day, the day's own wind and air, what methods leave open
  const sigma = rows.map((r) =>
    Math.sqrt(r.m.sigma ** 2 + (MODEL_SHARE * r.m.value) ** 2 + first[r.group].beyond(r.key)),
  );
  let at = prior.mean,
    lin = first,
    linear = linearAt(prior, rows, lin, at, sigma),
    fit = fittedRobust(prior, linear);
  for (let k = 0; k < ROUNDS; k++) {
    if (k > 0) {
      linear = linearAt(prior, rows, lin, at, sigma);
      fit = fittedRobust(prior, linear);
    }
    at = fit.at.mean.map((x, j) => Math.max(0.3 * FACTORS[j].mean, x));
    lin = slopes(at);
  }
  return {
    status: 'updated',
    calibration: { factors: [...FACTOR_IDS], mean: at, covariance: fit.at.covariance, from: [...from] },
    unused,
    lessons: lessonsOf(prior, rows, linear, fit),
    rows: rows.map((r, i) => rowOf(prior, r, sigma[i], fit.weights[i], [first[r.group], lin[r.group]])),
  };
}
