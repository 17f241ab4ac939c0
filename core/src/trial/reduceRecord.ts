/**
 * A flight record typed by hand to measurements; uncertainties are those of a stopwatch, a tape and a charger
 * (common practice, no source).
 */
import type { Measurement, TestBody } from '../design';
import { reduceLog } from './reduceLog';
import { reduceRubber } from './rubberLog';

const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;

/** Measurements that follow from the form alone. */
export function reduceRecord(body: Pick<TestBody, 'record' | 'card'>): Measurement[] {
  const { record: r, card } = body;
  const out: Measurement[] = [];
  const add = (quantity: string, value: number, sigma: number, from: string) =>
    out.push({ quantity, state: card.loading, value, sigma, from, setAside: false });
  if (r.laps.length) {
    const m = mean(r.laps);
    const spread = Math.sqrt(r.laps.reduce((s, x) => s + (x - m) ** 2, 0) / Math.max(1, r.laps.length - 1));
    add(
      'lapTime',
      m,
      Math.max(0.3, r.laps.length > 1 ? spread / Math.sqrt(r.laps.length) : 0.03 * m),
      `${r.laps.length} timed laps`,
    );
  }
  if (r.groundRun !== null && r.groundRun > 0)
    add('groundRun', r.groundRun, Math.max(0.5, 0.05 * r.groundRun), 'tape on the strip');
  if (r.stallSpeed !== null) add('stallSpeed', r.stallSpeed, 0.06 * r.stallSpeed, 'slowest held speed');
  if (r.mass !== null) add('mass', r.mass, Math.max(0.002, 0.002 * r.mass), 'scale');
  if (r.cgX !== null) add('cgX', r.cgX, 0.002, 'balanced on the bench');
  if (
    r.chargeBefore !== null &&
    r.chargeAfter !== null &&
    r.duration !== null &&
    r.duration > 0 &&
    r.chargeBefore > r.chargeAfter
  ) {
    const amps = (r.chargeBefore - r.chargeAfter) / r.duration;
    out.push({
      quantity: 'lapCurrent',
      state: card.loading,
      value: amps,
      sigma: 0.08 * amps,
      from: 'charge used over motor time: the mean of take-off, climb and turns, not the current on the straights at lap throttle; kept out of the fit',
      setAside: true,
    });
  }
  if (r.rubber) out.push(...reduceRubber(r.rubber, card.loading));
  return out;
}

/** Form and log together; where both speak of one quantity the log is kept, except for what only the form has. */
export function measurementsOf(body: TestBody): { measurements: Measurement[]; remarks: string[] } {
  const typed = reduceRecord(body);
  if (!body.log) return { measurements: typed, remarks: [] };
  const log = reduceLog(body.log.rows, body.card.loading);
  const have = new Set(log.measurements.map((m) => m.quantity));
  const dropped = have.has('lapEnergy') ? new Set([...have, 'lapCurrent']) : have;
  return {
    measurements: [...typed.filter((m) => !dropped.has(m.quantity)), ...log.measurements],
    remarks: [...log.remarks, ...comparisons(typed, log.measurements)],
  };
}

/** Where tape or stopwatch and log disagree by more than three of their joint sigmas. */
function comparisons(typed: readonly Measurement[], logged: readonly Measurement[]): string[] {
  return typed.flatMap((t) => {
    const l = logged.find((m) => m.quantity === t.quantity);
    if (!l || Math.abs(l.value - t.value) <= 3 * Math.hypot(l.sigma, t.sigma)) return [];
    return [
      `The form and the log disagree on ${t.quantity}: ${t.value.toPrecision(3)} against ${l.value.toPrecision(3)}; the log was used.`,
    ];
  });
}

/** Weighted mean of several measurements of one quantity; the spread between them widens the result. */
export function combine(list: readonly Pick<Measurement, 'value' | 'sigma'>[]): {
  value: number;
  sigma: number;
  count: number;
} {
  const w = list.map((m) => 1 / (m.sigma * m.sigma));
  const total = w.reduce((s, x) => s + x, 0);
  const value = list.reduce((s, m, i) => s + w[i] * m.value, 0) / total;
  const chi =
    list.length > 1 ? list.reduce((s, m, i) => s + w[i] * (m.value - value) ** 2, 0) / (list.length - 1) : 1;
  return { value, sigma: Math.sqrt(Math.max(1, chi) / total), count: list.length };
}
