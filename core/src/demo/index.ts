export { bitternDocument } from './bittern';
export { bitternCanardDocument, bitternProject } from './project';
export { craneDocument, craneProject } from './crane';
export { waferDocument, waferProject } from './wafer';
export { starterDocument } from './starter';
