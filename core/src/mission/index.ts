export { flyLap, lapsInWindow } from './lap';
export type { Course, Lap, LapInput } from './lap';
