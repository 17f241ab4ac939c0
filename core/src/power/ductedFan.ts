/**
 * Ducted fan by momentum: the duct sets the exit area, so the jet does not contract by itself.
 *   T = rho A_e V_e (V_e - V),  P_jet = rho A_e V_e (V_e^2 - V^2) / 2,  P_shaft = P_jet / eta
 * Standing still at a given power T is (2 A_e / A_propeller)^(1/3) times that of a bare propeller of that disc.
 * At fixed rpm the shaft power is taken as constant with airspeed until the jet reaches the flight speed (fans change
 * their blade angle little; common practice, no source). Source: McCormick, Aerodynamics of V/STOL Flight, ch. 9 (from memory).
 */
import { findRoot } from '../numeric';
import type { PropellerCurve } from './propeller';

export interface FanData {
  diameter: number;
  /** hub / tip */ hub: number;
  exitRatio: number;
  efficiency: number;
  exitSpeedRatio: number;
}

const COUNT = 22;

/** Exit area [m2]. */
export function fanExitArea(f: FanData): number {
  return f.exitRatio * (Math.PI / 4) * f.diameter ** 2 * (1 - f.hub ** 2);
}

/** Jet speed [m/s] that a shaft power [W] drives at an airspeed. */
export function jetSpeed(f: FanData, power: number, speed: number, density: number): number {
  const A = fanExitArea(f),
    jet = f.efficiency * power;
  const r = findRoot(
    (v) => 0.5 * density * A * v * (v * v - speed * speed) - jet,
    speed,
    speed + Math.cbrt((2 * jet) / (density * A)) + 1,
    1e-10,
  );
  return r.status === 'no-bracket' ? speed : r.x;
}

/** Thrust [N] from shaft power [W], airspeed [m/s], density [kg/m3]. */
export function fanThrust(f: FanData, power: number, speed: number, density: number): number {
  const v = jetSpeed(f, power, speed, density);
  return density * fanExitArea(f) * v * (v - speed);
}

/** The fan as coefficients on its own diameter, so that the same drive turns it. */
export function fanCurve(f: FanData): PropellerCurve {
  const D = f.diameter,
    n = 1,
    A = fanExitArea(f),
    tip = Math.PI * D * n;
  const still = f.exitSpeedRatio * tip;
  const power = (0.5 * A * still ** 3) / f.efficiency;
  // thrust ends where the flight speed is that of the fan's own pitch: twice the static jet speed, common for such blades
  const j0 = (2 * still) / (n * D),
    step = (1.2 * j0) / (COUNT - 1);
  const ct = new Float64Array(COUNT),
    cp = new Float64Array(COUNT);
  for (let i = 0; i < COUNT; i++) {
    const J = i * step,
      V = J * n * D,
      left = Math.max(-0.2, 1 - (J / j0) ** 4);
    const P = power * left;
    cp[i] = P / (n ** 3 * D ** 5);
    ct[i] =
      left > 0 ? fanThrust(f, P, V, 1) / (n * n * D ** 4) : (left * still * still * A) / (n * n * D ** 4);
  }
  return {
    size: { diameter: D, pitch: (2 * still) / n, blades: 2 },
    j0,
    ct0: ct[0],
    cp0: cp[0],
    step,
    count: COUNT,
    tips: [100],
    ct,
    cp,
    from: 'fan',
    stalled: 0,
  };
}
