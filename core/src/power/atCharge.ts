/**
 * A drive that gives the same thrust while its pack runs down. Rotation and motor current do not change with the charge;
 * the controller opens further to keep the motor's volts:
 *   d (Voc - I_av R_pack) - d^2 I_m (N R_pack + R_wire) = V_m        (the pack and controller of `electric.ts`)
 */
import { clamp } from '../numeric';
import { MEAN_SOC, packVolts, sourceOf, type Drive, type OperatingPoint } from './electric';

/** What the pack gives at a state of charge. */
export interface Drawn {
  /** [A] */ readonly current: number;
  /** with nothing drawn, and under load [V] */ readonly open: number;
  readonly voltage: number;
  /** [W] */ readonly power: number;
  /** throttle; above 1 the pack has too few volts for it */ readonly duty: number;
}

/**
 * @param o an operating point of the drive at half charge, as `operateForThrust` gives it
 * @param soc 0 to 1
 */
export function atCharge(d: Drive, o: OperatingPoint, soc: number): Drawn {
  const spare = d.avionics * d.packResistance,
    source = sourceOf(d),
    half = o.duty * (packVolts(d, MEAN_SOC) - spare) - o.duty * o.duty * o.motorCurrent * source;
  const voc = packVolts(d, soc),
    a = o.motorCurrent * source,
    b = voc - spare,
    disc = b * b - 4 * a * half;
  const duty = a < 1e-9 ? half / b : disc >= 0 ? (b - Math.sqrt(disc)) / (2 * a) : Infinity,
    // beyond full throttle it takes what full throttle does
    current = d.count * Math.min(duty, 1) * o.motorCurrent + d.avionics,
    voltage = voc - current * d.packResistance;
  return { current, open: voc, voltage, power: voltage * current, duty: Math.min(duty, 9) };
}

/** A pack that gives a power: P = (Voc - I R) I. More than it can give is drawn at its greatest power, throttle 9. */
export function givingPower(d: Pick<Drive, 'pack' | 'packResistance'>, power: number, soc: number): Drawn {
  const voc = packVolts(d, soc),
    R = d.packResistance,
    disc = voc * voc - 4 * R * power;
  if (disc < 0)
    return { current: voc / (2 * R), open: voc, voltage: voc / 2, power: (voc * voc) / (4 * R), duty: 9 };
  const current = R > 1e-9 ? (voc - Math.sqrt(disc)) / (2 * R) : power / voc;
  return { current, open: voc, voltage: voc - current * R, power, duty: 0 };
}

/** Charges at which full throttle is computed; between them by a parabola. */
const NODES = [0.1, MEAN_SOC, 1] as const;

/** Values at NODES at another charge. */
export function overCharge(values: readonly number[], soc: number): number {
  const s = clamp(soc, 0, 1),
    [a, b, c] = NODES,
    [p, q, r] = values;
  return (
    (p * (s - b) * (s - c)) / ((a - b) * (a - c)) +
    (q * (s - a) * (s - c)) / ((b - a) * (b - c)) +
    (r * (s - a) * (s - b)) / ((c - a) * (c - b))
  );
}

export { NODES as CHARGE_NODES };
