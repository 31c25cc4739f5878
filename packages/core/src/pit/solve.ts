/**
 * Solves the small dense system A x = b in place by elimination with partial pivoting; `a` is
 * row-major n x n and is destroyed, the answer is left in `b`. No allocation.
 */
export function solveDense(a: Float64Array, b: Float64Array, n: number): void {
  for (let col = 0; col < n; col++) {
    let pivot = col;
    for (let row = col + 1; row < n; row++) {
      if (Math.abs(a[row * n + col]!) > Math.abs(a[pivot * n + col]!)) pivot = row;
    }
    if (pivot !== col) {
      for (let k = col; k < n; k++) {
        const t = a[col * n + k]!;
        a[col * n + k] = a[pivot * n + k]!;
        a[pivot * n + k] = t;
      }
      const t = b[col]!;
      b[col] = b[pivot]!;
      b[pivot] = t;
    }
    const d = a[col * n + col]!;
    for (let row = col + 1; row < n; row++) {
      const m = a[row * n + col]! / d;
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
