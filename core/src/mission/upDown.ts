/** Legs that begin and end height: off, up, down to a spot, landing; hovering and changing over between rotors and wing. */
import type { Leg } from '../design';
import { freely } from './along';
import { one, RISE, steady, type Done, type Fly, type Now, type Place, type Room } from './stretch';
import { overGround } from './wind';

/** Height that a take-off on rotors ends at [m]. Common practice, no source. */
const UP = 2;
/** A climb below this is none [m/s]. */
const LEAST_CLIMB = 0.05;

export const hovers: Fly = (leg, { craft }) => {
  const speed = leg.speed ?? 0;
  return one(craft, steady(leg.time ?? 0, craft.hold(speed), { airspeed: speed }));
};

export const climbs: Fly = (leg, now, place) => {
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
export function descends(leg: Leg, now: Now, place: Place): Done {
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

export const takesOff: Fly = (leg, { craft, height }, { hand }) => {
  if (craft.hangs) {
    const up = (leg.height ?? UP) - height,
      rate = leg.time ? Math.max(0, up) / leg.time : RISE;
    return one(craft, steady(leg.time ?? up / rate, craft.rise(rate), { rise: up }));
  }
  const away = craft.takeOff,
    // what is thrown begins at the hand, what runs on the ground
    thrown = away !== null && away.room === null ? hand : height,
    rise = (leg.height ?? thrown) - height;
  const stretch = steady(leg.time ?? away?.seconds ?? 0, craft.leaving(), {
    way: away?.way ?? 0,
    rise,
    airspeed: away?.speed ?? craft.stall,
  });
  const room: Room | null =
    away?.room == null ? null : { of: 'strip', needs: away.done ? away.way : Infinity, has: away.room };
  return one(craft, stretch, { room, fault: away && !away.done && away.room === null ? 'launch' : null });
};

export const lands: Fly = (leg, { craft, height }) => {
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

export const changes: Fly = (leg, { craft }) => {
  const { change, changing } = craft;
  if (!change || !changing || !change.done)
    return one(craft, steady(leg.time ?? 0, null), { fault: 'change' });
  return one(craft, steady(leg.time ?? change.seconds, changing, { way: change.way }));
};
