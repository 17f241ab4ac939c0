/**
 * The simulated GPS logger: flies a design round its course and writes the log that a small
 * logger would, five rows a second, with noise, one gap and a repeated row. The flown aircraft differs
 * from its drawing by `truth`, which the person does not see. Deterministic for a seed.
 */
import { assess, entryOf, type QuantityId } from '@skiametra/core/assess';
import {
  FACTOR_IDS,
  priorCalibration,
  type DesignDocument,
  type FactorId,
  type LogRow,
  powertrainOf,
  courseOf,
} from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { normalFrom } from './random';

export type Truth = Partial<Record<FactorId, number>>;

/** The demo aircraft as it really is: draggier, a little less thrust, balance as drawn. */
export const DEMO_TRUTH: Truth = {
  dragArea: 1.17,
  thrust: 0.95,
  electricalLoss: 1.12,
  capacity: 0.96,
  clMax: 0.95,
  neutralPoint: 0.985,
};

export interface LoggedFlight {
  rows: LogRow[];
  truth: { groundRun: number; lapTime: number; lapSpeed: number; laps: number };
}

/** As the logger prints it; adding 0 turns -0, which JSON cannot carry, into 0. */
const rounded = (v: number, digits = 2) => Number(v.toFixed(digits)) + 0;

const STEP = 0.2;
const HEIGHT = 25;

/** What the aircraft does in truth: the computation with the factors of this very airframe. */
function figuresOf(
  doc: DesignDocument,
  loading: string,
  course: NonNullable<ReturnType<typeof courseOf>>,
  truth: Truth,
) {
  const prior = priorCalibration();
  const mean = prior.mean.map((m, i) => truth[FACTOR_IDS[i]!] ?? m);
  const ledger = assess(doc.brief, doc.design, { ...prior, mean });
  const at = (id: QuantityId) => entryOf(ledger, id, loading)!.value;
  const { site } = doc.brief;
  const V = at('lapSpeed'),
    volts = at('packVoltage');
  const straightAmps = at('lapCurrent');
  const lapSeconds = at('lapTime');
  const turnSeconds =
    (lapSeconds -
      course.straightsPerLap * course.straight * 0.5 * (1 / (V + site.wind) + 1 / (V - site.wind))) /
    Math.max(1, course.turnsPerLap);
  const meanVolts = volts + 0.4;
  const turnAmps =
    (at('lapEnergy') / meanVolts - straightAmps * (lapSeconds - turnSeconds * course.turnsPerLap)) /
    Math.max(1e-6, turnSeconds * course.turnsPerLap);
  return { at, V, volts, meanVolts, lapSeconds, turnSeconds, straightAmps, turnAmps };
}

/** The course of laps. @throws where nothing drives it round one */
function lapsOf(doc: DesignDocument) {
  if (powertrainOf(doc.design).unpowered)
    throw new DomainError(
      'out-of-range',
      'the simulated logger flies powered laps; this design has no motor',
    );
  const course = courseOf(doc.brief);
  if (!course)
    throw new DomainError(
      'out-of-range',
      'the simulated logger flies laps; this brief has no mission of laps',
    );
  return course;
}

/** What loggers do: a dropped second on a straight, and one row twice. */
function asLogged(rows: readonly LogRow[]): LogRow[] {
  const gap = Math.floor(rows.length * 0.55);
  const kept = [...rows.slice(0, gap), ...rows.slice(gap + 8)];
  kept.splice(40, 0, kept[39]!);
  return kept;
}

/**
 * @param laps how many laps are flown
 * @returns rows t, x east, y north, height, ground speed, volts, amps
 */
export function logFlight(
  doc: DesignDocument,
  loading: string,
  laps: number,
  seed: number,
  truth: Truth = DEMO_TRUTH,
): LoggedFlight {
  const course = lapsOf(doc);
  const { at, V, volts, meanVolts, lapSeconds, turnSeconds, straightAmps, turnAmps } = figuresOf(
    doc,
    loading,
    course,
    truth,
  );
  const { site } = doc.brief,
    noise = normalFrom(seed);
  const rows: LogRow[] = [];
  let t = 0,
    x = 0,
    y = 0,
    h = 0,
    heading = Math.PI;
  const put = (speed: number, amps: number, v: number) =>
    rows.push([
      rounded(t),
      rounded(x + 0.15 * noise()),
      rounded(y + 0.15 * noise()),
      rounded(h <= 0 ? 0.03 * Math.abs(noise()) : h + 0.12 * noise()),
      rounded(Math.max(0, speed + 0.1 * noise())),
      rounded(v + 0.02 * noise(), 3),
      rounded(Math.max(0, amps * (1 + 0.015 * noise()))),
    ]);
  for (; t < 3; t += STEP) put(0, 0.5, volts + 1.2);
  // ground roll: constant acceleration over the true distance, into the wind (towards -x wind blows to +x)
  const lift = Math.max(1, at('liftOffSpeed') - site.wind),
    run = at('groundRun'),
    a = (lift * lift) / (2 * run);
  for (let s = 0; s < lift / a; s += STEP, t += STEP) {
    x = -0.5 * a * s * s;
    put(a * s, at('staticCurrent'), volts);
  }
  x = -run;
  const climbRate = Math.min(at('climbRate'), 0.6 * V);
  while (h < HEIGHT) {
    t += STEP;
    h += climbRate * STEP;
    x -= (0.75 * V - site.wind) * STEP;
    put(0.75 * V - site.wind, at('staticCurrent'), volts);
  }
  const fly = (seconds: number, amps: number, turn: number) => {
    for (let s = 0; s < seconds - 1e-9; s += STEP) {
      const dt = Math.min(STEP, seconds - s);
      heading += turn * dt;
      const vx = V * Math.cos(heading) + site.wind,
        vy = V * Math.sin(heading);
      x += vx * dt;
      y += vy * dt;
      t += dt;
      put(Math.hypot(vx, vy), amps, meanVolts);
    }
  };
  const legs = Math.max(1, course.straightsPerLap);
  for (let k = 0; k < laps * legs + 1; k++) {
    const ground = V * Math.cos(heading) + site.wind;
    fly(course.straight / Math.abs(ground), straightAmps, 0);
    const slow = 1 + 0.04 * noise();
    fly(slow * turnSeconds * (course.turnsPerLap / legs), turnAmps, Math.PI / (slow * turnSeconds));
  }
  while (h > 0.3) {
    t += STEP;
    h -= 1.6 * STEP;
    x += 0.6 * V * Math.cos(heading) * STEP;
    put(0.6 * V, 0.6, volts + 0.9);
  }
  h = 0;
  for (let k = 0; k < 10; k++) {
    t += STEP;
    put(0, 0.5, volts + 1);
  }
  return { rows: asLogged(rows), truth: { groundRun: run, lapTime: lapSeconds, lapSpeed: V, laps } };
}

/** The log as the logger's CSV file. */
export function logToCsv(rows: readonly LogRow[]): string {
  return (
    ['time_s,east_m,north_m,height_m,ground_speed_mps,volts,amps', ...rows.map((r) => r.join(','))].join(
      '\n',
    ) + '\n'
  );
}
