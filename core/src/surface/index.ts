export { planformOf, stationAt, blendStations, tailVolume } from './planform';
export type { Planform } from './planform';
export { solveLattice, stripStrengths, inducedDrag } from './lattice';
export type { LatticeSolution, Strip } from './lattice';
export { bodyFacts, bodyMomentSlope, munkFactor } from './bodyMoment';
export type { BodyFacts } from './bodyMoment';
export { linearAero, solveTrim, stripLift, findLiftLimit, surfaceDrag } from './trim';
export type { LinearAero, LiftLimit, TrimState } from './trim';
