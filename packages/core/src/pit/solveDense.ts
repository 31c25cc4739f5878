/**
 * Solves the small dense system A x = b in place by elimination; `a` is row-major n x n and is
 * destroyed, the answer is left in `b`. No pivoting: heat and oxygen balances are diagonally dominant
 * by columns (what leaves one node arrives at another), for which elimination is stable as it stands.
 */
export function solveDense(a: Float64Array, b: Float64Array, n: number): void {
  for (let col = 0; col < n; col++) {
    const d = 1 / a[col * n + col]!;
    for (let row = col + 1; row < n; row++) {
      const m = a[row * n + col]! * d;
      if (m === 0) continue;
      for (let k = col + 1; k < n; k++) a[row * n + k] = a[row * n + k]! - m * a[col * n + k]!;
      b[row] = b[row]! - m * b[col]!;
    }
  }
  for (let row = n - 1; row >= 0; row--) {
    let sum = b[row]!;
    for (let k = row + 1; k < n; k++) sum -= a[row * n + k]! * b[k]!;
    b[row] = sum / a[row * n + row]!;
  }
}
