export { compileFormula } from './formula';
export type { FormulaResult, NameTable } from './formula';
export { bestOf, binomialCdf, chanceInterval, successOf } from './odds';
export { isCapped, taskPoints } from './points';
