export { calibrate, briefOfTheDay, observedOf, OUTLIER_SIGMAS } from './calibrate';
export type { CalibrationResult, FitRow, Observed } from './calibrate';
export { adviseNext, applyFix, compareLedgers, effectOf } from './advice';
export type { Advice, Effect } from './advice';
export { changedGroups, explainDifference } from './explain';
export type { Explained, Step } from './explain';
