/** The lower factor L of a symmetric matrix with no negative eigenvalue, L Lᵀ = matrix: turns independent draws into dependent ones. */

/** By Cholesky; a pivot that is nil within rounding (of its own diagonal) gives a nil column, so a figure that is sure stays sure. */
export function lowerFactor(matrix: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const n = matrix.length;
  const l = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= l[i]![k]! * l[j]![k]!;
      if (i !== j) l[i]![j] = l[j]![j]! > 0 ? sum / l[j]![j]! : 0;
      else l[i]![i] = sum > 1e-14 * matrix[i]![i]! ? Math.sqrt(sum) : 0;
    }
  }
  return l;
}
