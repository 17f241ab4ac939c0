/**
 * A GPS log to numbers: ground run, climb, airspeed and wind, laps, energy.
 * Rows: t [s], x east [m], y north [m], height above the strip [m], ground speed [m/s], volts, amps.
 */
import type { LogRow, Measurement } from '../design';
import { cleanLog } from './cleanLog';
import { fitWind } from './fitWind';

export interface Reduced {
  measurements: Measurement[];
  remarks: string[];
  laps: number[];
  airspeed: number | null;
  wind: { speed: number; toEast: number; toNorth: number } | null;
  /** [A s] */ chargeUsed: number;
  /** [J] */ energyUsed: number;
}

const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;
const sd = (v: readonly number[]) =>
  Math.sqrt(v.reduce((s, x) => s + (x - mean(v)) ** 2, 0) / Math.max(1, v.length - 1));

const AIRBORNE_HEIGHT = 1;
const MOTOR_ON = 2;

/** Index of the first airborne row that stays up for a second; -1 if it never does. */
function findLiftOff(rows: readonly LogRow[]): number {
  return rows.findIndex(
    (r, i) => r[3] > AIRBORNE_HEIGHT && rows.slice(i).every((q) => q[0] > r[0] + 1 || q[3] > AIRBORNE_HEIGHT),
  );
}

/** Times of passing the middle of the course in the first direction flown. */
function findLaps(rows: readonly LogRow[]): { from: number; to: number }[] {
  if (rows.length < 20) return [];
  const mx = mean(rows.map((r) => r[1])),
    my = mean(rows.map((r) => r[2]));
  let sxx = 0,
    sxy = 0,
    syy = 0;
  for (const r of rows) {
    const dx = r[1] - mx,
      dy = r[2] - my;
    sxx += dx * dx;
    sxy += dx * dy;
    syy += dy * dy;
  }
  const th = 0.5 * Math.atan2(2 * sxy, sxx - syy);
  const u = rows.map((r) => (r[1] - mx) * Math.cos(th) + (r[2] - my) * Math.sin(th));
  const reach = Math.max(...u.map(Math.abs));
  const times: number[] = [];
  let armed = false,
    sign = 0;
  for (let i = 1; i < u.length; i++) {
    if (Math.abs(u[i]) > 0.4 * reach) armed = true;
    if (u[i - 1] * u[i] > 0 || u[i] === u[i - 1]) continue;
    const dir = Math.sign(u[i] - u[i - 1]);
    if (sign === 0) sign = dir;
    if (dir !== sign || (times.length > 0 && !armed)) continue;
    armed = false;
    times.push(rows[i - 1][0] + ((rows[i][0] - rows[i - 1][0]) * -u[i - 1]) / (u[i] - u[i - 1]));
  }
  return times.slice(1).map((to, i) => ({ from: times[i], to }));
}

function integrate(
  rows: readonly LogRow[],
  f: (r: LogRow) => number,
  from = -Infinity,
  to = Infinity,
): number {
  let sum = 0;
  for (let i = 1; i < rows.length; i++) {
    const a = Math.max(from, rows[i - 1][0]),
      b = Math.min(to, rows[i][0]);
    if (b > a) sum += 0.5 * (f(rows[i - 1]) + f(rows[i])) * (b - a);
  }
  return sum;
}

/**
 * Reduces a log for one loading. The course need not be known: laps are found by passing the middle of what was flown.
 */
