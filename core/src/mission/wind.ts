/**
 * Wind over a course, turns, and rows. Headings in radians from north, clockwise; a leg goes along its heading over the
 * ground, the nose where the wind asks for it.
 * Sources: wind triangle; level turn, Anderson, Introduction to Flight, 6.118 to 6.120; turns from row to row, Dubins 1957.
 */
import { G0 } from '../air';

export interface Wind {
  /** [m/s] */ readonly speed: number;
  /** it blows from there; null: along the course, nobody said which way */ readonly from: number | null;
}

/**
 * Speed over the ground along a heading [m/s]; 0 where it does not get on. Without directions that of a way flown there
 * and back: (V^2 - w^2) / V.
 */
export function overGround(speed: number, heading: number | null, wind: Wind): number {
  if (!(speed > 0)) return 0;
  if (wind.from === null || heading === null)
    return Math.max(0, (speed * speed - wind.speed * wind.speed) / speed);
  const across = wind.speed * Math.sin(wind.from - heading),
    head = wind.speed * Math.cos(wind.from - heading);
  if (Math.abs(across) >= speed) return 0;
  return Math.max(0, Math.sqrt(speed * speed - across * across) - head);
}

/** Airspeed that holds a speed over the ground along a heading [m/s]; without directions the root of both squares. */
export function throughAir(ground: number, heading: number | null, wind: Wind): number {
  if (wind.from === null || heading === null) return Math.sqrt(ground * ground + wind.speed * wind.speed);
  const across = wind.speed * Math.sin(wind.from - heading),
    head = wind.speed * Math.cos(wind.from - heading);
  return Math.sqrt((ground + head) ** 2 + across * across);
}

export interface Turn {
  /** [m] */ readonly radius: number;
  /** for one radian [s] */ readonly secondsPerRadian: number;
  readonly load: number;
}

/** Level turn: R = V^2 / (g tan bank), n = 1 / cos bank. */
export function turnAt(speed: number, bank: number): Turn {
  const tan = Math.tan(bank);
  return {
    radius: (speed * speed) / (G0 * tan),
    secondsPerRadian: speed / (G0 * tan),
    load: 1 / Math.cos(bank),
  };
}

/** Way flown from one row to the next, the other way round [m]: half a circle, or out and round where that is too wide. */
export function rowTurn(radius: number, spacing: number): number {
  if (spacing >= 2 * radius) return Math.PI * radius + (spacing - 2 * radius);
  // out by a, back round by pi + 2 a, in by a: cos a = (R + s / 2) / 2 R
  return radius * (Math.PI + 4 * Math.acos((radius + spacing / 2) / (2 * radius)));
}
