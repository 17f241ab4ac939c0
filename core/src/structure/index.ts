export { extentOf, piecesOf, shapeAt, tapered } from './along';
export { armVerdict } from './arms';
export type { ArmsAsked, ArmVerdict } from './arms';
export { beamGrid, bentDihedral, deflected, integrated } from './beam';
export type { Grid } from './beam';
export { bearingOf, namedIn, tipOf, unknownMaterials } from './bearing';
export type { Bearing, BearingResult, Limit, Weak } from './bearing';
export { DISTRIBUTIONS, solveCantilever } from './cantilever';
export type { CantileverResult, Distribution, FirstFailure } from './cantilever';
export { CASES, eachCase, isUp, leastLift, loadCases } from './cases';
export type { CaseId, CaseInput, CasesOf, LoadCase } from './cases';
export type { Capacity, CrossSection, PartName, Way } from './crossSection';
export { depthOf, fitOf, memberKnots, roomAt } from './fit';
export type { Misfit } from './fit';
export { alleviation, GUST_OF_WIND, gustStep, siteGust } from './gust';
export type { GustInput } from './gust';
export {
  couponResult,
  designStress,
  MATERIAL_KINDS,
  MATERIALS,
  materialNamed,
  MODES,
  toleranceFactor,
} from './materials';
export type { CouponResult, Material, Mode } from './materials';
export { memberMass, membersNamed } from './memberMass';
export { materialsOf, memberSection } from './memberSection';
export { rankSold } from './ranking';
export type { Demand, Ranked, RankTask } from './ranking';
export { SOLD_KINDS, soldOf } from './sold';
export type { Sold, SoldKind } from './sold';
export { planLoadTest } from './loadTest';
export type { LoadTestTask, PlannedTest } from './loadTest';
export { addTo, cappedLift, nothing, spanOf, weightOf } from './spanLoad';
export type { Carried, Lies, SectionLimits, Span, SpanStrip, TrimLine } from './spanLoad';
export { factorAt, verdictOf } from './verdict';
export type { Learnt, Verdict } from './verdict';
