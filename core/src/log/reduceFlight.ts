/**
 * A log to numbers: wind and airspeed, climb, glide, stall, loads, height, power. Each is told with its segment and method; what
 * the log does not hold is not there.
 */
import { airDataOf, type AirData } from './airData';
import type { FlightLog } from './channels';
import { climbResult, heightResult, loadResult, powerResult, timeResult } from './flightResults';
import { glideResults } from './glideResults';
import { motionOf, type Motion } from './motion';
import { segmentsOf, type Segment } from './phases';
import type { LogResult } from './result';
import { stallResult, stallsOf } from './stalls';
import type { Flown, ReduceTask } from './task';
import { windResults } from './windResults';

export interface ReducedLog {
  readonly segments: readonly Segment[];
  readonly results: readonly LogResult[];
  readonly motion: Motion;
  readonly air: AirData;
}

/** @param log cleaned */
export function reduceFlight(log: FlightLog, flown: Flown): ReducedLog {
  const motion = motionOf(log),
    found = segmentsOf(log, motion),
    air = airDataOf(log, motion, found),
    segments = [...found, ...stallsOf(motion, air, found)],
    task: ReduceTask = { log, motion, segments, air, flown };
  const results = [
    ...windResults(task),
    ...climbResult(task),
    ...glideResults(task),
    ...stallResult(task),
    ...loadResult(task),
    ...heightResult(task),
    ...powerResult(task),
    ...timeResult(task),
  ];
  return { segments, results, motion, air };
}
