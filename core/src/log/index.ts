export { CHANNELS } from './channels';
export type { ChannelId, FlightLog, LogEvent } from './channels';
export { placed, radiiAt } from './place';
export { cleanLog } from './clean';
export { faultCounts, faultId } from './fault';
export type { Fault, FaultKind } from './fault';
export { reduceFlight } from './reduceFlight';
export type { ReducedLog } from './reduceFlight';
export {
  CURRENT_OFF,
  CURRENT_SAID,
  FIX_HEIGHT_WANDERS,
  HEIGHT_WANDERS,
  PLACE_NOISE,
  PLACE_WANDERS,
} from './sensors';
export type { Wandering } from './sensors';
export { RESULTS } from './result';
export type { LogResult, ResultId } from './result';
export type { Segment } from './phases';
export { letGoOf } from './drops';
export { sinkOf } from './polar';
export type { Flown } from './task';
export { fitWind, kasaCircle, tellsWind } from './wind';
export { straightsOf } from './straights';
export { integralOf, wattsOf } from './power';
export { meanWithSpread } from './middle';
