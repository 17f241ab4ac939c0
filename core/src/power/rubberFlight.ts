/**
 * A flight on rubber: motor torque against blade torque at every moment, the aircraft trimmed to one lift coefficient.
 *   Q_motor(N) = Q_blade(omega, V, beta + flare Q),  dN/dt = -omega / 2 pi
 *   W sin(gamma) = T - D,  V^2 = 2 W cos(gamma) / (rho S CL),  dh/dt = V sin(gamma)
 * Accelerations are left out: a light model follows its torque within a second. At the ceiling it stays there, scrubbing.
 */
import { findRoot } from '../numeric';
import {
  propellerCurve,
  propellerLoad,
  idleDragArea,
  type PropellerCurve,
  type PropellerSize,
} from './propeller';
import { rubberMotor, type RubberData } from './rubber';

export interface FlaringCurves {
  /** pitch angle gained [rad], ascending from 0 */ shifts: number[];
  curves: PropellerCurve[];
}

const SHIFTS = [0, 0.06, 0.13, 0.22];

/**
 * Coefficients of the blades at their set angle and flared. @param speed of flight [m/s], for the Reynolds number @param
 * flare [rad per N m]
 */
export function flaringCurves(size: PropellerSize, speed: number, flare: number): FlaringCurves {
  const tip = (Math.PI * size.diameter * speed) / (0.8 * size.pitch),
    tips = [0.6 * tip, 1.8 * tip];
  const shifts = flare > 0 ? SHIFTS : [0];
  return { shifts, curves: shifts.map((s) => propellerCurve(size, tips, s)) };
}

export interface RubberFlightInput {
  motor: RubberData;
  blades: FlaringCurves;
  flare: number;
  mass: number;
  area: number;
  trimCl: number;
  density: number;
  gravity: number;
  /** drag [N] at airspeed and lift */ drag(speed: number, lift: number): number;
  ceiling: number | null;
  /** from the launch height [m] */ launchHeight?: number;
  thrustFactor?: number;
  torqueFactor?: number;
}

export interface RubberRow {
  time: number;
  height: number;
  turns: number;
  torque: number;
  omega: number;
  speed: number;
  climb: number;
  pitchShift: number;
}
export interface RubberFlight {
  rows: RubberRow[];
  time: number;
  peak: number;
  peakTime: number;
  /** still in the motor when it lands */ turnsLeft: number;
  /** seconds until the turns were out; null when some are left */ motorRun: number | null;
  launchOmega: number;
  meanOmega: number;
  /** over the middle half of the flight */ cruiseOmega: number;
  /** when it first met the ceiling [s] */ touched: number | null;
  end: 'landed' | 'does not fly' | 'too long';
}

const LONGEST = 3600;

/** Thrust and torque at a flare between two tables. */
function loadAt(
  b: FlaringCurves,
  shift: number,
  omega: number,
  speed: number,
  density: number,
): { thrust: number; torque: number } {
  if (b.curves.length === 1) return propellerLoad(b.curves[0], omega, speed, density);
  const s = Math.min(Math.max(shift, 0), b.shifts[b.shifts.length - 1]);
  let k = 0;
  while (k < b.shifts.length - 2 && b.shifts[k + 1] < s) k++;
  const w = (s - b.shifts[k]) / (b.shifts[k + 1] - b.shifts[k]);
  const lo = propellerLoad(b.curves[k], omega, speed, density),
    hi = propellerLoad(b.curves[k + 1], omega, speed, density);
  return { thrust: (1 - w) * lo.thrust + w * hi.thrust, torque: (1 - w) * lo.torque + w * hi.torque };
}

