/** Odds of success: by counted trials or as typed, once or as the best of several attempts. */
import type { Odds } from '../design';
import { requireInRange } from '../numeric';

/** Probability that an exact interval leaves out on each side. */
const TAIL = 0.025;
const HALVINGS = 60;

/** Chance of at most k successes in n tries of chance p each. */
export function binomialCdf(k: number, n: number, p: number): number {
  requireInRange('chance', p, 0, 1);
  if (k >= n) return 1;
  if (k < 0) return 0;
  if (p === 0) return 1;
  if (p === 1) return 0;
  const odds = Math.log(p) - Math.log(1 - p);
  let term = n * Math.log(1 - p),
    sum = 0;
  for (let i = 0; i <= k; i++) {
    sum += Math.exp(term);
    term += Math.log((n - i) / (i + 1)) + odds;
  }
  return Math.min(1, sum);
}

/** Where a falling function of p passes `level`. */
function passing(f: (p: number) => number, level: number): number {
  let lo = 0,
    hi = 1;
  for (let i = 0; i < HALVINGS; i++) {
    const mid = 0.5 * (lo + hi);
    if (f(mid) > level) lo = mid;
    else hi = mid;
  }
  return 0.5 * (lo + hi);
}

/**
 * Exact two-sided 95 % interval of a chance. Source: Clopper and Pearson, Biometrika 26, 1934.
 * @param won of `tried`, both whole, 0 <= won <= tried, tried at least 1
 */
export function chanceInterval(won: number, tried: number): { low: number; high: number } {
  requireInRange('tries', tried, 1, 1e4);
  requireInRange('successes', won, 0, tried);
  return {
    low: won === 0 ? 0 : passing((p) => binomialCdf(won - 1, tried, p), 1 - TAIL),
    high: won === tried ? 1 : passing((p) => binomialCdf(won, tried, p), TAIL),
  };
}

/** Chance that at least one of several attempts comes off. */
export function bestOf(chance: number, attempts: number): number {
  return 1 - (1 - chance) ** attempts;
}

/** Of all attempts together; null where nothing was tried and nothing is typed. */
export function successOf(odds: Odds): { chance: number; low: number; high: number } | null {
  const { chance, tried, won, attempts } = odds,
    all = (p: number) => bestOf(p, attempts);
  if (chance !== null) return { chance: all(chance), low: all(chance), high: all(chance) };
  if (!(tried > 0) || won > tried) return null;
  const { low, high } = chanceInterval(won, tried);
  return { chance: all(won / tried), low: all(low), high: all(high) };
}
