/**
 * Level flight on rotors. Signs: V ahead, the disc leans forward by alpha, so that thrust T points alpha ahead of upright;
 * the air passes through the disc from above at V sin alpha + v_i.
 *   v_i = v_h^2 / sqrt((V cos alpha)^2 + (V sin alpha + v_i)^2),  v_h^2 = T / (2 rho A)     (Glauert 1926)
 *   T sin alpha = D,  T cos alpha = W
 *   P = k T v_i + P_0 (1 + 4.65 mu^2) + D V,  mu = V cos alpha / (omega R)
 * k = 1.15 and 4.65: Leishman, Principles of Helicopter Aerodynamics, 2.14 and 5.4 (from memory). Standing still P is that
 * of the blade elements: P_0 is what they take beyond k T v_h. Pack power is what the drive takes for as much shaft power
 * standing still.
 */
import { interpolateLinear } from '../numeric';
import { operate, MEAN_SOC, type Drive } from './electric';
import { discArea } from './hover';
import { inducedFlow } from './inducedFlow';

/** Induced power over that of an even flow. */
export const INDUCED_FACTOR = 1.15;
/** Growth of profile power with the square of the advance ratio. */
const PROFILE_GROWTH = 4.65;
/** Profile power is at least this share of all, however good the blades' table says they are. */
const LEAST_PROFILE = 0.08;

/** What the air holds against the frame along and across it: drag coefficient times area [m2]. */
export interface FrameDrag {
  readonly front: number;
  readonly side: number;
  readonly top: number;
}

/** Drag area of a frame that leans into the flow [m2]. */
export function leaningDragArea(f: Pick<FrameDrag, 'front' | 'top'>, lean: number): number {
  return f.front * Math.abs(Math.cos(lean)) + f.top * Math.abs(Math.sin(lean));
}

/** A drive standing still over its throttle: what it takes for what it gives, ascending. */
export interface StandingTable {
  readonly thrust: readonly number[];
  readonly shaft: readonly number[];
  readonly power: readonly number[];
  readonly current: readonly number[];
  readonly omega: readonly number[];
}

const DUTIES = Array.from({ length: 16 }, (_, i) => (i + 1) / 16);

export function standingTable(d: Drive, soc = MEAN_SOC): StandingTable {
  const points = DUTIES.map((duty) => operate(d, duty, 0, soc)),
    of = (pick: (p: (typeof points)[number]) => number) => [0, ...points.map(pick)];
  return {
    thrust: of((p) => p.thrust),
    shaft: of((p) => p.shaftPower),
    power: [d.avionics * points[0].voltage, ...points.map((p) => p.power)],
    current: [d.avionics, ...points.map((p) => p.current)],
    omega: of((p) => p.omega),
  };
}

export interface RotorCraft {
  readonly drive: Drive;
  readonly table: StandingTable;
  /** [N] */ readonly weight: number;
  readonly frame: FrameDrag;
  /** [kg/m3] */ readonly density: number;
}

export interface RotorPoint {
  readonly speed: number;
  /** [rad] */ readonly lean: number;
  readonly thrust: number;
  /** from the pack [W]; NaN beyond what the drive gives */ readonly power: number;
  readonly shaft: number;
  readonly current: number;
  /** shaft power to spare over the weight: how fast it would rise [m/s]; below 0 it sinks */ readonly climb: number;
  /** it can be held */ readonly held: boolean;
}

/** Shaft power standing still at a thrust [W]. */
const shaftFor = (t: StandingTable, thrust: number) => interpolateLinear(t.thrust, t.shaft, thrust);

/**
 * Pack power of rotors that give a thrust at a speed, leaning forward [W], and whether the drive can.
 * @param lean of the discs, rad: their thrust does work on what it pulls along
 */
export function tiltedPower(
  drive: Drive,
  table: StandingTable,
  thrust: number,
  speed: number,
  lean: number,
): { shaft: number; power: number; current: number; held: boolean } {
  const area = discArea(drive),
    hover = Math.sqrt(thrust / (2 * drive.density * area)),
    standing = shaftFor(table, Math.min(thrust, table.thrust.at(-1)!));
  const ideal = thrust * hover,
    k = Math.min(INDUCED_FACTOR, (1 - LEAST_PROFILE) * (standing / ideal)),
    tip = (interpolateLinear(table.thrust, table.omega, thrust) * drive.curve.size.diameter) / 2,
    mu = (speed * Math.cos(lean)) / Math.max(tip, 1e-6);
  const shaft =
    k * thrust * inducedFlow(hover, speed, lean) +
    (standing - k * ideal) * (1 + PROFILE_GROWTH * mu * mu) +
    thrust * Math.sin(lean) * speed;
  const held = shaft <= table.shaft.at(-1)! && thrust <= table.thrust.at(-1)!,
    of = (y: readonly number[]) => (held ? interpolateLinear(table.shaft, y, shaft) : NaN);
  return { shaft, power: of(table.power), current: of(table.current), held };
}

