/**
 * Dense LU on flat typed arrays, for matrices that are formed and solved thousands of times (the coupled section
 * solver, lattices). `linear.ts` puts checked shapes about it; its tests hold it against the library's.
 */
import { DomainError } from './guard';

/** Pivots taken together, so that the rest of the matrix is passed over a quarter as often. */
const BLOCK = 4;

/**
 * LU with partial pivoting, in place.
 * @param a n*n numbers, row after row; overwritten by the factors
 * @returns row order of the pivots, n
 * @throws DomainError `singular` when a pivot is zero or not a number
 */
export function luInPlace(a: Float64Array, n: number): Int32Array {
  const order = new Int32Array(n);
  for (let k0 = 0; k0 < n; k0 += BLOCK) {
    const k1 = Math.min(k0 + BLOCK, n);
    // the block's own columns, one after the other
    for (let k = k0; k < k1; k++) {
      let best = k,
        size = Math.abs(a[k * n + k]);
      for (let i = k + 1; i < n; i++) {
        const v = Math.abs(a[i * n + k]);
        if (v > size) {
          size = v;
          best = i;
        }
      }
      if (!(size > 1e-300 && size < Infinity))
        throw new DomainError('singular', 'matrix is singular to working precision', { k, size });
      order[k] = best;
      if (best !== k)
        for (let j = 0, p = k * n, q = best * n; j < n; j++, p++, q++) {
          const t = a[p];
          a[p] = a[q];
          a[q] = t;
        }
      const inv = 1 / a[k * n + k],
        rowK = k * n;
      for (let i = k + 1; i < n; i++) {
        const rowI = i * n,
          l = a[rowI + k] * inv;
        a[rowI + k] = l;
        for (let j = k + 1; j < k1; j++) a[rowI + j] -= l * a[rowK + j];
      }
    }
    // the block's rows to the right, then everything below them, four pivots in one pass
    for (let i = k0 + 1; i < k1; i++)
      for (let k = k0; k < i; k++) {
        const l = a[i * n + k];
        for (let j = k1, p = i * n + k1, q = k * n + k1; j < n; j++, p++, q++) a[p] -= l * a[q];
      }
    if (k1 - k0 < BLOCK) break;
    const r0 = k0 * n,
      r1 = r0 + n,
      r2 = r1 + n,
      r3 = r2 + n;
    let i = k1;
    for (; i + 1 < n; i += 2) {
      const row = i * n,
        next = row + n;
      const l0 = a[row + k0],
        l1 = a[row + k0 + 1],
        l2 = a[row + k0 + 2],
        l3 = a[row + k0 + 3];
      const m0 = a[next + k0],
        m1 = a[next + k0 + 1],
        m2 = a[next + k0 + 2],
        m3 = a[next + k0 + 3];
      for (let j = k1; j < n; j++) {
        const u0 = a[r0 + j],
          u1 = a[r1 + j],
          u2 = a[r2 + j],
          u3 = a[r3 + j];
        a[row + j] -= l0 * u0 + l1 * u1 + l2 * u2 + l3 * u3;
        a[next + j] -= m0 * u0 + m1 * u1 + m2 * u2 + m3 * u3;
      }
    }
    for (; i < n; i++) {
      const row = i * n,
        l0 = a[row + k0],
        l1 = a[row + k0 + 1],
        l2 = a[row + k0 + 2],
        l3 = a[row + k0 + 3];
      for (let j = k1; j < n; j++)
        a[row + j] -= l0 * a[r0 + j] + l1 * a[r1 + j] + l2 * a[r2 + j] + l3 * a[r3 + j];
    }
  }
  return order;
}

/** Solves with factors of `luInPlace`; `b` (n numbers, from `at`) is overwritten by the solution. */
export function luSolveInPlace(lu: Float64Array, order: Int32Array, b: Float64Array, at = 0): void {
  const n = order.length;
  for (let k = 0; k < n; k++) {
    const p = order[k];
    if (p !== k) {
      const t = b[at + k];
      b[at + k] = b[at + p];
      b[at + p] = t;
    }
  }
  for (let i = 1; i < n; i++) {
    let s = b[at + i];
    for (let j = 0, row = i * n; j < i; j++) s -= lu[row + j] * b[at + j];
    b[at + i] = s;
  }
  for (let i = n - 1; i >= 0; i--) {
    let s = b[at + i];
    const row = i * n;
    for (let j = i + 1; j < n; j++) s -= lu[row + j] * b[at + j];
    b[at + i] = s / lu[row + i];
  }
}
