export { parasiteItems, plateFriction } from './buildUp';
export type { DragItem } from './buildUp';
