/** What the unsure figures most likely are, given what was read: every one a little off, or one of them plainly wrong. */
import { solveDefinite } from '../../0-base';
import { addSums, NO_SUMS, scaleSums, type Sums } from '../../1-load';
import type { Observation } from '../../3-balance';

/** A reading, the sums and the friction it was taken at, and how those change by one standard uncertainty of each unsure figure. */
export interface Read extends Observation {
  readonly base: Sums;
  readonly changes: readonly Sums[];
  /** N m, of the joint that was read; left out where none plays a part. */
  readonly friction?: { readonly base: number; readonly changes: readonly number[] };
}
/** Figures (indices) that may be off by so many times more than their own spread, together. */
export interface Wrong {
  readonly which: readonly number[];
  readonly wider: number;
}
export interface Fit {
  /** In standard uncertainties. */
  readonly off: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** -2 ln of how likely the readings are, up to what is the same for all. */
  readonly unlikely: number;
}

const PASSES = 8;
/** Of this many rigs one has this very figure plainly wrong; as a cost, 2 ln of it. */
const WRONG_ONE_IN = 10;
const ODDS = 2 * Math.log(WRONG_ONE_IN);
const STEP = 0.05;

/** Whichever makes what was read likelier: the evidence holds wide beliefs dearer by itself. `wrong`: which one it is, null for none. */
export function likeliest(read: readonly Read[], ways: readonly Wrong[]): Fit & { readonly wrong: number | null } {
  let best: Fit & { readonly wrong: number | null } = { ...fitted(read), wrong: null };
  ways.forEach(({ which, wider }, n) => {
    const own = (i: number): number => (which.includes(i) ? wider : 1);
    const one = fitted(
      read.map((r) => ({
        ...r,
        changes: r.changes.map((c, i) => (own(i) === 1 ? c : scaleSums(c, own(i)))),
        ...(r.friction ? { friction: { ...r.friction, changes: r.friction.changes.map((c, i) => c * own(i)) } } : {}),
      })),
    );
    const unlikely = one.unlikely + ODDS;
    if (unlikely < best.unlikely)
      best = {
        off: one.off.map((x, i) => x * own(i)),
        covariance: one.covariance.map((row, i) => row.map((x, k) => x * own(i) * own(k))),
        unlikely,
        wrong: n,
      };
  });
  return best;
}

/** Least squares of (own spreads)² + (what was read)², by a few Gauss-Newton passes in the readings' own small space. */
function fitted(read: readonly Read[]): Fit {
  const figures = read[0]?.changes.map((_, i) => i) ?? [];
  const there = ({ base, changes }: Read, off: readonly number[]): Sums =>
    addSums(
      base,
      changes.reduce((sum, c, i) => (off[i] === 0 ? sum : addSums(sum, scaleSums(c, off[i]!))), NO_SUMS),
    );
  const rubs = ({ friction }: Read, at: readonly number[]): number =>
    friction ? friction.base + friction.changes.reduce((sum, c, i) => sum + c * at[i]!, 0) : 0;
  let off: readonly number[] = figures.map(() => 0);
  let [gains, slopes, square, spreads]: [number[][], number[][], number[][], number[]] = [[], [], [], []];
  for (let pass = 0; pass < PASSES; pass++) {
    const at = read.map((r) => there(r, off));
    const friction = read.map((r) => rubs(r, off));
    spreads = read.map((r, k) => r.spread(at[k]!, friction[k]!));
    slopes = read.map((r, k) =>
      r.changes.map((c, i) => {
        const rub = STEP * (r.friction?.changes[i] ?? 0);
        const more = r.value(addSums(at[k]!, scaleSums(c, STEP)), friction[k]! + rub);
        const less = r.value(addSums(at[k]!, scaleSums(c, -STEP)), friction[k]! - rub);
        return (more - less) / (2 * STEP) / spreads[k]!;
      }),
    );
    const misses = read.map(
      (r, k) => r.value(at[k]!, friction[k]!) / spreads[k]! - slopes[k]!.reduce((s, j, i) => s + j * off[i]!, 0),
    );
    square = slopes.map((a, i) => slopes.map((b, k) => a.reduce((s, x, n) => s + x * b[n]!, 0) + (i === k ? 1 : 0)));
    gains = square.map((_, i) =>
      solveDefinite(
        square,
        square.map((__, k) => (i === k ? 1 : 0)),
      ),
    );
    const weights = solveDefinite(
      square,
      misses.map((m) => -m),
    );
    off = figures.map((i) => slopes.reduce((s, row, k) => s + row[i]! * weights[k]!, 0));
  }
  const covariance = figures.map((i) =>
    figures.map(
      (j) =>
        (i === j ? 1 : 0) -
        slopes.reduce((s, row, k) => s + row[i]! * slopes.reduce((t, other, l) => t + gains[k]![l]! * other[j]!, 0), 0),
    ),
  );
  const missed = read.reduce((sum, r, k) => sum + (r.value(there(r, off), rubs(r, off)) / spreads[k]!) ** 2, 0);
  return {
    off,
    covariance,
    unlikely:
      off.reduce((sum, x) => sum + x * x, missed) +
      logDeterminant(square) +
      2 * spreads.reduce((sum, s) => sum + Math.log(s), 0),
  };
}

/** Of a symmetric positive definite matrix, by elimination. */
function logDeterminant(matrix: readonly (readonly number[])[]): number {
  const rows = matrix.map((row) => [...row]);
  let sum = 0;
  for (let i = 0; i < rows.length; i++) {
    sum += Math.log(rows[i]![i]!);
    for (let k = i + 1; k < rows.length; k++) {
      const part = rows[k]![i]! / rows[i]![i]!;
      for (let j = i; j < rows.length; j++) rows[k]![j]! -= part * rows[i]![j]!;
    }
  }
  return sum;
}
