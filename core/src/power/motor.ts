/**
 * Motor by three constants and two heat masses.
 *   omega = Kv (V - I R),  Q = (I - I0(omega)) / Kv,  I0(omega) = I0 (1 + s (omega / omega_ref - 1))
 * Source: Drela, First-Order DC Electric Motor Model, MIT 2007 (from memory); copper 0.00393 per K.
 * Heat: winding (copper) into the case, case into the air; masses and areas by the motor's mass (common practice, no source).
 */
import { interpolateLinear, nearlySame } from '../numeric';

export interface MotorData {
  /** [rad/s/V] */ kv: number;
  /** winding and leads, warm bench [ohm] */ resistance: number;
  /** [A] at `noLoadVolts` */ noLoadCurrent: number;
  /** [A] */ maxCurrent: number;
  /** volts at which the no-load current was read; without it the current is taken as the same at every speed */ noLoadVolts?:
    number | undefined;
  /** motor turns for one turn of the propeller */ gear?: number | undefined;
  gearEfficiency?: number | undefined;
  /** [kg] */ mass?: number | undefined;
  /** winding limit [K] */ maxTemperature?: number | undefined;
  /** 0 closed in, 1 in the slipstream */ cooling?: number | undefined;
  kind?: 'outrunner' | 'inrunner' | undefined;
}

/** Part of the no-load torque that grows with speed (iron and air), the rest is friction (common practice, no source). */
const SPEED_SHARE = 0.5;
export const COPPER = 0.00393;
export const USUAL_LIMIT = 393.15;

/** No-load current [A] at motor speed omega [rad/s]. */
export function noLoadAt(m: Pick<MotorData, 'noLoadCurrent' | 'noLoadVolts' | 'kv'>, omega: number): number {
  if (!m.noLoadVolts) return m.noLoadCurrent;
  return m.noLoadCurrent * (1 + SPEED_SHARE * (omega / (m.kv * m.noLoadVolts) - 1));
}

/**
 * Mass [kg] where it was not weighed: largest power at 4 W/g for outrunners is common; here from Kv and resistance is
 * not possible, so from the current limit.
 */
export function motorMass(m: MotorData): number {
  return m.mass ?? 0.0042 * m.maxCurrent;
}

export interface ThermalMass {
  /** [J/K] */ winding: number;
  case: number;
  /** winding to case, case to still and to moving air [W/K] */ inner: number;
  still: number;
  moving: number;
}

/** A 130 g outrunner: 13 J/K of copper, 45 J/K of case, 1.7 W/K inward, about 1.1 W/K in a 10 m/s slipstream. */
export function thermalOf(m: MotorData): ThermalMass {
  const mass = motorMass(m),
    area = 0.045 * mass ** (2 / 3);
  return {
    winding: 0.25 * mass * 390,
    case: 0.75 * mass * 460,
    inner: 13 * mass,
    still: 12 * area,
    moving: 25 * area * (m.cooling ?? 0.7),
  };
}

/** Conductance to the air at its speed over the motor [W/K]. */
export function coolingAt(t: ThermalMass, airSpeed: number): number {
  return t.still + t.moving * Math.sqrt(Math.max(0, airSpeed));
}

export interface HeatState {
  winding: number;
  case: number;
}

/**
 * One step of seconds with copper loss (at the resistance's own temperature) and iron loss [W]; exact for steady losses
 * as dt goes to 0.
 */
export function heatStep(
  t: ThermalMass,
  s: HeatState,
  loss: { copper: number; iron: number },
  air: { temperature: number; speed: number },
  seconds: number,
): HeatState {
  // inner steps short against the winding's own time constant
  const n = Math.max(1, Math.ceil(seconds / (0.2 * (t.winding / t.inner))));
  const dt = seconds / n,
    out = coolingAt(t, air.speed);
  let { winding, case: body } = s;
  for (let i = 0; i < n; i++) {
    const across = t.inner * (winding - body);
    winding += (dt * (loss.copper - across)) / t.winding;
    body += (dt * (loss.iron + across - out * (body - air.temperature))) / t.case;
  }
  return { winding, case: body };
}

/** Where it settles [K]: T_case = T_air + P / out, T_winding = T_case + P_copper / inner. */
export function settledHeat(
  t: ThermalMass,
  loss: { copper: number; iron: number },
  air: { temperature: number; speed: number },
): HeatState {
  const body = air.temperature + (loss.copper + loss.iron) / coolingAt(t, air.speed);
  return { case: body, winding: body + loss.copper / t.inner };
}

/** Copper wire: resistance [ohm] of a length there and back [m] and area [m2] at 20 C; 0.0172 ohm mm2 / m. */
export function wireResistance(length: number, area: number): number {
  return (2 * 1.72e-8 * length) / area;
}

/** Mass of the wire there and back with its silicone cover, about a third of the copper's (common practice, no source) [kg]. */
export function wireMass(length: number, area: number): number {
  return 2 * length * area * 8960 * 1.35;
}

/** Whether two motors are the same by Kv and resistance. */
export function sameMotor(
  a: Pick<MotorData, 'kv' | 'resistance'>,
  b: Pick<MotorData, 'kv' | 'resistance'>,
): boolean {
  return nearlySame(a.kv, b.kv) && nearlySame(a.resistance, b.resistance);
}

/** Area of a wire by American gauge [m2]: d = 0.127 mm 92^((36 - n)/39) (ASTM B258). */
export function gaugeArea(gauge: number): number {
  const d = 0.127e-3 * 92 ** ((36 - gauge) / 39);
  return (Math.PI / 4) * d * d;
}

const AWG = [8, 10, 12, 14, 16, 18, 20, 22, 24, 26];
/** Current of silicone-covered copper wire in free air for minutes [A] (common practice, no source). */
const AMPS = [120, 90, 60, 40, 28, 20, 13, 8.5, 5, 3];

/** Current that a wire of this area carries [A], from the gauge it comes nearest. */
export function wireCurrent(area: number): number {
  const areas = AWG.map(gaugeArea).reverse();
  return interpolateLinear(areas, [...AMPS].reverse(), area);
}
