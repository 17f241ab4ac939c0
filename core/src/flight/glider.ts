/**
 * What a glider, or a motor glider between climbs, lives by: the speeds it is flown at, climb-and-glide cycles, the winds a
 * slope can be flown in. Slope lift is taken as 0.6 of the wind times the sine of the slope, in the band ahead of the brow
 * (order of size only; common practice, no source).
 */
import { G0 } from '../air';
import { findRoot } from '../numeric';
import { bestClimb, glide, stallSpeed, type PointModel } from './performance';

export interface GlideRange {
  stall: number;
  sinkSpeed: number;
  sink: number;
  glideSpeed: number;
  ratio: number;
  /** fastest at a glide of 5 [m/s]: about how fast it still gets back */ fast: number;
  /** glide against the wind from a height [m], at the best speed for it; 0 when it is blown back */ reach(
    height: number,
    wind: number,
  ): { distance: number; speed: number };
}

/** Sink [m/s] at airspeed V: D V / W. */
export function sinkAt(m: PointModel, speed: number): number {
  return (m.drag(speed) * speed) / (m.mass * G0);
}

export function glideRange(m: PointModel): GlideRange {
  const g = glide(m),
    stall = stallSpeed(m),
    r = findRoot((v) => v / sinkAt(m, v) - 5, g.speed, 6 * stall, 1e-5);
  return {
    stall,
    sinkSpeed: g.sinkSpeed,
    sink: g.sink,
    glideSpeed: g.speed,
    ratio: g.ratio,
    fast: r.status === 'no-bracket' ? (g.ratio > 5 ? 6 * stall : g.speed) : r.x,
    reach: (height, wind) => {
      let best = { distance: 0, speed: g.speed };
      for (let i = 0; i <= 60; i++) {
        const v = 1.05 * stall * (1 + (2.2 * i) / 60),
          d = (Math.max(0, v - wind) / sinkAt(m, v)) * height;
        if (d > best.distance) best = { distance: d, speed: v };
      }
      return best;
    },
  };
}

export interface ClimbGlide {
  /** [s], [J] */ climbTime: number;
  climbEnergy: number;
  glideTime: number;
  cycles: number;
  /** all of them [s] */ total: number;
  meanPower: number;
}

/**
 * Motor on to a height, off and down at the least sink, again and again.
 * @param power from the pack in the climb, and with the motor off [W] @param usable energy [J], reserve taken off
 * @returns null when it does not climb
 */
export function climbGlide(
  m: PointModel,
  height: number,
  power: { climb: number; off: number },
  usable: number,
): ClimbGlide | null {
  const climb = bestClimb(m).rate;
  if (!(climb > 0.1)) return null;
  const climbTime = height / climb,
    glideTime = height / glide(m).sink,
    climbEnergy = climbTime * power.climb,
    cycle = climbEnergy + glideTime * power.off;
  const cycles = usable / cycle;
  return {
    climbTime,
    climbEnergy,
    glideTime,
    cycles,
    total: cycles * (climbTime + glideTime),
    meanPower: cycle / (climbTime + glideTime),
  };
}

const SLOPE_SHARE = 0.6;

export interface SlopeWindow {
  /** least and most wind [m/s]; null when no wind does it */ from: number;
  to: number;
}

/** Winds in which a slope of an angle [rad] holds it up and it still gets forward, at no more than the speed of a glide of 5. */
export function slopeWindow(m: PointModel, slope: number): SlopeWindow | null {
  const stall = stallSpeed(m),
    { fast } = glideRange(m),
    speeds = Array.from({ length: 80 }, (_, i) => 1.05 * stall * (1 + (3 * i) / 79)).filter((v) => v <= fast),
    sinks = speeds.map((v) => sinkAt(m, v));
  const flies = (w: number) =>
    speeds.some((v, i) => v >= w * Math.cos(slope) && sinks[i] <= SLOPE_SHARE * w * Math.sin(slope));
  let from = -1,
    to = -1;
  for (let w = 0.1; w <= 40; w += 0.1)
    if (flies(w)) {
      if (from < 0) from = w;
      to = w;
    } else if (from >= 0) break;
  return from < 0 ? null : { from, to };
}
