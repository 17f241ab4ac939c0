/**
 * Landing run: from touch-down to rest against drag and friction, thrust off.
 *   m V_ground dV / (D + mu (W - L)), approach at 1.3 and touch-down at 1.15 times the stall speed
 * Source: Anderson, Introduction to Flight, 6.16 (from memory), forces by speed instead of their mean.
 */
import { G0 } from '../air';
import { requirePositive } from '../numeric';

export const APPROACH = 1.3,
  TOUCH_DOWN = 1.15;

export interface LandingInput {
  /** [kg] */ mass: number;
  /** [kg/m3] */ density: number;
  /** wing area [m2] */ area: number;
  /** in level flight [m/s] */ stall: number;
  /** braking friction coefficient */ friction: number;
  /** head wind [m/s] */ wind: number;
  /** lift coefficient while rolling */ groundCl: number;
  /** drag area while rolling [m2] */ dragArea: number;
}

export type LandingRun =
  | { status: 'stops'; distance: number; time: number; touchDown: number }
  | { status: 'never'; reason: 'nothing brakes'; touchDown: number };

const STEPS = 80;

/** @throws DomainError `out-of-range` for a mass, area, density or stall speed that is not above 0 */
export function landingRun(l: LandingInput): LandingRun {
  requirePositive('mass', l.mass);
  requirePositive('stall speed', l.stall);
  requirePositive('density times area', l.density * l.area);
  const touchDown = TOUCH_DOWN * l.stall,
    from = Math.max(l.wind, 0);
  if (from >= touchDown) return { status: 'stops', distance: 0, time: 0, touchDown };
  let distance = 0,
    time = 0;
  const dv = (touchDown - from) / STEPS;
  for (let i = 0; i < STEPS; i++) {
    const v = from + dv * (i + 0.5),
      q = 0.5 * l.density * v * v;
    const weight = Math.max(0, l.mass * G0 - q * l.area * l.groundCl),
      force = q * l.dragArea + l.friction * weight;
    if (!(force > 1e-3 * l.mass * G0)) return { status: 'never', reason: 'nothing brakes', touchDown };
    distance += (l.mass * (v - l.wind) * dv) / force;
    time += (l.mass * dv) / force;
  }
  return { status: 'stops', distance, time, touchDown };
}
