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
export { curveOf, entryNamed, entryOf, keyOf } from './ledger';
export type { Finding, Fix, Ledger, LedgerCurve, LedgerEntry } from './ledger';
export { checkRequirements } from './requirements';
export type { RequirementCheck } from './requirements';
export { formulaNames, scoreStates, scoreRange } from './scoring';
export { sectionWork } from './sectionWork';
export type { SectionWork } from './sectionWork';
export { layoutReport } from './layoutReport';
export type { LayoutReport, StateRow } from './layoutReport';
export { growthReport, layoutAdvice } from './layoutAdvice';
export type { GrowthBreak, GrowthReport, LayoutAdvice } from './layoutAdvice';
export { powerReport } from './powerReport';
export type {
  GlideReport,
  HoverReport,
  PowerReport,
  RubberReport,
  SpeedRow,
  SwapRow,
  ThrottleRow,
} from './powerReport';
export { fitSwap, rubberAdvice, tryChanges } from './powerAdvice';
export type { SwapEffect, Trial } from './powerAdvice';
