/**
 * Lower factor L of a symmetric matrix that is positive or has rows of nought, L L^T = A. What is nought stays nought: a
 * factor known exactly draws nothing. Source: Golub and Van Loan, Matrix Computations, 4.2 (outer product form, from memory).
 * @param a n rows of n
 */
export function choleskyLower(a: readonly (readonly number[])[]): number[][] {
  const n = a.length,
    L = a.map(() => new Array<number>(n).fill(0));
  for (let j = 0; j < n; j++) {
    let d = a[j][j];
    for (let k = 0; k < j; k++) d -= L[j][k] ** 2;
    // rounding of a matrix that is barely positive
    if (!(d > 1e-14 * Math.abs(a[j][j]))) continue;
    L[j][j] = Math.sqrt(d);
    for (let i = j + 1; i < n; i++) {
      let s = a[i][j];
      for (let k = 0; k < j; k++) s -= L[i][k] * L[j][k];
      L[i][j] = s / L[j][j];
    }
  }
  return L;
}
