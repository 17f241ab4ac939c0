export { MATERIALS, materialNamed } from './materials';
export type { Material } from './materials';
export { sparCurve, sparSection } from './spar';
export type { SparCurve, SparSection } from './spar';
