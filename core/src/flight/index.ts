export { buildDragTable, dragAt } from './dragTable';
export type { DragParts, DragTable } from './dragTable';
export {
  bestClimb,
  climbAt,
  glide,
  groundRun,
  levelSpeed,
  stallSpeed,
  TOP_SPEED_SEARCHED,
} from './performance';
export type { GroundRun, GroundRunInput, PointModel } from './performance';
export { dimensional, lateralRoots, longitudinalRoots, nameLateral, nameLongitudinal } from './modes';
export type { Flying, Lateral, Longitudinal, Mode, ModeName, Root } from './modes';
export { handlingOf } from './handling';
export type { HandlingLine } from './handling';
export { climbGlide, glideRange, sinkAt, slopeWindow } from './glider';
export type { ClimbGlide, GlideRange, SlopeWindow } from './glider';
