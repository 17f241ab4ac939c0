/** Climb, loads, height, distance and time in the air, as results. */
import { G0 } from '../air';
import { rowsIn, slopeIn } from './lines';
import { scatterOf } from './middle';
import type { Motion } from './motion';
import { smoothed, startHeight, type Segment } from './phases';
import { resultOf, type LogResult } from './result';
import { endsMissed } from './runs';
import { changeOver } from './sensors';
import { longest, type ReduceTask } from './task';

/** Of a climb the first ten metres are the take-off's. */
const FIRST = 10;
/** Sustained: over so many seconds. */
const SUSTAINED = 10;

/** A climb from ten metres over the ground on, where it goes on long enough after that. */
function upperPart(m: Motion, by: Segment): Segment {
  const low = startHeight(m) + FIRST,
    i = m.t.findIndex((t, k) => t >= by.from && m.height[k] > low);
  return i >= 0 && by.to - m.t[i] >= 4 ? { ...by, from: Math.max(by.from, m.t[i]) } : by;
}

export function climbResult({ motion: m, segments }: ReduceTask): LogResult[] {
  const whole = longest(segments, 'climb'),
    by = whole && upperPart(m, whole),
    fit = by && slopeIn(m.t, m.height, by);
  if (!fit) return [];
  const over = (by.to - by.from).toFixed(0),
    mean = resultOf(
      'climbRate',
      { value: fit.slope, sigma: slopeMissed(m, fit.sigma, by.to - by.from) },
      {
        segment: by.name,
        count: fit.count,
        method: `slope of the height over ${over} s${by.from > whole.from ? ', above ten metres' : ''}, robust`,
      },
    );
  return [mean, ...bestClimb(m, by)];
}

/** Of a slope of the height: what its rows differ by, and what the height wanders meanwhile. */
const slopeMissed = (m: Motion, sigma: number, time: number) =>
  Math.hypot(sigma, changeOver(m.heightWanders, time) / time);

/** The steepest ten seconds: the most of many readings, so it comes out a little high. */
function bestClimb(m: Motion, by: Segment): LogResult[] {
  if (by.to - by.from < 1.2 * SUSTAINED) return [];
  let best: ReturnType<typeof slopeIn> = null;
  for (let from = by.from; from + SUSTAINED <= by.to; from += 2) {
    const fit = slopeIn(m.t, m.height, { from, to: from + SUSTAINED });
    if (fit && (!best || fit.slope > best.slope)) best = fit;
  }
  if (!best) return [];
  const method = `steepest ${SUSTAINED} s of it, robust; the most of many comes out a little high`;
  return [
    resultOf(
      'bestClimb',
      { value: best.slope, sigma: slopeMissed(m, best.sigma, SUSTAINED) },
      { segment: by.name, count: best.count, method },
    ),
  ];
}

/** Reading and both its neighbours: the top of the parabola through them, NaN where it is no peak. */
function vertex(a: number, b: number, c: number): number {
  const bend = a - 2 * b + c;
  return bend < 0 ? b - (c - a) ** 2 / (8 * bend) : b;
}

/** The largest load upward: the parabola's top through the largest reading and its neighbours. */
export function loadResult({ log, segments }: ReduceTask): LogResult[] {
  const az = log.channels.az,
    by = longest(segments, 'flight');
  if (!az || !by) return [];
  const rows = rowsIn(log.t, az, by);
  if (rows.length < 20) return [];
  let top = 1;
  for (let k = 1; k + 1 < rows.length; k++) if (az[rows[k]] > az[rows[top]]) top = k;
  const [a, b, c] = [az[rows[top - 1]], az[rows[top]], az[rows[top + 1]]],
    peak = vertex(a, b, c);
  // noise: what neighbours differ by, of the middle of the flight
  const noise = scatterOf(rows.slice(1).map((r, k) => Math.abs(az[r] - az[rows[k]]))) / Math.SQRT2;
  // few readings a peak: how far the parabola is from the pull's own shape is not known
  const shape = 0.01 * Math.max(0, peak - G0);
  return [
    resultOf(
      'maxLoadFactor',
      { value: peak / G0, sigma: Math.hypot(0.01 * G0, noise, shape) / G0 },
      { segment: by.name, count: rows.length, method: 'top of the parabola through the largest reading' },
    ),
  ];
}

export function heightResult({ motion: m, segments }: ReduceTask): LogResult[] {
  const by = longest(segments, 'flight'),
    ground = startHeight(m);
  if (!by || !Number.isFinite(ground)) return [];
  const h = smoothed(m.t, m.height, 0.5),
    rows = rowsIn(m.t, h, by),
    top = rows.reduce((a, i) => (h[i] > h[a] ? i : a), rows[0] ?? 0);
  const off = scatterOf(rows.map((i) => Math.abs(m.height[i] - h[i]))),
    since = m.t[top] - m.t[0],
    sigma = Math.hypot(changeOver(m.heightWanders, since), off / 2);
  const method = 'largest mean of a second, over the height at the start';
  return [
    {
      id: 'peakHeight',
      value: h[top] - ground,
      sigma,
      kind: 'distance',
      segment: by.name,
      method,
      count: rows.length,
    },
  ];
}

/** Nobody knows a beginning and an end better than this together [s]; rows leave their own share. */
const WATCH = 0.5;

export function timeResult({ segments, motion: m }: ReduceTask): LogResult[] {
  const by = longest(segments, 'flight');
  if (!by) return [];
  const step = m.t.length > 1 ? (m.t[m.t.length - 1] - m.t[0]) / (m.t.length - 1) : 1,
    method = 'time in the air, from leaving the ground to touching it';
  return [
    {
      id: 'endurance',
      value: by.to - by.from,
      sigma: Math.hypot(WATCH, step / Math.sqrt(6), endsMissed(m, by)),
      kind: 'time',
      segment: by.name,
      method,
      count: rowsIn(m.t, m.t, by).length,
    },
  ];
}

/** What one place is missed by [m] (common practice, no source). */
const PLACE = 2.5;

export function distanceResult({ log: { channels, t }, segments }: ReduceTask): LogResult[] {
  const { east, north } = channels,
    by = longest(segments, 'flight');
  if (!east || !north || !by) return [];
  const first = t.findIndex((_, i) => Number.isFinite(east[i] + north[i])),
    rows = rowsIn(t, east, by).filter((i) => Number.isFinite(north[i]));
  if (first < 0 || rows.length === 0) return [];
  const value = rows.reduce(
    (a, i) => Math.max(a, Math.hypot(east[i] - east[first], north[i] - north[first])),
    0,
  );
  const method = 'farthest fix from the first of the log';
  return [resultOf('farthest', { value, sigma: PLACE }, { segment: by.name, count: rows.length, method })];
}
