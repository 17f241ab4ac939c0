/**
 * Usual ranges of numbers by the class of an aircraft, for questions only. Common practice, no source: what is ordinary for a 3 g
 * indoor model is a slip of ten on a carrier.
 */
import { hovers, type Design, powertrainOf } from '../design';
import type { Ledger } from './ledger';
import { entryOf } from './ledger';

export const CLASSES = [
  'indoor',
  'rubber',
  'glider',
  'sport',
  'carrier',
  'multirotor',
  'lift-and-cruise',
] as const;
export type AircraftClass = (typeof CLASSES)[number];

export const CLASS_WORDS: Readonly<Record<AircraftClass, string>> = {
  indoor: 'an indoor model',
  rubber: 'a rubber model',
  glider: 'a glider',
  sport: 'a sport model',
  carrier: 'a load carrier',
  multirotor: 'a multirotor',
  'lift-and-cruise': 'lift and cruise',
};

/** Share of the heaviest mass that is payload from which an aircraft is built to carry. */
const CARRIES = 0.2;

/** What an aircraft is, from its drive, its roof and its load. */
export function classOf(design: Design, ledger: Ledger): AircraftClass {
  const power = powertrainOf(design),
    { states } = design;
  if (power.rubber) {
    return power.rubber.ceiling !== null ? 'indoor' : 'rubber';
  }
  if (power.lift || power.arrangement?.tilt)
    return states.every((s) => hovers(design, s)) ? 'multirotor' : 'lift-and-cruise';
  if (power.unpowered) return 'glider';
  const shares = states.map(
    (l) =>
      (l.count * design.payload.unitMass) / Math.max(entryOf(ledger, 'mass', l.id)?.value ?? Infinity, 1e-9),
  );
  return Math.max(...shares) >= CARRIES ? 'carrier' : 'sport';
}

export type Range = readonly [lo: number, hi: number];

/** Any small aircraft; classes narrow it below. */
const ANY: Readonly<Record<string, Range>> = {
  wingSpan: [0.15, 6],
  aspectRatio: [2, 30],
  meanChord: [0.03, 0.9],
  tailVolume: [0.2, 2.2],
  finVolume: [0.008, 0.12],
  mass: [0.002, 30],
  wingLoading: [0.05, 20],
  staticThrust: [0.5, 300],
  staticCurrent: [1, 200],
  staticRpm: [150, 2600],
  stallSpeed: [0.7, 20],
  topSpeed: [6, 70],
  climbRate: [0.3, 30],
  glideRatio: [3, 40],
  thrustToWeight: [0.15, 3],
  powerToWeight: [30, 1000],
  clMax: [0.6, 2.4],
  tipDeflection: [0, 0.4],
  lapTime: [4, 600],
};

const NARROWER: Readonly<Partial<Record<AircraftClass, Readonly<Record<string, Range>>>>> = {
  indoor: {
    mass: [0.0005, 0.05],
    wingLoading: [0.02, 1],
    stallSpeed: [0.4, 4],
    glideRatio: [2, 15],
    clMax: [0.5, 1.8],
    wingSpan: [0.15, 1],
  },
  rubber: {
    mass: [0.002, 0.4],
    wingLoading: [0.04, 3],
    stallSpeed: [0.5, 8],
    glideRatio: [3, 18],
    wingSpan: [0.2, 2],
  },
  // a flat or curled sheet reaches 0.6 to 0.8 by itself (common practice), less in trim and without a tail
  glider: {
    clMax: [0.4, 2.4],
    wingLoading: [0.05, 12],
    stallSpeed: [0.7, 14],
    glideRatio: [2, 50],
    aspectRatio: [1.5, 35],
  },
  sport: { wingSpan: [0.3, 4], mass: [0.05, 20], glideRatio: [4, 25] },
  carrier: { wingSpan: [0.5, 6], mass: [0.3, 30], wingLoading: [2, 20], thrustToWeight: [0.15, 1.5] },
  multirotor: { mass: [0.05, 40] },
  'lift-and-cruise': { mass: [0.3, 40], powerToWeight: [30, 1500] },
};

/** Bending at 1 g of the half span, beyond which a tip is asked about; wings of film and foam bend freely. */
const FLEXIBLE: Readonly<Record<AircraftClass, number>> = {
  indoor: 0.6,
  rubber: 0.4,
  glider: 0.35,
  sport: 0.2,
  carrier: 0.2,
  multirotor: 0.2,
  'lift-and-cruise': 0.2,
};

/** A ducted fan turns many times faster than a propeller: up to the sound's speed at the tips [rad/s]. */
const FAN_TIP = 330;

/**
 * Usual ranges of a design, SI, by quantity.
 * @param halfSpan [m], for what is measured against it
 */
export function usualRanges(design: Design, of: AircraftClass, halfSpan: number): Record<string, Range> {
  const fan = powertrainOf(design).fan;
  return {
    ...ANY,
    ...(NARROWER[of] ?? {}),
    tipDeflection: [0, FLEXIBLE[of] * halfSpan],
    ...(fan ? { staticRpm: [500, FAN_TIP / (fan.diameter / 2)], topSpeed: [10, 120] } : {}),
  };
}
