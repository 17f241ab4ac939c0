export { bitternDocument } from './bittern';
export { bitternSolarDocument } from './solarWing';
export { bitternCanardDocument, bitternProject } from './project';
export { craneDocument, craneProject } from './crane';
export { gnatDocument, gnatProject } from './gnat';
export { waferDocument, waferProject } from './wafer';
export { dunlinDocument, dunlinProject } from './dunlin';
export { starterDocument } from './starter';
export { withoutStudies } from './fresh';
