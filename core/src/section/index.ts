export { isSharp, subcriticalPolar } from './lowReynolds';
export { flowAtLift } from './atLift';
export type { FlowAtLift } from './atLift';
export { contourFromPoints } from './importedOutline';
export { contourFacts, camberAt, thicknessAt, faces, repanel } from './contour';
export type { Contour, ContourFacts } from './contour';
export { arcLine, bentPlate, classShape, foldLine, naca4, naca4Modified, naca5 } from './families';
export { solveInviscid, inviscidAt } from './panels';
export type { InviscidBasis, InviscidPoint } from './panels';
export { marchLayer } from './march';
export { FREE } from './prepared';
export type { FlowOptions, PreparedSection } from './prepared';
export { flowPicture } from './flowPoint';
export type { FlowPicture, FlowPoint, SurfaceStation } from './flowPoint';
export {
  analyseAngles,
  polarKey,
  polarOf,
  polarOfPrepared,
  polarSet,
  largestLift,
  nearestPolar,
  prepareContour,
  profileDrag,
  recallPolar,
  rememberPolar,
  sectionClMax,
  sectionClMin,
} from './polar';
export type { Polar, PolarOptions, PolarPoint, PolarSet } from './polar';
export { blendOf, scaled, stepped, warped, withFlap } from './modify';
export type { BuildErrors, Step } from './modify';
export {
  addsToFlow,
  analyseModel,
  modelOptions,
  flowKey,
  flowPolar,
  modelPolar,
  modelPolars,
  PICTURE_POINTS,
  plainContour,
  sectionModel,
  TABLE_POINTS,
  warpedModel,
} from './shape';
export type { Analysis, AnalysedPoint, PlainShape, SectionModel, ShapeChange, ShapeSpec } from './shape';
export { platePolar } from './plate';
export { beyondStall } from './stall';
export { thinAirfoil } from './thinAirfoil';
export type { ThinAirfoil } from './thinAirfoil';
export {
  dragAtLift,
  flatGap,
  gapBetween,
  limitSentence,
  MERITS,
  meritsOf,
  PICTURE_ANGLES,
  rankSections,
  weightTurns,
} from './choice';
export type { Mark, Merit, SectionMerits, Turn, Weights } from './choice';
export { ribPlaces } from './ribs';
export type { RibPlace } from './ribs';
export { polarSchema } from './polarSchema';
