/**
 * Glide polar from steady segments: drag is weight times sink over speed, and splits into what grows with the square of the
 * speed and what falls with it: D = q f + K W^2 / (q S), linear in drag area f and in K = dCD/dCL^2 (common text-book form,
 * e.g. McCormick, Aerodynamics, Aeronautics and Flight Mechanics, chapter 4, from memory).
 */
import { G0 } from '../air';
import { invertSpd, solveDense } from '../numeric';

export interface GlidePoint {
  /** [m/s] */ readonly speed: number;
  readonly sink: number;
  /** of the sink, with what the speed is missed by [m/s] */ readonly sigma: number;
}

export interface GlideTask {
  readonly points: readonly GlidePoint[];
  /** [kg] */ readonly mass: number;
  /** [m2] */ readonly area: number;
  /** [kg/m3] */ readonly density: number;
}

export interface GlidePolar {
  /** [m2] */ readonly dragArea: number;
  /** drag coefficient per lift coefficient squared */ readonly k: number;
  /** covariance of the two */ readonly covariance: readonly (readonly number[])[];
  /** least sink [m/s] and the best glide, with their spreads */ readonly sink: {
    value: number;
    sigma: number;
  };
  readonly ratio: { value: number; sigma: number };
}

/** Speeds nearer together than this share do not tell the two parts of drag apart. */
const APART = 0.15;

/** Spread of a function of the two unknowns, by its slopes. */
function spread(of: (f: number, k: number) => number, [f, k]: readonly number[], C: number[][]): number {
  const h = 1e-4,
    gf = (of(f * (1 + h), k) - of(f * (1 - h), k)) / (2 * h * f),
    gk = (of(f, k * (1 + h)) - of(f, k * (1 - h))) / (2 * h * k);
  return Math.sqrt(gf * gf * C[0][0] + 2 * gf * gk * C[0][1] + gk * gk * C[1][1]);
}

/** @returns null with fewer than two points, speeds too near, or a part of drag below nought */
export function glidePolar({ points, mass, area, density }: GlideTask): GlidePolar | null {
  const speeds = points.map((p) => p.speed);
  if (points.length < 2 || Math.max(...speeds) < (1 + APART) * Math.min(...speeds)) return null;
  const W = mass * G0;
  const A = [
      [0, 0],
      [0, 0],
    ],
    b = [0, 0];
  for (const { speed, sink, sigma } of points) {
    const q = 0.5 * density * speed * speed,
      row = [q, (W * W) / (q * area)],
      drag = (W * sink) / speed,
      w = 1 / ((W * sigma) / speed) ** 2;
    for (let i = 0; i < 2; i++) {
      b[i] += w * row[i] * drag;
      for (let j = 0; j < 2; j++) A[i][j] += w * row[i] * row[j];
    }
  }
  const [f, k] = solveDense(A, b);
  if (!(f > 0) || !(k > 0)) return null;
  // points that miss the polar by more than they say know it less
  const chi =
    points.reduce((sum, { speed, sink, sigma }) => {
      const q = 0.5 * density * speed * speed;
      return sum + (((q * f + (k * W * W) / (q * area)) * speed) / W / sigma - sink / sigma) ** 2;
    }, 0) / Math.max(1, points.length - 2);
  const C = invertSpd(A).map((row) => row.map((v) => v * Math.max(1, chi)));
  // least power at k CL^2 = 3 CD0, best glide at k CL^2 = CD0
  const at = (share: number) => (f0: number, k0: number) => {
    const CL = Math.sqrt((share * f0) / (area * k0)),
      CD = f0 / area + k0 * CL * CL,
      V = Math.sqrt((2 * W) / (density * area * CL));
    return { sink: (V * CD) / CL, ratio: CL / CD };
  };
  const least = (f0: number, k0: number) => at(3)(f0, k0).sink,
    best = (f0: number, k0: number) => at(1)(f0, k0).ratio;
  return {
    dragArea: f,
    k,
    covariance: C,
    sink: { value: least(f, k), sigma: spread(least, [f, k], C) },
    ratio: { value: best(f, k), sigma: spread(best, [f, k], C) },
  };
}
