/** An aircraft of plain figures, so that missions can be held against closed forms. */
import type { Leg, Mission } from '../design';
import type { Craft, Draw, Store } from './craft';
import type { Crew } from './flight';

/** A pack without resistance at so many volts: a power is a current. */
export const VOLTS = 12;

export function plainDraw(power: number): Draw {
  const at = () => ({ current: power / VOLTS, open: VOLTS, voltage: VOLTS, power, duty: 0.5 });
  return { from: 'drive', at, motorCurrent: power / VOLTS, copper: 0, iron: 0, stream: 10 };
}

/** Level at 15 m/s on 100 W, climbs 2 m/s on 200 W at 12 m/s, glides 10 at 12 m/s. */
export function plainCraft(more: Partial<Craft> = {}): Craft {
  const mass = more.mass ?? 2,
    units = more.units ?? 0;
  return {
    state: 'plain',
    mass,
    cgX: 0.3,
    staticMargin: 0.1,
    units,
    hangs: false,
    powered: true,
    stall: 8,
    strength: 6,
    own: 15,
    loiter: 12,
    bank: Math.PI / 4,
    glide: { speed: 12, sink: (speed, load) => (speed / 10) * load ** 1.5 },
    level: (_, load) => plainDraw(100 * load),
    drag: () => 5,
    hold: () => null,
    rise: () => null,
    climb: (speed) => ({ speed: speed ?? 12, rate: () => 2, draw: plainDraw(200) }),
    rest: plainDraw(0),
    free: null,
    takeOff: { seconds: 4, way: 16, room: 40, speed: 10, done: true },
    landing: { seconds: 5, way: 20, room: 40, speed: 11, done: true },
    leaving: () => plainDraw(200),
    change: null,
    changing: null,
    ...more,
    without: (gone) => plainCraft({ ...more, mass: mass - 0.1 * gone, units: units - gone }),
  };
}

export function plainStore(more: Partial<Store> = {}): Store {
  return {
    bank: 'drive',
    full: 7200,
    usable: 7200,
    least: 9,
    pack: 100,
    motor: 100,
    controller: 100,
    heat: null,
    hottest: 393,
    ...more,
  };
}

export function plainCrew(more: Partial<Crew> = {}): Crew {
  const store = plainStore();
  return {
    craft: (state) => plainCraft({ state }),
    stores: { drive: store, lift: store },
    wind: { speed: 0, from: null },
    winch: null,
    pull: () => null,
    reserve: 0,
    air: 288,
    hand: 1.5,
    limits: { height: null, mass: null },
    ...more,
  };
}

export const leg = (id: string, kind: Leg['kind'], more: Partial<Leg> = {}): Leg => ({
  id,
  name: id,
  kind,
  state: null,
  ...more,
});

/** One round, flown once, unless more is said. */
export function flight(legs: Leg[], more: Partial<Mission> = {}): Mission {
  return { id: 'm', name: 'M', window: null, rounds: [{ id: 'r', name: 'R', times: 1, legs }], ...more };
}

/** The same round as often as fits. */
export const often = (legs: Leg[], window: number | null): Mission =>
  flight(legs, { window, rounds: [{ id: 'r', name: 'Lap', times: null, legs }] });
