/** One-dimensional roots and minima with a bound on every iteration. */

const STEPS_AT_MOST = 200; // bisection alone needs about 60 to exhaust a double

/**
 * Root of f between a and b, where f(a) and f(b) have opposite signs (or one is zero): secants and inverse quadratics
 * with bisection as the net (R. P. Brent, Algorithms for Minimization without Derivatives, 1973, ch. 4). The abscissa lies
 * within `within` of a change of sign, and never nearer than rounding allows. No sign change is the caller's mistake and throws.
 */
export function rootBetween(f: (x: number) => number, a: number, b: number, within = 0): number {
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError('the ends of the bracket have the same sign');
  // b is the best so far, c the end across the root from it, a where b was before.
  let [c, fc] = [a, fa];
  let step = b - a;
  let before = step;
  for (let n = 0; n < STEPS_AT_MOST; n++) {
    if (Math.abs(fc) < Math.abs(fb)) [a, fa, b, fb, c, fc] = [b, fb, c, fc, b, fb];
    const least = 2 * Number.EPSILON * Math.abs(b) + within / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= least || fb === 0) return b;
    if (Math.abs(before) >= least && Math.abs(fa) > Math.abs(fb)) {
      const s = fb / fa;
      const [q0, r] = [fa / fc, fb / fc];
      let [p, q] =
        a === c
          ? [2 * half * s, 1 - s]
          : [s * (2 * half * q0 * (q0 - r) - (b - a) * (r - 1)), (q0 - 1) * (r - 1) * (s - 1)];
      if (p > 0) q = -q;
      p = Math.abs(p);
      const taken = 2 * p < Math.min(3 * half * q - Math.abs(least * q), Math.abs(before * q));
      [before, step] = taken ? [step, p / q] : [half, half];
    } else [before, step] = [half, half];
    [a, fa] = [b, fb];
    b += Math.abs(step) > least ? step : Math.sign(half) * least;
    fb = f(b);
    if (fb * fc > 0) {
      [c, fc] = [a, fa];
      before = step = b - a;
    }
  }
  return b;
}

/** Abscissa of the least value of a single-dipped f between a and b, by golden section; good to about 1e-8 of b - a. */
export function leastBetween(f: (x: number) => number, a: number, b: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [a, b];
  let [left, right] = [high - ratio * (high - low), low + ratio * (high - low)];
  let [fLeft, fRight] = [f(left), f(right)];
  for (let step = 0; step < 90 && high - low > 1e-12 * Math.abs(b - a); step++) {
    if (fLeft <= fRight) {
      [high, right, fRight] = [right, left, fLeft];
      left = high - ratio * (high - low);
      fLeft = f(left);
    } else {
      [low, left, fLeft] = [left, right, fRight];
      right = low + ratio * (high - low);
      fRight = f(right);
    }
  }
  return (low + high) / 2;
}

/** Real roots of a x² + b x + c, ascending; none for a constant. The larger term is never taken from the other. */
export function rootsOfQuadratic(a: number, b: number, c: number): readonly number[] {
  if (a === 0) return b === 0 ? [] : [-c / b];
  const discriminant = b * b - 4 * a * c;
  if (!(discriminant >= 0)) return [];
  const q = -(b + (b < 0 ? -1 : 1) * Math.sqrt(discriminant)) / 2;
  return (q === 0 ? [0] : [q / a, c / q]).sort((x, y) => x - y);
}
