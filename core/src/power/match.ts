/**
 * Motor, propeller, pack and controller chosen together: every sensible combination of a parts list, flown on paper in one
 * airframe. The airframe is its mass without the drive, a drag polar D = q A0 + k L^2 / q, and what it must do.
 * Ground run by mean acceleration at 0.7 of the lift-off speed (Anderson, Introduction to Flight, section 6.15); the
 * assessment of the one that is taken integrates it. Heat is left to the chain of the one that is taken.
 */
import { say, type Said } from '../words';
import { packOf } from './battery';
import { ESC_VOLTS, type PartsList } from './catalogue';
import { buildDrive, operate, operateForThrust, type Drive, type DriveParts } from './electric';
import { TIP_LIMIT } from './driveChain';
import { propellerCurve, type PropellerCurve } from './propeller';

export interface MatchTask {
  /** all-up without motor, propeller, pack and controller [kg] */ airframeMass: number;
  area: number;
  clMax: number;
  /** drag area without lift [m2] */ dragArea: number;
  /** D_i = k L^2 / q, k [1/m2] */ induced: number;
  density: number;
  soundSpeed: number;
  gravity: number;
  /** between pack and controller, as it is laid now */ wire?: DriveParts['wire'];
  avionics: number;
  reserve: number;
  factors: { thrust: number; electricalLoss: number; capacity: number; torque: number };
  /** [m] and [m/s]; null for a launch by hand */ strip: number | null;
  wind: number;
  friction: number;
  groundCl: number;
  liftOffFactor: number;
  /** throttle of the task, and the airspeed thrust is compared at */ throttle: number;
  speed: number;
  limits: {
    diameter: number | null;
    current: number | null;
    mass: number | null;
    climb: number;
    time: number;
    margin: number;
  };
}

/** Why a combination is out; none when it stays in. */
export type OutReason =
  | 'diameter'
  | 'cells'
  | 'current'
  | 'pack current'
  | 'fuse'
  | 'controller'
  | 'tip speed'
  | 'mass'
  | 'no level flight'
  | 'climb'
  | 'strip'
  | 'time';

export interface MatchRow {
  /** place in the list of all combinations */ index: number;
  motor: string;
  propeller: string;
  pack: string;
  esc: string;
  mass: number;
  staticThrust: number;
  current: number;
  thrustAtSpeed: number;
  /** level at the task's throttle [m/s], 0 when it does not hold it */ levelSpeed: number;
  climb: number;
  run: number;
  /** at that speed, less the reserve [s] */ time: number;
  /** nearest limit of motor, pack, controller: 1 is at it */ used: number;
  out: OutReason[];
}

/** A reason with the row's own figures. */
export function outSaid(reason: OutReason, r: MatchRow, t: MatchTask): Said {
  const { limits } = t,
    { current } = r;
  switch (reason) {
    case 'diameter':
      return say('out-diameter', { limit: limits.diameter });
    case 'current':
    case 'pack current':
      return say(`out-${reason}`, { current });
    case 'fuse':
      return say('out-fuse', { current, limit: limits.current ?? 0 });
    case 'tip speed':
      return say('out-tip speed', { limit: TIP_LIMIT });
    case 'mass':
      return say('out-mass', { mass: r.mass });
    case 'climb':
      return say('out-climb', { climb: r.climb, asked: limits.climb });
    case 'strip':
      return say('out-strip', { run: r.run });
    case 'time':
      return say('out-time', { time: r.time, asked: limits.time });
    default:
      return say(`out-${reason}`, {});
  }
}

export function combinationCount(p: PartsList): number {
  return p.motors.length * p.propellers.length * p.packs.length;
}

const dragOf = (t: MatchTask, mass: number, v: number) => {
  const q = 0.5 * t.density * v * v;
  return q * t.dragArea + (t.induced * (mass * t.gravity) ** 2) / q;
};

