export { loadedState, massState, itemPoints, payloadPoints, plannedItem } from './ledger';
export type { MassState, PointMass } from './ledger';
export { solveBalance, placeForCg } from './solveBalance';
export type { BalanceProposal, Ballast, CgLimits, Move } from './solveBalance';
