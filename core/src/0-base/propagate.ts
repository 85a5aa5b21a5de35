/** First-order propagation of standard uncertainties through any function of named figures, correlated or not. */

export interface Uncertain {
  readonly name: string;
  readonly value: number;
  /** Standard uncertainty, same unit as the value. */
  readonly spread: number;
}
export interface Correlation {
  readonly between: readonly [string, string];
  readonly coefficient: number;
}
export interface Propagated {
  readonly values: readonly number[];
  /** One standard uncertainty of each output. */
  readonly spreads: readonly number[];
  /** By output: the figure that alone would contribute most; null when none does. */
  readonly largest: readonly (string | null)[];
}

/** Step of the central difference as a part of the spread: its error is of the second order in this. */
const STEP_OF_SPREAD = 1 / 64;

/**
 * u_y² = Σ Σ (∂y/∂x_i)(∂y/∂x_j) r_ij u_i u_j (GUM 5.2.2), derivatives by central difference. `work` takes the values in
 * the order given and answers the outputs in its own. Exact for a linear function; else good while the function is
 * nearly straight over a spread. Throws when a correlation names an unknown figure or lies outside -1..1.
 */
export function propagate(
  figures: readonly Uncertain[],
  correlations: readonly Correlation[],
  work: (values: readonly number[]) => readonly number[],
): Propagated {
  const centre = figures.map((f) => f.value);
  const values = work(centre);
  const slopes = figures.map(({ spread }, i) => {
    if (spread === 0) return values.map(() => 0);
    const step = spread * STEP_OF_SPREAD;
    const at = (by: number): readonly number[] => work(centre.map((v, j) => (j === i ? v + by : v)));
    const [up, down] = [at(step), at(-step)];
    return values.map((_, k) => ((up[k]! - down[k]!) / (2 * step)) * spread);
  });
  const pairs = correlations.map(({ between, coefficient }) => {
    const [i, j] = between.map((name) => figures.findIndex((f) => f.name === name)) as [number, number];
    if (i < 0 || j < 0 || !(Math.abs(coefficient) <= 1))
      throw new RangeError(`no such correlation: ${between.join(' and ')}, ${coefficient}`);
    return { i, j, coefficient };
  });
  return {
    values,
    spreads: values.map((_, k) => {
      const alone = slopes.reduce((sum, s) => sum + s[k]! ** 2, 0);
      const together = pairs.reduce((sum, p) => sum + 2 * p.coefficient * slopes[p.i]![k]! * slopes[p.j]![k]!, 0);
      return Math.sqrt(Math.max(0, alone + together));
    }),
    largest: values.map((_, k) => {
      const best = slopes.reduce((b, s, i) => (Math.abs(s[k]!) > Math.abs(slopes[b]?.[k] ?? 0) ? i : b), -1);
      return best < 0 ? null : figures[best]!.name;
    }),
  };
}
