/**
 * Stalls: the airspeed falls to a least that is slow for this flight, and the height then breaks away. The speed is
 * where the lines of slowing down and of gathering speed meet; what it is missed by is the wind's share and the airspeed's
 * own noise.
 */
import type { AirData } from './airData';
import type { Motion } from './motion';
import { smoothed, startHeight, type Segment } from './phases';
import { solveDense } from '../numeric';
import { rowsIn } from './lines';
import { rowsWhere } from './span';
import { meanOf, meanWithSpread, medianOf } from './middle';
import { resultOf, type LogResult } from './result';
import type { ReduceTask } from './task';

/**
 * Slower than this share of the usual airspeed, and then a sink of so much [m/s], or so many times what a climb is missed by,
 * within so long [s], is a stall. What only mushes is not told.
 */
const SLOW = 0.8,
  BREAKS = 2,
  SURE = 5,
  WITHIN = 2.5;
/** Nobody stalls on purpose lower than this over the start [m]. */
const LOW = 10;
/** It flies on before so long [s]. */
const RECOVERS = 8;
/** Two stalls are at least so far apart [s]. */
const APART = 4;

interface Stall {
  readonly t: number;
  readonly speed: number;
  readonly missed: number;
  /** height lost until it flies on [m] */ readonly lost: number;
}

/** Deepest sink within a while after a fix. */
function sinkAfter({ t }: Motion, climb: Float64Array, i: number): number {
  let least = Infinity;
  for (let k = i; k < t.length && t[k] - t[i] <= WITHIN; k++) if (climb[k] < least) least = climb[k];
  return least;
}

/** Lines are laid so long before the slowest and after it [s]. */
const SLOWS = 1.8,
  GATHERS = 1.2;

/** Two lines that meet: slower up to the break, faster after it. Its lowest, and what it is missed by. */
function slowestAt({ t }: Motion, { airspeed: raw, how }: AirData, i: number, least: number) {
  const gusty = how === 'sensor';
  const rows = rowsIn(t, raw, { from: t[i] - SLOWS, to: t[i] + GATHERS });
  let best = { left: Infinity, speed: least, at: t[i] };
  for (let at = t[i] - 0.4; at <= t[i] + 0.5; at += 0.05) {
    const A = [0, 1, 2].map(() => [0, 0, 0]),
      b = [0, 0, 0];
    const of = (k: number) => [1, Math.max(0, at - t[k]), Math.max(0, t[k] - at)];
    for (const k of rows) {
      const row = of(k);
      for (let p = 0; p < 3; p++) {
        b[p] += row[p] * raw[k];
        for (let q = 0; q < 3; q++) A[p][q] += row[p] * row[q];
      }
    }
    const before = rows.filter((k) => t[k] < at).length;
    if (before < 3 || rows.length - before < 3) continue;
    const x = solveDense(A, b),
      left = rows.reduce((s, k) => s + (raw[k] - of(k).reduce((v, r, p) => v + r * x[p], 0)) ** 2, 0);
    if (left < best.left && x[1] > 0 && x[2] > 0) best = { left, speed: x[0], at };
  }
  if (!Number.isFinite(best.left)) return { speed: least, missed: 0.03 * least };
  const noise = Math.sqrt(best.left / Math.max(1, rows.length - 4));
  // a line's end is known half as well as its middle; what gusts shift is shared by all of its rows
  return { speed: best.speed, missed: gusty ? noise : (2 * noise) / Math.sqrt(rows.length) };
}

/** From where it breaks to the lowest before it climbs again. */
function lostAfter({ t, height }: Motion, climb: Float64Array, i: number): number {
  let least = height[i];
  for (let k = i; k < t.length && t[k] - t[i] <= RECOVERS; k++) {
    if (height[k] < least) least = height[k];
    if (t[k] - t[i] > 1 && climb[k] > 0) break;
  }
  return height[i] - least;
}

interface Slow {
  /** [m/s], of half a second */ readonly speed: Float64Array;
  readonly climb: Float64Array;
}

function stallsIn(m: Motion, air: AirData, { speed, climb }: Slow, flight: Segment): Stall[] {
  const low = startHeight(m) + LOW;
  const rows = rowsWhere(
    m.t,
    { from: flight.from + 2, to: flight.to - 2 },
    // near the ground a landing looks the same
    (i) => Number.isFinite(speed[i]) && !(m.height[i] < low),
  );
  const usual = medianOf(rows.map((i) => speed[i])),
    breaks = Math.max(BREAKS, SURE * m.climbNoise),
    out: Stall[] = [];
  const at: number[] = [];
  const stallAt = (i: number): Stall => ({
    t: m.t[i],
    ...slowestAt(m, air, i, speed[i]),
    lost: lostAfter(m, climb, i),
  });
  for (const i of rows) {
    if (
      !(speed[i] < SLOW * usual) ||
      !(speed[i] <= (speed[i - 1] ?? Infinity)) ||
      !(speed[i] <= (speed[i + 1] ?? Infinity))
    )
      continue;
    if (!(climb[i] > -breaks && sinkAfter(m, climb, i) < -breaks)) continue;
    const last = out.at(-1);
    if (last && m.t[i] - last.t < APART) {
      if (speed[i] < speed[at.at(-1)!]) {
        out[out.length - 1] = stallAt(i);
        at[at.length - 1] = i;
      }
    } else {
      out.push(stallAt(i));
      at.push(i);
    }
  }
  return out;
}

function foundIn(m: Motion, air: AirData, segments: readonly Segment[]): Stall[] {
  if (air.how === 'none') return [];
  const slow = { speed: smoothed(m.t, air.airspeed, 0.25), climb: smoothed(m.t, m.climb, 0.3) };
  return segments.filter((s) => s.kind === 'flight').flatMap((s) => stallsIn(m, air, slow, s));
}

export function stallsOf(m: Motion, air: AirData, segments: readonly Segment[]): Segment[] {
  const found = foundIn(m, air, segments);
  return found.map(({ t }, i) => ({
    kind: 'stall',
    name: found.length > 1 ? `stall ${i + 1}` : 'stall',
    from: t - 1,
    to: t + WITHIN,
  }));
}

export function stallResult({ motion: m, air, segments }: ReduceTask): LogResult[] {
  // those that a person left of what was found
  const set = segments.filter((s) => s.kind === 'stall'),
    found = foundIn(m, air, segments).filter((f) => set.some((s) => f.t >= s.from && f.t <= s.to));
  // slopes of places blur a second and a half: too long for a stall
  if (found.length === 0 || !(m.own || air.how === 'sensor')) return [];
  const own = Math.sqrt(meanOf(found.map((f) => f.missed ** 2)) / found.length),
    // three and more tell by themselves what they are missed by
    { value, sigma: apart } = meanWithSpread(
      found.map((f) => f.speed),
      found.length < 3 ? own : 0,
    );
  const of = { segment: found.length > 1 ? `${found.length} stalls` : set[0].name, count: found.length },
    sigma = Math.hypot(apart, air.wind?.sigma.airspeed ?? 0.03 * value),
    lost = found.map((f) => f.lost).filter((h) => h > 0);
  return [
    resultOf(
      'stallSpeed',
      { value, sigma },
      { ...of, method: 'where the lines of slowing down and of gathering speed meet, the height breaking' },
    ),
    ...(lost.length > 0
      ? [
          resultOf('stallDrop', meanWithSpread(lost, 1), {
            ...of,
            method: 'height from the break to the lowest before it climbs',
          }),
        ]
      : []),
  ];
}
