/** Whether one way of carrying shook less than another: told only when repeats of both say so. */

export interface Middle {
  /** Geometric mean: what shakes twice as much counts as much as what shakes half. */
  readonly middle: number;
  /** One standard uncertainty of it, as a factor of 1 or more; null of a single walk. */
  readonly within: number | null;
  readonly count: number;
}
export type Difference =
  /** So many more walks of the first, of the second. */
  | { readonly kind: 'too few'; readonly more: readonly [number, number] }
  /** The second shakes `ratio` times as much as the first, most likely; surely between `from` and `to`. */
  | {
      readonly kind: 'less' | 'more' | 'not told';
      readonly ratio: number;
      readonly from: number;
      readonly to: number;
    };

/** Fewer repeats of either do not tell chance from cause. */
export const REPEATS = 3;
/** What reads nought is taken for this, rad: a gyro’s own noise is larger. */
const LEAST = 1e-7;
/** Two-sided 95 % points of Student’s t for 1 to 30 degrees of freedom (Fisher and Yates 1963, table III); beyond them the normal one is within 4 %. */
const T95 = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11,
  2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
];

export function middleOf(values: readonly number[]): Middle | null {
  const found = logsOf(values);
  return found && { middle: Math.exp(found.mean), within: within(found), count: values.length };
}

/**
 * The second’s shake over the first’s, by Welch’s unequal-variances t on the logarithms (Welch 1947), degrees of freedom
 * rounded down. A difference is told when the 95 % range leaves out 1: of two alike ways, one comparison in twenty tells one.
 * Three or more walks of each.
 */
export function difference(first: readonly number[], second: readonly number[]): Difference {
  const [a, b] = [logsOf(first), logsOf(second)];
  if (!a || !b || a.count < REPEATS || b.count < REPEATS)
    return { kind: 'too few', more: [Math.max(0, REPEATS - first.length), Math.max(0, REPEATS - second.length)] };
  const [va, vb] = [a.variance / a.count, b.variance / b.count];
  const error = Math.sqrt(va + vb);
  const freedom = error > 0 ? (va + vb) ** 2 / (va ** 2 / (a.count - 1) + vb ** 2 / (b.count - 1)) : Infinity;
  const reach = (T95[Math.max(0, Math.floor(freedom) - 1)] ?? 1.96) * error;
  const apart = b.mean - a.mean;
  const [ratio, from, to] = [Math.exp(apart), Math.exp(apart - reach), Math.exp(apart + reach)];
  return { kind: to < 1 ? 'less' : from > 1 ? 'more' : 'not told', ratio, from, to };
}

interface Logs {
  readonly mean: number;
  readonly variance: number;
  readonly count: number;
}
function logsOf(values: readonly number[]): Logs | null {
  const [logs, count] = [values.map((v) => Math.log(Math.max(LEAST, v))), values.length];
  if (count === 0) return null;
  const mean = logs.reduce((sum, x) => sum + x, 0) / count;
  const variance = count < 2 ? 0 : logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / (count - 1);
  return { mean, variance, count };
}

const within = ({ variance, count }: Logs): number | null => (count < 2 ? null : Math.exp(Math.sqrt(variance / count)));