/** Level speed at a throttle: from the fast side down to the crossing of thrust and drag, by halving. */
function levelAt(t: MatchTask, d: Drive, mass: number, stall: number): number {
  let lo = stall,
    hi = 2.2 * stall;
  const excess = (v: number) => operate(d, t.throttle, v).thrust - dragOf(t, mass, v);
  while (excess(hi) > 0 && hi < 90) {
    lo = hi;
    hi *= 1.35;
  }
  if (lo === stall && !(excess(lo) > 0)) {
    // behind the power curve: look a little faster before giving up
    lo = 1.35 * stall;
    if (!(excess(lo) > 0)) return 0;
  }
  for (let i = 0; i < 14; i++) {
    const m = 0.5 * (lo + hi);
    if (excess(m) > 0) lo = m;
    else hi = m;
  }
  return 0.5 * (lo + hi);
}

/** What every slice of one search shares: coefficients of each propeller, packs worked out. */
export interface MatchBench {
  curves: PropellerCurve[];
}

export function prepareMatch(parts: PartsList): MatchBench {
  return { curves: parts.propellers.map((p) => propellerCurve(p.data)) };
}

/** One combination by its index. */
export function matchOne(parts: PartsList, bench: MatchBench, t: MatchTask, index: number): MatchRow {
  const nb = parts.packs.length,
    np = parts.propellers.length;
  const b = index % nb,
    p = Math.floor(index / nb) % np,
    m = Math.floor(index / (nb * np));
  const motor = parts.motors[m],
    prop = parts.propellers[p],
    pack = parts.packs[b],
    curve = bench.curves[p];
  const packed = packOf(pack.data),
    out: OutReason[] = [];
  const row: MatchRow = {
    index,
    motor: motor.id,
    propeller: prop.id,
    pack: pack.id,
    esc: '',
    mass: t.airframeMass + motor.mass + prop.mass + pack.mass,
    staticThrust: 0,
    current: 0,
    thrustAtSpeed: 0,
    levelSpeed: 0,
    climb: 0,
    run: Infinity,
    time: 0,
    used: Infinity,
    out,
  };
  if (t.limits.diameter !== null && prop.data.diameter > t.limits.diameter + 1e-9) out.push('diameter');
  if (packed.full > motor.cells * 4.2 + 0.3) out.push('cells');
  if (out.length) return row;
  const power = {
    battery: pack.data,
    esc: { resistance: ESC_VOLTS / Math.max(10, 1.3 * motor.data.maxCurrent), maxCurrent: 1 },
    motor: motor.data,
    propeller: { ...prop.data, x: 0, z: 0 },
    avionicsCurrent: t.avionics,
    ...(t.wire ? { wire: t.wire } : {}),
  };
  const d = buildDrive(power as Parameters<typeof buildDrive>[0], t.density, t.factors, curve);
  const still = operate(d, 1, 0),
    keep = 1 - t.limits.margin;
  const esc = parts.escs.find(
    (e) => e.data.maxCurrent * keep >= still.current && e.cells * 4.2 + 0.3 >= packed.full,
  );
  Object.assign(row, {
    esc: esc?.id ?? '',
    mass: row.mass + (esc?.mass ?? 0),
    staticThrust: still.thrust,
    current: still.current,
    used: Math.max(
      still.motorCurrent / motor.data.maxCurrent,
      still.current / packed.maxCurrent,
      esc ? still.current / esc.data.maxCurrent : 0,
    ),
  });
  if (still.motorCurrent > motor.data.maxCurrent * keep) out.push('current');
  if (still.current > packed.maxCurrent * keep) out.push('pack current');
  if (t.limits.current !== null && still.current > t.limits.current) out.push('fuse');
  if (!esc) out.push('controller');
  if ((still.omega * prop.data.diameter) / 2 / t.soundSpeed > TIP_LIMIT) out.push('tip speed');
  if (t.limits.mass !== null && row.mass > t.limits.mass) out.push('mass');
  if (out.length) return row;
  return fly(row, t, d);
}

