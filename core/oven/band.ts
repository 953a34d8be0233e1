/**
 * Solves A x = b for a symmetric positive definite band matrix, in place.
 *
 * @param a lower band by rows: a[i * (w + 1) + (w - (i - j))] holds A[i][j] for i - w ≤ j ≤ i; overwritten by its Cholesky factor
 * @param b right side; overwritten by the solution
 * @param n unknowns
 * @param w half bandwidth
 */
export function solveBand(a: Float64Array, b: Float64Array, n: number, w: number): void {
  const row = w + 1
  for (let i = 0; i < n; i++) {
    const from = Math.max(0, i - w)
    const ai = i * row + w - i
    for (let j = from; j <= i; j++) {
      const aj = j * row + w - j
      let sum = a[ai + j]!
      for (let k = Math.max(from, j - w); k < j; k++) sum -= a[ai + k]! * a[aj + k]!
      a[ai + j] = i === j ? Math.sqrt(sum) : sum / a[aj + j]!
    }
  }
  for (let i = 0; i < n; i++) {
    const ai = i * row + w - i
    let sum = b[i]!
    for (let k = Math.max(0, i - w); k < i; k++) sum -= a[ai + k]! * b[k]!
    b[i] = sum / a[ai + i]!
  }
  for (let i = n - 1; i >= 0; i--) {
    const x = b[i]! / a[i * row + w]!
    b[i] = x
    const from = Math.max(0, i - w)
    const ai = i * row + w - i
    for (let k = from; k < i; k++) b[k]! -= a[ai + k]! * x
  }
}
