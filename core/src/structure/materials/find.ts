/** A material by its name: the person's own first, then the store, then a wood or foam of any density. */
import type { OwnMaterial } from '../../design';
import { couponResult } from './coupons';
import { foamByDensity } from './foam';
import { ONE_IN_TWENTY, type Material, type Mode } from './material';
import { MATERIALS } from './store';
import { woodByDensity } from './wood';

export function materialNamed(id: string, own: readonly Material[] = []): Material | undefined {
  return (
    own.find((m) => m.id === id) ??
    MATERIALS.find((m) => m.id === id) ??
    woodByDensity(id) ??
    foamByDensity(id) ??
    undefined
  );
}

/**
 * Stress that may be counted on [Pa]: what 19 of 20 pieces reach, less the knock-down; by coupons where two or more broke.
 * One coupon has a mean and no spread: the scatter of the kind stands for it.
 */
export function designStress(m: Material, mode: Mode): number {
  const tested = couponResult(m.coupons?.[mode] ?? []);
  if (tested?.design !== undefined && tested?.design !== null) return tested.design;
  const mean = tested?.mean ?? m[mode];
  return mean * Math.max(0, 1 - ONE_IN_TWENTY * m.scatter) * m.knockdown;
}

/** The person's own materials as the computation has them: typed strengths less the share that is used, or coupons. */
export function ownMaterials(own: readonly OwnMaterial[]): Material[] {
  return own.map(({ used, coupons, note, ...m }) => ({
    ...m,
    scatter: 0,
    knockdown: used,
    source: note,
    ...(coupons ? { coupons: coupons as NonNullable<Material['coupons']> } : {}),
  }));
}
