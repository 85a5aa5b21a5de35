/** Linear equations with a symmetric, definite matrix: normal equations, covariances. */

/** By Cholesky's factor of the lower half. The matrix must be symmetric and definite; a pivot that is not above zero is taken as the least there is. */
export function solveDefinite(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const n = right.length;
  const l = matrix.map((row) => [...row]);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= l[i]![k]! * l[j]![k]!;
      l[i]![j] = i === j ? Math.sqrt(Math.max(sum, 1e-300)) : sum / l[j]![j]!;
    }
  }
  const x = [...right];
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= l[i]![k]! * x[k]!;
    x[i]! /= l[i]![i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= l[k]![i]! * x[k]!;
    x[i]! /= l[i]![i]!;
  }
  return x;
}
