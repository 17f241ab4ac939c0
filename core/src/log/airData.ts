/** Airspeed at every fix: of the sensor with its factor, else the ground velocity less the wind. */
import { fitWind, type WindFit } from './wind';
import type { FlightLog } from './channels';
import { hangTogether } from '../numeric';
import { rowsIn, thinned } from './lines';
import { meanOf, sumOf } from './middle';
import { turnRates } from './headings';
import { slopeReach, slopeResponse, valuesAt, type Motion } from './motion';
import type { Segment } from './phases';
import { rowsWhere } from './span';

export interface AirData {
  readonly wind: WindFit | null;
  /** segment by which the wind is known; null where it is not */ readonly by: Segment | null;
  /** [m/s], one a fix; NaN where unknown */ readonly airspeed: Float64Array;
  /**
   * ground velocity less the wind [m/s]: what it gains and loses shows here without the gusts that a sensor feels; the
   * airspeed itself where the wind is not known
   */ readonly smooth: Float64Array;
  /**
   * what the sensor feels beside how fast it flies: variance of a mean of it times the time [m2/s]; null without a sensor, or
   * where the wind is not known
   */ readonly gusts: number | null;
  readonly how: 'sensor' | 'ground-velocity' | 'none';
}

/** Less than this of it is no airspeed any more. */
const LEAST_SHOWN = 0.8;

/** Share of the airspeed that each velocity shows, where places are so far apart that turns look shorter; else null. */
function shownIn(m: Motion, wind: WindFit | null): Float64Array | null {
  if (slopeReach(m) === 0) return null;
  return turnRates(m, wind).map((rate) =>
    Number.isFinite(rate) ? Math.max(LEAST_SHOWN, slopeResponse(m, rate)) : 1,
  );
}

/** Fixes of a span of time in which the ground velocity is known. */
function pointsIn(m: Motion, sensor: Float64Array | null, span: Segment) {
  const rows = rowsWhere(
    m.t,
    span,
    (i) => Number.isFinite(m.east[i] + m.north[i]) && (!sensor || sensor[i] > 0),
  );
  const shown = shownIn(m, null);
  const some = thinned(rows),
    take = (of: Float64Array) => Float64Array.from(some, (i) => of[i]);
  return {
    east: take(m.east),
    north: take(m.north),
    sensor: sensor && take(sensor),
    noise: m.noise,
    shown: shown && take(shown),
    climbNoise: m.climbNoise,
    climb: Float64Array.from(some, (i) => (Number.isFinite(m.climb[i]) ? m.climb[i] : 0)),
  };
}

const lengthOf = (s: Segment) => s.to - s.from;

/**
 * With a sensor all of the flight tells the wind; without one only where the airspeed is near enough the same: the longest
 * level stretches first, then the whole.
 */
function windBy(m: Motion, sensor: Float64Array | null, segments: readonly Segment[]) {
  const long = (kind: Segment['kind']) =>
    segments.filter((s) => s.kind === kind).sort((a, b) => b.to - b.from - (a.to - a.from));
  // what hangs over a place goes with no airspeed of its own
  if (sumOf(long('hover').map(lengthOf)) > 0.3 * sumOf(long('flight').map(lengthOf)))
    return { wind: null, by: null };
  const tried = sensor ? long('flight') : [...long('level'), ...long('glide'), ...long('flight')];
  for (const s of tried) {
    const wind = fitWind(pointsIn(m, sensor, s));
    if (wind) return { wind, by: s };
  }
  return { wind: null, by: null };
}

/** Ground velocity less the wind, with what goes up. Speed across the way only ever adds to its length. */
function lessWind(m: Motion, wind: WindFit): Float64Array {
  const shown = shownIn(m, wind);
  return m.east.map((v, i) => {
    const up = Number.isFinite(m.climb[i]) ? m.climb[i] : 0,
      square = (v - wind.east) ** 2 + (m.north[i] - wind.north) ** 2 + up * up,
      // noise only ever adds to a square
      seen = Math.sqrt(Math.max(0, square - (up === 0 ? 0 : m.climbNoise ** 2)));
    return (seen - (0.5 * m.noise * m.noise) / Math.max(seen, 1)) / (shown?.[i] ?? 1);
  });
}

/** Long-run variance of the sensor over what the ground velocity says, by all of the flight. */
function gustsOf({ t }: Motion, airspeed: Float64Array, seen: Float64Array, by: Segment): number | null {
  const rows = thinned(rowsIn(t, airspeed, by)).filter((i) => Number.isFinite(seen[i]));
  if (rows.length < 100) return null;
  const off = rows.map((i) => airspeed[i] - seen[i]),
    mean = meanOf(off),
    e = Float64Array.from(off, (v) => v - mean),
    step = (t[rows.at(-1)!] - t[rows[0]]) / (rows.length - 1);
  return (e.reduce((s, v) => s + v * v, 0) / e.length) * hangTogether(e) * step;
}

/**
 * What is left of the spread of a mean over some of the flight: the sensor's factor was found by all of it, so what it felt
 * there is partly taken off again.
 */
export function leftOfSpread({ by, how }: AirData, seconds: number): number {
  if (how !== 'sensor' || !by) return 1;
  return Math.sqrt(Math.max(0.05, 1 - seconds / Math.max(seconds, by.to - by.from)));
}

/** Variance of a mean of the sensor over so many seconds, and what is left of it beside the factor found with it [m2/s2]. */
export function feltBy(air: AirData, seconds: number): { all: number; left: number } {
  const all = (air.gusts ?? 0) / seconds;
  return { all, left: all * leftOfSpread(air, seconds) ** 2 };
}

export function airDataOf(log: FlightLog, m: Motion, segments: readonly Segment[]): AirData {
  const sensor = log.channels.airspeed ? valuesAt(log, 'airspeed', m.t) : null,
    { wind, by } = windBy(m, sensor, segments);
  const seen = wind && lessWind(m, wind);
  if (sensor) {
    const k = wind?.factor ?? 1,
      airspeed = sensor.map((v) => k * v);
    return {
      wind,
      by,
      airspeed,
      smooth: seen ?? airspeed,
      gusts: seen && by && gustsOf(m, airspeed, seen, by),
      how: 'sensor',
    };
  }
  if (seen) return { wind, by, airspeed: seen, smooth: seen, gusts: null, how: 'ground-velocity' };
  const none = new Float64Array(m.t.length).fill(NaN);
  return { wind, by, airspeed: none, smooth: none, gusts: null, how: 'none' };
}