/** Rotation at which the blades take a motor torque. */
function rotationAt(i: RubberFlightInput, torque: number, speed: number, guess: number): number {
  const shift = i.flare * torque,
    factor = i.torqueFactor ?? 1;
  const excess = (w: number) => factor * loadAt(i.blades, shift, w, speed, i.density).torque - torque;
  let lo = 0.8 * guess,
    hi = 1.25 * guess;
  while (excess(lo) > 0 && lo > 1e-3) lo *= 0.6;
  while (excess(hi) < 0 && hi < 1e5) hi *= 1.6;
  const root = findRoot(excess, lo, hi, 3e-5);
  return root.status === 'no-bracket' ? guess : root.x;
}

/** How fast it turned: at launch, in the mean of the motor's run, in the middle of the flight. @param used turns [-] */
function paceOf(rows: readonly RubberRow[], time: number, used: number, motorRun: number) {
  const middle = rows.filter((r) => r.time > 0.25 * time && r.time < 0.75 * time);
  return {
    launchOmega: rows[0]?.omega ?? 0,
    meanOmega: time > 0 ? (2 * Math.PI * used) / motorRun : 0,
    cruiseOmega: middle.length ? middle.reduce((s, r) => s + r.omega, 0) / middle.length : 0,
  };
}

export function rubberFlight(i: RubberFlightInput): RubberFlight {
  const m = rubberMotor(i.motor),
    W = i.mass * i.gravity,
    rows: RubberRow[] = [];
  const level = Math.sqrt((2 * W) / (i.density * i.area * i.trimCl));
  const idle = idleDragArea(i.blades.curves[0]).windmilling;
  const first = i.blades.curves[0],
    D = first.size.diameter;
  let turns = m.launchTurns,
    h = i.launchHeight ?? 1.5,
    time = 0,
    gamma = 0,
    omega = (2 * Math.PI * level) / (0.8 * first.j0 * D),
    peak = h,
    peakTime = 0,
    touched: number | null = null,
    out: number | null = null;
  const finish = (end: RubberFlight['end']): RubberFlight => ({
    ...paceOf(rows, time, m.launchTurns - turns, out ?? time),
    rows,
    time,
    peak,
    peakTime,
    turnsLeft: turns,
    motorRun: out,
    touched,
    end,
  });
  // short steps in the burst, longer ones in the cruise
  while (time < LONGEST) {
    const dt = time < 20 ? 0.5 : time < 60 ? 1 : 2;
    const torque = turns > 1e-6 ? m.torqueAt(turns) : 0;
    const V = level * Math.sqrt(Math.max(0.05, Math.cos(gamma)));
    let thrust: number;
    if (torque > 0) {
      omega = rotationAt(i, torque, V, omega);
      thrust = (i.thrustFactor ?? 1) * loadAt(i.blades, i.flare * torque, omega, V, i.density).thrust;
    } else {
      omega = 0;
      thrust = -0.5 * i.density * V * V * idle;
    }
    const sin = Math.min(0.95, Math.max(-0.95, (thrust - i.drag(V, W * Math.cos(gamma))) / W));
    gamma = 0.5 * (gamma + Math.asin(sin));
    const climb = V * sin;
    rows.push({
      time,
      height: h,
      turns,
      torque,
      omega,
      speed: V,
      climb,
      pitchShift: Math.min(i.flare * torque, i.blades.shifts[i.blades.shifts.length - 1]),
    });
    if (turns > 0) {
      turns = Math.max(0, turns - (omega * dt) / (2 * Math.PI));
      if (turns === 0) out ??= time + dt;
    }
    const next = h + climb * dt;
    if (next <= 0) {
      time += climb < 0 ? h / -climb : dt;
      h = 0;
      return finish(time < 3 ? 'does not fly' : 'landed');
    }
    time += dt;
    h = next;
    if (i.ceiling !== null && h >= i.ceiling) {
      h = i.ceiling;
      touched ??= time;
    }
    if (h > peak) {
      peak = h;
      peakTime = time;
    }
  }
  return finish('too long');
}

/** A chart's worth of rows. */
export function thinned(f: RubberFlight, most = 120): RubberRow[] {
  const step = Math.max(1, Math.ceil(f.rows.length / most));
  return f.rows.filter((_, k) => k % step === 0 || k === f.rows.length - 1);
}

