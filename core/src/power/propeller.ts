/**
 * Propeller by coefficient curves: a generic thin-blade family by pitch / diameter.
 *   T = CT rho n^2 D^4,  P = CP rho n^3 D^5,  J = V / (n D), n in rev/s
 * Curves: zero-thrust J0 = 1.15 p/D + 0.07; CT = CT0 (1 - 0.65 j - 0.35 j^2), CP = CP0 (1 - 0.7 j^2), j = J/J0;
 * CT0 = 0.06 + 0.09 p/D, CP0 = 0.095 (p/D)^1.15. Fitted by eye to the published trends for small thin electric
 * propellers (Brandt and Selig, AIAA 2011-1255, from memory): within about 10 % in CT0 for p/D 0.4 to 0.8.
 * Blades: CT and CP grow as (B/2)^0.8 (common practice, no source). Past J0 the propeller windmills and is
 * taken as zero thrust and zero power.
 */
import { clamp } from '../numeric';

export interface PropellerSize { diameter: number; pitch: number; blades: number }

export interface PropellerCurve { readonly size: PropellerSize; readonly j0: number; readonly ct0: number; readonly cp0: number }

/** p/D range of the fit; outside, the caller is warned. */
export const PITCH_RATIO_RANGE = [0.35, 1] as const;

export function propellerCurve(size: PropellerSize): PropellerCurve {
  const ratio = size.pitch / size.diameter;
  const solidity = (size.blades / 2) ** 0.8;
  return { size, j0: 1.15 * ratio + 0.07, ct0: solidity * (0.06 + 0.09 * ratio), cp0: solidity * 0.095 * ratio ** 1.15 };
}

export function thrustCoefficient(c: PropellerCurve, J: number): number {
  const j = clamp(J / c.j0, 0, 1);
  return c.ct0 * (1 - 0.65 * j - 0.35 * j * j);
}

export function powerCoefficient(c: PropellerCurve, J: number): number {
  const j = clamp(J / c.j0, 0, 1);
  return J >= c.j0 ? 0 : c.cp0 * (1 - 0.7 * j * j);
}

/** Thrust [N] and torque [N m] at omega [rad/s], airspeed V [m/s], density [kg/m3]. */
export function propellerLoad(c: PropellerCurve, omega: number, speed: number, density: number): { thrust: number; torque: number } {
  const n = omega / (2 * Math.PI);
  const D = c.size.diameter;
  if (!(n > 1e-6)) return { thrust: 0, torque: 0 };
  const J = speed / (n * D);
  return {
    thrust: thrustCoefficient(c, J) * density * n * n * D ** 4,
    torque: (powerCoefficient(c, J) * density * n * n * D ** 5) / (2 * Math.PI),
  };
}
