export { naca4, contourFromPoints, contourFacts, camberAt, faces } from './contour';
export type { Contour, ContourFacts } from './contour';
export { solveInviscid, inviscidAt } from './panels';
export type { InviscidBasis, InviscidPoint } from './panels';
export { marchLayer } from './boundaryLayer';
export { polarOf, polarSet, profileDrag, sectionClMax } from './polar';
export type { Polar, PolarPoint, PolarSet } from './polar';
