/** Flies a plan of manoeuvres without any noise: where it is, how fast, under which load, on what power, every step. */
import { G0 } from '@skiametra/core/air';
import type { FlightTruth, Manoeuvre } from './truth';

/** [s] */
export const FINE = 0.05;
/** Speed is changed by no more than this [m/s2]. */
const SPEEDS_UP = 1.5;
/** It comes down in circles to this height [m]. */
const CIRCLES_TO = 25;

/** One moment. */
interface Moment {
  readonly t: number;
  readonly east: number;
  readonly north: number;
  readonly height: number;
  readonly airspeed: number;
  /** through the air, from north [rad] */ readonly heading: number;
  readonly bank: number;
  readonly load: number;
  /** of the pack [W] */ readonly power: number;
  readonly throttle: number;
  readonly onGround: boolean;
}

export interface Flown {
  readonly moments: readonly Moment[];
  readonly marks: readonly { readonly t: number; readonly name: string }[];
  /** when something began [s], by its place in the plan */ readonly begun: readonly number[];
}

/** Sink of a steady glide [m/s]: D = q f + K (n W)^2 / (q S). @param load n; 1 where it does not turn */
export function sinkAt(
  { mass, area, density, dragArea, inducedFactor }: FlightTruth,
  speed: number,
  load = 1,
): number {
  const q = 0.5 * density * speed * speed,
    weight = mass * G0;
  return (speed * (q * dragArea + (inducedFactor * (load * weight) ** 2) / (q * area))) / weight;
}

/** The flight while it is flown: each manoeuvre leaves it to the next. */
class Pilot {
  readonly moments: Moment[] = [];
  readonly marks: { t: number; name: string }[] = [];
  private t = 0;
  private east = 0;
  private north = 0;
  private height = 0;
  private airspeed = 0;
  private heading: number;
  private onGround = true;

  constructor(
    private readonly truth: FlightTruth,
    heading: number,
  ) {
    this.heading = heading;
  }

  get now(): number {
    return this.t;
  }

  /** One step: through the air and with the wind, or along the ground. */
  private step(to: {
    climb: number;
    speed: number;
    rate?: number;
    load?: number;
    power: number;
    throttle: number;
  }) {
    const { truth } = this,
      rate = to.rate ?? 0;
    this.airspeed = to.speed;
    this.heading += rate * FINE;
    const flat = Math.sqrt(Math.max(0, to.speed ** 2 - to.climb ** 2));
    this.east += (flat * Math.sin(this.heading) + truth.windEast) * FINE;
    this.north += (flat * Math.cos(this.heading) + truth.windNorth) * FINE;
    this.height += to.climb * FINE;
    this.put(Math.atan((to.speed * rate) / G0), to.load, to.power, to.throttle);
  }

  private put(bank: number, load: number | undefined, power: number, throttle: number) {
    this.t += FINE;
    this.moments.push({
      t: this.t,
      east: this.east,
      north: this.north,
      height: this.height,
      airspeed: this.airspeed,
      heading: this.heading,
      bank,
      load: load ?? 1 / Math.cos(bank),
      power,
      throttle,
      onGround: this.onGround,
    });
  }

  /** Along the ground: the wind is ahead of it, and the ground holds it. */
  private roll(ground: number, power: number, throttle: number) {
    const { windEast, windNorth } = this.truth,
      ahead = -(windEast * Math.sin(this.heading) + windNorth * Math.cos(this.heading));
    this.east += ground * Math.sin(this.heading) * FINE;
    this.north += ground * Math.cos(this.heading) * FINE;
    this.airspeed = Math.max(0, ground + ahead);
    this.put(0, 1, power, throttle);
  }

  /** Towards a speed, no faster than it may. */
  private towards(speed: number): number {
    const off = speed - this.airspeed;
    return this.airspeed + Math.max(-SPEEDS_UP * FINE, Math.min(SPEEDS_UP * FINE, off));
  }

  private level(seconds: number, rate: number, speed = this.truth.lapSpeed) {
    const { lapPower } = this.truth;
    for (let s = 0; s < seconds - 1e-9; s += FINE)
      this.step({ climb: 0, speed: this.towards(speed), rate, power: lapPower, throttle: 0.6 });
  }

  private turnRate(speed: number): number {
    return (G0 * Math.tan(this.truth.turnBank)) / speed;
  }

