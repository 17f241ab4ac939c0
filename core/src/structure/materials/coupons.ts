/**
 * What a few broken coupons let one count on: the value that 95 % of pieces exceed, stated with 75 % confidence, as timber
 * standards have it (EN 14358 and ISO 12491, from memory): mean - k s, k the one-sided normal tolerance factor
 *   k = t'_(gamma; n-1, z_p sqrt(n)) / sqrt(n),  t' the quantile of the noncentral t distribution.
 */
import { DomainError, findRoot, normalCdf } from '../../numeric';
import { ONE_IN_TWENTY } from './material';

const CONFIDENCE = 0.75;

/** P(T' <= t) of the noncentral t with `nu` degrees and shift `delta`: the normal over the spread of s, by Simpson. */
function noncentralBelow(t: number, nu: number, delta: number): number {
  const n = 400,
    top = 1 + 8 / Math.sqrt(nu);
  let sum = 0,
    weight = 0;
  for (let i = 0; i <= n; i++) {
    const s = (top * i) / n,
      // density of s where nu s^2 is chi-square, without its constant
      f =
        s === 0 && nu > 1 ? 0 : Math.exp((nu - 1) * Math.log(Math.max(s, 1e-12)) - (nu * s * s) / 2 + nu / 2),
      w = (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * f;
    sum += w * normalCdf(t * s - delta);
    weight += w;
  }
  return sum / weight;
}

/**
 * One-sided tolerance factor of `n` pieces.
 * @param n two or more @param exceededBy normal quantile of the share that exceeds it
 * @throws DomainError `out-of-range` for fewer than two pieces
 */
export function toleranceFactor(n: number, confidence = CONFIDENCE, quantile = ONE_IN_TWENTY): number {
  if (!(n >= 2)) throw new DomainError('out-of-range', 'a spread needs two pieces', { n });
  const delta = quantile * Math.sqrt(n);
  const found = findRoot((k) => noncentralBelow(k * Math.sqrt(n), n - 1, delta) - confidence, 0.5, 100);
  if (found.status === 'no-bracket')
    throw new DomainError('out-of-range', 'no factor for such a confidence', { confidence });
  return found.x;
}

export interface CouponResult {
  readonly n: number;
  /** [Pa] */ readonly mean: number;
  /** standard deviation between pieces [Pa]; null for one piece */ readonly spread: number | null;
  /** what may be counted on [Pa]; null where one piece says nothing of the others */ readonly design:
    number | null;
}

/** @param values stresses at failure [Pa], above zero */
export function couponResult(values: readonly number[]): CouponResult | null {
  const n = values.length;
  if (n === 0) return null;
  const mean = values.reduce((s, v) => s + v, 0) / n;
  if (n === 1) return { n, mean, spread: null, design: null };
  const spread = Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (n - 1));
  return { n, mean, spread, design: Math.max(0, mean - toleranceFactor(n) * spread) };
}
