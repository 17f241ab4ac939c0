export { cleanLog, fitWind, reduceLog } from './reduceLog';
export type { CleanLog, Reduced } from './reduceLog';
export { combine, measurementsOf, reduceRecord } from './reduceRecord';
export { stopLine } from './stopLine';
export { PREFLIGHT } from './preflight';
