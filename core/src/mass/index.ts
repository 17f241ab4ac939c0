export {
  cgFromScales,
  cgPath,
  itemMass,
  itemPoints,
  ladenState,
  heaviestState,
  massSteps,
  weighedDesign,
  loadedState,
  massState,
  payloadPoints,
  plannedItem,
} from './ledger';
export type { MassState, PointMass } from './ledger';
export { measuresOf } from './made';
export type { Measures } from './made';
export { growthOf } from './growth';
export type { Growth, GroupGrowth } from './growth';
export { changesOf, flyingStates, massForCg, placeForCg, solveBalance, whatIf } from './solveBalance';
export type { Ballast, BalanceProposal, CgLimits, Move, WhatIf } from './solveBalance';
export { ballastStep, scaleResolution } from './resolution';
export {
  combinationChanges,
  controllerItem,
  fitChanges,
  isFitted,
  itemOfKind,
  labelText,
  partsFor,
} from './swaps';
export { configurationOf, configured } from './configured';
export { aboard, followsMembers, itemOfPart, linkParts, partMass, standsWherePut } from './parts';
