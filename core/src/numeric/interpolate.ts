import { DomainError } from './guard';

/** Index i with xs[i] <= x <= xs[i+1]; confined to the ends. xs ascending, at least two. */
export function bracketIndex(xs: ArrayLike<number>, x: number): number {
  let lo = 0,
    hi = xs.length - 1;
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (xs[mid] <= x) lo = mid;
    else hi = mid;
  }
  return lo;
}

/** Piecewise linear value at x; the end values are held outside the table. */
export function interpolateLinear(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number): number {
  if (xs.length === 1) return ys[0];
  const i = bracketIndex(xs, x);
  const t = (x - xs[i]) / (xs[i + 1] - xs[i]);
  return t <= 0 ? ys[i] : t >= 1 ? ys[i + 1] : ys[i] + t * (ys[i + 1] - ys[i]);
}

/** Second derivatives of the natural cubic spline through (xs, ys); xs strictly ascending. */
export function splineCurvatures(xs: ArrayLike<number>, ys: ArrayLike<number>): Float64Array {
  const n = xs.length;
  const m = new Float64Array(n);
  const u = new Float64Array(n);
  for (let i = 1; i < n - 1; i++) {
    if (!(xs[i + 1] > xs[i])) throw new DomainError('bad-shape', 'spline knots must ascend', { i });
    const s = (xs[i] - xs[i - 1]) / (xs[i + 1] - xs[i - 1]);
    const p = s * m[i - 1] + 2;
    m[i] = (s - 1) / p;
    const d = (ys[i + 1] - ys[i]) / (xs[i + 1] - xs[i]) - (ys[i] - ys[i - 1]) / (xs[i] - xs[i - 1]);
    u[i] = ((6 * d) / (xs[i + 1] - xs[i - 1]) - s * u[i - 1]) / p;
  }
  for (let i = n - 2; i > 0; i--) m[i] = m[i] * m[i + 1] + u[i];
  return m;
}

/** Natural cubic spline value at x, with curvatures from `splineCurvatures`. */
export function splineValue(
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  m: ArrayLike<number>,
  x: number,
): number {
  const i = bracketIndex(xs, x);
  const h = xs[i + 1] - xs[i];
  const a = (xs[i + 1] - x) / h;
  const b = (x - xs[i]) / h;
  return a * ys[i] + b * ys[i + 1] + (((a * a * a - a) * m[i] + (b * b * b - b) * m[i + 1]) * h * h) / 6;
}

/** Trapezium integral of ys over xs. */
export function trapezium(xs: ArrayLike<number>, ys: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 1; i < xs.length; i++) sum += 0.5 * (ys[i] + ys[i - 1]) * (xs[i] - xs[i - 1]);
  return sum;
}
