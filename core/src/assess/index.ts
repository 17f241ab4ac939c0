export { INPUTS, INPUT_IDS } from './uncertainty';
export type { InputId } from './uncertainty';
export { assess, assessQuickly, sensitivities } from './assess';
export { computePolar, missingPolars, modelOf, POLAR_REYNOLDS } from './prepare';
export type { PolarTask } from './prepare';
export type { StepCache } from './cache';
export { largestLift } from './largestLift';
export type { LiftAtStall, LiftTask } from './largestLift';
export { QUANTITIES, quantityDef, inputsOf } from './quantities';
export type { QuantityDef } from './quantities';
export { entryOf, curveOf, keyOf } from './ledger';
export type { Finding, Fix, Ledger, LedgerCurve, LedgerEntry } from './ledger';
export { checkRequirements } from './requirements';
export type { RequirementCheck } from './requirements';
export { formulaNames, scoreLoadings, scoreRange } from './scoring';
export { sectionWork } from './sectionWork';
export type { SectionWork } from './sectionWork';
export { layoutReport } from './layoutReport';
export type { LayoutReport, StateRow } from './layoutReport';
export { growthReport, layoutAdvice } from './layoutAdvice';
export type { GrowthBreak, GrowthReport, LayoutAdvice } from './layoutAdvice';
export { powerReport } from './powerReport';
export { liftDrive } from './powerValues';
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
