/**
 * Stalls: the airspeed falls to a least that is slow for this flight, and the height then breaks away. The speed is the least
 * mean of half a second before the break; what it is missed by is the wind's share and the airspeed's own noise.
 */
import type { AirData } from './airData';
import type { Motion } from './motion';
import { smoothed, startHeight, type Segment } from './phases';
import type { LogResult } from './result';
import type { ReduceTask } from './task';

/** Slower than this share of the usual airspeed, and a sink that grows by so much [m/s] within so long [s], is a stall. */
const SLOW = 0.8,
  BREAKS = 1.2,
  WITHIN = 2.5;
/** Nobody stalls on purpose lower than this over the start [m]. */
const LOW = 10;
/** Two stalls are at least so far apart [s]. */
const APART = 4;

interface Stall {
  readonly t: number;
  readonly speed: number;
}

const middleOf = (v: readonly number[]) => [...v].sort((a, b) => a - b)[v.length >> 1] ?? NaN;

/** Deepest sink within a while after a fix. */
function sinkAfter({ t }: Motion, climb: Float64Array, i: number): number {
  let least = Infinity;
  for (let k = i; k < t.length && t[k] - t[i] <= WITHIN; k++) if (climb[k] < least) least = climb[k];
  return least;
}

function stallsIn(m: Motion, speed: Float64Array, climb: Float64Array, flight: Segment): Stall[] {
  const low = startHeight(m) + LOW;
  const rows = [...m.t.keys()].filter(
    (i) =>
      m.t[i] >= flight.from + 2 &&
      m.t[i] <= flight.to - 2 &&
      Number.isFinite(speed[i]) &&
      // near the ground a landing looks the same
      !(m.height[i] < low),
  );
  const usual = middleOf(rows.map((i) => speed[i])),
    out: Stall[] = [];
  for (const i of rows) {
    if (
      !(speed[i] < SLOW * usual) ||
      !(speed[i] <= (speed[i - 1] ?? Infinity)) ||
      !(speed[i] <= (speed[i + 1] ?? Infinity))
    )
      continue;
    if (!(climb[i] - sinkAfter(m, climb, i) > BREAKS)) continue;
    const last = out.at(-1);
    if (last && m.t[i] - last.t < APART) {
      if (speed[i] < last.speed) out[out.length - 1] = { t: m.t[i], speed: speed[i] };
    } else out.push({ t: m.t[i], speed: speed[i] });
  }
  return out;
}

function foundIn(m: Motion, air: AirData, segments: readonly Segment[]): Stall[] {
  if (air.how === 'none') return [];
  const speed = smoothed(m.t, air.airspeed, 0.25),
    climb = smoothed(m.t, m.climb, 0.3);
  return segments.filter((s) => s.kind === 'flight').flatMap((s) => stallsIn(m, speed, climb, s));
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
  const found = foundIn(m, air, segments);
  if (found.length === 0) return [];
  const value = found.reduce((s, f) => s + f.speed, 0) / found.length,
    apart =
      found.length > 1
        ? Math.sqrt(found.reduce((s, f) => s + (f.speed - value) ** 2, 0) / (found.length - 1))
        : 0.03 * value;
  const method = 'least mean of half a second before the height breaks';
  return [
    {
      id: 'stallSpeed',
      value,
      sigma: Math.hypot(apart / Math.sqrt(found.length), air.wind?.sigma.airspeed ?? 0.03 * value),
      kind: 'speed',
      segment: found.length > 1 ? `${found.length} stalls` : 'stall',
      method,
      count: found.length,
    },
  ];
}
