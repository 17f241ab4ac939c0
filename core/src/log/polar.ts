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
  /** of the sink [m/s] */ readonly sigma: number;
  /** of this speed by itself [m/s] */ readonly missed: number;
  /** what it carried over its weight: more than 1 in a turn */ readonly load: number;
}

export interface GlideTask {
  readonly points: readonly GlidePoint[];
  /** [kg] */ readonly mass: number;
  /** [m2] */ readonly area: number;
  /** [kg/m3] */ readonly density: number;
  /** share by which all speeds together may be wrong, as by a sensor's factor; 0 where left out */ readonly common?: number;
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

/**
 * Sink of a polar at a speed, and how it grows with the speed.
 * @param f drag area [m2] @param k dCD/dCL2 @param load over its weight, in a turn
 */
export function sinkOf(
  [f, k]: readonly number[],
  speed: number,
  { mass, area, density }: Pick<GlideTask, 'mass' | 'area' | 'density'>,
  load = 1,
) {
  const W = mass * G0,
    q = 0.5 * density * speed * speed,
    parasitic = q * f,
    induced = (k * (load * W) ** 2) / (q * area);
  return { sink: ((parasitic + induced) * speed) / W, slope: (3 * parasitic - induced) / W };
}

/** Both parts of the drag by weighted least squares. */
function splitDrag({ points, mass, area, density }: GlideTask, sigmas: readonly number[]) {
  const W = mass * G0,
    A = [
      [0, 0],
      [0, 0],
    ],
    b = [0, 0];
  points.forEach(({ speed, sink, load }, n) => {
    const q = 0.5 * density * speed * speed,
      row = [q, (load * W) ** 2 / (q * area)],
      drag = (W * sink) / speed,
      w = 1 / ((W * sigmas[n]) / speed) ** 2;
    for (let i = 0; i < 2; i++) {
      b[i] += w * row[i] * drag;
      for (let j = 0; j < 2; j++) A[i][j] += w * row[i] * row[j];
    }
  });
  return { x: [...solveDense(A, b)], A };
}

/** Standard deviations of a mean square over what it should be. */
const UNLIKELY = 2.3;

/** A speed that is missed misses the sink by the polar's slope there. */
const ROUNDS = 3;

/** @returns null with fewer than two points, speeds too near, or a part of drag below nought */
export function glidePolar(task: GlideTask): GlidePolar | null {
  const { points, mass, area, density } = task,
    speeds = points.map((p) => p.speed),
    W = mass * G0;
  if (points.length < 2 || Math.max(...speeds) < (1 + APART) * Math.min(...speeds)) return null;
  let sigmas = points.map((p) => Math.hypot(p.sigma, (p.sink * p.missed) / p.speed)),
    fit = splitDrag(task, sigmas);
  for (let round = 0; round < ROUNDS; round++) {
    if (!fit.x.every((v) => v > 0)) return null;
    sigmas = points.map((p) => Math.hypot(p.sigma, sinkOf(fit.x, p.speed, task, p.load).slope * p.missed));
    fit = splitDrag(task, sigmas);
  }
  const [f, k] = fit.x;
  if (!(f > 0) || !(k > 0)) return null;
  // points that miss the polar by more than they say know it less
  const chi =
    points.reduce(
      (sum, p, i) => sum + ((sinkOf(fit.x, p.speed, task, p.load).sink - p.sink) / sigmas[i]) ** 2,
      0,
    ) / Math.max(1, points.length - 2);
  const free = Math.max(1, points.length - 2),
    // more than chance would have it: one in twenty
    more = chi > 1 + UNLIKELY * Math.sqrt(2 / free) ? chi : 1,
    // all speeds e too high: drag area falls with e cubed, the other part grows with e
    together = [-3 * f, k],
    C = invertSpd(fit.A).map((row, i) =>
      row.map((v, j) => v * more + together[i] * together[j] * (task.common ?? 0) ** 2),
    );
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
