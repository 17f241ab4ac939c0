/**
 * Linear Bayes update: weighted least squares with a Gaussian prior.
 *   posterior precision  P1 = P0 + J^T W J
 *   posterior mean       x1 = x0 + P1^-1 J^T W (y - f(x0))   for f linear about x0
 * Source: Tarantola, Inverse Problem Theory, SIAM 2005, section 3.2 (from memory).
 */
import { invertSpd } from './linear';
import { DomainError } from './guard';

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
