export { INPUTS, INPUT_IDS } from '../steps';
export type { InputId } from '../steps';
export { assess, assessQuickly, runOf } from './assess';
export { sensitivities } from './sensitivities';
export type { Sensitivities } from './sensitivities';
export { evaluate } from './evaluate';
export { Run } from './run';
export { computePolar, missingPolars, modelOf, POLAR_REYNOLDS } from '../steps';
export type { PolarTask } from '../steps';
export { StepCache } from './cache';
export { ALL, PLAN, QUANTITIES, quantityDef, inputsOf, isQuantity, readRef, refText } from '../steps';
export type { QuantityDef, QuantityId, QuantityRef } from '../steps';
export { caseOf, curveOf, entriesByKey, entryNamed, entryOf, flownOf, keyOf } from './ledger';
export { numbersWithSpread } from './flightSpread';
export type { Spreaded } from './flightSpread';
export type { Finding, Fix, Ledger, LedgerCurve, LedgerEntry } from './ledger';
export { checkRequirements, marginOf, refsAsked, statesAsked } from './requirements';
export type { Proof, RequirementCheck } from './requirements';
export { formulaNames, namesOf } from './names';
export type { Names } from './names';
export {
  compileTasks,
  fixedFigures,
  flyProblems,
  GATES,
  restsOnField,
  scoreStates,
  scoreRange,
  statesOf,
} from './scoring';
export { fieldScores } from './field';
export type { FieldResult, Entrant } from './field';
export type { OnField } from './scoring';
export { scoresUnderRules, underRules } from './variants';
export type { UnderRules } from './variants';
export { causeSamples, sampledPoints, smoothPoints } from './samples';
export type { Flown } from './samples';
export { Slopes } from './uncertainty';
export { cellsOf, valuesOf } from './values';
export type { Values } from './values';
