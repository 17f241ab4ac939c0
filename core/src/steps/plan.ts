/**
 * The aircraft's computation, part after part in the trade's order of work. Nothing solves for an order: a step may need
 * only what stands above it. The ledger is read off the steps in this order.
 */
import { AIR_PART } from './air';
import { ARMS_PART } from './arms';
import { BALANCE_PART } from './balance';
import { CLIMB_PART } from './climb';
import { CORRIDOR_PART } from './corridor';
import { DEPARTURE_PART } from './departure';
import { DRAG_PART } from './drag';
import { DRIVE_PART } from './drive';
import { HOVERING_PART } from './hover';
import { LANDING_PART } from './landing';
import { LAP_PART } from './lap';
import { MISSION_STEPS } from './missions';
import { LATTICE_PART } from './lattice';
import { LIFT_PART } from './lift';
import { REACH_PART } from './reach';
import { ROTORS_PART } from './rotors';
import { RUBBERS_PART } from './rubber';
import { RULES_PART } from './rules';
import { SECTIONS_PART } from './sections';
import { SHAPE_PART } from './shape';
import { SPEEDS_PART } from './speeds';
import { LOADS_PART } from './spanLoads';
import { STABILITY_PART } from './stability';
import { STRUCTURE_PART } from './structure';
import { TAKE_OFF_PART } from './takeOff';
import { TRIM_PART } from './trim';
import { TURNING_PART } from './turning';
import { WIND_LIMITS_PART } from './windLimits';
import type { ReadCurve, ReadQuantity } from './quantity';
import type { Step } from './step';

const PARTS = [
  // the day, the masses, the shape
  AIR_PART,
  BALANCE_PART,
  SECTIONS_PART,
  SHAPE_PART,
  // the flow about it, and the scale of speeds
  LATTICE_PART,
  STABILITY_PART,
  SPEEDS_PART,
  // lift, drag, thrust
  LIFT_PART,
  DRAG_PART,
  DRIVE_PART,
  // flight
  TAKE_OFF_PART,
  DEPARTURE_PART,
  CLIMB_PART,
  LAP_PART,
  TURNING_PART,
  LANDING_PART,
  WIND_LIMITS_PART,
  REACH_PART,
  TRIM_PART,
  HOVERING_PART,
  ROTORS_PART,
  CORRIDOR_PART,
  RUBBERS_PART,
  RULES_PART,
  // structure
  LOADS_PART,
  STRUCTURE_PART,
  ARMS_PART,
] as const;

type Quantities = (typeof PARTS)[number]['quantities'];
type Merged<U> = (U extends unknown ? (u: U) => void : never) extends (all: infer A) => void ? A : never;

/** Every step in order. */
export const PLAN: readonly Step[] = [...PARTS.flatMap((p): readonly Step[] => p.steps), ...MISSION_STEPS];

/** Quantities that are read off the results of steps. */
export const READ = Object.assign({}, ...PARTS.map((p) => p.quantities)) as Readonly<
  Record<keyof Merged<Quantities>, ReadQuantity>
>;
export type ReadId = keyof typeof READ;
export const READ_IDS = Object.keys(READ) as ReadId[];

export const CURVES: readonly ReadCurve[] = PARTS.flatMap((p) => p.curves);
