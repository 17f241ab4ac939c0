export { DEMO_TRUTH, logFlight, logToCsv } from './gpsLogger';
export type { LoggedFlight, Truth } from './gpsLogger';
