export { DEMO_TRUTH, logFlight, logToCsv } from './gpsLogger';
export type { LoggedFlight, Truth } from './gpsLogger';
export { STAND_TRUTH, ThrustStand } from './thrustStand';
export type { StandTruth } from './thrustStand';
export { normalFrom } from './random';
