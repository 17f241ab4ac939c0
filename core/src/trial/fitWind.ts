/**
 * Wind and airspeed from ground velocities: least-squares circle through them (Kasa, IEEE Trans. Instrum. Meas. 25,
 * 1976); its centre is the wind, its radius the airspeed. Needs headings all round or opposite.
 */
import { solveDense } from '../numeric';

/** Kasa circle through ground velocities; null with fewer than 8 points or no spread of heading. */
export function fitWind(
  velocities: readonly (readonly [number, number])[],
): { airspeed: number; east: number; north: number; residual: number } | null {
  if (velocities.length < 8) return null;
  const n = velocities.length;
  const A = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
    ],
    b = [0, 0, 0];
  for (const [u, w] of velocities) {
    const row = [2 * u, 2 * w, 1],
      rhs = u * u + w * w;
    for (let i = 0; i < 3; i++) {
      b[i] += row[i] * rhs;
      for (let j = 0; j < 3; j++) A[i][j] += row[i] * row[j];
    }
  }
  const heading = velocities.map(([u, w]) => Math.atan2(w, u));
  const spread =
    Math.hypot(
      heading.reduce((s, h) => s + Math.cos(h), 0),
      heading.reduce((s, h) => s + Math.sin(h), 0),
    ) / n;
  if (spread > 0.85) return null;
  const [east, north, c] = solveDense(A, b);
  const airspeed = Math.sqrt(Math.max(0, c + east * east + north * north));
  const residual = Math.sqrt(
    velocities.reduce((s, [u, w]) => s + (Math.hypot(u - east, w - north) - airspeed) ** 2, 0) / n,
  );
  return { airspeed, east, north, residual };
}