  private readonly fly: { [K in Manoeuvre['kind']]: (m: Extract<Manoeuvre, { kind: K }>) => void } = {
    stand: ({ seconds }) => {
      for (let s = 0; s < seconds; s += FINE) this.roll(0, 0, 0);
    },
    run: () => {
      const { groundRun, liftOffSpeed, windEast, windNorth, fullPower } = this.truth,
        ahead = -(windEast * Math.sin(this.heading) + windNorth * Math.cos(this.heading)),
        lift = Math.max(1.5, liftOffSpeed - ahead),
        a = (lift * lift) / (2 * groundRun);
      for (let s = 0; s < lift / a; s += FINE) this.roll(a * (s + FINE / 2), fullPower, 1);
      this.onGround = false;
    },
    climb: ({ to }) => {
      const { climbRate, climbSpeed, fullPower } = this.truth;
      while (this.height < to)
        this.step({ climb: climbRate, speed: this.towards(climbSpeed), power: fullPower, throttle: 1 });
    },
    circles: ({ rounds }) => {
      const rate = this.turnRate(this.truth.lapSpeed);
      this.level(2, 0);
      this.level((2 * Math.PI * rounds) / rate, rate);
    },
    laps: ({ count, straight }) => {
      const rate = this.turnRate(this.truth.lapSpeed),
        [ue, un] = [Math.sin(this.heading), Math.cos(this.heading)],
        first = this.east * ue + this.north * un;
      // from post to post over ground, whatever the wind made of the turn
      for (let k = 0; k < 2 * count + 1; k++) {
        const out = k % 2 === 0 ? 1 : -1,
          post = first + (k % 2 === 0 ? straight : 0);
        while (out * (post - (this.east * ue + this.north * un)) > 0) this.level(FINE, 0);
        this.level(Math.PI / rate, rate);
      }
    },
    straight: ({ seconds }) => this.level(seconds, 0),
    turn: ({ by }) => {
      const rate = Math.sign(by) * this.turnRate(this.truth.lapSpeed);
      this.level(Math.abs(by / rate), rate);
    },
    glide: ({ speed, seconds }) => {
      for (let s = 0; s < seconds && this.height > 3; s += FINE) this.glideStep(speed);
    },
    stall: () => this.stall(),
    pull: ({ load }) => {
      const { lapPower } = this.truth;
      for (let s = 0; s < 1; s += FINE) {
        const n = 1 + (load - 1) * Math.sin(Math.PI * s) ** 2;
        this.step({ climb: 0, speed: this.airspeed, load: n, power: lapPower, throttle: 0.6 });
      }
    },
    mark: ({ name }) => this.marks.push({ t: this.t, name }),
    rise: ({ to }) => {
      this.onGround = false;
      while (this.height < to) this.hang(1.5, 1.15);
    },
    hover: ({ seconds }) => {
      for (let s = 0; s < seconds; s += FINE) this.hang(0, 1);
    },
    sink: () => {
      while (this.height > 0) this.hang(-0.8, 0.95);
      this.height = 0;
      this.onGround = true;
    },
    land: () => this.land(),
  };

  /** Over one place, whatever the wind. */
  private hang(climb: number, share: number) {
    this.airspeed = Math.hypot(this.truth.windEast, this.truth.windNorth);
    this.height += climb * FINE;
    this.put(0, 1, share * this.truth.hoverPower, 0.55);
  }

  /** Without power: what the speed gains the height loses. */
  private glideStep(speed: number, rate = 0) {
    const next = this.towards(speed),
      gained = (next * (next - this.airspeed)) / (G0 * FINE);
    // in a bank it carries more than its weight
    const n = 1 / Math.cos(Math.atan((next * rate) / G0));
    this.step({ climb: -sinkAt(this.truth, next, n) - gained, speed: next, rate, power: 0, throttle: 0 });
  }

  /** Held level without power until it is too slow, then down with the nose and out again. */
  private stall() {
    const { stallSpeed, mass } = this.truth;
    while (this.airspeed > stallSpeed) {
      const drag = (sinkAt(this.truth, this.airspeed) * mass * G0) / this.airspeed;
      this.step({ climb: 0, speed: this.airspeed - (drag / mass) * FINE, power: 0, throttle: 0 });
    }
    // it drops for a second, gathers speed and is caught
    let climb = 0;
    for (let s = 0; s < 1.6; s += FINE) {
      climb = Math.max(-5, climb - 5 * FINE);
      this.step({ climb, speed: this.airspeed + 2.5 * FINE, power: 0, throttle: 0, load: 0.6 });
    }
    for (; climb < 0; climb += 4 * FINE)
      this.step({ climb, speed: this.airspeed, power: this.truth.lapPower, throttle: 0.6, load: 1.4 });
    this.level(4, 0);
  }

  private land() {
    const { stallSpeed, landingRun } = this.truth,
      approach = 1.3 * stallSpeed;
    // round and round over one place, then straight
    while (this.height > CIRCLES_TO) this.glideStep(approach, this.turnRate(approach));
    while (this.height > 0) this.glideStep(approach);
    this.height = 0;
    this.onGround = true;
    const { windEast, windNorth } = this.truth;
    let ground = Math.max(
      1,
      this.airspeed + windEast * Math.sin(this.heading) + windNorth * Math.cos(this.heading),
    );
    const brakes = (ground * ground) / (2 * landingRun);
    for (; ground > 0; ground -= brakes * FINE) this.roll(ground, 0, 0);
  }

  all(plan: readonly Manoeuvre[]): Flown {
    const begun: number[] = [];
    for (const m of plan) {
      begun.push(this.t);
      (this.fly[m.kind] as (m: Manoeuvre) => void)(m);
    }
    return { moments: this.moments, marks: this.marks, begun };
  }
}

/** @param heading at the start, from north [rad]; into the wind where left out */
export function flyPlan(
  truth: FlightTruth,
  plan: readonly Manoeuvre[],
  heading = Math.atan2(-truth.windEast, -truth.windNorth),
): Flown {
  return new Pilot(truth, heading).all(plan);
}
