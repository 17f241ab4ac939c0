/**
 * Turns: where the heading through the air goes on changing one way. Bank and load factor of a level turn follow from airspeed
 * and rate: tan(bank) = V omega / g.
 */
import { G0 } from '../air';
import { leftOfSpread, type AirData } from './airData';
import { rowsIn, slopeIn } from './lines';
import { meanOf, meanWithSpread, sumOf } from './middle';
import { headings, ratesOf, rateOver } from './headings';
import { slopeReach, slopeResponse, type Motion } from './motion';
import type { Segment } from './phases';
import { resultOf, type LogResult } from './result';
import type { ReduceTask } from './task';

/** Slower than this [rad/s] is no turn; less than this much of one [rad] says nothing. */
const TURNS = 0.12,
  LEAST = 1.2;

interface Turn {
  readonly from: number;
  readonly to: number;
  /** [rad] */ readonly by: number;
}

function turnsIn(m: Motion, air: AirData, flight: Segment): Turn[] {
  const heading = headings(m, air.wind),
    rate = ratesOf(m.t, heading, rateOver(m)),
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
/** A turn of which places that are so far apart show less is not told. */
const BLURRED = 0.9;

/** Airspeed and rate of one turn, its ends left out. */
function steadyTurn({ motion: m, air }: ReduceTask, heading: Float64Array, { from, to }: Segment) {
  // a turn that goes down or up is none of a level one
  const way = slopeIn(m.t, m.height, { from, to });
  if (way && Math.abs(way.slope) > LEVEL) return null;
  // slopes of places far apart see a little of what lies before and behind it
  const cut = Math.max(Math.min(1, 0.2 * (to - from)), slopeReach(m)),
    rows = rowsIn(m.t, heading, { from: from + cut, to: to - cut }),
    a = rows[0],
    b = rows.at(-1);
  if (a === undefined || b === undefined || rows.length < 4 || !(m.t[b] > m.t[a])) return null;
  const rate = Math.abs(heading[b] - heading[a]) / (m.t[b] - m.t[a]),
    clear = air.how === 'sensor' || slopeResponse(m, rate) > BLURRED,
    speed = meanOf(rows.map((i) => air.airspeed[i]));
  return Number.isFinite(speed) && rate > 0 && clear ? { speed, rate, count: rows.length } : null;
}

export function turnResults(task: ReduceTask): LogResult[] {
  const segments = task.segments.filter((s) => s.kind === 'turn'),
    heading = headings(task.motion, task.air.wind),
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
