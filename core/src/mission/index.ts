export { flyLap, lapsInWindow } from './lap';
export type { Course, Lap, LapInput } from './lap';
export { phasePlan } from './phases';
export type { PhaseInput, PhasePlan, PhaseRow } from './phases';
