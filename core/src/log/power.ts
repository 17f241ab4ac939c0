/** What the pack gave: power under load, volts with and without, energy, charge, and what hanging in the air takes. */
import type { FlightLog } from './channels';
import { rowsIn, thinned } from './lines';
import { meanOf, meanWithSpread, medianOf, quantileOf } from './middle';
import { smoothed, type Segment } from './phases';
import { rangeOf, rowsWhere, type Span } from './span';
import { resultOf, type LogResult } from './result';
import { CURRENT_OFF, CURRENT_SAID } from './sensors';
import { longest, type ReduceTask } from './task';

/** Power of a pack at every row that has it [W]; null where the log does not say. */
export function wattsOf({ channels: { volts, amps, power } }: FlightLog): Float64Array | null {
  if (!volts || !amps) return power ?? null;
  const out = new Float64Array(volts.length);
  for (let i = 0; i < out.length; i++) out[i] = volts[i] * amps[i];
  return out;
}

/** Integral of a column over a stretch, straight between the rows that hold a value. */
export function integralOf(t: Float64Array, v: Float64Array, { from, to }: Span): number {
  const known = (i: number) => Number.isFinite(v[i]),
    [inside, past] = rangeOf(t, { from, to });
  // with the known rows on either side
  let first = inside - 1,
    end = past;
  while (first > 0 && !known(first)) first--;
  while (end < t.length && !known(end)) end++;
  let sum = 0,
    last = -1;
  for (let i = Math.max(0, first); i < Math.min(t.length, end + 1); i++) {
    if (!known(i)) continue;
    if (last >= 0) {
      const a = Math.max(from, t[last]),
        b = Math.min(to, t[i]);
      if (b > a) sum += 0.5 * (v[last] + v[i]) * (b - a);
    }
    last = i;
  }
  return sum;
}

/** Readings that tell a middle. */
const ENOUGH = 20_000;

/** Loaded: above this share of the most that was flown with; at rest: below that one. */
const LOADED = 0.7,
  REST = 0.03;

/** Volts while the motor pulls hard, and while it stands. */
function voltResults({ log: { t, channels }, segments }: ReduceTask): LogResult[] {
  const { volts, amps } = channels,
    by = longest(segments, 'flight');
  if (!volts || !amps || !by) return [];
  const both = (i: number) => Number.isFinite(volts[i] + amps[i]),
    rows = thinned(rowsWhere(t, { from: -Infinity, to: by.to }, both), ENOUGH),
    most = quantileOf(
      Float64Array.from(rows, (i) => amps[i]),
      0.98,
    );
  if (!(most > 0)) return [];
  const told = (id: 'voltsLoaded' | 'voltsAtRest', of: number[], method: string) => {
    if (of.length < 5) return [];
    const value = medianOf(of.map((i) => volts[i])),
      sigma = Math.max(0.005 * value, medianOf(of.map((i) => Math.abs(volts[i] - value))));
    return [resultOf(id, { value, sigma }, { segment: by.name, count: of.length, method })];
  };
  return [
    ...told(
      'voltsLoaded',
      rows.filter((i) => amps[i] > LOADED * most),
      'middle of the readings above 70 % of the most amps',
    ),
    ...told(
      'voltsAtRest',
      rows.filter((i) => amps[i] < REST * most),
      'middle of the readings with the motor off: no power is told of it',
    ),
  ];
}

/** Three seconds count as the most from this share of it on. */
const PLATEAU = 0.97;

