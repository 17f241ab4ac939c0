/** What a leg is made of: stretches of steady flight, and what flies on after them. */
import type { Leg, Winch } from '../design';
import type { Craft, Draw } from './craft';
import { overGround, throughAir, type Wind } from './wind';

/** On rotors: nose round [rad/s]; up and down [m/s]. Common practice, no source. */
export const YAW = Math.PI / 2,
  RISE = 2;

/** Flown steadily. */
export interface Stretch {
  /** Infinity where it never ends */ readonly seconds: number;
  /** over the ground [m] */ readonly way: number;
  /** height gained [m] */ readonly rise: number;
  readonly airspeed: number;
  readonly load: number;
  /** null: nothing there is pulls or lifts it so */ readonly draw: Draw | null;
  /** turned through [rad], on a radius [m] */ readonly turn: number;
  readonly radius: number;
}

/** Something that has to fit, and where. */
export interface Room {
  readonly of: 'leg' | 'spot' | 'strip' | 'landing' | 'flight';
  readonly needs: number;
  readonly has: number;
}

export type Fault = 'climb' | 'cargo' | 'wind' | 'change' | 'launch' | 'no way';

export interface Done {
  readonly stretches: readonly Stretch[];
  readonly after: Craft;
  /** units handed over or dropped */ readonly given: number;
  readonly room: Room | null;
  /** pull of the line over what the winch pulls at most */ readonly pull: number | null;
  readonly fault: Fault | null;
  /** highest on the way, where that is not at an end of it [m] */ readonly top?: number;
  /** height along it, where it is no straight line: share of its time, and height [m] */
  readonly profile?: readonly (readonly [share: number, height: number])[];
}

export interface Now {
  /** what flew the leg before, and what flies this one */ readonly before: Craft;
  readonly craft: Craft;
  /** [m] */ readonly height: number;
  /** [rad]; null where nobody said how the course lies */ readonly heading: number | null;
  /** of the pack that pulls, 0 to 1 */ readonly soc: number;
  /** flown since it was let go [s] */ readonly aloft: number;
}

export interface Place {
  readonly wind: Wind;
  /** height of the hand that throws it [m] */ readonly hand: number;
  readonly winch: Winch | null;
  /** pull of the body on its line [N]; null without one */ pull(state: string, speed: number): number | null;
}

export type Fly = (leg: Leg, now: Now, place: Place) => Done;

type More = Partial<Omit<Stretch, 'seconds' | 'draw'>>;
const STILL: More = {};
export const NOTHING = { given: 0, room: null, pull: null, fault: null };

/** Written out field by field: missions are flown on both sides of every cause, and this is made most of all. */
export function steady(seconds: number, draw: Draw | null, more = STILL): Stretch {
  return {
    seconds,
    way: more.way ?? 0,
    rise: more.rise ?? 0,
    airspeed: more.airspeed ?? 0,
    load: more.load ?? 1,
    draw,
    turn: more.turn ?? 0,
    radius: more.radius ?? 0,
  };
}

export function one(craft: Craft, stretch: Stretch, more: Partial<Done> = NOTHING): Done {
  return {
    stretches: [stretch],
    after: craft,
    given: more.given ?? 0,
    room: more.room ?? null,
    pull: more.pull ?? null,
    fault: more.fault ?? null,
    ...(more.top === undefined ? undefined : { top: more.top }),
    ...(more.profile === undefined ? undefined : { profile: more.profile }),
  };
}

/** Draw of level flight at a speed: on rotors where it hangs, else by what pulls it, else gliding. */
export function levelDraw(craft: Craft, speed: number, load: number, more = 0): Draw | null {
  if (craft.hangs) return craft.hold(speed);
  if (!craft.powered) return craft.rest;
  return craft.level(speed, load, more);
}

/** Height lost each second by what nothing pulls [m/s]. */
export function sinking(craft: Craft, speed: number, load: number): number {
  return craft.powered || !craft.glide ? 0 : craft.glide.sink(speed, load);
}

/** Why it does not get on. */
export const stuck = (speed: number): Fault => (speed > 0 ? 'wind' : 'no way');

export const ownSpeed = (leg: Leg, craft: Craft) => leg.speed ?? craft.own;

/**
 * Over the ground and through the air. A wing flies at an airspeed; what hangs on its rotors holds what is typed over the
 * ground.
 */
export function speedsAlong(
  leg: Leg,
  craft: Craft,
  heading: number | null,
  wind: Wind,
): { ground: number; air: number } {
  const speed = ownSpeed(leg, craft);
  if (!craft.hangs || leg.speed == null) return { ground: overGround(speed, heading, wind), air: speed };
  return { ground: speed, air: throughAir(speed, heading, wind) };
}
