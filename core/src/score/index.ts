export { compileFormula } from './formula';
export type { FormulaResult, NameTable } from './formula';
