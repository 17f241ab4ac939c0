/** How each kind of leg is flown. */
import type { LegKind } from '../design';
import { freely, loiters, pattern, straight, turns } from './along';
import { drops, reels, reloads, unloads, waits } from './doing';
import type { Fly } from './stretch';
import { changes, climbs, descends, hovers, lands, takesOff } from './upDown';

export const FLY: { readonly [K in LegKind]: Fly } = {
  prepare: waits,
  wait: waits,
  takeOff: takesOff,
  climb: climbs,
  straight,
  tow: straight,
  turn: turns,
  loiter: loiters,
  pattern,
  hover: hovers,
  transition: changes,
  letOut: reels,
  takeIn: reels,
  drop: drops,
  glide: (leg, now, place) => (now.craft.free ? freely(leg, now, place) : descends(leg, now, place)),
  land: lands,
  unload: unloads,
  reload: reloads,
};

/** Kinds that are spent on the ground. */
export const ON_GROUND: ReadonlySet<LegKind> = new Set(['prepare', 'wait', 'unload', 'reload']);
