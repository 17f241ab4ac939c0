export { buildDragTable, dragAt } from './dragTable';
export type { DragParts, DragTable } from './dragTable';
export { bestClimb, climbAt, glide, groundRun, levelSpeed, stallSpeed, TOP_SPEED_SEARCHED } from './performance';
export type { GroundRun, GroundRunInput, PointModel } from './performance';
