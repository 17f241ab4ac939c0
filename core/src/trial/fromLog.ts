/**
 * What a log said, as measurements: each result under the quantity that it is of, in the state that was flown. What is of no
 * quantity of the computation, or of no one leg, keeps its own name and teaches nothing.
 */
import type { Ledger } from '../assess';
import type { Conditions, LogEntry, Measurement, Source, TestBody } from '../design';
import { CURRENT_SAID, RESULTS, type LogResult, type ResultId } from '../log';
import type { LegReading } from './legsFlown';
import { entryMeasured, measuredKey } from './measured';

interface Meaning {
  readonly quantity: string;
  readonly state: 'flown' | 'all';
}

const of = (quantity: string, state: Meaning['state'] = 'flown'): Meaning => ({ quantity, state });

/** Results that are numbers of the computation. */
const MEANS: Readonly<Partial<Record<ResultId, Meaning>>> = {
  groundRun: of('groundRun'),
  landingRun: of('landingRun'),
  climbRate: of('climbRate'),
  sinkRate: of('minSink'),
  glideRatio: of('glideRatio'),
  dragArea: of('dragArea', 'all'),
  inducedFactor: of('spanEfficiency', 'all'),
  stallSpeed: of('stallSpeed'),
  lapTime: of('lapTime'),
  lapSpeed: of('lapSpeed'),
  lapEnergy: of('lapEnergy'),
  straightCurrent: of('lapCurrent'),
  powerToWeight: of('powerToWeight'),
  hoverPower: of('hoverPower'),
  hoverCurrent: of('hoverCurrent'),
};

/** Why a result of a log teaches nothing. */
const TEACHES_NOTHING: Readonly<Partial<Record<ResultId, string>>> = {
  windSpeed: 'of the day, not of the aircraft',
  windFrom: 'of the day, not of the aircraft',
  airspeedFactor: 'of the sensor, not of the aircraft',
  airspeed: 'of a flight that need not have been at lap throttle',
  bestClimb: 'the most of many readings: the mean of the climb teaches',
  stallDrop: 'of how it was caught',
  turnBank: 'of how it was flown',
  turnLoadFactor: 'of how it was flown',
  turnRadius: 'of how it was flown',
  maxLoadFactor: 'of how it was flown; held against what it bears',
  voltsLoaded: 'at a throttle that nobody told',
  voltsAtRest: 'of the charge that was in it',
  energyUsed: 'of all the flight, of no one leg',
  chargeUsed: 'of all the flight, of no one leg',
  meanCurrent: 'mean of take-off, climb, turns and all: not the current on the straights',
  turnsSpent: 'of how long it ran',
  meanRotation: 'mean of all the flight',
  dropHeight: 'of how it was flown',
  dropSpeed: 'of how it was flown',
  peakHeight: 'of how high somebody flew',
  farthest: 'of how far somebody flew',
  endurance: 'of when somebody landed',
};

/** Why something that a log said is of no number of the computation; null where it is of one. */
export const teachesNothing = (quantity: string): string | null =>
  TEACHES_NOTHING[plainId(quantity) as ResultId] ?? null;

/** Names of what is of no number of the computation begin so: none of its numbers does. */
const OF_A_LOG = 'log-';
const plainId = (quantity: string) =>
  quantity.startsWith(OF_A_LOG) ? quantity.slice(OF_A_LOG.length) : quantity;

export interface LogTold {
  /** sum of the file */ readonly file: string;
  readonly source: Source;
  readonly state: string;
  readonly conditions: Conditions;
  /** of the wing; null where it has none */ readonly aspectRatio: number | null;
}

/** e of dCD/dCL2 = 1 / (pi A e), and the other way round: the same share of spread. */
export const efficiencyOf = (k: number, aspectRatio: number) => 1 / (Math.PI * aspectRatio * k);

