export { APPROACH, landingRun, TOUCH_DOWN } from './landing';
export type { LandingInput, LandingRun } from './landing';
export { away, overObstacle, railSpeed, slungSpeed, stoppingLoad, throwNeeded } from './leaving';
export type { Away, Departure, Sling } from './leaving';
export { buildDragTable, dragAt, inducedForm, parasiteAreas, profileTable, trimLine } from './dragTable';
export type { DragParts, DragTable, ProfileTable, TrimLine } from './dragTable';
export {
  bestClimb,
  climbAt,
  climbBy,
  glide,
  groundRun,
  levelSpeed,
  stallSpeed,
  levelSpeeds,
} from './performance';
export type { GroundRun, GroundRunInput, PointModel, LevelSpeeds } from './performance';
export { dimensional, lateralRoots, longitudinalRoots, nameLateral, nameLongitudinal } from './modes';
export type { Flying, Lateral, Longitudinal, Mode, ModeName, Root } from './modes';
export { handlingOf } from './handling';
export type { HandlingLine } from './handling';
export { climbGlide, glideRange, sinkAt, slopeWindow } from './glider';
export type { ClimbGlide, GlideRange, SlopeWindow } from './glider';
export { gustMargin, innerStall, turnStall } from './turning';
export type { StallingWing } from './turning';
export { speedScale, speedWithoutThrust } from './speedScale';
export type { SpeedScale } from './speedScale';
