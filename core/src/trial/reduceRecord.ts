/**
 * A flight record typed by hand to measurements; uncertainties are those of a stopwatch, a tape and a charger
 * (common practice, no source).
 */
import { quantityDef, type Ledger } from '../assess';
import type { Conditions, Measurement, Reading, Source, TestBody } from '../design';
import { footageMeasurements, footageRemarks } from './footage';
import { chosenAside } from './fromLog';
import { entryMeasured, measuredKey } from './measured';
import { reduceRubber } from './rubberLog';

const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;

/** How the aircraft was that day, as far as the form says. */
export function conditionsOf({ record: r }: Pick<TestBody, 'record'>): Conditions {
  return {
    temperature: r.temperature,
    wind: r.wind,
    ...(r.mass !== null ? { mass: r.mass } : {}),
    ...(r.cgX !== null ? { cgX: r.cgX } : {}),
    ...(r.chargeBefore !== null ? { charge: r.chargeBefore } : {}),
    ...(r.pack ? { pack: r.pack } : {}),
    ...(r.propeller ? { propeller: r.propeller } : {}),
    ...(r.configuration ? { configuration: r.configuration } : {}),
  };
}

/** Measurements that follow from the form alone. */
export function reduceRecord(body: Pick<TestBody, 'record' | 'card'>): Measurement[] {
  const { record: r, card } = body;
  const out: Measurement[] = [];
  const add = (quantity: string, value: number, sigma: number, from: string, source: Source = 'typed') =>
    out.push({ quantity, state: card.state, value, sigma, source, from, setAside: false });
  if (r.laps.length) {
    const m = mean(r.laps);
    const spread = Math.sqrt(r.laps.reduce((s, x) => s + (x - m) ** 2, 0) / Math.max(1, r.laps.length - 1));
    add(
      'lapTime',
      m,
      Math.max(0.3, r.laps.length > 1 ? spread / Math.sqrt(r.laps.length) : 0.03 * m),
      `${r.laps.length} timed laps`,
      'timed',
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
    if (r.hung) add('hoverCurrent', amps, 0.1 * amps, 'charge used over the time in the air', 'timed');
    else
      out.push({
        quantity: 'lapCurrent',
        state: card.state,
        value: amps,
        sigma: 0.08 * amps,
        source: 'timed',
        from: 'charge used over motor time',
        setAside: true,
        reason: 'mean of take-off, climb, turns and all: not the current on the straights at lap throttle',
      });
  }
  if (r.rubber) out.push(...reduceRubber(r.rubber, card.state));
  if (r.footage) out.push(...footageMeasurements(r.footage, r.mass, card.state));
  return out;
}

/** A number that the form does not ask for, as it was read. */
function readMeasurement({ throttle, ...read }: Reading, conditions: Conditions): Measurement {
  return {
    ...read,
    conditions: { ...conditions, ...(throttle === undefined ? {} : { throttle }) },
    setAside: false,
  };
}

/**
 * Form and logs together, each value under its own source. Where both speak of one quantity and differ by more than three of
 * their joint sigmas, what a person read stands and the log's reading is set aside until asked for.
 */
export function measurementsOf(body: TestBody): { measurements: Measurement[]; remarks: string[] } {
  const conditions = conditionsOf(body),
    typed = [
      ...reduceRecord(body).map((m): Measurement => ({ ...m, conditions })),
      ...(body.record.readings ?? []).map((r) => readMeasurement(r, conditions)),
    ],
    held = new Set((body.logs ?? []).map((l) => l.file)),
    logged = body.measurements
      .filter((m) => m.segment && held.has(m.segment.log))
      .map((m) => besideTyped(m, typed));
  return {
    measurements: [...typed, ...logged],
    remarks: [
      ...unusedFigures(body),
      ...(body.record.footage ? footageRemarks(body.record.footage, body.record.mass) : []),
      ...comparisons(typed, logged),
    ],
  };
}

const DISAGREES = 'far from what a person read; choose',
  MADE_UP = 'made up by the simulated logger, and a person read it too';

/** What a log read, held against what a person did. */
function besideTyped(m: Measurement, typed: readonly Measurement[]): Measurement {
  if (m.reason !== undefined && m.reason !== DISAGREES && m.reason !== MADE_UP) return m;
  const { reason: _, ...plain } = m,
    own = typed.find((t) => measuredKey(t) === measuredKey(m));
  if (own && m.source === 'simulated') return { ...plain, setAside: true, reason: MADE_UP };
  return own && disagree(own, m)
    ? { ...plain, setAside: true, reason: DISAGREES }
    : { ...plain, setAside: false };
}

const disagree = (a: Measurement, b: Measurement) =>
  Math.abs(a.value - b.value) > 3 * Math.hypot(a.sigma, b.sigma);

/** Figures of the form that nothing is made of, and what is missing for it. */
function unusedFigures({ record: r }: Pick<TestBody, 'record'>): string[] {
  const charge = [r.chargeBefore, r.chargeAfter].filter((c) => c !== null).length;
  if (charge === 0) return [];
  if (charge === 1) return ['One charge alone says nothing: enter it before and after the flight.'];
  if (r.chargeBefore! <= r.chargeAfter!)
    return ['The charge after is not below the charge before: one of the two is not what it says.'];
  if (r.duration === null || !(r.duration > 0))
    return ['Charge before and after say nothing of the current without the motor time.'];
  return [];
}

/** Where tape or stopwatch and log disagree by more than three of their joint sigmas. */
function comparisons(typed: readonly Measurement[], logged: readonly Measurement[]): string[] {
  return typed.flatMap((t) => {
    const l = logged.find((m) => measuredKey(m) === measuredKey(t));
    if (!l || !disagree(t, l)) return [];
    const figures = `${t.value.toPrecision(3)} against ${l.value.toPrecision(3)}`;
    return [`The form and the log disagree on ${t.quantity}: ${figures}. The log's is set aside; choose.`];
  });
}

/** Measurements under what they are of and from, and which of several such they are. */
function bySource(list: readonly Measurement[]): [key: string, m: Measurement][] {
  const seen = new Map<string, number>();
  return list.map((m) => {
    const of = `${measuredKey(m)}|${m.source}|${m.segment?.log ?? ''}|${m.segment?.name ?? ''}`,
      nth = seen.get(of) ?? 0;
    seen.set(of, nth + 1);
    return [`${of}|${nth}`, m];
  });
}

/**
 * Measurements after an edit of a test: as they follow from it, with what the person set aside or took back by hand left so.
 * @param before the test as it was, with its measurements
 */
export function remeasured(before: TestBody, after: TestBody): Measurement[] {
  if (!after.record.flown) return [];
  const rule = new Map(bySource(measurementsOf(before).measurements).map(([key, m]) => [key, m.setAside]));
  const chosen = new Map(
    bySource(before.measurements)
      .filter(([key, m]) => rule.has(key) && rule.get(key) !== m.setAside)
      .map(([key, m]) => [key, m.setAside]),
  );
  return bySource(measurementsOf(after).measurements).map(([key, m]) => chosenAside(m, chosen.get(key)));
}

/** Readings far from the prediction, and figures no day has: asked about, never refused. */
export function recordQuestions(body: TestBody, ledger: Ledger): string[] {
  const { record: r } = body;
  const far = body.measurements
    .filter((m) => !m.segment)
    .flatMap((m) => {
      const e = entryMeasured(ledger, m);
      const ratio = e && e.value > 0 && m.value > 0 ? m.value / e.value : 1;
      if (ratio < FAR && ratio > 1 / FAR) return [];
      const times = ratio > 1 ? `${ratio.toPrecision(2)} times` : `${(100 * ratio).toPrecision(2)} % of`;
      const slip = Math.abs(Math.abs(Math.log10(ratio)) - 1) < 0.2 ? ' A slip of ten, or another unit?' : '';
      return [`${quantityDef(m.quantity)?.name ?? m.quantity} is ${times} the prediction: is it so?${slip}`];
    });
  return [
    ...far,
    ...(r.wind > 12
      ? [`A wind of ${r.wind.toFixed(0)} m/s is a gale for such an aircraft: was it in m/s?`]
      : []),
    ...(r.temperature < 258 || r.temperature > 318
      ? [`${(r.temperature - 273.15).toFixed(0)} °C is rare on a flying field: was it in °C?`]
      : []),
  ];
}
const FAR = 2.5;