export function reduceLog(raw: readonly LogRow[], loading: string): Reduced {
  const { rows, remarks } = cleanLog(raw);
  const out: Reduced = {
    measurements: [],
    remarks: [...remarks],
    laps: [],
    airspeed: null,
    wind: null,
    chargeUsed: integrate(rows, (r) => r[6]),
    energyUsed: integrate(rows, (r) => r[5] * r[6]),
  };
  const add = (quantity: string, value: number, sigma: number, from: string) =>
    out.measurements.push({ quantity, state: loading, value, sigma, from, setAside: false });
  const lift = findLiftOff(rows);
  if (lift < 0) {
    out.remarks.push('The log never shows the aircraft in the air.');
    return out;
  }
  reduceRoll(rows, lift, out, add);
  const air = rows.slice(lift);
  reduceClimb(air, add);
  const laps = findLaps(air.filter((r) => r[3] > LAP_HEIGHT));
  out.laps = laps.map((l) => l.to - l.from);
  const good = trimLaps(laps);
  if (good.length < laps.length)
    out.remarks.push(
      `${laps.length - good.length} of ${laps.length} laps differ by more than a quarter from the middle one and were left out.`,
    );
  if (good.length) reduceLaps(rows, good, out, add);
  else out.remarks.push('No full lap was found.');
  return out;
}

type Add = (quantity: string, value: number, sigma: number, from: string) => void;

/** Height above which it flies laps [m]. */
const LAP_HEIGHT = 6;

function reduceRoll(rows: readonly LogRow[], lift: number, out: Reduced, add: Add): void {
  const roll = rows.slice(0, lift + 1);
  const moving = roll.findIndex((r) => r[6] > MOTOR_ON && r[4] > 0.3);
  if (moving >= 0 && lift - moving >= 3) {
    const start = roll[moving],
      up = roll.findLast((r) => r[3] < 0.15) ?? rows[lift];
    add(
      'groundRun',
      Math.hypot(up[1] - start[1], up[2] - start[2]),
      0.8,
      'log: first movement to leaving the ground, GPS to 0.8 m',
    );
  } else out.remarks.push('The take-off is not in the log; no ground run.');
}

function reduceClimb(air: readonly LogRow[], add: Add): void {
  const climb = air.filter((r) => r[0] < air[0][0] + 12);
  const top = climb.findIndex((r) => r[3] > 10);
  if (top > 5)
    add(
      'climbRate',
      (climb[top][3] - climb[0][3]) / (climb[top][0] - climb[0][0]),
      0.35,
      'log: first ten metres of height',
    );
}

type Laps = readonly { readonly from: number; readonly to: number }[];

function reduceLaps(rows: readonly LogRow[], good: Laps, out: Reduced, add: Add): void {
  const times = good.map((l) => l.to - l.from);
  add(
    'lapTime',
    mean(times),
    Math.max(0.3, times.length > 1 ? sd(times) / Math.sqrt(times.length) : 0.03 * times[0]),
    `log: ${times.length} laps`,
  );
  const energy = good.map((l) => integrate(rows, (r) => r[5] * r[6], l.from, l.to));
  add(
    'lapEnergy',
    mean(energy),
    Math.max(0.03 * mean(energy), energy.length > 1 ? sd(energy) / Math.sqrt(energy.length) : 0),
    'log: volts times amps over the laps, sensor 3 %',
  );
  const window = rows.filter((r) => r[0] >= good[0].from && r[0] <= good[good.length - 1].to);
  const velocities = window
    .slice(2)
    .map(
      (r, i) =>
        [
          (r[1] - window[i][1]) / (r[0] - window[i][0]),
          (r[2] - window[i][2]) / (r[0] - window[i][0]),
        ] as const,
    );
  const wind = fitWind(velocities);
  if (wind) {
    out.airspeed = wind.airspeed;
    out.wind = { speed: Math.hypot(wind.east, wind.north), toEast: wind.east, toNorth: wind.north };
    add(
      'lapSpeed',
      wind.airspeed,
      Math.max(0.25, wind.residual / 3),
      'log: circle through the ground velocities',
    );
  }
}

/** Laps within a quarter of the median time. */
function trimLaps<T extends { from: number; to: number }>(laps: readonly T[]): T[] {
  const sorted = laps.map((l) => l.to - l.from).sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  return laps.filter((l) => Math.abs(l.to - l.from - middle) <= 0.25 * middle);
}
