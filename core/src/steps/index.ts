export { air, asked } from './air';
export { balance, heaviest, heaviestKnown, masses, planned, unlearnt } from './balance';
export type { Balance } from './balance';
export { causesAt, INPUTS, INPUT_IDS, METHOD_SPREAD, OTHER_CAUSES, PLACE_IDS } from './causes';
export type { CauseId, Causes, InputId, PlaceId } from './causes';
export { climb } from './climb';
export {
  actingOnDrag,
  airframe,
  dragTable,
  glide,
  induced,
  parasite,
  profile,
  reference,
  spanwise,
} from './drag';
export type { Airframe } from './drag';
export { drives, energy, fullThrust, lapThrust, still, thrustAt, thrustCharts } from './drive';
export type { Drives, Energy, ThrustCurve } from './drive';
export { hover, lasting } from './hover';
export { laps, lapPower, work } from './lap';
export { bodies, coupled, lateral, lattice, lines, momentHeight, moments, slope } from './lattice';
export { lift, stallAngles, stallOrder, sweeps } from './lift';
export type { Lift, Sweeps } from './lift';
export { CURVES, PLAN, READ, READ_IDS } from './plan';
export type { ReadId } from './plan';
export { inputsOf, isQuantity, QUANTITIES, quantityDef } from './quantities';
export type { QuantityId } from './quantities';
export type { QuantityDef, ReadCurve, ReadQuantity, Station } from './quantity';
export { ALL, readRef, refText } from './reference';
export type { QuantityRef } from './reference';
export { flyRubber, hasRubber, listedRubber, rubberBatch, rubberFlight, rubberItem } from './rubber';
export type { RubberCase } from './rubber';
export { computePolar, missingPolars, modelOf, POLAR_REYNOLDS, sections } from './sections';
export type { PolarTask, Sections } from './sections';
export { shape } from './shape';
export type { Shape } from './shape';
export { loadFactors, sparLoad, stiffness, strength } from './spar';
export {
  bladeSpeed,
  driveParts,
  lifter,
  noThrust,
  rubberBlades,
  rubberSpeed,
  speeds,
  speedNodes,
  thruster,
  thrustNodes,
  trust,
} from './speeds';
export { aero, latticeAero, latticeFree, limits, margin, weathercock } from './stability';
export { step } from './step';
export type { Each, Keep, Scope, Source, Step } from './step';
export { NEVER, rollingDragArea, takeOff } from './takeOff';
export { reynolds, trim } from './trim';