function measurementOf(r: LogResult, told: LogTold): Measurement {
  const { file, source, state, conditions, aspectRatio } = told,
    means = r.id === 'inducedFactor' && aspectRatio === null ? undefined : MEANS[r.id],
    value = means?.quantity === 'spanEfficiency' ? efficiencyOf(r.value, aspectRatio!) : r.value,
    reason = means ? undefined : (TEACHES_NOTHING[r.id] ?? 'of no number of the computation');
  return {
    quantity: means?.quantity ?? `${OF_A_LOG}${r.id}`,
    state: means?.state === 'all' ? 'all' : state,
    value,
    sigma: Math.max(1e-9, (r.sigma * Math.abs(value)) / Math.max(1e-12, Math.abs(r.value))),
    source,
    from: `${r.segment}: ${r.method}`.slice(0, 200),
    ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
    segment: { log: file, name: r.segment.slice(0, 80), count: r.count },
    setAside: reason !== undefined,
    ...(reason ? { reason } : {}),
  };
}

/** Of two that rest on the same amps one teaches: what the sensor is off by would count twice. */
const SAME_AMPS =
  'the same amps teach as the energy of a lap; tick this one instead where the course was another';

export function logMeasurements(results: readonly LogResult[], told: LogTold): Measurement[] {
  const laps = results.some((r) => r.id === 'lapEnergy');
  return results.map((r) => {
    const m = measurementOf(r, told);
    return laps && r.id === 'straightCurrent' ? { ...m, setAside: true, reason: SAME_AMPS } : m;
  });
}

/** How far a leg went and how long its pilot took is of how it was flown. */
const OF_THE_FLYING = 'of how far and how long it was flown; tick it where the course was the mission’s own';

/**
 * What the legs of a mission took, as they were found in a flight: kept beside what is predicted of each. Legs that the ledger
 * does not tell, as those of a mission that any state may fly, are told by what is measured of the whole lap.
 */
export function legMeasurements(
  readings: readonly LegReading[],
  mission: string,
  { file, source, state, conditions }: Omit<LogTold, 'aspectRatio'>,
  ledger: Ledger,
): Measurement[] {
  const all = readings.flatMap(({ leg, name, passes, time, energy, charge }) => {
    const told = [
      ['legTime', time, 'from end to end'],
      ['legEnergy', energy, `power over time, ${CURRENT_SAID}`],
      ['legCharge', charge, `amps over time, ${CURRENT_SAID}`],
    ] as const;
    return told.flatMap(([quantity, value, how]): Measurement[] =>
      value === null
        ? []
        : [
            {
              quantity,
              state,
              part: mission,
              leg,
              ...value,
              source,
              from: `${name}, flown ${passes === 1 ? 'once' : `${passes} times`}: ${how}`.slice(0, 200),
              ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
              segment: { log: file, name: name.slice(0, 80), count: passes },
              setAside: true,
              reason: OF_THE_FLYING,
            },
          ],
    );
  });
  return all.filter((m) => entryMeasured(ledger, m));
}

/** Name and kind of what a log may say, where the computation has no such number. */
export const logQuantity = (quantity: string) => {
  const id = plainId(quantity);
  return Object.hasOwn(RESULTS, id) ? RESULTS[id as ResultId] : undefined;
};

/** A test with what one of its logs said put in the place of what it said before. */
export function withLog(body: TestBody, entry: LogEntry, measured: readonly Measurement[]): TestBody {
  const others = (body.logs ?? []).filter((l) => l.file !== entry.file),
    at = (body.logs ?? []).findIndex((l) => l.file === entry.file),
    logs = at < 0 ? [...others, entry] : body.logs!.map((l) => (l.file === entry.file ? entry : l));
  const chosen = new Map(
    body.measurements.filter((m) => m.segment?.log === entry.file).map((m) => [keyOf(m), m.setAside]),
  );
  return {
    ...body,
    logs,
    measurements: [
      ...body.measurements.filter((m) => m.segment?.log !== entry.file),
      ...measured.map((m) => chosenAside(m, chosen.get(keyOf(m)))),
    ],
  };
}

const keyOf = (m: Measurement) => `${measuredKey(m)}|${m.segment?.name ?? ''}`;

/** Whether a measurement may teach, by a person's choice where there is one. */
export function chosenAside(m: Measurement, aside: boolean | undefined): Measurement {
  if (aside === undefined || aside === m.setAside) return m;
  const { reason: _, ...plain } = m;
  return aside ? { ...plain, setAside: true, reason: 'set aside by hand' } : { ...plain, setAside: false };
}
