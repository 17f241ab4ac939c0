export { conditionsOf, measurementsOf, recordQuestions, reduceRecord, remeasured } from './reduceRecord';
export {
  chosenAside,
  legMeasurements,
  logMeasurements,
  logQuantity,
  teachesNothing,
  withLog,
} from './fromLog';
export type { LogTold } from './fromLog';
export { entryMeasured, measuredKey, measuredKeys } from './measured';
export { courseFlown, legReadings, legsFlown } from './legsFlown';
export type { Course, LegReading } from './legsFlown';
export { flownOf, predictedSink } from './flownAircraft';
export { stopLine } from './stopLine';
export { CAUTIONS, LAST_WORD, PLACES, cautionsAt, preflightFor } from './cautions';
export type { Caution, CheckLine, Place } from './cautions';
export { benchDrive, benchPower, fittedNow, isOwnDrive, reduceBench, steadyPoints, tareOf } from './bench';
export type { BenchFit, BenchPoint, BenchResult, BenchStep } from './bench';
export { designOfTheDay, reduceRubber, rubberSeason } from './rubberLog';
export type { RubberFlightLine } from './rubberLog';
export {
  bendingRatio,
  heldTo,
  isOwnWing,
  loadMeasurements,
  loadRemarks,
  proofOf,
  STOP_BEYOND,
} from './loadTest';
export { weightedMean as combine } from '../numeric';
