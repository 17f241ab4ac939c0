export { groundGeometry, groundRemarks } from './ground';
export type { GroundGeometry, GroundRemark } from './ground';
export { internalFit } from './fit';
export type { Fit } from './fit';
export { piecesOf } from './pieces';
export type { Piece } from './pieces';
export { warpEffect } from './warp';
export type { WarpEffect, WarpStation } from './warp';
export { hoverShare } from './hover';
export type { HoverShare, Lifter } from './hover';
export { thrustLine, thrustMoment } from './thrustLine';
export type { ThrustLine } from './thrustLine';
export { controlLoads, SERVO_FACTOR } from './controlLoads';
export type { ControlLoad } from './controlLoads';
export { firstFlight, foreplaneFirstLimit, schoolsOf, tailVolumeNeutral } from './schools';
export type { FirstFlight, School } from './schools';
export {
  averageProportions,
  beyondDonors,
  beyondModels,
  ownProportions,
  proportionsOf,
  withProportions,
} from './proportions';
export type { Proportions } from './proportions';
export { decalageFor, finForStiffness, scaledSurface, sizedToVolume, tailForMargin } from './sizing';
export type { Sized } from './sizing';
export { bodyMesh, surfaceMesh, aircraftMesh, toStl } from './mesh';
export type { Mesh } from './mesh';
export { threeViewLines, thrustDiscs } from './outlines';
export type { ThrustDisc, ViewLine, ViewName } from './outlines';
export { balanced, LAYOUT_TEMPLATES, multirotor } from './templates';
export type { LayoutTemplate } from './templates';
