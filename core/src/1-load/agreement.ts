/** The same thing measured more than once, by different means: do they agree, and what is the best figure? */

export interface Found {
  readonly value: number;
  /** One standard uncertainty. */
  readonly spread: number;
}
export interface Agreement {
  readonly best: Found;
  /** Null when there is only one. */
  readonly agrees: boolean | null;
  /** The two furthest apart for their spreads, by place in the list; the difference and what two spreads allow. */
  readonly widest: {
    readonly a: number;
    readonly b: number;
    readonly difference: number;
    readonly allowed: number;
  } | null;
}

/** Two results agree when they differ by at most this many standard uncertainties of their difference. */
const AGREE_WITHIN = 2;
/** Keeps a result that claims to be exact from dividing by zero; far under any instrument. */
const LEAST_SPREAD = 1e-9;

/**
 * Weighted mean, weights 1/u² (least squares of independent results). When they do not agree its spread is widened by the
 * Birge ratio, so that the plus-minus covers what was really seen. Null for an empty list.
 */
export function agreement(results: readonly Found[]): Agreement | null {
  if (results.length === 0) return null;
  const weights = results.map((r) => 1 / Math.max(r.spread, LEAST_SPREAD) ** 2);
  const sum = weights.reduce((a, b) => a + b, 0);
  const value = results.reduce((s, r, i) => s + r.value * weights[i]!, 0) / sum;
  const inner = 1 / Math.sqrt(sum);
  if (results.length === 1) return { best: results[0]!, agrees: null, widest: null };
  let widest: Agreement['widest'] = null;
  for (const [i, a] of results.entries()) {
    for (const [j, b] of results.entries()) {
      if (j <= i) continue;
      const difference = Math.abs(a.value - b.value);
      const allowed = AGREE_WITHIN * Math.hypot(a.spread, b.spread);
      if (!widest || difference * widest.allowed > widest.difference * allowed)
        widest = { a: i, b: j, difference, allowed };
    }
  }
  const agrees = widest!.difference <= widest!.allowed;
  const chiSquare = results.reduce((s, r, i) => s + (r.value - value) ** 2 * weights[i]!, 0);
  const birge = Math.sqrt(chiSquare / (results.length - 1));
  return { best: { value, spread: agrees ? inner : inner * Math.max(1, birge) }, agrees, widest };
}
