/**
 * Ways of leaving that are no run: thrown, slung, pulled, let off a rail, dropped. Point mass in the vertical plane,
 *   m dV/dt = T - D - W sin g,  m V dg/dt = L - W cos g
 * flown at the lift that brings the path to its aim within half a second, inside 0.9 of the largest lift; energy of a line
 * by its work. SI; angles in radians, up positive. Elementary mechanics; shares that are lost are common practice, no source.
 */
import { G0 } from '../air';
import { requirePositive } from '../numeric';
import type { PointModel } from './performance';
import { stallSpeed } from './performance';

/** Share of the largest lift that is flown in the first seconds. */
const USED_LIFT = 0.9;
/** Time in which the path is brought to its aim [s], and step of the integration [s]. */
const AIM_TIME = 0.5,
  STEP = 0.02,
  LONGEST = 12;

export interface Departure {
  /** airspeed and path angle when it is let go [m/s, rad] */ readonly speed: number;
  readonly angle: number;
  /** above ground [m] */ readonly height: number;
  /** of the path that it is brought to [rad] */ readonly aim: number;
}

export interface Away {
  /** lowest above ground until it flies [m]; below 0 it meets the ground */ readonly lowest: number;
  /** from where it was let go to there [m] */ readonly lost: number;
  /** let go at, over the stall speed in level flight */ readonly overStall: number;
  /** it flies: path at its aim, faster than 1.05 times the stall */ readonly flies: boolean;
  /** until it does [s], and how far ahead [m] */ readonly time: number;
  readonly distance: number;
}

/** The first seconds after it is let go. */
export function away(m: PointModel, from: Departure): Away {
  requirePositive('speed at which it is let go', from.speed);
  const stall = stallSpeed(m),
    weight = m.mass * G0,
    k = 0.5 * m.density * m.area;
  let v = from.speed,
    g = from.angle,
    h = from.height,
    x = 0,
    t = 0,
    lowest = h;
  const flies = () => Math.abs(g - from.aim) < 0.03 && v > 1.05 * stall;
  while (t < LONGEST && h > -50 && !flies()) {
    const most = k * v * v * m.clMax * USED_LIFT,
      wanted = weight * Math.cos(g) + ((m.mass * v) / AIM_TIME) * (from.aim - g),
      lift = Math.min(most, Math.max(-0.3 * most, wanted)),
      drag = m.drag(Math.max(v, 0.3 * stall), Math.abs(lift) / weight);
    const a = (m.fullThrust(v) - drag) / m.mass - G0 * Math.sin(g),
      turn = (lift - weight * Math.cos(g)) / (m.mass * Math.max(v, 0.5));
    v = Math.max(0.2, v + a * STEP);
    g = Math.max(-1.5, Math.min(1.5, g + turn * STEP));
    h += v * Math.sin(g) * STEP;
    x += v * Math.cos(g) * STEP;
    t += STEP;
    lowest = Math.min(lowest, h);
  }
  return {
    lowest,
    lost: from.height - lowest,
    overStall: from.speed / stall,
    flies: flies(),
    time: t,
    distance: x,
  };
}

/** Slower than this it is not thrown [m/s]. */
const SLOWEST = 0.3;

/**
 * Least speed over the ground at which it is thrown and stays above a height [m/s]; null where none under `most` does, or
 * any.
 */
export function throwNeeded(
  m: PointModel,
  from: Omit<Departure, 'speed'> & { readonly wind: number },
  clear: number,
  most: number,
): number | null {
  const holds = (speed: number) => {
    const a = away(m, { ...from, speed: speed + from.wind });
    return a.flies && a.lowest >= clear;
  };
  // what flies when it is merely let go needs no throw
  if (!holds(most) || holds(SLOWEST)) return null;
  let low = SLOWEST,
    high = most;
  for (let i = 0; i < 9; i++) {
    const mid = (low + high) / 2;
    if (holds(mid)) high = mid;
    else low = mid;
  }
  return high;
}

export interface Sling {
  /** pull at full stretch [N], falling evenly to nothing over its stretch [m] */ readonly pull: number;
  readonly stretch: number;
  /** share of its work that reaches the aircraft */ readonly efficiency: number;
}

/**
 * Speed that a stretched line gives [m/s over the ground]: half of pull times stretch, what is lost in the line taken out.
 * @param resistance mean force against it meanwhile, drag and friction less thrust [N]
 */
export function slungSpeed(mass: number, s: Sling, resistance: number): number {
  const work = s.efficiency * 0.5 * s.pull * s.stretch - resistance * s.stretch;
  return Math.sqrt(Math.max(0, (2 * work) / mass));
}

/** Speed at the end of a rail [m/s over the ground]. @param force along it, N @param angle of the rail, up [rad] */
export function railSpeed(
  mass: number,
  rail: {
    readonly force: number;
    readonly length: number;
    readonly angle: number;
    readonly friction: number;
  },
): number {
  const weight = mass * G0,
    net = rail.force - weight * (Math.sin(rail.angle) + rail.friction * Math.cos(rail.angle));
  return Math.sqrt(Math.max(0, (2 * net * rail.length) / mass));
}

/** Load factor that stops it from a speed in a distance, evenly [g]. */
export function stoppingLoad(speed: number, distance: number): number {
  return (speed * speed) / (2 * distance * G0);
}

/**
 * Distance to rest from over an obstacle [m]: down to the flare at the angle of approach, the flare as an arc of 1.2 g at
 * 1.23 times the stall, then the run. Anderson, Introduction to Flight, 6.16 (from memory).
 * @param angle of the approach below the horizontal, rad
 */
export function overObstacle(stall: number, angle: number, height: number, run: number): number {
  const speed = 1.23 * stall,
    radius = (speed * speed) / (0.2 * G0),
    flare = radius * (1 - Math.cos(angle)),
    down = Math.max(0, height - flare) / Math.tan(angle);
  return down + radius * Math.sin(angle) + run;
}