export interface RubberTrial {
  id: string;
  label: string;
  /** path under power.rubber and value */ change: { path: string; value: number }[];
  time: number;
  peak: number;
  touched: boolean;
  launchTorque: number;
  turnsLeft: number;
}

const NONE_OFF = 'Let off no turns: the ceiling allows it';

type Tried = RubberData & { flare: number; pitch: number };
type Fly = (motor: RubberData, pitch: number, flare: number) => RubberFlight;

/** Turns to let off so that it just stays below the ceiling, in fives; none where it does so wound full. */
function turnsOff(r: Tried, woundTurns: number, ceiling: number, fly: Fly): number {
  const aim = 0.94 * ceiling;
  const peakAt = (off: number) => fly({ ...r, backedOff: off }, r.pitch, r.flare).peak;
  if (!(peakAt(0) > aim)) return 0;
  let lo = 0,
    hi = 0.6 * woundTurns;
  for (let k = 0; k < 9; k++) {
    const mid = 0.5 * (lo + hi);
    if (peakAt(mid) > aim) lo = mid;
    else hi = mid;
  }
  return Math.max(5, Math.round(hi / 5) * 5);
}

/**
 * What a builder would try next, each flown on paper: turns let off for the ceiling, a longer motor, more pitch, more flare.
 * @param fly the same aircraft with another motor, pitch and flare; the mass follows the motor
 */
export function rubberTrials(r: Tried & { ceiling: number | null }, fly: Fly): RubberTrial[] {
  const trial = (
    id: string,
    label: string,
    change: RubberTrial['change'],
    motor: RubberData,
    pitch = r.pitch,
    flare = r.flare,
  ): RubberTrial => {
    const f = fly(motor, pitch, flare);
    return {
      id,
      label,
      change,
      time: f.time,
      peak: f.peak,
      touched: f.touched !== null,
      launchTorque: rubberMotor(motor).launchTorque,
      turnsLeft: f.turnsLeft,
    };
  };
  const m = rubberMotor(r),
    out: RubberTrial[] = [];
  const off = r.ceiling === null ? null : turnsOff(r, m.woundTurns, r.ceiling, fly);
  if (off !== null && off > 0)
    out.push(
      trial(
        'back-off',
        `Wind to ${(r.wound * 100).toFixed(0)} %, let off ${off} turns`,
        [{ path: 'backedOff', value: off }],
        { ...r, backedOff: off },
      ),
    );
  if (off === 0 && r.backedOff > 0)
    out.push(trial('no-back-off', NONE_OFF, [{ path: 'backedOff', value: 0 }], { ...r, backedOff: 0 }));
  const longer = Math.round(r.length * 1.1 * 1000) / 1000;
  out.push(
    trial(
      'longer',
      `Motor 10 % longer (${(longer * 1000).toFixed(0)} mm)`,
      [{ path: 'length', value: longer }],
      { ...r, length: longer },
    ),
  );
  const thin = Math.round(r.width * 0.93 * 1e5) / 1e5;
  out.push(
    trial(
      'thinner',
      `Strip 7 % narrower (${(thin * 1000).toFixed(2)} mm)`,
      [{ path: 'width', value: thin }],
      { ...r, width: thin },
    ),
  );
  const pitch = Math.round(r.pitch * 1.08 * 1000) / 1000;
  out.push(
    trial(
      'pitch',
      `8 % more pitch (${(pitch * 1000).toFixed(0)} mm)`,
      [{ path: 'propeller.pitch', value: pitch }],
      r,
      pitch,
    ),
  );
  const flare = r.flare > 0 ? r.flare * 1.5 : 0.1 / Math.max(m.launchTorque, 1e-9);
  out.push(
    trial(
      'flare',
      'Softer blades: half as much flare again',
      [{ path: 'flare', value: Number(flare.toPrecision(3)) }],
      r,
      r.pitch,
      flare,
    ),
  );
  return out;
}