function fly(row: MatchRow, t: MatchTask, d: Drive): MatchRow {
  const { out, mass } = row,
    W = mass * t.gravity;
  const stall = Math.sqrt((2 * W) / (t.density * t.area * t.clMax));
  row.thrustAtSpeed = operate(d, 1, t.speed).thrust;
  row.levelSpeed = levelAt(t, d, mass, stall);
  const best = [1.3, 1.6, 1.9].map((f) => {
    const v = f * stall;
    return ((operate(d, 1, v).thrust - dragOf(t, mass, v)) * v) / W;
  });
  row.climb = Math.max(...best);
  const lift = t.liftOffFactor * stall,
    v = Math.max(0.1, 0.7 * lift),
    q = 0.5 * t.density * v * v,
    ground = Math.max(0.1, lift - t.wind);
  const net =
    operate(d, 1, v).thrust -
    q * t.dragArea -
    t.induced * (t.groundCl * t.area) ** 2 * q -
    t.friction * Math.max(0, W - q * t.area * t.groundCl);
  row.run = net > 0 ? (mass * ground * ground) / (2 * net) : Infinity;
  if (row.levelSpeed === 0) {
    out.push('no level flight');
    return row;
  }
  const hold = operateForThrust(d, dragOf(t, mass, row.levelSpeed), row.levelSpeed);
  row.time = ((1 - t.reserve) * d.charge) / hold.current;
  if (row.climb < t.limits.climb) out.push('climb');
  if (t.strip !== null && row.run > t.strip) out.push('strip');
  if (row.time < t.limits.time) out.push('time');
  return row;
}

/** A run of combinations, from (inclusive) to (exclusive). */
export function matchSlice(
  parts: PartsList,
  bench: MatchBench,
  task: MatchTask,
  from: number,
  to: number,
): MatchRow[] {
  return Array.from({ length: Math.max(0, Math.min(to, combinationCount(parts)) - from) }, (_, i) =>
    matchOne(parts, bench, task, from + i),
  );
}

export interface MatchSlice {
  rows: MatchRow[];
  /** how many were out for each reason; one may be out for several */ out: Partial<
    Record<OutReason, number>
  >;
}

/** The same, with only those that stay in and a count of why the others do not: what a search sends home. */
export function matchSummary(
  parts: PartsList,
  bench: MatchBench,
  task: MatchTask,
  from: number,
  to: number,
): MatchSlice {
  const out: MatchSlice['out'] = {},
    rows: MatchRow[] = [];
  for (const r of matchSlice(parts, bench, task, from, to)) {
    if (r.out.length === 0) rows.push(r);
    for (const o of r.out) out[o] = (out[o] ?? 0) + 1;
  }
  return { rows, out };
}

/** Index of a combination by its parts; -1 when one is not in the list. */
export function indexOfCombination(
  parts: PartsList,
  ids: { motor: string; propeller: string; pack: string },
): number {
  const m = parts.motors.findIndex((x) => x.id === ids.motor),
    p = parts.propellers.findIndex((x) => x.id === ids.propeller),
    b = parts.packs.findIndex((x) => x.id === ids.pack);
  return m < 0 || p < 0 || b < 0 ? -1 : (m * parts.propellers.length + p) * parts.packs.length + b;
}

/** Those of the rows that stay in and that no other beats in thrust at speed, time and lightness at once. */
export function paretoRows(rows: readonly MatchRow[]): MatchRow[] {
  const live = rows
    .filter((r) => r.out.length === 0)
    .sort((a, b) => b.thrustAtSpeed - a.thrustAtSpeed || b.time - a.time || a.mass - b.mass);
  const front: MatchRow[] = [];
  for (const r of live) if (!front.some((f) => f.time >= r.time && f.mass <= r.mass)) front.push(r);
  return front;
}
