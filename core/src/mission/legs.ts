/**
 * A leg as it is flown: stretches of steady flight, one after the other, and what flies on after it. Each kind has one
 * function. What nobody said is common practice, no source, and stands below by name.
 */
import type { Leg, LegKind, Winch } from '../design';
import type { Craft, Draw } from './craft';
import { overGround, rowTurn, throughAir, turnAt, type Wind } from './wind';
import { lineSpeed } from './winch';

/** Nose round on rotors [rad/s]; up and down on them [m/s]; let go one after the other [s]; gentle circles [rad]. */
const YAW = Math.PI / 2,
  RISE = 2,
  EACH = 3,
  GENTLE = 0.35;
/** Height that a take-off on rotors ends at [m]. */
const UP = 2;
/** A climb below this is none [m/s]. */
const LEAST_CLIMB = 0.05;

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
  readonly winch: Winch | null;
  /** pull of the body on its line [N]; null without one */ pull(state: string, speed: number): number | null;
}

type Fly = (leg: Leg, now: Now, place: Place) => Done;

type More = Partial<Omit<Stretch, 'seconds' | 'draw'>>;
const STILL: More = {};
const NOTHING = { given: 0, room: null, pull: null, fault: null };

/** Written out field by field: missions are flown on both sides of every cause, and this is made most of all. */
function steady(seconds: number, draw: Draw | null, more = STILL): Stretch {
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

function one(craft: Craft, stretch: Stretch, more: Partial<Done> = NOTHING): Done {
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

const waits: Fly = (leg, { craft }) => one(craft, steady(leg.time ?? 0, craft.rest));

/** Draw of level flight at a speed: on rotors where it hangs, else by what pulls it, else gliding. */
function levelDraw(craft: Craft, speed: number, load: number, more = 0): Draw | null {
  if (craft.hangs) return craft.hold(speed);
  if (!craft.powered) return craft.rest;
  return craft.level(speed, load, more);
}

/** Height lost each second by what nothing pulls [m/s]. */
function sinking(craft: Craft, speed: number, load: number): number {
  return craft.powered || !craft.glide ? 0 : craft.glide.sink(speed, load);
}

/** Why it does not get on. */
const stuck = (speed: number): Fault => (speed > 0 ? 'wind' : 'no way');

const ownSpeed = (leg: Leg, craft: Craft) => leg.speed ?? craft.own;

/**
 * Over the ground and through the air. A wing flies at an airspeed; what hangs on its rotors holds what is typed over the
 * ground.
 */
function speedsAlong(
  leg: Leg,
  craft: Craft,
  heading: number | null,
  wind: Wind,
): { ground: number; air: number } {
  const speed = ownSpeed(leg, craft);
  if (!craft.hangs || leg.speed == null) return { ground: overGround(speed, heading, wind), air: speed };
  return { ground: speed, air: throughAir(speed, heading, wind) };
}

/** One straight. @param far its length [m]; null: for its time */
function straightOn(
  leg: Leg,
  { craft }: Now,
  wind: Wind,
  heading: number | null,
  far: number | null,
): Stretch {
  const { ground, air } = speedsAlong(leg, craft, heading, wind),
    seconds = far === null ? (leg.time ?? 0) : ground > 0 ? far / ground : Infinity;
  const way = far ?? ground * seconds,
    rise = -sinking(craft, air, 1) * seconds;
  return steady(seconds, levelDraw(craft, air, 1), { way, rise, airspeed: air });
}

/** One straight at a time: with the wind, and against it. @param timed for its time, whatever its length */
function along(leg: Leg, now: Now, { wind }: Place, timed: boolean): Stretch[] {
  const { length, count = 1 } = leg,
    { heading } = now;
  if (timed || length === undefined) return [straightOn(leg, now, wind, heading, null)];
  if (heading === null || wind.from === null || count === 1)
    return [straightOn(leg, now, wind, heading, length * count)];
  return Array.from({ length: count }, (_, i) => straightOn(leg, now, wind, heading + i * Math.PI, length));
}

/** Places along a free flight that its height is told at. */
const SHARES = Array.from({ length: 33 }, (_, i) => i / 32);

/** As long as what was wound up lasts, where nothing else ends it; in circles it gets on as the air does. */
function freely(leg: Leg, now: Now, place: Place): Done {
  const { craft, aloft } = now,
    { seconds: all, height } = craft.free!,
    speed = ownSpeed(leg, craft),
    circles = leg.kind === 'loiter',
    ground = circles ? place.wind.speed : overGround(speed, now.heading, place.wind),
    left = Math.max(0, all - aloft);
  const ends = leg.length !== undefined && ground > 0 && !circles,
    seconds = Math.min(ends ? leg.length! / ground : (leg.time ?? left), left);
  const stretch = steady(seconds, craft.rest, {
    way: ground * seconds,
    rise: height(aloft + seconds) - now.height,
    airspeed: speed,
  });
  const room: Room | null =
    leg.length === undefined ? null : { of: 'flight', needs: leg.length, has: ground * left };
  const { peak, peakTime } = craft.free!,
    over = aloft < peakTime && peakTime < aloft + seconds;
  return one(craft, stretch, {
    room,
    fault: ground > 0 || circles ? null : stuck(speed),
    ...(over ? { top: peak } : {}),
    profile: SHARES.map((s) => [s, height(aloft + s * seconds)] as const),
  });
}

const straight: Fly = (leg, now, place) => {
  if (now.craft.free) return freely(leg, now, place);
  const timed = leg.time !== undefined && leg.length !== undefined,
    stretches = along(leg, now, place, timed),
    endless = stretches.some((s) => s.seconds === Infinity);
  // something that lasts, and a leg that has room for so much of it
  const room: Room | null = timed
    ? { of: 'leg', needs: stretches[0].way, has: leg.length! * (leg.count ?? 1) }
    : null;
  const fault = endless ? stuck(stretches[0].airspeed) : null;
  return { stretches, after: now.craft, given: 0, room, pull: null, fault };
};

const turns: Fly = (leg, now) => {
  const { craft } = now,
    through = (leg.angle ?? Math.PI) * (leg.count ?? 1);
  if (craft.hangs)
    return one(craft, steady(leg.time ?? Math.abs(through) / YAW, craft.hold(0), { turn: through }));
  const speed = ownSpeed(leg, craft),
    { radius, secondsPerRadian, load } = turnAt(speed, leg.bank ?? craft.bank),
    seconds = leg.time ?? Math.abs(through) * secondsPerRadian;
  const stretch = steady(seconds, levelDraw(craft, speed, load), {
    way: Math.abs(through) * radius,
    rise: -sinking(craft, speed, load) * seconds,
    airspeed: speed,
    load,
    turn: through,
    radius,
  });
  return one(craft, stretch);
};

const loiters: Fly = (leg, now, place) => {
  const { craft } = now;
  if (craft.free) return freely(leg, now, place);
  const speed = leg.speed ?? craft.loiter;
  if (craft.hangs) return one(craft, steady(leg.time ?? 0, craft.hold(speed), { airspeed: speed }));
  const { radius, secondsPerRadian, load } = turnAt(speed, leg.bank ?? GENTLE),
    seconds = leg.time ?? (leg.count ?? 1) * 2 * Math.PI * secondsPerRadian;
  const stretch = steady(seconds, levelDraw(craft, speed, load), {
    way: speed * seconds,
    rise: -sinking(craft, speed, load) * seconds,
    airspeed: speed,
    load,
    radius,
  });
  return one(craft, stretch);
};

/** Rows beside each other, turned from one to the next. */
const pattern: Fly = (leg, now, place) => {
  const { craft } = now,
    speed = ownSpeed(leg, craft),
    rows = leg.count ?? 1,
    spacing = leg.spacing ?? 0;
  const far = (leg.length ?? 0) * rows,
    ground = overGround(speed, null, place.wind),
    straights = steady(ground > 0 ? far / ground : Infinity, levelDraw(craft, speed, 1), {
      way: far,
      airspeed: speed,
    });
  const fault = ground > 0 ? null : stuck(speed),
    ends = rows - 1;
  if (ends < 1) return one(craft, straights, { fault });
  const turn = craft.hangs
    ? steady(ends * (Math.PI / YAW + spacing / Math.max(speed, 1)), craft.hold(0), { way: ends * spacing })
    : rowEnds(craft, speed, leg, ends, spacing);
  return { ...NOTHING, stretches: [straights, turn], after: craft, fault };
};

function rowEnds(craft: Craft, speed: number, leg: Leg, ends: number, spacing: number): Stretch {
  const { radius, load } = turnAt(speed, leg.bank ?? craft.bank),
    way = ends * rowTurn(radius, spacing);
  return steady(way / speed, levelDraw(craft, speed, load), { way, airspeed: speed, load, radius });
}

const hovers: Fly = (leg, { craft }) => {
  const speed = leg.speed ?? 0;
  return one(craft, steady(leg.time ?? 0, craft.hold(speed), { airspeed: speed }));
};

const climbs: Fly = (leg, now, place) => {
  const { craft, height } = now,
    up = leg.height === undefined ? null : leg.height - height;
  if (craft.free) return freely(leg, now, place);
  if (up !== null && up < 0) return descends(leg, now, place);
  if (craft.hangs) {
    const rate = leg.time && up !== null ? up / leg.time : (leg.speed ?? RISE),
      seconds = leg.time ?? (up ?? 0) / rate;
    return one(craft, steady(seconds, craft.rise(rate), { rise: up ?? rate * seconds }));
  }
  const c = craft.climb(leg.speed ?? null),
    rate = c ? c.rate(now.soc) : 0;
  if (!c || rate < LEAST_CLIMB) return one(craft, steady(leg.time ?? 0, c?.draw ?? null), { fault: 'climb' });
  const seconds = leg.time ?? (up ?? 0) / rate,
    way = overGround(c.speed, now.heading, place.wind) * Math.sqrt(1 - Math.min(1, rate / c.speed) ** 2);
  return one(
    craft,
    steady(seconds, c.draw, { way: way * seconds, rise: up ?? rate * seconds, airspeed: c.speed }),
  );
};

/** Down to a height, motors idle, or on rotors. */
function descends(leg: Leg, now: Now, place: Place): Done {
  const { craft, height } = now,
    down = Math.max(0, height - (leg.height ?? 0));
  if (craft.hangs || !craft.glide) {
    const rate = leg.speed ?? RISE;
    return one(craft, steady(leg.time ?? down / rate, craft.hold(0), { rise: -down }));
  }
  const speed = leg.speed ?? craft.glide.speed,
    seconds = leg.time ?? down / craft.glide.sink(speed, 1),
    way = overGround(speed, now.heading, place.wind) * seconds;
  const room: Room | null = leg.length === undefined ? null : { of: 'spot', needs: leg.length, has: way };
  return one(craft, steady(seconds, craft.rest, { way, rise: -down, airspeed: speed }), { room });
}

const takesOff: Fly = (leg, { craft, height }) => {
  if (craft.hangs) {
    const up = (leg.height ?? UP) - height,
      rate = leg.time ? Math.max(0, up) / leg.time : RISE;
    return one(craft, steady(leg.time ?? up / rate, craft.rise(rate), { rise: up }));
  }
  const away = craft.takeOff,
    rise = leg.height === undefined ? 0 : leg.height - height;
  const stretch = steady(leg.time ?? away?.seconds ?? 0, craft.leaving(), {
    way: away?.way ?? 0,
    rise,
    airspeed: away?.speed ?? craft.stall,
  });
  const room: Room | null =
    away?.room == null ? null : { of: 'strip', needs: away.done ? away.way : Infinity, has: away.room };
  return one(craft, stretch, { room, fault: away && !away.done && away.room === null ? 'launch' : null });
};

const lands: Fly = (leg, { craft, height }) => {
  if (craft.hangs) {
    const rate = leg.speed ?? RISE;
    return one(craft, steady(leg.time ?? height / rate, craft.hold(0), { rise: -height }));
  }
  const away = craft.landing,
    // from the height it is at, at the speed of the approach
    down = craft.glide && away ? height / Math.max(craft.glide.sink(away.speed, 1), 1e-3) : 0;
  const stretch = steady(leg.time ?? down + (away?.seconds ?? 0), craft.rest, {
    way: (away?.speed ?? 0) * down + (away?.way ?? 0),
    rise: -height,
    airspeed: away?.speed ?? craft.stall,
  });
  const room: Room | null =
    away?.room == null ? null : { of: 'landing', needs: away.done ? away.way : Infinity, has: away.room };
  return one(craft, stretch, { room });
};

const changes: Fly = (leg, { craft }) => {
  const { change, changing } = craft;
  if (!change || !changing || !change.done)
    return one(craft, steady(leg.time ?? 0, null), { fault: 'change' });
  return one(craft, steady(leg.time ?? change.seconds, changing, { way: change.way }));
};

/** Out or in on a line, in flight: what pulls is the mean of without and with it. */
const reels: Fly = (leg, now, place) => {
  const { craft, before } = now,
    { winch } = place,
    speed = leg.speed ?? (craft.hangs ? 0 : Math.min(craft.own, before.own)),
    seconds = leg.time ?? (winch ? winch.line / lineSpeed(winch) : 0);
  const more = craft.hangs ? 0 : (before.drag(speed, 1) - craft.drag(speed, 1)) / 2,
    ground = craft.hangs ? 0 : overGround(speed, now.heading, place.wind),
    needs = ground * seconds;
  const out = leg.kind === 'letOut' ? craft : before,
    pull = winch?.mostPull === undefined ? null : place.pull(out.state, speed);
  const stretch = steady(seconds, levelDraw(craft, speed, 1, more), { way: needs, airspeed: speed });
  return one(craft, stretch, {
    room: leg.length === undefined ? null : { of: 'leg', needs, has: leg.length },
    pull: pull === null ? null : pull / winch!.mostPull!,
  });
};

const drops: Fly = (leg, now, place) => {
  const { craft } = now,
    units = leg.units ?? 0,
    speed = leg.speed ?? (craft.hangs ? 0 : craft.own),
    seconds = leg.time ?? units * EACH;
  const stretch = steady(seconds, levelDraw(craft, speed, 1) ?? craft.hold(0), {
    way: craft.hangs ? 0 : overGround(speed, now.heading, place.wind) * seconds,
    airspeed: speed,
  });
  if (units > craft.units) return one(craft, stretch, { fault: 'cargo' });
  return one(craft.without(units), stretch, { given: units });
};

/** On the ground; the leg's state is the one that it leads to. */
const unloads: Fly = (leg, { before, craft }) => {
  const stretch = steady(leg.time ?? 0, before.rest),
    units = leg.units ?? before.units;
  if (leg.state !== null)
    return one(craft, stretch, { given: Math.max(0, leg.units ?? before.units - craft.units) });
  if (units > before.units) return one(before, stretch, { fault: 'cargo' });
  return one(before.without(units), stretch, { given: units });
};

const reloads: Fly = (leg, { before, craft }) => {
  const stretch = steady(leg.time ?? 0, before.rest);
  return one(leg.state === null && leg.units ? before.without(-leg.units) : craft, stretch);
};

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
