/** What a log says: each number with the segment it came from, its method, how many rows and its spread. */
import type { KindName } from '../units';

/** A result: its name, and how its values are written. */
export interface ResultDef {
  readonly name: string;
  readonly kind: KindName;
}

const as = (name: string, kind: KindName): ResultDef => ({ name, kind });

/** Everything that a log may say. */
export const RESULTS = {
  windSpeed: as('Wind', 'speed'),
  windFrom: as('Wind blows from', 'angle'),
  airspeedFactor: as('Factor of the airspeed sensor', 'ratio'),
  airspeed: as('Airspeed on the level', 'speed'),
  groundRun: as('Ground run', 'distance'),
  landingRun: as('Landing run', 'distance'),
  climbRate: as('Climb, mean', 'climbRate'),
  bestClimb: as('Climb, best sustained', 'climbRate'),
  sinkRate: as('Least sink', 'climbRate'),
  glideRatio: as('Best glide', 'ratio'),
  dragArea: as('Drag area without lift', 'dragArea'),
  inducedFactor: as('Drag coefficient per square of lift coefficient', 'ratio'),
  stallSpeed: as('Stall speed', 'speed'),
  stallDrop: as('Height lost in a stall', 'distance'),
  turnBank: as('Bank in the turns', 'angle'),
  turnLoadFactor: as('Load factor in the turns', 'loadFactor'),
  turnRadius: as('Radius of the turns', 'distance'),
  maxLoadFactor: as('Largest load factor', 'loadFactor'),
  lapTime: as('Lap time', 'time'),
  lapSpeed: as('Lap airspeed', 'speed'),
  lapEnergy: as('Energy per lap', 'energy'),
  straightCurrent: as('Current on the straights of laps', 'current'),
  powerToWeight: as('Power to weight, under load', 'specificPower'),
  voltsLoaded: as('Volts under load', 'voltage'),
  voltsAtRest: as('Volts with the motor off', 'voltage'),
  hoverPower: as('Hover power', 'power'),
  hoverCurrent: as('Hover current', 'current'),
  energyUsed: as('Energy used', 'energy'),
  chargeUsed: as('Charge used', 'charge'),
  meanCurrent: as('Mean current of the flight', 'current'),
  turnsSpent: as('Turns of the propeller', 'count'),
  meanRotation: as('Mean rotation', 'rotation'),
  dropHeight: as('Height when it was let go', 'distance'),
  dropSpeed: as('Ground speed when it was let go', 'speed'),
  peakHeight: as('Greatest height', 'distance'),
  farthest: as('Farthest from the start', 'distance'),
  endurance: as('Time in the air', 'time'),
} as const satisfies Record<string, ResultDef>;

export type ResultId = keyof typeof RESULTS;

export interface LogResult {
  readonly id: ResultId;
  /** SI, radians */ readonly value: number;
  readonly sigma: number;
  readonly kind: KindName;
  /** name of its segment */ readonly segment: string;
  readonly method: string;
  readonly count: number;
}

/** A result of one segment. */
export function resultOf(
  id: ResultId,
  { value, sigma }: { readonly value: number; readonly sigma: number },
  of: Pick<LogResult, 'segment' | 'method' | 'count'>,
): LogResult {
  const { segment, method, count } = of;
  return { id, value, sigma, kind: RESULTS[id].kind, segment, method, count };
}
