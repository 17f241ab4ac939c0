/**
 * Electric drive: pack, controller, motor by three constants, propeller.
 *   pack        V = Voc(soc) - I_b (R_pack + R_esc)
 *   controller  V_m = d V, I_b = d I_m          (averaged switching, d duty 0 to 1)
 *   motor       omega = Kv (V_m - I_m R), Q = (I_m - I_0) / Kv   (Kv in rad/s/V)
 * Source: first-order motor model (Drela, First-Order DC Electric Motor Model, MIT 2007, from memory).
 */
import { findRoot } from '../numeric';
import type { Design, Factors } from '../design';
import { propellerCurve, propellerLoad, type PropellerCurve } from './propeller';

export interface Drive {
  readonly curve: PropellerCurve;
  readonly series: number;
  readonly packResistance: number;
  readonly escResistance: number;
  readonly kv: number;
  readonly motorResistance: number;
  readonly noLoad: number;
  readonly density: number;
  readonly thrustFactor: number;
  readonly avionics: number;
  /** usable charge [A s] before the reserve */ readonly charge: number;
}

export interface OperatingPoint {
  /** [N] */ thrust: number;
  /** [rad/s] */ omega: number;
  /** [N m] */ torque: number;
  /** from the pack, incl. avionics [A] */ current: number;
  motorCurrent: number;
  /** at the pack's terminals [V] */ voltage: number;
  duty: number;
  /** from the pack [W] */ power: number;
  shaftPower: number;
  /** thrust power / pack power */ efficiency: number;
}

/** Open-circuit volts of a lithium-polymer cell against state of charge; typical of published discharge curves at low rate (from memory). */
const LIPO_SOC = [0, 0.05, 0.1, 0.2, 0.3, 0.5, 0.7, 0.85, 1];
const LIPO_VOLTS = [3.27, 3.61, 3.69, 3.73, 3.77, 3.84, 3.96, 4.07, 4.2];

/** @param soc 0 to 1 @returns [V] per cell */
export function lipoOpenCircuit(soc: number): number {
  let i = 0;
  while (i < LIPO_SOC.length - 2 && LIPO_SOC[i + 1] < soc) i++;
  const t = Math.min(1, Math.max(0, (soc - LIPO_SOC[i]) / (LIPO_SOC[i + 1] - LIPO_SOC[i])));
  return LIPO_VOLTS[i] + t * (LIPO_VOLTS[i + 1] - LIPO_VOLTS[i]);
}

/** State of charge used where one figure stands for a flight (energy-mean of the curve lies near half charge). */
export const MEAN_SOC = 0.5;

/** The drive of a design at an air density, with calibration factors applied. */
export function buildDrive(power: Design['power'], density: number, f: Pick<Factors, 'thrust' | 'electricalLoss' | 'capacity'>): Drive {
  const b = power.battery;
  return {
    curve: propellerCurve(power.propeller),
    series: b.series,
    packResistance: (b.cellResistance * b.series * f.electricalLoss) / b.parallel,
    escResistance: power.esc.resistance * f.electricalLoss,
    kv: power.motor.kv,
    motorResistance: power.motor.resistance * f.electricalLoss,
    noLoad: power.motor.noLoadCurrent * f.electricalLoss,
    density,
    thrustFactor: f.thrust,
    avionics: power.avionicsCurrent,
    charge: b.capacity * b.usable * f.capacity,
  };
}

function pointAt(d: Drive, omega: number, speed: number, motorCurrent: number, duty: number, voc: number): OperatingPoint {
  const load = propellerLoad(d.curve, omega, speed, d.density);
  const thrust = load.thrust * d.thrustFactor;
  const current = duty * motorCurrent + d.avionics;
  const voltage = voc - current * (d.packResistance + d.escResistance);
  const power = voltage * current;
  return { thrust, omega, torque: load.torque, current, motorCurrent, voltage, duty, power, shaftPower: load.torque * omega, efficiency: power > 0 ? (thrust * speed) / power : 0 };
}

/** Operating point at a duty (throttle), airspeed [m/s] and state of charge. */
export function operate(d: Drive, duty: number, speed: number, soc = MEAN_SOC): OperatingPoint {
  const voc = d.series * lipoOpenCircuit(soc);
  const source = d.packResistance + d.escResistance;
  const currentAt = (omega: number) => (duty * (voc - d.avionics * source) - omega / d.kv) / (d.motorResistance + duty * duty * source);
  const excess = (omega: number) => (currentAt(omega) - d.noLoad) / d.kv - propellerLoad(d.curve, omega, speed, d.density).torque;
  const top = d.kv * duty * voc;
  const root = findRoot(excess, 1e-3, top + 1, 1e-8);
  const omega = root.status === 'no-bracket' ? 0 : root.x;
  return pointAt(d, omega, speed, Math.max(0, currentAt(omega)), duty, voc);
}

/**
 * Operating point that gives a wanted thrust at an airspeed: rpm from the propeller, then current and duty
 * in closed form. `duty` above 1 means that the drive cannot give it.
 */
export function operateForThrust(d: Drive, thrust: number, speed: number, soc = MEAN_SOC): OperatingPoint {
  const voc = d.series * lipoOpenCircuit(soc);
  const D = d.curve.size.diameter;
  const still = (2 * Math.PI * speed) / (d.curve.j0 * D);
  const want = Math.max(thrust, 0);
  const top = Math.max(2 * still, 200) + 4 * d.kv * voc;
  const root = findRoot((w) => propellerLoad(d.curve, w, speed, d.density).thrust * d.thrustFactor - want - 1e-9, still * 0.999 + 1e-3, top, 1e-8);
  const omega = root.status === 'no-bracket' ? still : root.x;
  const motorCurrent = propellerLoad(d.curve, omega, speed, d.density).torque * d.kv + d.noLoad;
  const vm = omega / d.kv + motorCurrent * d.motorResistance;
  const source = d.packResistance + d.escResistance;
  // d (Voc - I_av R) - d^2 I R = Vm
  const a = motorCurrent * source, b = voc - d.avionics * source;
  const disc = b * b - 4 * a * vm;
  const duty = a < 1e-9 ? vm / b : disc >= 0 ? (b - Math.sqrt(disc)) / (2 * a) : Infinity;
  return pointAt(d, omega, speed, motorCurrent, Math.min(duty, 9), voc);
}
