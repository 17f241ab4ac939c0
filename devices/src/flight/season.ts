/**
 * The demo aircraft's season as its loggers wrote it: four flights in four formats, the last by a receiver in trouble. What the
 * aircraft truly does was worked out once from its design and the demo's hidden factors; a test holds it to that.
 */
import { simulateTruth, type FlightWish } from './simulate';
import type { FlightTruth } from './truth';
import { LOG_FORMATS, type LogFormat } from './writers';

/** Of all states. */
const SAME = {
  area: 0.4,
  density: 1.2244,
  dragArea: 0.011403,
  inducedFactor: 0.049779,
  turnBank: 0.87266,
  fullPower: 222.52,
  hoverPower: 0,
  volts: 16.091,
  packResistance: 0.080305,
  airspeedFactor: 1.06,
};

type Own = Omit<FlightTruth, keyof typeof SAME | 'windEast' | 'windNorth'>;

export const SEASON_TRUTH: Readonly<Record<'ferry' | 'tubes-6' | 'tubes-8', Own>> = {
  ferry: {
    mass: 2.1521,
    stallSpeed: 8.5421,
    groundRun: 11.116,
    landingRun: 14.588,
    liftOffSpeed: 9.8234,
    climbRate: 3.7931,
    climbSpeed: 14.642,
    lapSpeed: 18.302,
    lapPower: 105.04,
  },
  'tubes-6': {
    mass: 2.5721,
    stallSpeed: 9.2872,
    groundRun: 16.81,
    landingRun: 17.413,
    liftOffSpeed: 10.68,
    climbRate: 3.0556,
    climbSpeed: 14.537,
    lapSpeed: 18.171,
    lapPower: 107.69,
  },
  'tubes-8': {
    mass: 2.7121,
    stallSpeed: 9.4842,
    groundRun: 18.873,
    landingRun: 18.176,
    liftOffSpeed: 10.907,
    climbRate: 2.8567,
    climbSpeed: 14.496,
    lapSpeed: 18.12,
    lapPower: 108.75,
  },
};

/** The course of the demo's laps [m]. */
const STRAIGHT = 150;

export interface SeasonFlight {
  readonly state: keyof typeof SEASON_TRUTH;
  readonly title: string;
  readonly question: string;
  readonly oneChange: string;
  readonly notes: string;
  readonly date: string;
  readonly conditions: { readonly mass: number; readonly wind: number; readonly temperature: number };
  readonly file: string;
  readonly text: () => string;
}

interface Plan extends Omit<SeasonFlight, 'text' | 'conditions' | 'date'> {
  readonly format: LogFormat;
  /** [m/s], and where it blows from [deg] */ readonly wind: readonly [number, number];
  readonly wish: FlightWish & { begun: string };
}

const PLANS: readonly Plan[] = [
  {
    state: 'ferry',
    title: 'Hops and straight flights, empty',
    question: '',
    oneChange: '',
    notes: '',
    file: 'hops.csv',
    format: 'own',
    wind: [0.8, 200],
    wish: { laps: 2, seed: 11, begun: '2026-05-16T08:40:00Z', faults: { repeats: 1 } },
  },
  {
    state: 'ferry',
    title: 'Circles, glides and stalls, empty',
    question: 'Drag area, least sink and the stall: how far from the drawing?',
    oneChange: 'Flown high, motor off for four glides and three stalls',
    notes: 'Stalls straight ahead, nose drops softly. Logger borrowed from the next pier.',
    file: 'marsch-0417.csv',
    format: 'other',
    wind: [2.4, 250],
    wish: { laps: 3, seed: 12, polar: true, begun: '2026-05-23T16:05:00Z', faults: { gaps: 1, spikes: 1 } },
  },
  {
    state: 'tubes-6',
    title: 'Laps with six tubes',
    question: 'Lap time and airspeed with six tubes in the bay',
    oneChange: 'Six tubes',
    notes: 'Smooth air. Recorder of a glider pilot: no volts, no amps.',
    file: '65NX1231.igc',
    format: 'igc',
    wind: [1.6, 310],
    wish: { laps: 6, seed: 13, begun: '2026-06-06T07:20:00Z' },
  },
  {
    state: 'tubes-8',
    title: 'Laps with eight tubes, receiver in trouble',
    question: 'Does the eighth tube cost what is computed?',
    oneChange: 'Two tubes more',
    notes: 'Receiver lost its fix over the reeds twice.',
    file: 'telephone.gpx',
    format: 'gpx',
    wind: [3.1, 230],
    wish: {
      laps: 6,
      seed: 14,
      begun: '2026-06-13T17:45:00Z',
      faults: { frozen: 15, gaps: 2, spikes: 3, repeats: 3, swaps: 3 },
    },
  },
];

/** Wind in which the runs were worked out [m/s]. */
const USUAL_WIND = 0.5;

/** Runs go with the square of the speed over ground. */
function runsInto({ groundRun, landingRun, liftOffSpeed: lift }: Own, wind: number) {
  const shorter = ((lift - wind) / (lift - USUAL_WIND)) ** 2;
  return { groundRun: groundRun * shorter, landingRun: landingRun * shorter };
}

/** Written anew at every call. */
export function seasonFlights(): SeasonFlight[] {
  return PLANS.map(({ format, wind: [speed, from], wish, ...plan }) => {
    const bearing = (from * Math.PI) / 180,
      own = SEASON_TRUTH[plan.state],
      truth: FlightTruth = {
        ...SAME,
        ...own,
        ...runsInto(own, speed),
        windEast: -speed * Math.sin(bearing),
        windNorth: -speed * Math.cos(bearing),
      };
    return {
      ...plan,
      date: wish.begun.slice(0, 10),
      conditions: { mass: Number(truth.mass.toFixed(3)), wind: speed, temperature: 288.15 },
      text: () => LOG_FORMATS[format].write(simulateTruth(truth, STRAIGHT, wish)),
    };
  });
}
