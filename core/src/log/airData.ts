/** Airspeed at every fix: of the sensor with its factor, else the ground velocity less the wind. */
import { fitWind, type WindFit } from './wind';
import type { FlightLog } from './channels';
import { thinned } from './lines';
import { valuesAt, type Motion } from './motion';
import type { Segment } from './phases';

export interface AirData {
  readonly wind: WindFit | null;
  /** segment by which the wind is known; null where it is not */ readonly by: Segment | null;
  /** [m/s], one a fix; NaN where unknown */ readonly airspeed: Float64Array;
  readonly how: 'sensor' | 'ground-velocity' | 'none';
}

/** Fixes of a span of time in which the ground velocity is known. */
function pointsIn(m: Motion, sensor: Float64Array | null, { from, to }: Segment) {
  const rows: number[] = [];
  for (let i = 0; i < m.t.length; i++)
    if (
      m.t[i] >= from &&
      m.t[i] <= to &&
      Number.isFinite(m.east[i] + m.north[i]) &&
      (!sensor || sensor[i] > 0)
    )
      rows.push(i);
  const some = thinned(rows),
    take = (of: Float64Array) => Float64Array.from(some, (i) => of[i]);
  return { east: take(m.east), north: take(m.north), sensor: sensor && take(sensor) };
}

/**
 * With a sensor all of the flight tells the wind; without one only where the airspeed is near enough the same: the longest
 * level stretches first, then the whole.
 */
function windBy(m: Motion, sensor: Float64Array | null, segments: readonly Segment[]) {
  const long = (kind: Segment['kind']) =>
    segments.filter((s) => s.kind === kind).sort((a, b) => b.to - b.from - (a.to - a.from));
  const tried = sensor ? long('flight') : [...long('level'), ...long('glide'), ...long('flight')];
  for (const s of tried) {
    const wind = fitWind(pointsIn(m, sensor, s));
    if (wind) return { wind, by: s };
  }
  return { wind: null, by: null };
}

export function airDataOf(log: FlightLog, m: Motion, segments: readonly Segment[]): AirData {
  const sensor = log.channels.airspeed ? valuesAt(log, 'airspeed', m.t) : null,
    { wind, by } = windBy(m, sensor, segments);
  if (sensor) {
    const k = wind?.factor ?? 1;
    return { wind, by, airspeed: sensor.map((v) => k * v), how: 'sensor' };
  }
  if (!wind) return { wind, by, airspeed: new Float64Array(m.t.length).fill(NaN), how: 'none' };
  const airspeed = m.east.map((v, i) => Math.hypot(v - wind.east, m.north[i] - wind.north));
  return { wind, by, airspeed, how: 'ground-velocity' };
}