/** Level flight at a speed. */
export function rotorPoint(c: RotorCraft, speed: number): RotorPoint {
  const { table, drive, weight, density } = c,
    q = 0.5 * density * speed * speed;
  let lean = 0;
  for (let i = 0; i < 14; i++) lean = Math.atan2(q * leaningDragArea(c.frame, lean), weight);
  const drag = q * leaningDragArea(c.frame, lean),
    thrust = Math.hypot(weight, drag),
    taken = tiltedPower(drive, table, thrust, speed, lean);
  return { speed, lean, thrust, ...taken, climb: (table.shaft.at(-1)! - taken.shaft) / weight };
}

export interface RotorFlight {
  readonly rows: readonly RotorPoint[];
  /** least power, and most way for it; null where it does not hover */ readonly longest: RotorPoint | null;
  readonly farthest: RotorPoint | null;
  /** fastest that it holds level inside its lean and its power */ readonly fastest: RotorPoint | null;
  /** what ends it there */ readonly by: 'lean' | 'power' | 'never';
  /** straight up at full throttle [m/s]; 0 where it does not lift */ readonly rise: number;
  /** coming straight down, its own wash recirculates from the first to the second [m/s] (Leishman 2.13.6, from memory) */
  readonly ring: readonly [number, number];
}

/** Speeds are gone through in steps of this [m/s], up to this. */
const STEP = 1,
  MOST_SPEED = 60;

/** @param lean largest that is flown, rad */
export function rotorFlight(c: RotorCraft, lean: number): RotorFlight {
  const rows: RotorPoint[] = [];
  let by: RotorFlight['by'] = 'never';
  for (let v = 0; v <= MOST_SPEED; v += STEP) {
    const p = rotorPoint(c, v);
    if (!p.held || p.lean > lean) {
      by = p.held ? 'lean' : 'power';
      break;
    }
    rows.push(p);
  }
  const last = rows.at(-1) ?? null,
    least = (of: (p: RotorPoint) => number) => leastBy(c, rows, of);
  const vh = Math.sqrt(c.weight / (2 * c.density * discArea(c.drive)));
  return {
    rows,
    longest: least((p) => p.power),
    farthest: least((p) => (p.speed > 0 ? p.power / p.speed : 1e9)),
    fastest: last && edge(c, last, lean),
    by,
    rise: riseOf(c),
    ring: [0.5 * vh, 1.5 * vh],
  };
}

/** The row that has the least of something, and between its neighbours the speed that has less: no steps in it. */
function leastBy(
  c: RotorCraft,
  rows: readonly RotorPoint[],
  of: (p: RotorPoint) => number,
): RotorPoint | null {
  if (!rows.length) return null;
  const best = rows.reduce((a, p) => (of(p) < of(a) ? p : a)),
    last = rows[rows.length - 1].speed;
  let low = Math.max(0, best.speed - STEP),
    high = Math.min(last, best.speed + STEP);
  for (let i = 0; i < 18; i++) {
    const a = low + 0.382 * (high - low),
      b = high - 0.382 * (high - low);
    if (of(rotorPoint(c, a)) < of(rotorPoint(c, b))) high = b;
    else low = a;
  }
  const found = rotorPoint(c, (low + high) / 2);
  return of(found) < of(best) ? found : best;
}

/** Between the last row that holds and the next, to a centimetre a second: so that no spread of it is a step. */
function edge(c: RotorCraft, last: RotorPoint, lean: number): RotorPoint {
  let low = last,
    high = last.speed + STEP;
  for (let i = 0; i < 16; i++) {
    const p = rotorPoint(c, (low.speed + high) / 2);
    if (p.held && p.lean <= lean) low = p;
    else high = p.speed;
  }
  return low;
}

/** Speed straight up at which full throttle just carries weight and drag [m/s]. */
function riseOf({ drive, weight, frame, density }: RotorCraft): number {
  const spare = (v: number) => operate(drive, 1, v).thrust - weight - 0.5 * density * v * v * frame.top;
  if (!(spare(0) > 0)) return 0;
  let low = 0,
    high = 1;
  while (spare(high) > 0 && high < 80) high *= 1.5;
  for (let i = 0; i < 30; i++) {
    const v = (low + high) / 2;
    if (spare(v) > 0) low = v;
    else high = v;
  }
  return low;
}
