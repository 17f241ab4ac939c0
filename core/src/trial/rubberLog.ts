/** Indoor and free-flight records: turns, torque, seconds, height; what they say of rpm and effective pitch. */
import { powertrainOf, type Design, type Measurement, type Source, type TestBody } from '../design';
import { effectivePitch, meanRotation, rubberMotor } from '../power';

type RubberRecord = NonNullable<TestBody['record']['rubber']>;

/** Of a flight that touched something, steered or found lift nothing is learned. */
const asideOf = ({ clean }: RubberRecord) =>
  clean ? { setAside: false } : { setAside: true, reason: 'not a clean flight' };

/**
 * Measurements of one flight. Uncertainties: a stopwatch and a thumb, a balloon's height, a counter that slips
 * (common practice, no source).
 */
export function reduceRubber(r: RubberRecord, state: string): Measurement[] {
  const out: Measurement[] = [];
  const add = (quantity: string, value: number, sigma: number, from: string, source: Source = 'typed') =>
    out.push({ quantity, state, value, sigma, source, from, ...asideOf(r) });
  if (r.seconds !== null)
    add(
      'flightTime',
      r.seconds,
      Math.max(1, 0.03 * r.seconds),
      'stopwatch; air and drift are in it',
      'timed',
    );
  const omega = rotationOf(r);
  if (omega !== null) add('propellerRpm', omega, 0.03 * omega, '60 (launch turns − turns left) / seconds');
  if (r.turnsLeft !== null && r.launchTurns !== null && r.launchTurns > r.turnsLeft) {
    add('turnsLeft', r.turnsLeft, Math.max(5, 0.02 * r.launchTurns), 'counted back on the winder');
  }
  if (r.height !== null)
    add('peakHeight', r.height, Math.max(0.3, 0.06 * r.height), 'by eye, against what is known');
  if (r.launchTorque !== null)
    out.push({
      quantity: 'launchTorque',
      state: 'all',
      value: r.launchTorque,
      sigma: 0.06 * r.launchTorque,
      source: 'typed',
      from: 'torque meter at the hook',
      ...asideOf(r),
    });
  return out;
}

/** Mean rotation of the propeller [rad/s]; null where a figure of it was not taken. */
function rotationOf(r: RubberRecord): number | null {
  const { launchTurns, turnsLeft, seconds } = r;
  if (launchTurns === null || turnsLeft === null || seconds === null || launchTurns <= turnsLeft) return null;
  return meanRotation(launchTurns, turnsLeft, seconds);
}

/** The design as it was launched: turns and motor of that day in place of the drawing's. */
export function designOfTheDay(design: Design, record: TestBody['record']): Design {
  const r = record.rubber,
    own = powertrainOf(design).rubber;
  if (!r || !own) return design;
  const motor = {
    ...own,
    ...(r.motorLength !== null ? { length: r.motorLength } : {}),
    ...(r.pitch !== null ? { propeller: { ...own.propeller, pitch: r.pitch } } : {}),
  };
  const m = rubberMotor(motor),
    turns = r.launchTurns ?? m.launchTurns,
    wound = Math.min(1, Math.max(0.1, Math.max(turns, m.woundTurns) / m.breakTurns));
  return {
    ...design,
    power: {
      ...design.power,
      rubber: {
        ...motor,
        wound,
        backedOff: Math.min(5000, Math.max(0, wound * m.breakTurns - turns)),
      },
    },
  };
}

export interface RubberFlightLine {
  id: string;
  date: string;
  title: string;
  change: string;
  launchTurns: number;
  turnsLeft: number | null;
  torque: number | null;
  seconds: number;
  omega: number | null;
  /** that the blade had to have for the advance of the first clean flight [m] */ pitch: number | null;
  height: number | null;
  clean: boolean;
}

type Timed = RubberRecord & { launchTurns: number; seconds: number };
const isTimed = (r: RubberRecord | undefined): r is Timed =>
  r !== undefined && r.launchTurns !== null && r.seconds !== null;

/** The season as a table, the first clean flight as the measure of pitch. */
export function rubberSeason(
  tests: readonly { id: string; body: TestBody }[],
  pitch: number,
): RubberFlightLine[] {
  const flown = tests
    .flatMap((t) =>
      t.body.record.flown && isTimed(t.body.record.rubber)
        ? [{ id: t.id, body: t.body, r: t.body.record.rubber }]
        : [],
    )
    .sort((a, b) => a.body.record.date.localeCompare(b.body.record.date));
  const rotation = rotationOf;
  // the first clean flight: its own pitch and rotation make the advance that all are held against
  const first = flown.find((f) => f.r.clean && rotation(f.r) !== null)?.r,
    base = first ? { pitch: first.pitch ?? pitch, omega: rotation(first)! } : null;
  return flown.map(({ id, body, r }) => {
    const omega = rotation(r);
    return {
      id,
      date: body.record.date,
      title: body.card.title,
      change: body.card.oneChange,
      launchTurns: r.launchTurns,
      turnsLeft: r.turnsLeft,
      torque: r.launchTorque,
      seconds: r.seconds,
      omega,
      pitch: omega !== null && base !== null ? effectivePitch(base.pitch, base.omega, omega) : null,
      height: r.height,
      clean: r.clean,
    };
  });
}
