/**
 * A strip on edge that turns over sideways: the least load factor at which (GJ phi')' + M^2 / EI_side phi = 0 with phi = 0 at
 * the root and no torque at the tip. For one even strip, a force P at the tip: P = 4.013 sqrt(EI GJ) / L^2; an even load:
 * q L = 12.85 sqrt(EI GJ) / L^2 (Timoshenko and Gere, Theory of Elastic Stability, 6.4 and 6.6, from memory).
 */
import type { Grid } from './beam';

/**
 * @param moment at load factor 1 [N m] @param EIside, GJ [N m2]; all at the places of the grid
 * @returns the load factor, Infinity where no moment is
 */
export function sidewaysFactor(
  y: Grid,
  moment: Float64Array,
  EIside: Float64Array,
  GJ: Float64Array,
): number {
  const n = y.length / 3;
  if (!moment.some((m) => Math.abs(m) > 0)) return Infinity;
  // linear elements, node i at the end of interval i; node 0 is the clamped root
  const diagonal = new Float64Array(n),
    off = new Float64Array(n),
    weight = new Float64Array(n),
    offWeight = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const h = y[3 * i + 2] - y[3 * i],
      k = (GJ[3 * i] + 4 * GJ[3 * i + 1] + GJ[3 * i + 2]) / (6 * h),
      f = (p: number) => moment[p] ** 2 / EIside[p],
      [a, m, b] = [f(3 * i), f(3 * i + 1), f(3 * i + 2)];
    diagonal[i] += k;
    weight[i] += (h * (m + b)) / 6;
    if (i > 0) {
      diagonal[i - 1] += k;
      off[i] = -k;
      weight[i - 1] += (h * (a + m)) / 6;
      offWeight[i] = (h * m) / 6;
    }
  }
  return Math.sqrt(leastEigenvalue(diagonal, off, weight, offWeight));
}

const LIMIT = 200,
  SETTLED = 1e-10;

/** Least lambda of K phi = lambda B phi, tridiagonal both, by inverse iteration. `off[i]` couples i - 1 and i. */
function leastEigenvalue(
  diagonal: Float64Array,
  off: Float64Array,
  weight: Float64Array,
  offWeight: Float64Array,
): number {
  const n = diagonal.length,
    x = new Float64Array(n).fill(1),
    pivot = new Float64Array(n);
  pivot[0] = diagonal[0];
  for (let i = 1; i < n; i++) pivot[i] = diagonal[i] - (off[i] * off[i]) / pivot[i - 1];
  const weighted = (v: Float64Array, i: number) =>
    weight[i] * v[i] + (i > 0 ? offWeight[i] * v[i - 1] : 0) + (i < n - 1 ? offWeight[i + 1] * v[i + 1] : 0);
  let lambda = Infinity;
  for (let step = 0; step < LIMIT; step++) {
    const b = x.map((_, i) => weighted(x, i));
    for (let i = 1; i < n; i++) b[i] -= (off[i] / pivot[i - 1]) * b[i - 1];
    b[n - 1] /= pivot[n - 1];
    for (let i = n - 2; i >= 0; i--) b[i] = (b[i] - off[i + 1] * b[i + 1]) / pivot[i];
    let top = 0,
      bottom = 0;
    for (let i = 0; i < n; i++) {
      top += b[i] * weighted(x, i);
      bottom += b[i] * weighted(b, i);
    }
    const next = top / bottom,
      scale = Math.max(...b.map(Math.abs));
    for (let i = 0; i < n; i++) x[i] = b[i] / scale;
    if (Math.abs(next - lambda) <= SETTLED * next) return next;
    lambda = next;
  }
  return lambda;
}
