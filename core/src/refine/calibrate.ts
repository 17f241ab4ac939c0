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
  type Measurement,
  type TestBody,
} from '../design';
import { sensitivities, StepCache, type Sensitivities } from '../assess';
import { cutBelow, updateLinear, type BayesUpdate } from '../numeric';
import { weighedDesign } from '../mass';
import { designOfTheDay } from '../trial';

const MODEL_SHARE = 0.02;
const ROUNDS = 3;
/** a residual past this many sigmas is pointed at */
export const OUTLIER_SIGMAS = 3;

export interface Observed {
  brief: Brief;
  design: Design;
  measurements: readonly Measurement[];
}

export interface FitRow {
  quantity: string;
  state: string;
  measured: number;
  sigma: number;
  /** with the prior, and with the updated factors */ before: number;
  after: number;
  /** (measured - before) over its expected spread (measurement, model and prior together) */ surprise: number;
  outlier: boolean;
}

export type CalibrationResult =
  | { status: 'updated'; calibration: Calibration; rows: FitRow[]; unused: string[] }
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

/**
 * What one test says of the version it was flown with: its air, its turns and, where it was weighed that day, its mass
 * in place of the drawing's. A bench figure was brought to the site's own air before.
 */
export function observedOf(doc: Pick<DesignDocument, 'brief' | 'design'>, body: TestBody): Observed[] {
  const { record, measurements, bench, load, card } = body;
  if (bench || load) return [{ brief: doc.brief, design: doc.design, measurements }];
  const brief = briefOfTheDay(doc.brief, record.temperature, record.wind),
    design = designOfTheDay(doc.design, record);
  if (record.mass === null) return [{ brief, design, measurements }];
  const scale = measurements.filter((m) => OF_THE_SCALE.has(m.quantity)),
    rest = measurements.filter((m) => !OF_THE_SCALE.has(m.quantity));
  return [
    { brief, design, measurements: scale },
    { brief, design: weighedDesign(design, card.state, record.mass, record.cgX), measurements: rest },
  ].filter((o) => o.measurements.length > 0);
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

/**
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
  const unused: string[] = [];
  const first = observed.map((o) => sensitivities(o.brief, o.design, prior, cache));
  const rows: (Row & { group: number })[] = observed.flatMap((obs, group) =>
    obs.measurements
      .filter((m) => !m.setAside)
      .flatMap((m) => {
        const keys = [`${m.quantity}@${m.state}`, `${m.quantity}@all`];
        const key = keys.find((k) => hasSlope(first[group], k));
        if (!key) {
          unused.push(m.quantity);
          return [];
        }
        return [{ obs, m, key, group }];
      }),
  );
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
  let at = prior.mean;
  let lin = first;
  let posterior = { mean: [...prior.mean], covariance: prior.covariance };
  for (let k = 0; k < ROUNDS; k++) {
    const J = rows.map((r) => lin[r.group].gradient(r.key)),
      bound = rows.map((r) => r.m.bound === 'least');
    // residual of the linear model about `at`, carried back to the prior mean
    const residual = rows.map(
      (r, i) =>
        r.m.value - lin[r.group].value(r.key)! + J[i].reduce((s, g, j) => s + g * (at[j] - prior.mean[j]), 0),
    );
    posterior = fitted(prior, { J, residual, sigma, bound });
    at = posterior.mean.map((x, j) => Math.max(0.3 * FACTORS[j].mean, x));
    lin = observed.map((o) => sensitivities(o.brief, o.design, { ...prior, mean: at }, cache));
  }
  const calibration: Calibration = {
    factors: [...FACTOR_IDS],
    mean: at,
    covariance: posterior.covariance,
    from: [...from],
  };
  return {
    status: 'updated',
    calibration,
    unused: [...new Set(unused)],
    rows: rows.map((r, i) => {
      const g = first[r.group].gradient(r.key);
      const spread = Math.sqrt(
        sigma[i] ** 2 +
          g.reduce(
            (s, a, p) => s + a * FACTOR_IDS.reduce((t, _, q) => t + prior.covariance[p][q] * g[q], 0),
            0,
          ),
      );
      const before = first[r.group].value(r.key)!;
      // more than a bound is what is expected of it
      const over = (r.m.value - before) / spread,
        surprise = r.m.bound === 'least' ? Math.max(0, over) : over;
      return {
        quantity: r.m.quantity,
        state: r.m.state,
        measured: r.m.value,
        sigma: r.m.sigma,
        before,
        after: lin[r.group].value(r.key)!,
        surprise,
        outlier: Math.abs(surprise) > OUTLIER_SIGMAS,
      };
    }),
  };
}
