/** Small dense matrices, row by row: what one element needs. */

/** bᵀ a b; a n × n, b n × m. */
export function sandwiched(a: Float64Array, b: Float64Array, n: number, m: number): Float64Array {
  const half = new Float64Array(n * m);
  for (let i = 0; i < n; i++)
    for (let k = 0; k < n; k++) {
      const value = a[i * n + k]!;
      if (value === 0) continue;
      for (let j = 0; j < m; j++) half[i * m + j]! += value * b[k * m + j]!;
    }
  return transposedTimes(b, half, n, m, m);
}

/** bᵀ c; b n × m, c n × p. */
export function transposedTimes(b: Float64Array, c: Float64Array, n: number, m: number, p: number): Float64Array {
  const out = new Float64Array(m * p);
  for (let k = 0; k < n; k++)
    for (let i = 0; i < m; i++) {
      const value = b[k * m + i]!;
      if (value === 0) continue;
      for (let j = 0; j < p; j++) out[i * p + j]! += value * c[k * p + j]!;
    }
  return out;
}

/** a · x; a n × m. */
export function applied(a: Float64Array, x: ArrayLike<number>, n: number, m: number): Float64Array {
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = 0;
    for (let j = 0; j < m; j++) sum += a[i * m + j]! * x[j]!;
    out[i] = sum;
  }
  return out;
}
