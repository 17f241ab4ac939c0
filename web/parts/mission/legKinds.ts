/** Kinds of leg as they are called, and the figures that each is told by. */
import {
  hasWing,
  LEG_KINDS,
  liftingCount,
  type Design,
  type Leg,
  type LegKind,
} from '@skiametra/core/design';

export const LEG_WORDS: Readonly<Record<LegKind, string>> = {
  prepare: 'prepare',
  takeOff: 'take off',
  climb: 'up or down',
  straight: 'straight',
  turn: 'turn',
  loiter: 'loiter',
  pattern: 'rows',
  hover: 'hover',
  transition: 'change over',
  letOut: 'let out',
  tow: 'tow',
  takeIn: 'take in',
  drop: 'drop',
  glide: 'glide to a spot',
  land: 'land',
  unload: 'unload',
  reload: 'reload',
  wait: 'wait',
};

export type LegFigure =
  'length' | 'count' | 'time' | 'speed' | 'height' | 'angle' | 'bank' | 'spacing' | 'units';

/** In the order that they are asked for. */
export const FIGURES: Readonly<Record<LegKind, readonly LegFigure[]>> = {
  prepare: ['time'],
  takeOff: ['height', 'time'],
  climb: ['height', 'speed', 'time'],
  straight: ['length', 'count', 'speed', 'time'],
  turn: ['angle', 'count', 'bank', 'speed', 'time'],
  loiter: ['time', 'speed', 'bank', 'count', 'length'],
  pattern: ['length', 'count', 'spacing', 'speed', 'bank'],
  hover: ['time', 'speed'],
  transition: ['time'],
  letOut: ['length', 'speed', 'time'],
  tow: ['length', 'count', 'speed', 'time'],
  takeIn: ['length', 'speed', 'time'],
  drop: ['units', 'time', 'speed'],
  glide: ['length', 'height', 'speed', 'time'],
  land: ['time', 'speed'],
  unload: ['units', 'time'],
  reload: ['units', 'time'],
  wait: ['time'],
};

/** What an empty figure means, where its name does not say it. */
export const EMPTY: Partial<Record<LegFigure, string>> = {
  time: 'Empty: as long as it takes',
  speed: 'Empty: the state’s own',
  bank: 'Empty: that of the design',
  angle: 'Empty: half a circle; to the left below zero',
};

export type Family = 'ground' | 'up' | 'along' | 'rotors' | 'doing';

const FAMILIES: Readonly<Record<LegKind, Family>> = {
  prepare: 'ground',
  wait: 'ground',
  unload: 'ground',
  reload: 'ground',
  takeOff: 'up',
  climb: 'up',
  glide: 'up',
  land: 'up',
  straight: 'along',
  turn: 'along',
  loiter: 'along',
  pattern: 'along',
  hover: 'rotors',
  transition: 'rotors',
  letOut: 'doing',
  tow: 'doing',
  takeIn: 'doing',
  drop: 'doing',
};

export const familyOf = (kind: string): Family => FAMILIES[kind as LegKind] ?? 'along';

const ON_ROTORS: readonly LegKind[] = ['hover', 'transition'],
  ON_A_WING: readonly LegKind[] = ['glide', 'transition'];

/** Kinds that an aircraft can fly. */
export function kindsFor(design: Pick<Design, 'surfaces' | 'thrusters' | 'drives' | 'power'>): LegKind[] {
  const lifts = liftingCount(design) > 0,
    winged = hasWing(design);
  return LEG_KINDS.filter((k) => (lifts || !ON_ROTORS.includes(k)) && (winged || !ON_A_WING.includes(k)));
}

/** A new leg of a kind, with the figure that it cannot do without. */
export function usualLeg(id: string, kind: LegKind, state: string | null): Leg {
  const more: Partial<Leg> = {
    ...(kind === 'straight' ? { length: 100 } : {}),
    ...(kind === 'climb' ? { height: 20 } : {}),
    ...(['prepare', 'wait', 'unload', 'reload', 'hover', 'loiter'].includes(kind) ? { time: 20 } : {}),
    ...(kind === 'drop' ? { units: 1 } : {}),
  };
  return { id, name: LEG_WORDS[kind][0]!.toUpperCase() + LEG_WORDS[kind].slice(1), kind, state, ...more };
}

/** Margins as they are called in a list. */
export const MARGIN_WORDS: Readonly<Record<string, string>> = {
  stall: 'speed over the stall',
  strength: 'load it may bear',
  throttle: 'throttle',
  motor: 'motor current',
  controller: 'controller current',
  pack: 'pack current',
  volts: 'volts over the least',
  heat: 'winding heat',
  winch: 'pull of the winch',
  leg: 'length of the leg',
  spot: 'glide to the spot',
  flight: 'length of the flight',
  strip: 'strip',
  landing: 'strip, landing',
  ground: 'height',
  height: 'height limit',
  mass: 'mass limit',
};
