/** The lowest eigenvalues of K v = lambda M v: shift and invert, Lanczos' steps, and a count of signs that says whether any was missed. */
import { factored, solve, times, type Skyline } from './skyline';
import { largestPairs, product, type Pair } from './lanczos';

export interface Modes {
  /** Rising, 1/s² where K is in N/m and M in kg. */
  readonly values: readonly number[];
  /** Each of length 1 by the mass: vᵀ M v = 1. */
  readonly vectors: readonly Float64Array[];
  /** As many lie below the last as were found (Sylvester's count of signs): none was missed. */
  readonly proven: boolean;
}

/** Where K alone is singular, as of a frame that hangs free: everything is asked for as if on springs of this, (rad/s)². */
const BELOW_NOTHING = 40;
/** A count is taken so far above the last value: equal ones lie within it. */
const ABOVE = 1e-6;
const ROUNDS_AT_MOST = 8;

/** `count` of them, or as many as there are. K may be singular (rigid motions come as nought), M as well; not both in one direction: null. */
export function lowestModes(k: Skyline, m: Skyline, count: number): Modes | null {
  const own = factored(k);
  const shift = own.nil.length > 0 || own.negative > 0 ? BELOW_NOTHING : 0;
  const factors = shift === 0 ? own : factored(k, m, shift);
  if (factors.nil.length > 0 || factors.negative > 0) return null;
  const operator = {
    size: k.size,
    operate: (x: Float64Array) => solve(factors, times(m, x)),
    metric: (x: Float64Array) => times(m, x),
  };
  const known: Pair[] = [];
  for (let round = 0; round < ROUNDS_AT_MOST; round++) {
    const more = largestPairs(operator, known.length === 0 ? count : 1, known);
    if (more === null) return null;
    known.push(...more.filter((p) => p.value > 0));
    known.sort((a, b) => b.value - a.value);
    const modes = known.map(({ vector }) => ({ vector, value: product(vector, times(k, vector)) }));
    const last = modes[Math.min(count, modes.length) - 1];
    if (!last) return { values: [], vectors: [], proven: true };
    const bound = last.value + ABOVE * Math.max(last.value, BELOW_NOTHING / 100);
    const isComplete =
      more.length === 0 || factored(k, m, -bound).negative <= modes.filter((v) => v.value < bound).length;
    if (isComplete) {
      const kept = modes.slice(0, count);
      return { values: kept.map((p) => p.value), vectors: kept.map((p) => p.vector), proven: true };
    }
  }
  const kept = known.slice(0, count);
  return {
    values: kept.map(({ vector }) => product(vector, times(k, vector))),
    vectors: kept.map((p) => p.vector),
    proven: false,
  };
}
