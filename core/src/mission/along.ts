/** Legs along a way: straights, turns, circles, rows; and on what was wound up for as long as that lasts. */
import type { Leg } from '../design';
import type { Craft } from './craft';
import {
  levelDraw,
  NOTHING,
  one,
  ownSpeed,
  sinking,
  speedsAlong,
  steady,
  stuck,
  YAW,
  type Done,
  type Fly,
  type Now,
  type Place,
  type Room,
  type Stretch,
} from './stretch';
import { overGround, rowTurn, turnAt, type Wind } from './wind';

/** Bank of circles that are flown to stay up [rad]. Common practice, no source. */
const GENTLE = 0.35;

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
export function freely(leg: Leg, now: Now, place: Place): Done {
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

export const straight: Fly = (leg, now, place) => {
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

export const turns: Fly = (leg, now) => {
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

export const loiters: Fly = (leg, now, place) => {
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
export const pattern: Fly = (leg, now, place) => {
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
