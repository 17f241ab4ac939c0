/**
 * Least squares that outliers do not pull: residuals of Student's t with 4 degrees of freedom, weights by iteration (Lange,
 * Little and Taylor, Robust statistical modeling using the t distribution, JASA 84, 1989). Covariance by Huber's formula
 * (Robust Statistics, 1981, eq. 6.5 of chapter 7, from memory), widened where neighbouring residuals go together: as of a
 * first-order autoregression, by (1 + rho) / (1 - rho).
 */
import { invertSpd, solveDense } from './linear';

export interface RobustTask {
  readonly count: number;
  /** unknowns */ readonly size: number;
  /** residuals (count), and count x size derivatives of them, row after row */ residuals(
    x: readonly number[],
    r: Float64Array,
    J: Float64Array,
  ): void;
  /** rows follow one another in time: what they miss by may go together */ readonly inTime: boolean;
}

export type RobustFit =
  | {
      readonly status: 'ok';
      readonly x: readonly number[];
      readonly covariance: readonly (readonly number[])[];
      /** of one residual */ readonly scale: number;
      /** 1 for a residual of nought, towards 0 for an outlier */ readonly weights: Float64Array;
      /** of neighbouring residuals, 0 to 1 */ readonly correlation: number;
      readonly rounds: number;
    }
  | { readonly status: 'too-few' | 'not-settled' | 'singular' };

const NU = 4,
  ROUNDS = 60,
  SETTLED = 1e-9;
/** Residuals that go together more than this say nothing of their own. */
const MOST_CORRELATED = 0.98;

/** Scale of the first round: 1.4826 times the middle of what is missed. */
function firstScale(r: Float64Array): number {
  const sizes = r.map(Math.abs).sort();
  return 1.4826 * sizes[sizes.length >> 1] || Math.sqrt(r.reduce((s, v) => s + v * v, 0) / r.length);
}

/** J'WJ and J'Wr. */
function normal(task: RobustTask, r: Float64Array, J: Float64Array, w: Float64Array) {
  const { count, size } = task,
    A = Array.from({ length: size }, () => new Float64Array(size)),
    b = new Float64Array(size);
  for (let i = 0; i < count; i++)
    for (let p = 0; p < size; p++) {
      const jp = w[i] * J[i * size + p];
      b[p] += jp * r[i];
      for (let q = 0; q <= p; q++) A[p][q] += jp * J[i * size + q];
    }
  for (let p = 0; p < size; p++) for (let q = 0; q < p; q++) A[q][p] = A[p][q];
  return { A, b };
}

const weigh = (r: Float64Array, scale: number, w: Float64Array): void => {
  for (let i = 0; i < r.length; i++) w[i] = (NU + 1) / (NU + (r[i] / scale) ** 2);
};

/** What an unknown estimate is known by: mean square and slope of the weighed residuals, and how far neighbours agree. */
function spreadOf(r: Float64Array, w: Float64Array, scale: number) {
  let square = 0,
    slope = 0,
    together = 0;
  for (let i = 0; i < r.length; i++) {
    const psi = w[i] * r[i],
      u = (r[i] / scale) ** 2;
    square += psi * psi;
    slope += ((NU + 1) * (NU - u)) / (NU + u) ** 2;
    if (i > 0) together += psi * w[i - 1] * r[i - 1];
  }
  return { square, slope, correlation: square > 0 ? together / square : 0 };
}

/** Residuals this small against what they are the difference of are nought but rounding. */
const ROUNDING = 1e-12;

function rounding({ count, size }: RobustTask, x: readonly number[], J: Float64Array): number {
  let most = 0;
  for (let i = 0; i < count; i++) {
    let sum = 0;
    for (let p = 0; p < size; p++) sum += Math.abs(J[i * size + p] * x[p]);
    if (sum > most) most = sum;
  }
  return ROUNDING * most;
}

/** @param start of the unknowns */
export function fitRobust(task: RobustTask, start: readonly number[]): RobustFit {
  const { count, size } = task;
  if (count <= size + 1) return { status: 'too-few' };
  const r = new Float64Array(count),
    J = new Float64Array(count * size),
    w = new Float64Array(count);
  let x = [...start],
    rounds = 0,
    moved = Infinity;
  task.residuals(x, r, J);
  let scale = firstScale(r);
  for (; rounds < ROUNDS && moved > SETTLED; rounds++) {
    // what is met exactly has no spread
    if (!(scale > rounding(task, x, J))) {
      scale = 0;
      break;
    }
    weigh(r, scale, w);
    const { A, b } = normal(task, r, J, w);
    let step: Float64Array;
    try {
      step = solveDense(A, b);
    } catch {
      return { status: 'singular' };
    }
    if (!step.every(Number.isFinite)) return { status: 'singular' };
    x = x.map((v, p) => v - step[p]);
    task.residuals(x, r, J);
    const was = scale;
    scale = Math.sqrt(r.reduce((s, v, i) => s + w[i] * v * v, 0) / (count - size));
    moved = Math.max(
      Math.abs(scale - was) / was,
      ...x.map((v, p) => Math.abs(step[p]) / (Math.abs(v) + Math.sqrt(Number.EPSILON))),
    );
  }
  if (moved > 1e-4 && scale > 0) return { status: 'not-settled' };
  weigh(r, scale || 1, w);
  const { square, slope, correlation } = spreadOf(r, w, scale || 1),
    rho = task.inTime ? Math.min(MOST_CORRELATED, Math.max(0, correlation)) : 0;
  const factor = ((square / (count - size)) * (count / slope) ** 2 * (1 + rho)) / (1 - rho);
  const { A } = normal(task, r, J, new Float64Array(count).fill(1));
  let inverse;
  try {
    inverse = invertSpd(A.map((row) => [...row]));
  } catch {
    return { status: 'singular' };
  }
  return {
    status: 'ok',
    x,
    covariance: inverse.map((row) => [...row].map((v) => v * factor)),
    scale,
    weights: w.map((v) => (v * NU) / (NU + 1)),
    correlation: rho,
    rounds,
  };
}
