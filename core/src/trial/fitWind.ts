/** Wind and airspeed of laps from ground velocities, by the closed form of the circle through them. */
import { kasaCircle, tellsWind } from '../log';

/** Kasa circle through ground velocities; null with fewer than 8 points or no spread of heading. */
export function fitWind(
  velocities: readonly (readonly [number, number])[],
): { airspeed: number; east: number; north: number; residual: number } | null {
  if (velocities.length < 8) return null;
  const points = {
    east: Float64Array.from(velocities, (v) => v[0]),
    north: Float64Array.from(velocities, (v) => v[1]),
  };
  if (!tellsWind(points)) return null;
  const [east, north, airspeed] = kasaCircle(points);
  const residual = Math.sqrt(
    velocities.reduce((s, [u, w]) => s + (Math.hypot(u - east, w - north) - airspeed) ** 2, 0) /
      velocities.length,
  );
  return { airspeed, east, north, residual };
}
