/**
 * One lap of a course of straights and half turns, flown at constant airspeed.
 *   half turn: t = pi V / (g tan bank), load factor 1 / cos bank
 *   straights: half with the wind, half against it
 * Sources: Anderson, Introduction to Flight, 6.118 to 6.120 (level turn). Wind drift in the turns is left out.
 */
import { G0 } from '../air';

export interface Course {
  straight: number;
  straightsPerLap: number;
  turnsPerLap: number;
}
export interface LapInput {
  speed: number;
  wind: number;
  bank: number;
  /** pack power on the straights and in the turns [W] */ straightPower: number;
  turnPower: number;
}
export interface Lap {
  time: number;
  energy: number;
  straightTime: number;
  turnTime: number;
  turnRadius: number;
}

/** Time [s] and pack energy [J] of one lap; infinite when the wind is not below the airspeed. */
export function flyLap(course: Course, p: LapInput): Lap {
  const turn = (Math.PI * p.speed) / (G0 * Math.tan(p.bank));
  const slow = p.speed - p.wind;
  const straightTime =
    slow > 0
      ? course.straightsPerLap * course.straight * 0.5 * (1 / (p.speed + p.wind) + 1 / slow)
      : Infinity;
  const turnTime = course.turnsPerLap * turn;
  return {
    time: straightTime + turnTime,
    energy: straightTime * p.straightPower + turnTime * p.turnPower,
    straightTime,
    turnTime,
    turnRadius: (p.speed * p.speed) / (G0 * Math.tan(p.bank)),
  };
}

/** Laps in a window limited by time and by energy; fractional, the whole count is its floor. */
export function lapsInWindow(
  window: number,
  startTime: number,
  lapTime: number,
  energy: number,
  lapEnergy: number,
): { byTime: number; byEnergy: number; laps: number } {
  const byTime = Math.max(0, (window - startTime) / lapTime);
  const byEnergy = Math.max(0, energy / lapEnergy);
  return { byTime, byEnergy, laps: Math.min(byTime, byEnergy) };
}
