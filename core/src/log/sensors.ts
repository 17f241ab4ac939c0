/**
 * What small loggers are good for, used where a log cannot tell it by itself: an error that hardly changes within a stretch does
 * not show in what its rows differ by. Common practice, no source. The simulated logger is of the same make.
 */

/** A value that wanders about the true one: how far, and for how long it stays there [s]. */
export interface Wandering {
  readonly sd: number;
  readonly seconds: number;
}

/** Fixes of a small receiver in the open: where they wander, and each by itself [m]. */
export const PLACE_WANDERS: Wandering = { sd: 0.9, seconds: 45 };
export const PLACE_NOISE = 0.12;
/** Height over pressure, the weather and the sensor's warmth [m]. */
export const HEIGHT_WANDERS: Wandering = { sd: 0.35, seconds: 150 };
/** Height of fixes: known worse than places. */
export const FIX_HEIGHT_WANDERS: Wandering = { sd: 1.4, seconds: 45 };
/** A current sensor is off by this share all through, and with it power and charge. */
export const CURRENT_OFF = 0.03;
/** The same in words, behind a method. */
export const CURRENT_SAID = `sensor ${100 * CURRENT_OFF} %`;

/** Standard deviation of the change of such a value over a time. */
export const changeOver = ({ sd, seconds }: Wandering, time: number): number =>
  sd * Math.sqrt(2 * (1 - Math.exp(-Math.max(0, time) / seconds)));
