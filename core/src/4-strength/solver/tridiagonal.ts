/** Eigenvalues and vectors of a symmetric tridiagonal matrix, by QL with implicit shifts (Bowdler and others 1968; EISPACK's tql2). */

export interface Eigen {
  readonly values: Float64Array;
  /** Column j belongs to value j: entry i of it at i·n + j. */
  readonly vectors: Float64Array;
}

const SWEEPS_AT_MOST = 60; // three are usual

/** `diagonal` n long, `beside` n - 1. In no order. Accurate to a few roundings of the largest. */
export function tridiagonalEigen(diagonal: readonly number[], beside: readonly number[]): Eigen {
  const n = diagonal.length;
  const d = Float64Array.from(diagonal);
  const e = new Float64Array(n);
  e.set(beside.slice(0, n - 1));
  const z = new Float64Array(n * n);
  for (let i = 0; i < n; i++) z[i * n + i] = 1;
  for (let l = 0; l < n; l++)
    for (let sweep = 0; ; sweep++) {
      let m = l;
      while (m < n - 1 && Math.abs(e[m]!) > Number.EPSILON * (Math.abs(d[m]!) + Math.abs(d[m + 1]!))) m++;
      if (m === l) break;
      if (sweep === SWEEPS_AT_MOST) throw new Error('The small eigenvalue problem did not settle.');
      turnAway(d, e, z, n, l, m);
    }
  return { values: d, vectors: z };
}

function turnAway(d: Float64Array, e: Float64Array, z: Float64Array, n: number, l: number, m: number): void {
  let g = (d[l + 1]! - d[l]!) / (2 * e[l]!);
  let r = Math.hypot(g, 1);
  g = d[m]! - d[l]! + e[l]! / (g + (g >= 0 ? r : -r));
  let [s, c, p] = [1, 1, 0];
  for (let i = m - 1; i >= l; i--) {
    const f = s * e[i]!;
    const b = c * e[i]!;
    r = Math.hypot(f, g);
    e[i + 1] = r;
    if (r === 0) {
      d[i + 1]! -= p;
      e[m] = 0;
      return;
    }
    s = f / r;
    c = g / r;
    g = d[i + 1]! - p;
    r = (d[i]! - g) * s + 2 * c * b;
    p = s * r;
    d[i + 1] = g + p;
    g = c * r - b;
    for (let k = 0; k < n; k++) {
      const upper = z[k * n + i + 1]!;
      const lower = z[k * n + i]!;
      z[k * n + i + 1] = s * lower + c * upper;
      z[k * n + i] = c * lower - s * upper;
    }
  }
  d[l]! -= p;
  e[l] = g;
  e[m] = 0;
}
