/** Climb, loads, height, power and time in the air, as results. */
import { G0 } from '../air';
import type { FlightLog } from './channels';
import { rowsIn, slopeIn } from './lines';
import { smoothed, startHeight } from './phases';
import type { LogResult } from './result';
import { longest, type ReduceTask } from './task';

export function climbResult({ motion: m, segments }: ReduceTask): LogResult[] {
  const by = longest(segments, 'climb'),
    fit = by && slopeIn(m.t, m.height, by);
  if (!fit) return [];
  const { slope: value, sigma, count } = fit,
    method = `slope of the height over ${(by.to - by.from).toFixed(0)} s, robust`;
  return [{ id: 'climbRate', value, sigma, kind: 'climbRate', segment: by.name, method, count }];
}

/** A peak of an accelerometer counts where three readings running are near it. */
export function loadResult({ log, segments }: ReduceTask): LogResult[] {
  const az = log.channels.az,
    by = longest(segments, 'flight');
  if (!az || !by) return [];
  const rows = rowsIn(log.t, az, by);
  if (rows.length < 20) return [];
  let peak = -Infinity;
  for (let k = 1; k + 1 < rows.length; k++) {
    const three = [az[rows[k - 1]], az[rows[k]], az[rows[k + 1]]].sort((a, b) => a - b);
    peak = Math.max(peak, three[1]);
  }
  // noise: what neighbours differ by, of the middle of the flight
  const steps = rows
    .slice(1)
    .map((r, k) => Math.abs(az[r] - az[rows[k]]))
    .sort((a, b) => a - b);
  const sigma = Math.max(0.01 * G0, (1.4826 * steps[steps.length >> 1]) / Math.SQRT2);
  const method = 'largest middle of three readings upward';
  return [
    {
      id: 'maxLoadFactor',
      value: peak / G0,
      sigma: sigma / G0,
      kind: 'loadFactor',
      segment: by.name,
      method,
      count: rows.length,
    },
  ];
}

export function heightResult({ motion: m, segments }: ReduceTask): LogResult[] {
  const by = longest(segments, 'flight'),
    ground = startHeight(m);
  if (!by || !Number.isFinite(ground)) return [];
  const h = smoothed(m.t, m.height, 0.5),
    rows = rowsIn(m.t, h, by),
    peak = rows.reduce((a, i) => Math.max(a, h[i]), -Infinity);
  const off = rows.map((i) => Math.abs(m.height[i] - h[i])).sort((a, b) => a - b),
    sigma = Math.max(0.3, 1.4826 * (off[off.length >> 1] ?? 0));
  const method = 'largest mean of a second, over the height at the start';
  return [
    {
      id: 'peakHeight',
      value: peak - ground,
      sigma,
      kind: 'distance',
      segment: by.name,
      method,
      count: rows.length,
    },
  ];
}

/** Power of a pack at every row that has it [W]. */
function wattsOf({ channels }: FlightLog): Float64Array | null {
  if (channels.volts && channels.amps) return channels.volts.map((v, i) => v * channels.amps![i]);
  return channels.power ?? null;
}

/** What sensors of current are good for (common practice, no source). */
const SENSOR = 0.03;

export function powerResult({ log, segments, flown: { mass } }: ReduceTask): LogResult[] {
  const watts = wattsOf(log),
    by = longest(segments, 'flight');
  if (!watts || !by || !mass) return [];
  const slow = smoothed(log.t, watts, 1.5),
    rows = rowsIn(log.t, slow, { from: by.from - 10, to: by.to });
  const most = rows.reduce((a, i) => Math.max(a, slow[i]), -Infinity);
  if (!(most > 0)) return [];
  const what = log.channels.volts && log.channels.amps ? 'volts under load times amps' : 'power as logged',
    method = `most of three seconds, ${what}, sensor 3 %`;
  return [
    {
      id: 'powerToWeight',
      value: most / mass,
      sigma: (SENSOR * most) / mass,
      kind: 'specificPower',
      segment: by.name,
      method,
      count: rows.length,
    },
  ];
}

export function timeResult({ segments, motion: m }: ReduceTask): LogResult[] {
  const by = longest(segments, 'flight');
  if (!by) return [];
  const step = m.t.length > 1 ? (m.t[m.t.length - 1] - m.t[0]) / (m.t.length - 1) : 1,
    method = 'time in the air, from leaving the ground to touching it';
  return [
    {
      id: 'endurance',
      value: by.to - by.from,
      sigma: Math.max(0.5, step),
      kind: 'time',
      segment: by.name,
      method,
      count: rowsIn(m.t, m.t, by).length,
    },
  ];
}
