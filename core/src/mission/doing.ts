/** Legs in which something is done: a line reeled, units let go, handed over or taken aboard, time spent on the ground. */
import { levelDraw, one, steady, type Fly } from './stretch';
import { overGround } from './wind';
import { lineSpeed } from './winch';

/** Units let go one after the other take so long each [s]. Common practice, no source. */
const EACH = 3;

export const waits: Fly = (leg, { craft }) => one(craft, steady(leg.time ?? 0, craft.rest));

/** Out or in on a line, in flight: what pulls is the mean of without and with it. */
export const reels: Fly = (leg, now, place) => {
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

export const drops: Fly = (leg, now, place) => {
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
export const unloads: Fly = (leg, { before, craft }) => {
  const stretch = steady(leg.time ?? 0, before.rest),
    units = leg.units ?? before.units;
  if (leg.state !== null)
    return one(craft, stretch, { given: Math.max(0, leg.units ?? before.units - craft.units) });
  if (units > before.units) return one(before, stretch, { fault: 'cargo' });
  return one(before.without(units), stretch, { given: units });
};

export const reloads: Fly = (leg, { before, craft }) => {
  const stretch = steady(leg.time ?? 0, before.rest);
  return one(leg.state === null && leg.units ? before.without(-leg.units) : craft, stretch);
};
