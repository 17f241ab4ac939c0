/**
 * Least squares that outliers do not pull: residuals of Student's t with 4 degrees of freedom, weights by iteration (Lange,
 * Little and Taylor, Robust statistical modeling using the t distribution, JASA 84, 1989). Covariance by Huber's formula
 * (Robust Statistics, 1981, eq. 6.5 of chapter 7, from memory). Where rows follow one another in time, what they miss by goes
 * together: the scores of neighbours are summed under Parzen's window (Andrews, Heteroskedasticity and autocorrelation
 * consistent covariance matrix estimation, Econometrica 59, 1991), as far apart as their own autocorrelation lasts (Sokal's
 * window, from memory).
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
      readonly rounds: number;
    }
  | { readonly status: 'too-few' | 'not-settled' | 'singular' };

const NU = 4,
  ROUNDS = 60,
  SETTLED = 1e-9;
/** Autocorrelation is summed until so many times what it comes to; neighbours are taken together so far. */
const WINDOW = 5,
  REACH = 10;

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

/** Weighed residuals, and the mean slope of their score. */
function scoresOf(r: Float64Array, w: Float64Array, scale: number) {
  const psi = new Float64Array(r.length);
  let slope = 0;
  for (let i = 0; i < r.length; i++) {
    const u = (r[i] / scale) ** 2;
    psi[i] = w[i] * r[i];
    slope += ((NU + 1) * (NU - u)) / (NU + u) ** 2;
  }
  return { psi, slope: slope / r.length };
}

/** How many rows hang together: 1 where each is by itself. @param psi of mean nought, in their order */
export function hangTogether(psi: Float64Array): number {
  const n = psi.length,
    square = psi.reduce((s, v) => s + v * v, 0);
  let sum = 1;
  for (let k = 1; k < n / 4 && k < WINDOW * sum && square > 0; k++) {
    let together = 0;
    for (let i = k; i < n; i++) together += psi[i] * psi[i - k];
    sum += (2 * together) / square;
  }
  return Math.max(1, sum);
}

/** Of so few rows that say something of their own no more is known than this [variance]. */
const MOST_WIDENED = 4;

/** Parzen's window at a share of its reach. */
const parzen = (x: number) => (x < 0.5 ? 1 - 6 * x * x * (1 - x) : 2 * (1 - x) ** 3);

/** Sum of the products of two columns, the second so many rows earlier. */
function productSum(a: Float64Array, b: Float64Array, earlier: number): number {
  let sum = 0;
  for (let i = earlier; i < a.length; i++) sum += a[i] * b[i - earlier];
  return sum;
}

/** Sum of the products of scores, neighbours up to a reach with them. */
function scoreSums({ size }: RobustTask, psi: Float64Array, J: Float64Array, reach: number) {
  const M = Array.from({ length: size }, () => new Float64Array(size)),
    scores = M.map((_, p) => psi.map((v, i) => v * J[i * size + p]));
  for (let k = 0; k <= reach; k++) {
    // both ways round: earlier and later neighbours
    const by = k === 0 ? 0.5 : parzen(k / (reach + 1));
    for (let p = 0; p < size; p++) {
      M[p][p] += 2 * by * productSum(scores[p], scores[p], k);
      for (let q = 0; q < p; q++)
        M[p][q] += by * (productSum(scores[p], scores[q], k) + productSum(scores[q], scores[p], k));
    }
  }
  for (let p = 0; p < size; p++) for (let q = 0; q < p; q++) M[q][p] = M[p][q];
  return M;
}

/** Covariance of the unknowns: inverse slope, sum of scores, inverse slope. */
function covarianceOf(task: RobustTask, r: Float64Array, J: Float64Array, w: Float64Array, scale: number) {
  const { count, size } = task,
    { psi, slope } = scoresOf(r, w, scale),
    { A } = normal(task, r, J, new Float64Array(count).fill(1)),
    inverse = invertSpd(A.map((row) => [...row])),
    free = count / (count - size);
  if (!task.inTime) {
    const by = (psi.reduce((s, v) => s + v * v, 0) * free) / (count * slope * slope);
    return inverse.map((row) => [...row].map((v) => by * v));
  }
  const together = hangTogether(psi),
    reach = Math.min(Math.floor(count / 4), Math.ceil(REACH * together)),
    M = scoreSums(task, psi, J, reach),
    half = inverse.map((row) => M.map((_, q) => [...row].reduce((s, v, p) => s + v * M[p][q], 0)));
  // rows that hang together count as one
  const alone = count / together,
    by = Math.min(MOST_WIDENED, alone / Math.max(0.25 * alone, alone - size)) / (slope * slope);
  return half.map((row) => inverse.map((col) => by * row.reduce((s, v, q) => s + v * col[q], 0)));
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
  try {
    return {
      status: 'ok',
      x,
      covariance: covarianceOf(task, r, J, w, scale || 1),
      scale,
      weights: w.map((v) => (v * NU) / (NU + 1)),
      rounds,
    };
  } catch {
    return { status: 'singular' };
  }
}
