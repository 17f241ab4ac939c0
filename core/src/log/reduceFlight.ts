/**
 * A log to numbers: wind and airspeed, climb, glide, stall, loads, height, power. Each is told with its segment and method; what
 * the log does not hold is not there.
 */
import { airDataOf, type AirData } from './airData';
import type { FlightLog } from './channels';
import { dropResults } from './drops';
import { climbResult, distanceResult, heightResult, loadResult, timeResult } from './flightResults';
import { glidePoints, glideResults, type SteadyGlide } from './glideResults';
import { lapResults, lapsOf } from './laps';
import { motionOf, type Motion } from './motion';
import { segmentsOf, type Segment } from './phases';
import { hoverResults, powerResults, rotationResults } from './power';
import type { LogResult } from './result';
import { fromTheGround, runResults, runsOf } from './runs';
import { stallResult, stallsOf } from './stalls';
import { straightResults } from './straights';
import type { Flown, ReduceTask } from './task';
import { turnResults, turnsOf } from './turns';
import { windResults } from './windResults';

export interface ReducedLog {
  readonly segments: readonly Segment[];
  readonly results: readonly LogResult[];
  readonly motion: Motion;
  readonly air: AirData;
  readonly glides: readonly SteadyGlide[];
}

/** By kind and then by time, what rests on the air after what tells of it. */
function foundSegments(log: FlightLog, motion: Motion): Segment[] {
  const phases = segmentsOf(log, motion),
    air = airDataOf(log, motion, phases);
  return [
    ...fromTheGround(motion, phases),
    ...runsOf(motion, phases),
    ...lapsOf(log, motion, phases),
    ...turnsOf(motion, air, phases),
    ...stallsOf(motion, air, phases),
  ];
}

const RESULTS_OF: readonly ((task: ReduceTask) => LogResult[])[] = [
  windResults,
  runResults,
  climbResult,
  glideResults,
  stallResult,
  turnResults,
  lapResults,
  straightResults,
  loadResult,
  powerResults,
  hoverResults,
  rotationResults,
  dropResults,
  heightResult,
  distanceResult,
  timeResult,
];

/**
 * @param log cleaned
 * @param set stretches as a person set them; null: as they are found
 */
export function reduceFlight(
  log: FlightLog,
  flown: Flown,
  set: readonly Segment[] | null = null,
): ReducedLog {
  const motion = motionOf(log),
    segments = set ?? foundSegments(log, motion),
    air = airDataOf(log, motion, segments),
    known = { log, motion, segments, air, flown },
    glides = glidePoints(known),
    task: ReduceTask = { ...known, glides };
  return { segments, results: RESULTS_OF.flatMap((of) => of(task)), motion, air, glides };
}