/** Most of three seconds, and what was used in all. */
export function powerResults(task: ReduceTask): LogResult[] {
  const { log, segments, flown } = task,
    watts = wattsOf(log),
    by = longest(segments, 'flight');
  if (!by) return [];
  const span = { from: by.from - 10, to: by.to },
    out: LogResult[] = [];
  if (watts) {
    const what = log.channels.volts && log.channels.amps ? 'volts under load times amps' : 'power as logged',
      slow = smoothed(log.t, watts, 1.5),
      rows = rowsIn(log.t, slow, span),
      peak = rows.reduce((a, i) => Math.max(a, slow[i]), -Infinity),
      // the very most of many is high by chance
      most = meanOf(rows.filter((i) => slow[i] > PLATEAU * peak).map((i) => slow[i])),
      of = {
        segment: by.name,
        count: rows.length,
        method: `mean of the three seconds within 3 % of the most, ${what}, ${CURRENT_SAID}`,
      };
    if (most > 0 && flown.mass)
      out.push(
        resultOf('powerToWeight', { value: most / flown.mass, sigma: (CURRENT_OFF * most) / flown.mass }, of),
      );
    const used = integralOf(log.t, watts, span);
    if (used > 0)
      out.push(
        resultOf(
          'energyUsed',
          { value: used, sigma: CURRENT_OFF * used },
          { ...of, method: `${what} over time, ${CURRENT_SAID}` },
        ),
      );
  }
  return [...out, ...chargeResults(task, by), ...voltResults(task)];
}

/** Charge by the logger's own count, else amps over time. The mean current is that of all the flight, not of any leg. */
function chargeResults({ log }: ReduceTask, by: Segment): LogResult[] {
  const { charge, amps } = log.channels,
    span = { from: by.from - 10, to: by.to };
  const counted = charge ? rowsIn(log.t, charge, span) : [],
    own = counted.length > 1 ? charge![counted.at(-1)!] - charge![counted[0]] : NaN,
    value = own > 0 ? own : amps ? integralOf(log.t, amps, span) : NaN;
  if (!(value > 0)) return [];
  const of = {
      segment: by.name,
      count: counted.length || (amps ? rowsIn(log.t, amps, span).length : 0),
      method: own > 0 ? 'counted by the logger' : `amps over time, ${CURRENT_SAID}`,
    },
    time = by.to - by.from;
  return [
    resultOf('chargeUsed', { value, sigma: CURRENT_OFF * value }, of),
    resultOf(
      'meanCurrent',
      { value: value / time, sigma: (CURRENT_OFF * value) / time },
      { ...of, method: `${of.method}; take-off, climb, turns and all: of no one leg` },
    ),
  ];
}

/** What hanging still took, each stretch by itself. */
export function hoverResults({ log, segments }: ReduceTask): LogResult[] {
  const hovers = segments.filter((s) => s.kind === 'hover'),
    watts = wattsOf(log);
  if (hovers.length === 0) return [];
  const segment = hovers.length > 1 ? `${hovers.length} hovers` : hovers[0].name;
  const told = (id: 'hoverPower' | 'hoverCurrent', of: Float64Array | null | undefined) => {
    if (!of) return [];
    const rows = hovers.map((h) => rowsIn(log.t, of, h)).filter((r) => r.length > 4);
    if (rows.length === 0) return [];
    const { value, sigma } = meanWithSpread(
      rows.map((r) => meanOf(r.map((i) => of[i]))),
      0,
    );
    return [
      resultOf(
        id,
        { value, sigma: Math.hypot(sigma, CURRENT_OFF * value) },
        { segment, count: rows.flat().length, method: `mean while it hung still, ${CURRENT_SAID}` },
      ),
    ];
  };
  return [...told('hoverPower', watts), ...told('hoverCurrent', log.channels.amps)];
}

/** Turns and rotation of the propeller or the rubber motor's shaft. */
export function rotationResults({ log, segments }: ReduceTask): LogResult[] {
  const { rotation } = log.channels,
    by = longest(segments, 'flight');
  if (!rotation || !by) return [];
  const rows = rowsIn(log.t, rotation, by),
    turns = integralOf(log.t, rotation, by) / (2 * Math.PI);
  if (rows.length < 5 || !(turns > 0)) return [];
  const of = { segment: by.name, count: rows.length, method: 'rotation over the time in the air' },
    mean = meanOf(rows.map((i) => rotation[i]));
  return [
    resultOf('turnsSpent', { value: turns, sigma: Math.max(1, 0.01 * turns) }, of),
    resultOf('meanRotation', { value: mean, sigma: 0.01 * mean }, of),
  ];
}
