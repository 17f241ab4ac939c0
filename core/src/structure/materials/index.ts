export { couponResult, toleranceFactor } from './coupons';
export type { CouponResult } from './coupons';
export { designStress, materialNamed, ownMaterials } from './find';
export { MATERIAL_KINDS, MODES } from './material';
export type { Material, MaterialKind, Mode } from './material';
export { MATERIALS } from './store';
