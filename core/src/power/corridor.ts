/**
 * From rotors to wing: at every speed the wing carries what it may with its margin before the stall, the rotors the rest; the
 * drag is pulled by the cruise unit, or by the tilt of the shafts. Level and steady.
 *   lift L = min(W, q S CLmax / m^2), m the margin in speed;  rotors T_v = W - L
 *   lift and cruise: T_v upright, thrust D from the cruise unit
 *   tilting: T = hypot(T_v, D), leaning atan(D / T_v)
 * Upright rotors by Glauert's induced flow (see rotorFlight.ts), tilting ones by blade elements along their shaft.
 * Leishman, Principles of Helicopter Aerodynamics, 6 (from memory).
 */
import { operate, operateForThrust, type Drive } from './electric';
import { tiltedPower, type StandingTable } from './rotorFlight';

export interface Changing {
  /** of the lifting motors, and their table standing still */ readonly lift: Drive;
  readonly table: StandingTable;
  /** null: the lifting shafts themselves tilt */ readonly cruise: Drive | null;
  /** [N], [kg/m3], [m2] */ readonly weight: number;
  readonly density: number;
  readonly area: number;
  readonly clMax: number;
  /** drag of the aircraft at a speed, carrying a lift [N] */ drag(speed: number, lift: number): number;
  /** drag area of rotors that stand or turn idle in the flow [m2] */ readonly rotorDragArea: number;
}

export interface CorridorPoint {
  readonly speed: number;
  /** of the weight, on the wing */ readonly wing: number;
  readonly lift: number;
  /** of the shafts from upright [rad]; 0 where they do not tilt */ readonly tilt: number;
  /** from the packs [W]; NaN where it cannot be held */ readonly power: number;
  readonly held: boolean;
}

/** Below this share of the stall speed a wing is not reckoned to be flying: its drag is a plate's, the rotors carry all. */
const FLYING = 0.3;
/** Drag coefficient of a wing and body too slow to fly; common practice, no source. */
const BLUFF = 0.1;

/** Level and steady at a speed. @param margin in speed that the wing keeps over its stall */
export function corridorPoint(c: Changing, speed: number, margin: number): CorridorPoint {
  const q = 0.5 * c.density * speed * speed,
    most = (q * c.area * c.clMax) / (margin * margin),
    stall = Math.sqrt((2 * c.weight) / (c.density * c.area * c.clMax)),
    flying = speed > FLYING * stall,
    lift = flying ? Math.min(c.weight, most) : 0;
  const drag = q * c.rotorDragArea + (flying ? c.drag(speed, lift) : q * c.area * BLUFF),
    upright = c.weight - lift;
  const both = c.cruise ? apart(c, c.cruise, upright, drag, speed) : tilting(c, upright, drag, speed);
  return { speed, wing: lift / c.weight, lift, ...both };
}

type Carried = Pick<CorridorPoint, 'tilt' | 'power' | 'held'>;

function apart(c: Changing, cruise: Drive, upright: number, drag: number, speed: number): Carried {
  const pull = operateForThrust(cruise, drag, speed),
    up = upright > 1e-6 ? tiltedPower(c.lift, c.table, upright, speed, 0) : { power: 0, held: true },
    held = pull.duty <= 1 && up.held;
  return { tilt: 0, held, power: held ? pull.power + up.power : NaN };
}

/** Blade elements in the flow along the shaft; what the flow across the discs saves is left out: on the safe side. */
function tilting(c: Changing, upright: number, drag: number, speed: number): Carried {
  const tilt = Math.atan2(drag, upright),
    along = operateForThrust(c.lift, Math.hypot(upright, drag), speed * Math.sin(tilt)),
    held = along.duty <= 1;
  return { tilt, held, power: held ? along.power : NaN };
}

export interface Change {
  readonly time: number;
  readonly distance: number;
  readonly energy: number;
  readonly done: boolean;
}

/** Slower than this it does not get there [m/s2]. */
const LEAST_ACCELERATION = 0.02;
/** Equal steps of speed that a change is gone through in. */
const STEPS = 10;

/** Middles of steps of speed from standing to a goal: force to spare [N], pack power steady and with all of it used [W]. */
export interface Way {
  readonly step: number;
  readonly rows: readonly { speed: number; spare: number; steady: number; most: number; held: boolean }[];
}

/** @param margin in speed that the wing keeps over its stall */
export function wayTo(c: Changing, goal: number, margin: number): Way {
  const step = goal / STEPS,
    speeds = Array.from({ length: STEPS }, (_, i) => (i + 0.5) * step);
  return {
    step,
    rows: speeds.map((speed) => {
      const p = corridorPoint(c, speed, margin),
        most = mostPower(c, speed);
      return { speed, spare: spareForce(c, p), steady: p.power, most, held: p.held };
    }),
  };
}

/** @param mass kg @param pace share of the force to spare that is used: 1 is as fast as it can */
export function changeAlong({ step, rows }: Way, mass: number, pace: number): Change {
  let time = 0,
    distance = 0,
    energy = 0;
  for (const r of rows) {
    const a = (pace * r.spare) / mass;
    if (!r.held || !(a > LEAST_ACCELERATION)) return { time, distance, energy, done: false };
    const dt = step / a;
    time += dt;
    distance += r.speed * dt;
    energy += (r.steady + pace * Math.max(0, r.most - r.steady)) * dt;
  }
  return { time, distance, energy, done: true };
}

/** Force to spare ahead at a point of the corridor [N]. */
function spareForce(c: Changing, p: CorridorPoint): number {
  const q = 0.5 * c.density * p.speed * p.speed,
    drag = q * c.rotorDragArea + (p.lift > 0 ? c.drag(p.speed, p.lift) : q * c.area * BLUFF);
  if (c.cruise) return operate(c.cruise, 1, p.speed).thrust - drag;
  const upright = c.weight - p.lift,
    most = 0.9 * operate(c.lift, 1, p.speed * Math.sin(p.tilt)).thrust;
  return Math.sqrt(Math.max(0, most * most - upright * upright)) - drag;
}

const mostPower = (c: Changing, speed: number) =>
  c.cruise ? operate(c.cruise, 1, speed).power : c.table.power.at(-1)!;
