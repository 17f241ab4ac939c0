/**
 * One state as a mission flies it, made of what its own steps found. With units gone its drag is that of the state at the
 * lift it then carries: the trim of its old CG is kept, the CG itself is told.
 */
import { G0 } from '../air';
import { climbBy } from '../flight';
import { interpolateLinear } from '../numeric';
import { rotorPoint, type Drive, type FrameDrag, type StandingTable } from '../power';
import type { Away, Climbing, Craft, Draw, FreeFlight, StoreId } from './craft';
import { fullDraw, powerDraw, restDraw, thrustDraw } from './draws';

export interface Parts {
  readonly state: string;
  readonly mass: number;
  readonly cgX: number;
  readonly units: number;
  /** mass and place of the units, in the order that they leave [kg, m] */ readonly leaving: readonly {
    readonly mass: number;
    readonly x: number;
  }[];
  readonly hangs: boolean;
  /** neutral point [m] and mean chord; null without a wing */ readonly neutral: {
    readonly x: number;
    readonly chord: number;
  } | null;
  readonly wing: {
    readonly stall: number;
    drag(speed: number, load: number): number;
    readonly glideSpeed: number;
  } | null;
  readonly strength: number | null;
  readonly own: number;
  readonly loiter: number;
  readonly bank: number;
  readonly climbSpeed: number | null;
  readonly cruise: Drive | null;
  readonly lifting: Drive | null;
  readonly table: StandingTable | null;
  readonly frame: FrameDrag | null;
  readonly density: number;
  readonly takeOff: Away | null;
  readonly landing: Away | null;
  readonly change: (Away & { readonly energy: number }) | null;
  readonly free: FreeFlight | null;
}

type Asked = number | null;

/** The same question is answered once: there are few, and they are gone through. */
function remembering<R>(
  make: (a: Asked, b: number, c: number) => R,
): (a: Asked, b?: number, c?: number) => R {
  const known: { a: Asked; b: number; c: number; is: R }[] = [];
  return (a, b = 0, c = 0) => {
    for (const k of known) if (k.a === a && k.b === b && k.c === c) return k.is;
    const is = make(a, b, c);
    known.push({ a, b, c, is });
    return is;
  };
}

const DRIVE: StoreId = 'drive',
  LIFT: StoreId = 'lift';

function onRotors(p: Parts, weight: number): Pick<Craft, 'hold' | 'rise'> {
  const { lifting, table, frame, density } = p;
  if (!lifting || !table) return { hold: () => null, rise: () => null };
  const inFlight = (speed: number): Draw | null => {
    if (!frame) return null;
    const at = rotorPoint({ drive: lifting, table, weight, frame, density }, speed);
    return at.held ? powerDraw(lifting, LIFT, at.power) : null;
  };
  const hold = remembering((speed) =>
    speed !== null && speed > 0 ? inFlight(speed) : thrustDraw(lifting, LIFT, weight, 0),
  );
  return {
    hold,
    rise: remembering((rate) => {
      if (rate === null || !(rate > 0)) return hold(0);
      // shaft power lifts the weight beside what hovering takes
      const shaft = interpolateLinear(table.thrust, table.shaft, weight) + weight * rate;
      if (weight > table.thrust.at(-1)! || shaft > table.shaft.at(-1)!) return null;
      return powerDraw(lifting, LIFT, interpolateLinear(table.shaft, table.power, shaft));
    }),
  };
}

function onTheWing(
  p: Parts,
  mass: number,
): Pick<Craft, 'stall' | 'glide' | 'level' | 'drag' | 'climb' | 'leaving'> {
  const { wing, cruise, hangs } = p,
    rest = restDraw(cruise ?? p.lifting, cruise ? DRIVE : LIFT);
  if (!wing)
    return {
      stall: 0,
      glide: null,
      level: () => null,
      drag: () => 0,
      climb: () => null,
      leaving: () => rest,
    };
  const share = mass / p.mass,
    stall = hangs ? 0 : wing.stall * Math.sqrt(share),
    drag = (speed: number, load: number) => wing.drag(speed, load * share),
    full = cruise && remembering((speed) => fullDraw(cruise, DRIVE, speed ?? 0));
  const level = remembering((speed, load, more) =>
    cruise && speed !== null ? thrustDraw(cruise, DRIVE, drag(speed, load) + more, speed) : null,
  );
  return {
    stall,
    drag,
    glide: {
      speed: wing.glideSpeed * Math.sqrt(share),
      sink: (speed, load) => (drag(speed, load) * speed) / (mass * G0),
    },
    level: (speed, load, more = 0) => level(speed, load, more),
    climb: remembering((asked): Climbing | null => {
      const speed = asked ?? p.climbSpeed;
      if (!full || speed === null) return null;
      const { draw, thrust } = full(speed),
        held = drag(speed, 1);
      return { speed, draw, rate: (soc) => climbBy(mass, thrust(soc) - held, speed) };
    }),
    leaving: () => (full ? full(0.7 * wing.stall * Math.sqrt(share)).draw : rest),
  };
}

/** Mass and CG with the first units of those that leave gone; more of them where below zero. */
function withGone(p: Parts, mass: number, cgX: number, units: number): { mass: number; cgX: number } {
  const gone =
    units >= 0
      ? p.leaving.slice(0, units)
      : Array.from({ length: -units }, () => p.leaving[0]).filter(Boolean);
  const sign = Math.sign(units),
    left = gone.reduce((m, g) => m - sign * g.mass, mass),
    moment = gone.reduce((m, g) => m - sign * g.mass * g.x, mass * cgX);
  return { mass: left, cgX: moment / left };
}

export function makeCraft(p: Parts, mass = p.mass, cgX = p.cgX, units = p.units): Craft {
  const weight = mass * G0,
    { change, lifting, cruise } = p,
    powered = cruise !== null || lifting !== null;
  const store = p.hangs || !cruise ? LIFT : DRIVE;
  return {
    state: p.state,
    mass,
    cgX,
    staticMargin: p.neutral ? (p.neutral.x - cgX) / p.neutral.chord : null,
    units,
    hangs: p.hangs,
    powered,
    strength: p.strength === null ? null : (p.strength * p.mass) / mass,
    own: p.own,
    loiter: p.loiter,
    bank: p.bank,
    ...onTheWing(p, mass),
    ...onRotors(p, weight),
    rest: restDraw(store === DRIVE ? cruise : (lifting ?? cruise), store),
    free: p.free,
    takeOff: p.takeOff,
    landing: p.landing,
    change,
    changing:
      change?.done && lifting
        ? powerDraw(lifting, LIFT, change.energy / Math.max(change.seconds, 1e-6))
        : null,
    without(gone) {
      const { leaving } = p,
        now = withGone({ ...p, leaving: leaving.slice(p.units - units) }, mass, cgX, gone);
      return makeCraft(p, now.mass, now.cgX, units - gone);
    },
  };
}
