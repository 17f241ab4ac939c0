import { DomainError } from './guard';

export type RootResult =
  | { status: 'found'; x: number; residual: number; iterations: number }
  | { status: 'no-bracket'; fLo: number; fHi: number }
  | { status: 'not-converged'; x: number; residual: number; iterations: number };

/**
 * Root of f on [lo, hi] by false position with the Illinois modification, falling back on bisection.
 * The bracket is kept at every step. Relative tolerance on x.
 * Source: Dowell and Jarratt, BIT 11, 1971 (Illinois method).
 */
export function findRoot(
  f: (x: number) => number,
  lo: number,
  hi: number,
  relTol = 1e-10,
  limit = 100,
): RootResult {
  if (!(lo < hi)) throw new DomainError('out-of-range', 'bracket must have lo < hi', { lo, hi });
  let a = lo,
    b = hi,
    fa = f(a),
    fb = f(b);
  if (fa === 0) return { status: 'found', x: a, residual: 0, iterations: 0 };
  if (fb === 0) return { status: 'found', x: b, residual: 0, iterations: 0 };
  const above = Math.sign(fb);
  if (!(Math.sign(fa) * above < 0)) return { status: 'no-bracket', fLo: fa, fHi: fb };
  let side = 0;
  for (let i = 1; i <= limit; i++) {
    let x = (a * fb - b * fa) / (fb - fa);
    if (!(x > a && x < b) || i % 4 === 0) x = 0.5 * (a + b);
    const fx = f(x);
    if (fx === 0 || b - a < relTol * Math.max(Math.abs(x), relTol))
      return { status: 'found', x, residual: fx, iterations: i };
    // signs, not a product: that of two small values underflows and loses the bracket
    if (Math.sign(fx) !== above) {
      a = x;
      fa = fx;
      if (side === -1) fb /= 2;
      side = -1;
    } else {
      b = x;
      fb = fx;
      if (side === 1) fa /= 2;
      side = 1;
    }
  }
  return { status: 'not-converged', x: 0.5 * (a + b), residual: f(0.5 * (a + b)), iterations: limit };
}

/**
 * Place of the least value of a unimodal f on [lo, hi] by golden section.
 * @returns x to a width of relTol * (hi - lo)
 */
export function findMinimum(
  f: (x: number) => number,
  lo: number,
  hi: number,
  relTol = 1e-5,
): { x: number; value: number } {
  const g = (Math.sqrt(5) - 1) / 2;
  let a = lo,
    b = hi;
  let c = b - g * (b - a),
    d = a + g * (b - a);
  let fc = f(c),
    fd = f(d);
  while (b - a > relTol * (hi - lo)) {
    if (fc < fd) {
      b = d;
      d = c;
      fd = fc;
      c = b - g * (b - a);
      fc = f(c);
    } else {
      a = c;
      c = d;
      fc = fd;
      d = a + g * (b - a);
      fd = f(d);
    }
  }
  const x = 0.5 * (a + b);
  return { x, value: f(x) };
}
