/**
 * Linear Bayes update: weighted least squares with a Gaussian prior.
 *   posterior precision  P1 = P0 + J^T W J
 *   posterior mean       x1 = x0 + P1^-1 J^T W (y - f(x0))   for f linear about x0
 * Source: Tarantola, Inverse Problem Theory, SIAM 2005, section 3.2 (from memory).
 */
import { invertSpd } from './linear';
import { DomainError } from './guard';
import { normalCdf } from './normal';

export interface BayesUpdate {
  mean: number[];
  /** n rows of n */
  covariance: number[][];
}

/**
 * @param mean prior mean, n
 * @param covariance prior covariance, n rows of n, positive definite
 * @param jacobian m rows of n
 * @param residual measured minus predicted at `mean`, m
 * @param sigma standard uncertainty of each residual, m, all > 0
 */
export function updateLinear(
  mean: readonly number[],
  covariance: readonly (readonly number[])[],
  jacobian: readonly (readonly number[])[],
  residual: readonly number[],
  sigma: readonly number[],
): BayesUpdate {
  const n = mean.length;
  if (
    jacobian.length !== residual.length ||
    sigma.length !== residual.length ||
    jacobian.some((r) => r.length !== n)
  ) {
    throw new DomainError('bad-shape', 'jacobian, residual and sigma must agree', { n, m: residual.length });
  }
  const precision = invertSpd(covariance);
  const pull = new Array<number>(n).fill(0);
  residual.forEach((r, k) => {
    const w = 1 / (sigma[k] * sigma[k]);
    if (!(w > 0 && w < Infinity)) throw new DomainError('out-of-range', 'sigma must be above zero', { k });
    for (let i = 0; i < n; i++) {
      pull[i] += jacobian[k][i] * w * r;
      for (let j = 0; j < n; j++) precision[i][j] += jacobian[k][i] * w * jacobian[k][j];
    }
  });
  const post = invertSpd(precision);
  return {
    mean: mean.map((x, i) => x + post[i].reduce((s, c, j) => s + c * pull[j], 0)),
    covariance: post,
  };
}

/**
 * Standard normal density over the share below x, phi(x) / Phi(x). Below -1 by Laplace's continued fraction, |x| + 1/(|x| +
 * 2/(|x| + ...)): a difference of two small numbers otherwise (Abramowitz and Stegun 26.2.14, from memory).
 */
function millsRatio(x: number): number {
  if (x > -1) return Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI) / normalCdf(x);
  let f = -x;
  for (let k = FRACTION; k >= 1; k--) f = -x + k / f;
  return f;
}
const FRACTION = 60;

/**
 * A one-sided measurement: y = g . x is known to be at least what was read, to within `sigma`. The normal spread of y is cut
 * there and its mean and variance kept (moments of the probit-truncated normal):
 *   a = -r / sqrt(s2 + sigma2), l = phi(a)/Phi(a), y' = y + s2 l / sqrt(s2 + sigma2), s2' = s2 - s2^2 l (l + a) / (s2 + sigma2)
 * Source: Rasmussen and Williams, Gaussian Processes for Machine Learning, 3.9 (from memory).
 * @param residual bound less the present mean of y
 */
export function cutBelow(
  at: BayesUpdate,
  gradient: readonly number[],
  residual: number,
  sigma: number,
): BayesUpdate {
  const n = gradient.length,
    Cg = at.covariance.map((row) => row.reduce((s, c, j) => s + c * gradient[j], 0)),
    s2 = Cg.reduce((s, c, i) => s + c * gradient[i], 0);
  if (!(s2 > 0)) return at;
  const wide = s2 + sigma * sigma,
    a = -residual / Math.sqrt(wide),
    l = millsRatio(a),
    step = l / Math.sqrt(wide),
    less = (l * (l + a)) / wide;
  return {
    mean: at.mean.map((x, i) => x + Cg[i] * step),
    covariance: Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (__, j) => at.covariance[i][j] - Cg[i] * Cg[j] * less),
    ),
  };
}
