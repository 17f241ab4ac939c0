/**
 * What a small logger sees of a flight: places that wander, speeds with noise, a pressure sensor that drifts, currents with an
 * error of their own. And what loggers do wrong: gaps, spikes, fixes that stand still, rows twice or out of order.
 */
import { G0 } from '@skiametra/core/air';
import {
  CURRENT_OFF,
  FIX_HEIGHT_WANDERS,
  HEIGHT_WANDERS,
  PLACE_NOISE,
  PLACE_WANDERS,
  radiiAt,
  type FlightLog,
  type LogEvent,
  type Wandering,
} from '@skiametra/core/log';
import { normalFrom } from '../random';
import { FINE, type Flown } from './pilot';
import type { FlightTruth, LoggerFaults } from './truth';

/** One place on earth from which the flight is flown [deg], an empty marsh by the sea. */
const START = { lat: 52.86, lon: 0.12 } as const;
/** Height of the start over the sea as the receiver has it [m]. */
const GEOID = 4;
/** Standard deviations of each reading: of speeds [m/s], of the pressure height [m], of the airspeed sensor [m/s]. */
const VELOCITY = 0.12,
  PRESSURE = 0.12,
  PITOT = 0.2;
/** Small gusts that only the airspeed sensor feels [m/s]. */
const GUSTS: Wandering = { sd: 0.25, seconds: 1.5 };
/** Of the load [g], of volts, of amps. */
const LOAD = 0.05,
  VOLTS = 0.015,
  AMPS = 0.01;

/** Which instruments the logger has, and how it saves. */
export interface Recorder {
  /** rows a second */ readonly rate: number;
  readonly airspeed: boolean;
  readonly load: boolean;
  readonly power: boolean;
  /** the receiver's own speed and track */ readonly velocity: boolean;
  readonly faults: LoggerFaults;
}

/** A value that wanders about zero and comes back. */
function wandering(noise: () => number, { sd, seconds }: Wandering, step: number): () => number {
  const keep = Math.exp(-step / seconds);
  let at = sd * noise();
  return () => {
    at = keep * at + sd * Math.sqrt(1 - keep * keep) * noise();
    return at;
  };
}

const DEG = Math.PI / 180,
  LAT = START.lat * DEG,
  EARTH = radiiAt(LAT);

interface Columns {
  readonly t: number[];
  readonly of: Record<string, number[]>;
}

function seen({ moments }: Flown, truth: FlightTruth, r: Recorder, noise: () => number): Columns {
  const step = 1 / r.rate,
    every = Math.max(1, Math.round(step / FINE)),
    wander = (of: Wandering) => wandering(noise, of, step);
  const [we, wn, up, wh, gust] = [
    wander(PLACE_WANDERS),
    wander(PLACE_WANDERS),
    wander(FIX_HEIGHT_WANDERS),
    wander(HEIGHT_WANDERS),
    wander(GUSTS),
  ] as const;
  const off = 1 + CURRENT_OFF * noise(),
    out: Columns = { t: [], of: {} };
  const put = (id: string, v: number) => (out.of[id] ??= []).push(v);
  for (let i = 0; i < moments.length; i += every) {
    const m = moments[i]!,
      before = moments[Math.max(0, i - 1)]!,
      after = moments[Math.min(moments.length - 1, i + 1)]!,
      dt = after.t - before.t || 1;
    out.t.push(m.t);
    const east = m.east + we() + PLACE_NOISE * noise(),
      north = m.north + wn() + PLACE_NOISE * noise();
    put('lat', LAT + north / EARTH.meridian);
    put('lon', START.lon * DEG + east / (EARTH.normal * Math.cos(LAT)));
    put('height', m.height + GEOID + up() + 2 * PLACE_NOISE * noise());
    put('pressureHeight', m.height + wh() + PRESSURE * noise());
    const ve = (after.east - before.east) / dt + VELOCITY * noise(),
      vn = (after.north - before.north) / dt + VELOCITY * noise();
    if (r.velocity) {
      put('groundSpeed', Math.hypot(ve, vn));
      put('track', (Math.atan2(ve, vn) + 2 * Math.PI) % (2 * Math.PI));
    }
    if (r.airspeed)
      put(
        'airspeed',
        Math.max(0, (m.airspeed + (m.onGround ? 0 : gust())) / truth.airspeedFactor + PITOT * noise()),
      );
    if (r.load) put('az', G0 * (m.load + LOAD * noise()));
    if (r.power) {
      // volts sink under the current that makes the power
      const root = Math.sqrt(Math.max(0, truth.volts ** 2 - 4 * truth.packResistance * m.power)),
        volts = 0.5 * (truth.volts + root);
      put('volts', volts + VOLTS * noise());
      put('amps', (m.power / volts) * off * (1 + AMPS * noise()) + 0.05 * noise());
      put('throttle', m.throttle);
    }
  }
  return out;
}

/** A row somewhere in the middle part of the log. */
const somewhere = (noise: () => number, count: number) =>
  Math.min(count - 12, Math.max(12, Math.round(count * (0.5 + 0.15 * noise()))));

/** Columns with what loggers do wrong. */
function spoiled({ t, of }: Columns, { rate, faults }: Recorder, noise: () => number): Columns {
  const order = t.map((_, i) => i),
    out = Object.fromEntries(Object.entries(of).map(([id, v]) => [id, [...v]]));
  const place = ['lat', 'lon', 'height', 'groundSpeed', 'track'].filter((id) => out[id]);
  if (faults.frozen > 0) {
    const at = somewhere(noise, t.length);
    for (let i = at; i < Math.min(t.length, at + faults.frozen * rate); i++)
      for (const id of place) out[id]![i] = out[id]![at]!;
  }
  for (let k = 0; k < faults.spikes; k++) {
    const id = ['lat', 'pressureHeight', 'volts', 'airspeed'].filter((c) => out[c])[k % 3] ?? 'lat',
      i = somewhere(noise, t.length);
    out[id]![i] = out[id]![i]! + (id === 'lat' ? 1e-3 : 400);
  }
  for (let k = 0; k < faults.gaps; k++) order.splice(somewhere(noise, order.length), Math.ceil(2 * rate));
  for (let k = 0; k < faults.repeats; k++) {
    const i = somewhere(noise, order.length);
    order.splice(i, 0, order[i]!);
  }
  for (let k = 0; k < faults.swaps; k++) {
    const i = somewhere(noise, order.length);
    [order[i], order[i + 1]] = [order[i + 1]!, order[i]!];
  }
  return {
    t: order.map((i) => t[i]!),
    of: Object.fromEntries(Object.entries(out).map(([id, v]) => [id, order.map((i) => v[i]!)])),
  };
}

/**
 * The log of a flight as its logger has it, columns in SI.
 * @param begun ISO 8601 of the first row
 */
export function recordFlight(
  flown: Flown,
  truth: FlightTruth,
  recorder: Recorder,
  seed: number,
  begun = '2026-06-20T09:30:00Z',
): FlightLog {
  const noise = normalFrom(seed),
    { t, of } = spoiled(seen(flown, truth, recorder, noise), recorder, noise),
    t0 = t[0] ?? 0;
  return {
    t: Float64Array.from(t, (v) => v - t0),
    channels: Object.fromEntries(Object.entries(of).map(([id, v]) => [id, Float64Array.from(v)])),
    events: flown.marks.map((m): LogEvent => ({ t: m.t - t0, name: m.name })),
    begun,
  };
}
