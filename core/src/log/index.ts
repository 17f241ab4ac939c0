export { CHANNELS } from './channels';
export type { ChannelId, FlightLog, LogEvent } from './channels';
export { placed } from './place';
export { cleanLog } from './clean';
export { faultCounts, faultId } from './fault';
export type { Fault, FaultKind } from './fault';
export { reduceFlight } from './reduceFlight';
export type { ReducedLog } from './reduceFlight';
export type { LogResult, ResultId } from './result';
