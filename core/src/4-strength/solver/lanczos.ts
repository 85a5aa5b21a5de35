/**
 * The largest eigenvalues of an operator that is symmetric in a metric (u, v) = uᵀ M v, by Lanczos' steps, each new direction made square to all
 * before it twice over. One start vector finds one of an equal pair: the rest is found by starting again square to what is known.
 */
import { evenDraws } from '../../0-base';
import { tridiagonalEigen } from './tridiagonal';

export interface SymmetricOperator {
  readonly size: number;
  /** A new vector each time. */
  readonly operate: (x: Float64Array) => Float64Array;
  readonly metric: (x: Float64Array) => Float64Array;
}
export interface Pair {
  readonly value: number;
  /** Of length 1 in the metric. */
  readonly vector: Float64Array;
}

/** A pair is found when what is left over is this part of its value: the value itself is then off by the square of it. */
const SETTLED = 1e-7;
/** What is left of a direction when all that is known is taken out of it: below this part there is nothing new. */
const SPENT = 1e-11;

/**
 * The `count` largest, falling; fewer when there are no more. `known`: directions to keep square to. Null when `steps` at most did not settle it.
 */
export function largestPairs(
  { size, operate, metric }: SymmetricOperator,
  count: number,
  known: readonly Pair[] = [],
  stepsAtMost = 20 * count + 60,
): readonly Pair[] | null {
  const locked = known.map(({ vector }) => ({ vector, metric: metric(vector) }));
  const basis: { readonly vector: Float64Array; readonly metric: Float64Array }[] = [];
  const clean = (w: Float64Array): void => {
    for (let twice = 0; twice < 2; twice++)
      for (const list of [locked, basis])
        for (const v of list) {
          const along = product(w, v.metric);
          for (let i = 0; i < size; i++) w[i]! -= along * v.vector[i]!;
        }
  };
  const draw = evenDraws(7 + known.length);
  let w: Float64Array = operate(Float64Array.from({ length: size }, () => draw() - 0.5));
  clean(w);
  const [alphas, betas]: [number[], number[]] = [[], []];
  const most = Math.min(stepsAtMost, size - known.length);
  /** The largest that a direction has come out of the operator with: what is new is measured by it. */
  let scale = 0;
  for (let step = 1; step <= most; step++) {
    const mw = metric(w);
    const norm = Math.sqrt(Math.max(0, product(w, mw)));
    scale = Math.max(scale, norm, Math.abs(alphas.at(-1) ?? 0));
    if (!(norm > SPENT * scale)) return ritz(alphas, betas, basis, count, 0);
    if (step > 1) betas.push(norm);
    for (let i = 0; i < size; i++) {
      w[i]! /= norm;
      mw[i]! /= norm;
    }
    basis.push({ vector: w, metric: mw });
    const next = operate(w);
    alphas.push(product(next, mw));
    clean(next);
    w = next;
    if (step >= count + 2 && (step % 4 === 0 || step === most)) {
      const left = Math.sqrt(Math.max(0, product(w, metric(w))));
      const found = ritz(alphas, betas, basis, count, left);
      if (found) return found;
    }
  }
  return most === size - known.length ? ritz(alphas, betas, basis, count, 0) : null;
}

/** The best that the directions so far give; null while one of them has not settled. */
function ritz(
  alphas: readonly number[],
  betas: readonly number[],
  basis: readonly { readonly vector: Float64Array }[],
  count: number,
  left: number,
): readonly Pair[] | null {
  const n = alphas.length;
  if (n === 0) return [];
  const { values, vectors } = tridiagonalEigen(alphas, betas);
  const order = [...values.keys()].sort((a, b) => values[b]! - values[a]!).slice(0, count);
  if (left > 0 && order.some((j) => Math.abs(left * vectors[(n - 1) * n + j]!) > SETTLED * Math.abs(values[j]!)))
    return null;
  return order.map((j) => {
    const vector = new Float64Array(basis[0]!.vector.length);
    basis.forEach((v, i) => {
      const part = vectors[i * n + j]!;
      for (let k = 0; k < vector.length; k++) vector[k]! += part * v.vector[k]!;
    });
    return { value: values[j]!, vector };
  });
}

export function product(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}
