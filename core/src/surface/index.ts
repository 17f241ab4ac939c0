export { referencePlanform, secondWings } from './planform';
export { planformOf, stationAt, blendStations, tailVolume } from './planform';
export type { Planform } from './planform';
export { gridOf } from './panels';
export { drooped } from './drooped';
export type { Drawn, FlapSetting } from './drooped';
export { isMirrored, placeOf } from './place';
export { planEdges } from './edges';
export type { EdgePlan, StripEdges } from './edges';
export type { ControlKind, Panel, Strip } from './panels';
export { solveLattice, stripStrengths, stripSums, inducedDrag } from './lattice';
export type { LatticeModel, LatticeSolution } from './lattice';
export { antisymmetricMix, symmetricMix } from './controls';
export { forcesOf, liftShares, strengths } from './forces';
export type { Forces, Motion } from './forces';
export { derivativesOf, downwashSlope, rollStroke, rudderPower, sideslipSlopes } from './derivatives';
export type { BodySlopes, Derivatives, RollStroke } from './derivatives';
export { coupleStrips, stripSections } from './coupledStrips';
export type { CoupledStrips, StripSections } from './coupledStrips';
export { solveCoupled } from './coupledFlow';
export type { CoupledFlow, StripFlow, StripState } from './coupledFlow';
export { liftTable, tableAt } from './liftTable';
export type { LiftTable } from './liftTable';
export { flapAuthority, flapEffect, flapsOf, hingeSlopes } from './hinge';
export type { HingeSlopes } from './hinge';
export { allBodies, bodyFacts, bodyMomentSlope, bodySlopes, munkFactor } from './bodyMoment';
export type { BodyFacts } from './bodyMoment';
export {
  linearAero,
  momentLines,
  nearMoments,
  momentAbout,
  solveTrim,
  stripLift,
  findLiftLimit,
  sectionLimits,
  surfaceDrag,
} from './trim';
export type { LinearAero, LiftLimit, MomentLines, NearMoments, TrimState } from './trim';
export { sweepStall } from './stallSweep';
export type { StallSweep, SurfaceStall, SweepCase } from './stallSweep';
export { AILERON_RESERVE, leastWashout, tipSections } from './stallOrder';
export type { StallRemedy } from './stallOrder';
export { largestLift } from './largestLift';
export type { LiftAtStall, LiftTask } from './largestLift';
export { actingDrag, actingFactors, actingLift, sectionTrust } from './sectionTrust';
export type { SectionTrust } from './sectionTrust';
