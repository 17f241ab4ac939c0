export { bitternDocument } from './bittern';
export { bitternProject } from './project';
export { starterDocument } from './starter';
