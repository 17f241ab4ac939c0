/** A drive over speed and throttle: pack power for a thrust at a speed, read off a small table. */
import { bracketIndex, interpolateLinear } from '../numeric';
import { operate, type Drive } from './electric';

/** Throttle positions of the table. */
const THROTTLES = [0.06, 0.12, 0.2, 0.3, 0.42, 0.56, 0.7, 0.85, 1];

export interface DriveMap {
  /** [m/s], ascending */ readonly speeds: readonly number[];
  /** by speed: thrust ascending [N], and the pack's power with it [W] */ readonly rows: readonly {
    readonly thrust: readonly number[];
    readonly power: readonly number[];
  }[];
}

/** @param speeds [m/s], ascending */
export function driveMap(drive: Drive, speeds: readonly number[]): DriveMap {
  const rows = speeds.map((v) => {
    const points = THROTTLES.map((t) => operate(drive, t, v)).sort((a, b) => a.thrust - b.thrust);
    return { thrust: points.map((p) => p.thrust), power: points.map((p) => p.power) };
  });
  return { speeds, rows };
}

/** NaN for more thrust than there is; power goes with the three halves of thrust between nodes. */
function powerIn(row: DriveMap['rows'][number], thrust: number): number {
  const { thrust: t, power } = row,
    last = t.length - 1;
  if (thrust > t[last]) return NaN;
  if (thrust <= t[0]) return power[0];
  return interpolateLinear(t, power, thrust);
}

/**
 * Power from the pack for a thrust at a speed [W]; NaN where full throttle does not give it, or outside the table.
 * Within 2 % of the drive itself (`driveMap.test.ts`).
 */
export function powerFor(map: DriveMap, thrust: number, speed: number): number {
  const { speeds, rows } = map;
  if (speed < speeds[0] || speed > speeds[speeds.length - 1]) return NaN;
  const i = bracketIndex(speeds, speed),
    t = (speed - speeds[i]) / (speeds[i + 1] - speeds[i]);
  if (t <= 0) return powerIn(rows[i], thrust);
  if (t >= 1) return powerIn(rows[i + 1], thrust);
  // the same share of full thrust on both sides: rows end at different thrusts
  const low = rows[i],
    high = rows[i + 1],
    lowMost = low.thrust[low.thrust.length - 1],
    highMost = high.thrust[high.thrust.length - 1],
    full = lowMost + t * (highMost - lowMost);
  if (thrust > full || !(full > 0)) return NaN;
  const share = thrust / full,
    below = powerIn(low, share * lowMost);
  return below + t * (powerIn(high, share * highMost) - below);
}
