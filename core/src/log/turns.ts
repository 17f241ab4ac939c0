/**
 * Turns: where the heading through the air goes on changing one way. Bank and load factor of a level turn follow from airspeed
 * and rate: tan(bank) = V omega / g.
 */
import { G0 } from '../air';
import { leftOfSpread, type AirData } from './airData';
import { rowsIn, slopeIn } from './lines';
import { meanWithSpread, sumOf } from './middle';
import type { Motion } from './motion';
import type { Segment } from './phases';
import { resultOf, type LogResult } from './result';
import type { ReduceTask } from './task';

/** Slower than this [rad/s] is no turn; less than this much of one [rad] says nothing. */
const TURNS = 0.12,
  LEAST = 1.2;

/** Heading through the air where the wind is known, else over ground: without jumps of a round [rad]. */
function headings({ east, north }: Motion, { wind }: AirData): Float64Array {
  const we = wind?.east ?? 0,
    wn = wind?.north ?? 0,
    out = new Float64Array(east.length);
  let last = NaN,
    rounds = 0;
  for (let i = 0; i < out.length; i++) {
    const now = Math.atan2(east[i] - we, north[i] - wn);
    if (Number.isFinite(now) && Number.isFinite(last)) rounds -= Math.round((now - last) / (2 * Math.PI));
    if (Number.isFinite(now)) last = now;
    out[i] = Number.isFinite(now) ? now + 2 * Math.PI * rounds : NaN;
  }
  return out;
}

/** A rate is taken over so long to both sides [s]. */
const RATE_OVER = 0.8;

/** Change of a heading over so many seconds to both sides, per second. */
function ratesOf(t: Float64Array, heading: Float64Array, half: number): Float64Array {
  const out = new Float64Array(t.length).fill(NaN);
  let a = 0,
    b = 0;
  for (let i = 0; i < t.length; i++) {
    while (t[a] < t[i] - half) a++;
    while (b + 1 < t.length && t[b + 1] <= t[i] + half) b++;
    if (b > a) out[i] = (heading[b] - heading[a]) / (t[b] - t[a]);
  }
  return out;
}

/** Turn of the heading through the air at every fix [rad/s]. */
export const turnRates = (m: Motion, air: AirData): Float64Array => ratesOf(m.t, headings(m, air), RATE_OVER);

interface Turn {
  readonly from: number;
  readonly to: number;
  /** [rad] */ readonly by: number;
}

function turnsIn(m: Motion, air: AirData, flight: Segment): Turn[] {
  const heading = headings(m, air),
    rate = ratesOf(m.t, heading, RATE_OVER),
    out: Turn[] = [];
  let first = -1;
  const end = (last: number) => {
    if (first < 0) return;
    const by = heading[last] - heading[first];
    if (Math.abs(by) >= LEAST) out.push({ from: m.t[first], to: m.t[last], by });
    first = -1;
  };
  for (let i = 0; i < m.t.length; i++) {
    const inside = m.t[i] >= flight.from && m.t[i] <= flight.to,
      turning = inside && Math.abs(rate[i]) > TURNS;
    if (!turning || (first >= 0 && rate[i] * rate[first] < 0)) end(i - 1);
    if (turning && first < 0) first = i;
  }
  end(m.t.length - 1);
  return out;
}

export function turnsOf(m: Motion, air: AirData, segments: readonly Segment[]): Segment[] {
  if (air.how === 'none') return [];
  const found = segments.filter((s) => s.kind === 'flight').flatMap((s) => turnsIn(m, air, s));
  return found.map(({ from, to }, i) => ({
    kind: 'turn',
    name: found.length > 1 ? `turn ${i + 1}` : 'turn',
    from,
    to,
  }));
}

/** [m/s] */
const LEVEL = 0.6;

/** Airspeed and rate of one turn, its ends left out. */
function steadyTurn({ motion: m, air }: ReduceTask, heading: Float64Array, { from, to }: Segment) {
  // a turn that goes down or up is none of a level one
  const way = slopeIn(m.t, m.height, { from, to });
  if (way && Math.abs(way.slope) > LEVEL) return null;
  const cut = Math.min(1, 0.2 * (to - from)),
    rows = rowsIn(m.t, heading, { from: from + cut, to: to - cut }),
    a = rows[0],
    b = rows.at(-1);
  if (a === undefined || b === undefined || rows.length < 4 || !(m.t[b] > m.t[a])) return null;
  const speed = rows.reduce((s, i) => s + air.airspeed[i], 0) / rows.length,
    rate = Math.abs(heading[b] - heading[a]) / (m.t[b] - m.t[a]);
  return Number.isFinite(speed) && rate > 0 ? { speed, rate, count: rows.length } : null;
}

export function turnResults(task: ReduceTask): LogResult[] {
  const segments = task.segments.filter((s) => s.kind === 'turn'),
    heading = headings(task.motion, task.air),
    turns = segments.flatMap((s) => steadyTurn(task, heading, s) ?? []);
  if (turns.length === 0) return [];
  const of = {
    segment: turns.length > 1 ? `${turns.length} turns` : segments[0].name,
    method: 'airspeed and rate of turn, level',
    count: turns.reduce((s, t) => s + t.count, 0),
  };
  const missed = task.air.wind ? task.air.wind.sigma.airspeed / task.air.wind.airspeed : 0.03,
    banks = turns.map((t) => Math.atan((t.speed * t.rate) / G0)),
    loads = banks.map((b) => 1 / Math.cos(b)),
    radii = turns.map((t) => t.speed / t.rate);
  const left = leftOfSpread(task.air, sumOf(segments.map((s) => s.to - s.from)));
  // what all of them are missed by together: the airspeed
  const slope = Math.max(...banks.map((b) => 0.5 * Math.sin(2 * b))) * missed;
  const told = (id: 'turnBank' | 'turnLoadFactor' | 'turnRadius', v: number[], common: number) => {
    const { value, sigma } = meanWithSpread(v, v.length > 1 ? 0 : 0.03 * v[0]);
    return resultOf(id, { value, sigma: Math.hypot(left * sigma, common) }, of);
  };
  return [
    told('turnBank', banks, slope),
    told('turnLoadFactor', loads, Math.max(...loads.map((n) => (n * n - 1) / n)) * missed),
    told('turnRadius', radii, Math.max(...radii) * missed),
  ];
}
