/** One leg flown on from where the one before ended. */
import type { Leg } from '../design';
import type { Draw } from './craft';
import type { Crew, FlownLeg } from './flight';
import { FLY, ON_GROUND } from './legs';
import type { Now, Stretch } from './stretch';
import { legMargins } from './margins';
import { nothingSpent, shareOf, socOf, spend, type Tally } from './spend';

/** Kinds whose state is that which they lead to. */
const LEADS: ReadonlySet<Leg['kind']> = new Set(['unload', 'reload']);

function startOf(leg: Leg, t: Tally, crew: Crew): Now {
  const stays = leg.state === null || (leg.state === t.craft.state && !LEADS.has(leg.kind)),
    craft = stays ? t.craft : crew.craft(leg.state!);
  const store = crew.stores[craft.hangs ? 'lift' : 'drive'];
  return {
    before: t.craft,
    craft,
    height: t.height,
    heading: t.known ? t.heading : null,
    soc: socOf(t, store, crew.held),
    aloft: t.aloft,
  };
}

/** What the stretches of a leg come to. */
function through(stretches: readonly Stretch[], t: Tally, crew: Crew) {
  const spent = nothingSpent();
  let draw: Draw | null = null,
    time = 0,
    distance = 0,
    rise = 0,
    load = 1,
    speed = 0,
    endless = false;
  for (const s of stretches) {
    if (s.draw) spend(s, (draw = s.draw), t, crew, spent);
    load = Math.max(load, s.load);
    speed = Math.max(speed, s.airspeed);
    t.heading += s.turn;
    endless ||= !(s.seconds < Infinity);
    // what never ends is told as that, and is no time of the rest
    if (!(s.seconds < Infinity)) continue;
    time += s.seconds;
    distance += s.way;
    rise += s.rise;
  }
  const store = draw && crew.stores[(draw as Draw).from];
  return { spent, store, time, distance, rise, load, speed, endless };
}

/** Where a leg stands, and whether all that may be said of it is wanted. */
interface Place {
  readonly round: string;
  readonly pass: number;
  readonly lean: boolean;
}

/** Flies one leg on from where the tally stands, and carries it along. */
export function flyLeg(leg: Leg, { round, pass, lean }: Place, t: Tally, crew: Crew): FlownLeg {
  const now = startOf(leg, t, crew),
    done = FLY[leg.kind](leg, now, crew),
    from = t.time;
  const { spent, store, time, distance, rise, load, speed, endless } = through(done.stretches, t, crew);
  t.time += time;
  t.height = now.height + rise;
  t.craft = done.after;
  t.aloft = ON_GROUND.has(leg.kind) ? 0 : t.aloft + time;
  const craft = LEADS.has(leg.kind) ? now.before : now.craft;
  const { air, limits } = crew,
    looked = { craft, done, spent, store, from: now.height, height: t.height, air, limits },
    { margins, margin } = legMargins(looked, !lean);
  return {
    leg,
    round,
    pass,
    state: craft.state,
    stretches: done.stretches,
    from,
    time: endless ? Infinity : time,
    distance,
    energy: spent.energy,
    charge: spent.charge,
    power: time > 0 && Number.isFinite(time) ? spent.energy / time : 0,
    current: spent.current,
    volts: Number.isFinite(spent.volts) ? spent.volts : 0,
    soc: socOf(t, store ?? crew.stores.drive, crew.held),
    share: shareOf(t, crew),
    heightFrom: now.height,
    height: t.height,
    before: craft,
    after: done.after,
    speed,
    load,
    winding: spent.winding,
    given: done.given,
    margins,
    margin,
    done,
  };
}
