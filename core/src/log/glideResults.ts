/** Glides: each steady one a point of the polar; least sink, best glide, and what the drag is made of. */
import { G0 } from '../air';
import { weightedMean } from '../numeric';
import { rowsIn, slopeIn } from './lines';
import { leftOfSpread, type AirData } from './airData';
import { meanOf, medianOf, sumOf } from './middle';
import { turnRates } from './headings';
import type { Motion } from './motion';
import { smoothed, type Segment } from './phases';
import { glidePolar, type GlidePoint } from './polar';
import type { LogResult } from './result';
import { changeOver } from './sensors';
import { rowsWhere } from './span';
import { densityOf, type ReduceTask } from './task';

/** A glide's speed stays this near its middle one [m/s], or by this share. */
const STEADY = 0.6,
  STEADY_SHARE = 0.05;

/** From the first to the last time at which it has settled to its speed. */
function steadyPart(m: Motion, v: Float64Array, s: Segment): Segment {
  const rows = rowsIn(m.t, v, s),
    middle = medianOf(rows.map((i) => v[i])),
    near = rows.filter((i) => Math.abs(v[i] - middle) < Math.max(STEADY, STEADY_SHARE * middle)),
    [a, b] = [near[0], near.at(-1)];
  return a === undefined || b === undefined ? s : { ...s, from: m.t[a], to: m.t[b] };
}

/** Mean of the speed as a slope weighs the rows: most in the middle, nothing at the ends. */
function speedOfSlope(m: Motion, v: Float64Array, rows: readonly number[], { from, to }: Segment): number {
  let sum = 0,
    all = 0;
  for (const i of rows) {
    const w = (m.t[i] - from) * (to - m.t[i]) + 1e-9;
    sum += w * v[i];
    all += w;
  }
  return sum / all;
}

/** What it carries in its turns, over its weight: the root of the mean square, as drag goes with it. */
function loadIn(m: Motion, air: AirData, rates: Float64Array, span: Segment): number {
  const tangent = (i: number) => (air.airspeed[i] * rates[i]) / G0,
    squares = rowsWhere(m.t, span, (i) => Number.isFinite(tangent(i))).map((i) => 1 + tangent(i) ** 2);
  return squares.length > 0 ? Math.sqrt(meanOf(squares)) : 1;
}

/** A glide ratio that is missed by more than this share is not known. */
const UNKNOWN = 0.4;

/** A glide that turns more than this is none of a straight one. */
const STRAIGHT = 1.06;

/** What all glides are read from. */
interface Columns {
  /** [m/s], of a second */ readonly v: Float64Array;
  /** height with what the speed is worth [m] */ readonly total: Float64Array;
  /** [rad/s] */ readonly rates: Float64Array;
  /** of what the sensor felt in them, beside the factor that was found with it */ readonly left: number;
}

function columnsFor({ motion: m, air }: Omit<ReduceTask, 'glides'>, glides: readonly Segment[]): Columns {
  const moving = smoothed(m.t, air.smooth, 0.5);
  return {
    v: smoothed(m.t, air.airspeed, 0.5),
    total: m.height.map((h, i) => h + (moving[i] * moving[i]) / (2 * G0)),
    rates: turnRates(m, air.wind),
    left: leftOfSpread(air, sumOf(glides.map((s) => s.to - s.from))),
  };
}

export interface SteadyGlide extends GlidePoint {
  readonly count: number;
  readonly name: string;
}

/** A steady glide: the height's slope with what the speed gains put back. */
function glidePoint(
  { motion: m, air }: Omit<ReduceTask, 'glides'>,
  { v, total, rates, left }: Columns,
  s: Segment,
): SteadyGlide | null {
  const steady = steadyPart(m, v, s),
    fit = slopeIn(m.t, total, steady),
    rows = rowsIn(m.t, v, steady);
  if (!fit || rows.length === 0) return null;
  const speed = speedOfSlope(m, v, rows, steady),
    mean = slopeIn(m.t, air.airspeed, steady),
    // weighed like that, time counts for five sixths
    felt = left * Math.sqrt((1.2 * (air.gusts ?? 0)) / (steady.to - steady.from)),
    missed = Math.hypot(
      Math.max(felt, mean?.level ?? 0.03 * speed),
      // an error of the wind is another one on each course; one of the sensor is told for all together
      air.how === 'sensor' ? 0 : (air.wind?.sigma.airspeed ?? 0.03 * speed),
    );
  if (!(fit.slope < 0)) return null;
  const load = loadIn(m, air, rates, steady);
  const wanders = changeOver(m.heightWanders, steady.to - steady.from) / (steady.to - steady.from),
    sigma = Math.hypot(fit.sigma, wanders);
  return { speed, sink: -fit.slope, sigma, missed, load, count: fit.count, name: s.name };
}

/** A sensor that nobody could hold against the ground is known no better than this. */
const UNPROVEN = 0.03;

/** Share by which an airspeed sensor may be wrong all through. */
function commonOf({ how, wind }: AirData): number {
  if (how !== 'sensor') return 0;
  return wind?.factor ? wind.sigma.factor! / wind.factor : UNPROVEN;
}

/** Every steady glide. */
export function glidePoints(task: Omit<ReduceTask, 'glides'>): SteadyGlide[] {
  const glides = task.segments.filter((s) => s.kind === 'glide');
  if (glides.length === 0) return [];
  const columns = columnsFor(task, glides);
  return glides.flatMap((s) => glidePoint(task, columns, s) ?? []);
}

export function glideResults(task: ReduceTask): LogResult[] {
  const points = task.glides;
  if (points.length === 0) return [];
  const count = points.reduce((s, p) => s + p.count, 0),
    segment = points.length === 1 ? points[0].name : `${points.length} glides`;
  const { mass, area } = task.flown,
    polar =
      mass && area
        ? glidePolar({ points, mass, area, density: densityOf(task), common: commonOf(task.air) })
        : null;
  const common = { segment, count };
  if (polar) {
    const method = 'drag split in two over the speeds of the glides',
      sd = (i: number) => Math.sqrt(polar.covariance[i][i]);
    return [
      { id: 'sinkRate', ...polar.sink, kind: 'climbRate', ...common, method: `least by polar: ${method}` },
      { id: 'glideRatio', ...polar.ratio, kind: 'ratio', ...common, method: `best by polar: ${method}` },
      { id: 'dragArea', value: polar.dragArea, sigma: sd(0), kind: 'dragArea', ...common, method },
      {
        id: 'inducedFactor',
        value: polar.k,
        sigma: sd(1),
        kind: 'ratio',
        ...common,
        method: `${method}: drag coefficient per square of lift coefficient`,
      },
    ];
  }
  const straight = points.filter((p) => p.load < STRAIGHT);
  if (straight.length === 0) return [];
  const sink = weightedMean(straight.map((p) => ({ value: p.sink, sigma: p.sigma })));
  const ratio = weightedMean(
    straight.map((p) => {
      const value = Math.sqrt(Math.max(0, p.speed ** 2 - p.sink ** 2)) / p.sink;
      return { value, sigma: (value * p.sigma) / p.sink };
    }),
  );
  const method = 'energy height over time in steady glides, robust';
  return [
    { id: 'sinkRate', ...sink, kind: 'climbRate', ...common, method },
    ...(ratio.sigma < UNKNOWN * ratio.value
      ? [{ id: 'glideRatio' as const, ...ratio, kind: 'ratio' as const, ...common, method }]
      : []),
  ];
}
