/**
 * Dense linear algebra: the only module that touches the library (ml-matrix). Linear systems are factorised by
 * `dense.ts`, four times as fast and held against the library in the tests.
 * Shapes are checked, and conditioning is judged by the ratio of pivots, since a
 * pivot exactly zero is not a test for a singular matrix.
 */
import { CholeskyDecomposition, Matrix, EigenvalueDecomposition } from 'ml-matrix';
import { luInPlace, luSolveInPlace } from './dense';
import { DomainError } from './guard';

export interface Factorised {
  readonly size: number;
  /** Solves A x = b; b has `size` entries. */
  solve(b: ArrayLike<number>): Float64Array;
}

const PIVOT_RATIO_LIMIT = 1e-14;

/**
 * LU factorisation of a dense square matrix.
 * @param a rows of A, n rows of n numbers
 * @throws DomainError `bad-shape` or `singular`
 */
export function factorise(a: readonly ArrayLike<number>[]): Factorised {
  const n = a.length;
  if (n === 0 || a.some((row) => row.length !== n))
    throw new DomainError('bad-shape', 'matrix is not square', { n });
  const lu = new Float64Array(n * n);
  a.forEach((row, i) => lu.set(row, i * n));
  const order = luInPlace(lu, n);
  let least = Infinity;
  let most = 0;
  for (let i = 0; i < n; i++) {
    const p = Math.abs(lu[i * n + i]);
    if (!(p >= least)) least = p;
    if (p > most) most = p;
  }
  if (!(least > most * PIVOT_RATIO_LIMIT))
    throw new DomainError('singular', 'matrix is singular to working precision', { least, most });
  return {
    size: n,
    solve(b) {
      if (b.length !== n)
        throw new DomainError('bad-shape', 'right-hand side has the wrong length', { n, got: b.length });
      const x = Float64Array.from(b);
      luSolveInPlace(lu, order, x);
      return x;
    },
  };
}

/** Solves A x = b once. */
export function solveDense(a: readonly ArrayLike<number>[], b: ArrayLike<number>): Float64Array {
  return factorise(a).solve(b);
}

/** The mean of a matrix and its transpose: rounding leaves products a little unsymmetric. */
function symmetrised(a: readonly (readonly number[])[]): number[][] {
  return a.map((row, i) => row.map((v, j) => 0.5 * (v + a[j][i])));
}

/** Inverse of a symmetric positive definite matrix (n rows of n). @throws DomainError `singular` */
export function invertSpd(a: readonly (readonly number[])[]): number[][] {
  const c = new CholeskyDecomposition(new Matrix(symmetrised(a)));
  if (!c.isPositiveDefinite()) throw new DomainError('singular', 'matrix is not positive definite');
  return symmetrised(c.solve(Matrix.eye(a.length)).to2DArray());
}

/** Eigenvalues of a square matrix (n rows of n), conjugate pairs side by side. */
export function eigenvaluesOf(a: readonly (readonly number[])[]): { re: number; im: number }[] {
  if (a.some((row) => row.length !== a.length || row.some((v) => !Number.isFinite(v))))
    throw new DomainError('bad-shape', 'matrix is not square and finite', { n: a.length });
  const e = new EigenvalueDecomposition(new Matrix(a as number[][]));
  return e.realEigenvalues.map((re, i) => ({ re, im: e.imaginaryEigenvalues[i] }));
}
