/**
 * One scale of speeds for an aircraft: from below the stall of its lightest state to where full throttle gives no thrust.
 * Drag tables, thrust curves, level speeds and charts all run over it; nothing holds the end value of a table
 * that another passes.
 */

export interface SpeedScale {
  /** of the heaviest state at a lift coefficient of 0.6 [m/s] */ readonly usual: number;
  readonly low: number;
  readonly high: number;
  /** nodes of the drag tables, on one grid for all aircraft so that a gram more does not move them */
  readonly table: readonly number[];
  /** from standing still */ readonly thrust: readonly number[];
  readonly curve: readonly number[];
}

/** Below the stall of a state of half the heaviest mass at a lift coefficient of 2. */
const LOW = 0.38,
  /** without thrust: a dive at a lift coefficient of 0.06 */ DIVE = 3.2,
  /** past the speed without thrust, which calibration factors move by some per cent */ PAST = 1.12;
const RATIO = 1.5,
  THRUST_STEPS = 24,
  CURVE_POINTS = 31;

/** @param usual [m/s], above 0 @param noThrust airspeed at which full throttle pulls no more [m/s]; null without a motor */
export function speedScale(usual: number, noThrust: number | null): SpeedScale {
  const low = LOW * usual,
    high = noThrust === null ? DIVE * usual : Math.max(PAST * noThrust, 2 * usual);
  const first = Math.floor(Math.log(low) / Math.log(RATIO)),
    last = Math.ceil(Math.log(high) / Math.log(RATIO));
  const even = (from: number, n: number) =>
    Array.from({ length: n }, (_, i) => from + ((high - from) * i) / (n - 1));
  return {
    usual,
    low,
    high,
    table: Array.from({ length: last - first + 1 }, (_, i) => RATIO ** (first + i)),
    thrust: even(0, THRUST_STEPS + 1),
    curve: even(low, CURVE_POINTS),
  };
}

/**
 * Speed at which a thrust that falls with speed is nil [m/s]; null when there is none standing still or none is
 * found below 300 m/s.
 */
export function speedWithoutThrust(thrust: (v: number) => number): number | null {
  if (!(thrust(0) > 0)) return null;
  let lo = 0,
    hi = 5;
  while (thrust(hi) > 0) {
    lo = hi;
    hi *= 1.4;
    if (hi > 300) return null;
  }
  for (let k = 0; k < 20; k++) {
    const mid = 0.5 * (lo + hi);
    if (thrust(mid) > 0) lo = mid;
    else hi = mid;
  }
  return hi;
}
