/** Every quantity there is, in the trade's order of work. */
import { AIR } from './air';
import { BALANCE } from './balance';
import { CLIMB, CLIMB_CURVES } from './climb';
import { DRAG, DRAG_CURVES } from './drag';
import { DRIVE, DRIVE_CURVES } from './drive';
import { HOVERING } from './hover';
import { LAP } from './lap';
import { LATTICE } from './lattice';
import { LIFT, LIFT_CURVES } from './lift';
import type { QuantityDef } from './quantity';
import { RUBBERS } from './rubber';
import { TOLD } from './score';
import { SHAPE } from './shape';
import { SPAR, SPAR_CURVES } from './spar';
import { STABILITY } from './stability';
import { TAKE_OFF } from './takeOff';
import { TRIM } from './trim';

/** Read off the results of steps. */
export const READ = {
  ...AIR,
  ...SHAPE,
  ...BALANCE,
  ...LATTICE,
  ...STABILITY,
  ...LIFT,
  ...DRAG,
  ...DRIVE,
  ...TAKE_OFF,
  ...CLIMB,
  ...LAP,
  ...TRIM,
  ...HOVERING,
  ...RUBBERS,
  ...SPAR,
};
export type ReadId = keyof typeof READ;
export const READ_IDS = Object.keys(READ) as ReadId[];

export type QuantityId = ReadId | keyof typeof TOLD;
export const QUANTITIES: Readonly<Record<QuantityId, QuantityDef>> = { ...READ, ...TOLD };

export const CURVES = [...DRIVE_CURVES, ...DRAG_CURVES, ...CLIMB_CURVES, ...SPAR_CURVES, ...LIFT_CURVES];

export function isQuantity(id: string): id is QuantityId {
  return Object.hasOwn(QUANTITIES, id);
}

/** Definition of a quantity by a name from outside; undefined where there is none of that name. */
export function quantityDef(id: string): QuantityDef | undefined {
  return isQuantity(id) ? QUANTITIES[id] : undefined;
}

/** Ids named in braces in the formula of a quantity. */
export function inputsOf(def: Pick<QuantityDef, 'formula'>): QuantityId[] {
  return [...def.formula.matchAll(/\{(\w+)\}/g)].map((m) => m[1]).filter(isQuantity);
}
