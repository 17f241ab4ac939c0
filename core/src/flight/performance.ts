/**
 * Point performance from drag and thrust against speed. Sources: Anderson, Introduction to Flight, ch. 6
 * (level flight, climb, glide, take-off). Small climb angles: lift equals weight.
 */
import { G0 } from '../air';
import { findMinimum, findRoot } from '../numeric';

/** What performance needs to know of an aircraft in one loading. Forces in N, speeds in m/s. */
export interface PointModel {
  readonly mass: number;
  readonly density: number;
  readonly area: number;
  readonly clMax: number;
  /** drag at airspeed V carrying n times the weight */ drag(speed: number, loadFactor?: number): number;
  /** thrust at full throttle */ fullThrust(speed: number): number;
  /** a speed past all that is flown, where the search for a level speed begins [m/s]; eight times the stall where left out */
  readonly fastest?: number;
}

/** Stall speed at a load factor n: sqrt(2 n W / (rho S CLmax)). Anderson 6.67 */
export function stallSpeed(
  m: Pick<PointModel, 'mass' | 'density' | 'area' | 'clMax'>,
  loadFactor = 1,
): number {
  return Math.sqrt((2 * loadFactor * m.mass * G0) / (m.density * m.area * m.clMax));
}

/**
 * Speeds at which a thrust holds level flight: the slow one on the back of the drag curve (null where that lies
 * below the stall) and the fast one.
 */
export interface LevelSpeeds {
  slow: number | null;
  fast: number;
}

/**
 * Both crossings of thrust and drag above the stall; null when drag exceeds thrust at every speed.
 * The excess is sampled over the aircraft's own scale and its greatest value sought between the best
 * neighbours, so that two crossings close
 * together are not stepped over; each is then bracketed.
 */
export function levelSpeeds(
  m: PointModel,
  thrust: (v: number) => number,
  loadFactor = 1,
): LevelSpeeds | null {
  const lo = stallSpeed(m, loadFactor);
  const excess = (v: number) => thrust(v) - m.drag(v, loadFactor);
  let hi = Math.max(m.fastest ?? 0, 2 * lo);
  if (m.fastest === undefined) hi = 8 * lo;
  for (let k = 0; k < 12 && excess(hi) > 0; k++) hi *= 1.5;
  const N = 24,
    at = (i: number) => lo * (hi / lo) ** (i / N);
  const found = Array.from({ length: N + 1 }, (_, i) => excess(at(i)));
  const best = found.reduce((b, e, i) => (e > found[b] ? i : b), 0);
  let top = at(best);
  if (!(found[best] > 0)) {
    top = findMinimum((v) => -excess(v), at(Math.max(0, best - 1)), at(Math.min(N, best + 1))).x;
    if (!(excess(top) > 0)) return null;
  }
  const crossing = (a: number, b: number): number | null => {
    const r = findRoot(excess, a, b, 1e-9);
    return r.status === 'no-bracket' ? null : r.x;
  };
  // of several, the outermost: the fastest that is held
  const outer = found.findLastIndex((e) => e > 0);
  const fast = outer >= 0 ? crossing(at(outer), at(outer + 1)) : crossing(top, at(Math.min(N, best + 1)));
  if (fast === null) return null;
  return { slow: found[0] > 0 ? null : crossing(lo, top), fast };
}

/** Greatest level speed for a thrust curve; null when drag exceeds thrust at every speed above the stall. */
export function levelSpeed(m: PointModel, thrust: (v: number) => number, loadFactor = 1): number | null {
  return levelSpeeds(m, thrust, loadFactor)?.fast ?? null;
}

/** Rate of climb [m/s] at a mass [kg] by what thrust has over drag [N] at an airspeed V [m/s]: (T - D) V / W. Anderson 6.50 */
export function climbBy(mass: number, excess: number, speed: number): number {
  return (excess * speed) / (mass * G0);
}

/** Rate of climb [m/s] at full throttle and an airspeed [m/s]. */
export function climbAt(m: PointModel, speed: number): number {
  return climbBy(m.mass, m.fullThrust(speed) - m.drag(speed), speed);
}

/** Best rate of climb [m/s] at full throttle and its speed. */
export function bestClimb(m: PointModel): { rate: number; speed: number } {
  const lo = 1.05 * stallSpeed(m);
  const r = findMinimum((v) => -climbAt(m, v), lo, Math.max(2.8 * lo, m.fastest ?? lo + 5));
  return { rate: -r.value, speed: r.x };
}

/** Best glide ratio with its speed, and least sink [m/s] with its speed. */
export function glide(m: Omit<PointModel, 'fullThrust'>): {
  ratio: number;
  speed: number;
  sink: number;
  sinkSpeed: number;
} {
  const lo = stallSpeed(m);
  const best = findMinimum((v) => m.drag(v), lo, 3.5 * lo);
  const sink = findMinimum((v) => (m.drag(v) * v) / (m.mass * G0), lo, 3.5 * lo);
  return { ratio: (m.mass * G0) / best.value, speed: best.x, sink: sink.value, sinkSpeed: sink.x };
}

export interface GroundRunInput {
  /** rolling friction coefficient */ friction: number;
  /** head wind [m/s] */ wind: number;
  /** lift-off airspeed over stall speed */ liftOffFactor: number;
  /** lift coefficient while rolling */ groundCl: number;
  /** drag area while rolling at groundCl [m2] */ dragArea: number;
  /** of the strip, uphill positive [rad] */ slope?: number;
  /** rolls with it and stays behind: a dolly [kg] */ carried?: number;
}

export type GroundRun =
  | { status: 'airborne'; distance: number; time: number; liftOffSpeed: number }
  | { status: 'never'; reason: 'thrust below friction' };

/**
 * Ground run by integrating over airspeed: m V_ground dV / (T - D - mu (W - L) - W sin slope). Anderson 6.95 with varying
 * forces; a dolly's mass rolls with it.
 * Stops as `never` when the net force is not positive somewhere before lift-off.
 */
export function groundRun(m: PointModel, g: GroundRunInput): GroundRun {
  const vLo = g.liftOffFactor * stallSpeed(m);
  const from = Math.min(g.wind, vLo);
  const N = 60,
    carried = g.carried ?? 0,
    rolling = m.mass + carried,
    uphill = rolling * G0 * Math.sin(g.slope ?? 0);
  let distance = 0,
    time = 0;
  for (let i = 0; i < N; i++) {
    const v = from + ((vLo - from) * (i + 0.5)) / N;
    const q = 0.5 * m.density * v * v;
    const net =
      m.fullThrust(v) -
      q * g.dragArea -
      uphill -
      g.friction * (carried * G0 + Math.max(0, m.mass * G0 - q * m.area * g.groundCl));
    if (!(net > 0)) return { status: 'never', reason: 'thrust below friction' };
    const dv = (vLo - from) / N;
    distance += (rolling * (v - g.wind) * dv) / net;
    time += (rolling * dv) / net;
  }
  return { status: 'airborne', distance, time, liftOffSpeed: vLo };
}
