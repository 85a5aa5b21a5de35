/**
 * Symmetric matrices kept row by row from the first entry that is not nil to the diagonal (a skyline), and their factors L D Lᵀ. Filling in
 * stays inside the skyline, so what a good order has made narrow stays narrow.
 */

export interface Skyline {
  readonly size: number;
  /** Column of the first entry kept of each row. */
  readonly first: Int32Array;
  /** Where column 0 of a row would lie in `values`; the row's own entries start `first` further on. */
  readonly start: Int32Array;
  readonly values: Float64Array;
}

/** `first[i]` ≤ i. All entries nil. */
export function skyline(first: Int32Array): Skyline {
  const start = new Int32Array(first.length);
  let kept = 0;
  for (let i = 0; i < first.length; i++) {
    start[i] = kept - first[i]!;
    kept += i - first[i]! + 1;
  }
  return { size: first.length, first, start, values: new Float64Array(kept) };
}

/** Adds to an entry of the lower half; i ≥ j within the skyline. */
export const addTo = (m: Skyline, i: number, j: number, value: number): void => {
  m.values[m.start[i]! + j]! += value;
};

export interface Factors {
  readonly l: Skyline;
  readonly d: Float64Array;
  /** Diagonal entries of D under nought: as many eigenvalues of the matrix are (Sylvester). */
  readonly negative: number;
  /** Rows whose pivot was nil within rounding of their own diagonal: the matrix is singular there. */
  readonly nil: readonly number[];
}

/** Pivots of less than this part of their row's own diagonal are nil: rounding in sums of a few hundred terms. */
const NIL = 1e-12;

/**
 * L D Lᵀ of a + factor·b, both of one skyline; not pivoted, as is exact enough for definite matrices, and for counting signs where no leading
 * minor is nil.
 */
export function factored(a: Skyline, b: Skyline | null = null, factor = 0): Factors {
  const values = Float64Array.from(a.values);
  if (b) for (let k = 0; k < values.length; k++) values[k]! += factor * b.values[k]!;
  const { size, first, start } = a;
  const d = new Float64Array(size);
  const nil: number[] = [];
  let negative = 0;
  for (let i = 0; i < size; i++) {
    const from = first[i]!;
    const row = start[i]!;
    // Until divided by D, row i holds L·D.
    for (let j = from + 1; j < i; j++) {
      const other = start[j]!;
      let sum = values[row + j]!;
      for (let k = Math.max(from, first[j]!); k < j; k++) sum -= values[row + k]! * values[other + k]!;
      values[row + j] = sum;
    }
    const own = values[row + i]!;
    let pivot = own;
    for (let k = from; k < i; k++) {
      const scaled = values[row + k]!;
      const l = d[k] === 0 ? 0 : scaled / d[k]!;
      pivot -= scaled * l;
      values[row + k] = l;
    }
    if (Math.abs(pivot) <= NIL * Math.abs(own)) {
      nil.push(i);
      pivot = 0;
    }
    values[row + i] = 1;
    d[i] = pivot;
    if (pivot < 0) negative++;
  }
  return { l: { size, first, start, values }, d, negative, nil };
}

/** Solves in place; rows whose pivot is nil give nil. */
export function solve({ l, d }: Factors, right: Float64Array): Float64Array {
  const { size, first, start, values } = l;
  for (let i = 0; i < size; i++) {
    let sum = right[i]!;
    for (let k = first[i]!; k < i; k++) sum -= values[start[i]! + k]! * right[k]!;
    right[i] = sum;
  }
  for (let i = 0; i < size; i++) right[i] = d[i] === 0 ? 0 : right[i]! / d[i]!;
  return backwards(l, right);
}

function backwards({ size, first, start, values }: Skyline, x: Float64Array): Float64Array {
  for (let i = size - 1; i >= 0; i--) {
    const own = x[i]!;
    if (own === 0) continue;
    for (let k = first[i]!; k < i; k++) x[k]! -= values[start[i]! + k]! * own;
  }
  return x;
}

/** The motion that costs nothing and ends in row `nil`: K v = 0. */
export function nullVector({ l }: Factors, nil: number): Float64Array {
  const v = new Float64Array(l.size);
  v[nil] = 1;
  return backwards(l, v);
}

/** m · x */
export function times(m: Skyline, x: Float64Array, into = new Float64Array(m.size)): Float64Array {
  const { size, first, start, values } = m;
  into.fill(0);
  for (let i = 0; i < size; i++) {
    const row = start[i]!;
    const own = x[i]!;
    let sum = values[row + i]! * own;
    for (let k = first[i]!; k < i; k++) {
      const value = values[row + k]!;
      sum += value * x[k]!;
      into[k]! += value * own;
    }
    into[i]! += sum;
  }
  return into;
}
