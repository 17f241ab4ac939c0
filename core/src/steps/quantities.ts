/** Every quantity there is: read off steps, or told of other numbers. */
import { HANGING_IDS } from './hover';
import { ON_ROTORS_IDS } from './rotors';
import { READ, type ReadId } from './plan';
import type { QuantityDef } from './quantity';
import { FLOWN, type FlownId } from './missionNumbers';
import { TOLD } from './score';

export type QuantityId = ReadId | FlownId | keyof typeof TOLD;
export const QUANTITIES: Readonly<Record<QuantityId, QuantityDef>> = {
  ...READ,
  ...FLOWN,
  ...TOLD,
};

export function isQuantity(id: string): id is QuantityId {
  return Object.hasOwn(QUANTITIES, id);
}

const HANGING: ReadonlySet<string> = new Set([...HANGING_IDS, ...ON_ROTORS_IDS]);

/** Whether it is a number of states that hang on their rotors, and of none that fly on a wing. */
export function ofHanging(id: string): boolean {
  return HANGING.has(id);
}

/** Definition of a quantity by a name from outside; undefined where there is none of that name. */
export function quantityDef(id: string): QuantityDef | undefined {
  return isQuantity(id) ? QUANTITIES[id] : undefined;
}

/** Ids named in braces in the formula of a quantity. */
export function inputsOf(def: Pick<QuantityDef, 'formula'>): QuantityId[] {
  return [...def.formula.matchAll(/\{(\w+)\}/g)].map((m) => m[1]).filter(isQuantity);
}
