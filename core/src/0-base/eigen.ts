/** Eigenvalues of a symmetric 3×3 matrix by cyclic Jacobi rotations; used for principal moments. */
import type { Mat3, Vec3 } from './vec';

const SWEEPS_AT_MOST = 40; // Jacobi on 3×3 converges quadratically; five sweeps are usual, forty a generous bound.

/** Ascending eigenvalues, in the unit of the matrix. Accuracy about 1e-14 of the largest entry. */
export function symmetricEigenvalues(matrix: Mat3): Vec3 {
  const a = matrix.map((row) => [...row]);
  const scaleOf = Math.max(...a.flat().map(Math.abs));
  const at = (i: number, j: number): number => a[i]![j]!;
  for (let sweep = 0; sweep < SWEEPS_AT_MOST; sweep++) {
    const off = Math.hypot(at(0, 1), at(0, 2), at(1, 2));
    if (off <= 1e-17 * scaleOf) break;
    for (const [p, q] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const)
      rotateAway(a, p, q);
  }
  const values = [at(0, 0), at(1, 1), at(2, 2)].sort((x, y) => x - y);
  return [values[0]!, values[1]!, values[2]!];
}

function rotateAway(a: number[][], p: number, q: number): void {
  const apq = a[p]![q]!;
  if (apq === 0) return;
  const theta = (a[q]![q]! - a[p]![p]!) / (2 * apq);
  const t = (theta >= 0 ? 1 : -1) / (Math.abs(theta) + Math.hypot(theta, 1));
  const c = 1 / Math.hypot(t, 1);
  const s = t * c;
  for (let k = 0; k < 3; k++) {
    const akp = a[k]![p]!;
    const akq = a[k]![q]!;
    a[k]![p] = c * akp - s * akq;
    a[k]![q] = s * akp + c * akq;
  }
  for (let k = 0; k < 3; k++) {
    const apk = a[p]![k]!;
    const aqk = a[q]![k]!;
    a[p]![k] = c * apk - s * aqk;
    a[q]![k] = s * apk + c * aqk;
  }
}
