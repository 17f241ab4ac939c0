export { parasiteItems } from './buildUp';
export type { DragItem } from './buildUp';
export { plateFriction } from './friction';
export { outsideDragArea } from './outside';
export { hungMass, linePoints, towMoment, towedLine } from './tow';
export type { TowShape } from './tow';
