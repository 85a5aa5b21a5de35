/** One-dimensional roots and minima with a bound on every iteration. */

const STEPS_AT_MOST = 200; // bisection alone needs about 60 to exhaust a double

/**
 * Root of f between a and b, where f(a) and f(b) have opposite signs (or one is nought), by the Illinois form of false
 * position with bisection as the net. Returns the abscissa to about 1e-15 of the bracket's size.
 * No sign change is the caller's mistake and throws.
 */
export function rootBetween(f: (x: number) => number, a: number, b: number): number {
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError('the ends of the bracket have the same sign');
  for (let step = 0; step < STEPS_AT_MOST; step++) {
    const middle = (a + b) / 2;
    if (Math.abs(b - a) <= 4e-16 * Math.max(Math.abs(a), Math.abs(b))) return middle;
    const secant = (fa * b - fb * a) / (fa - fb);
    const inside = secant > Math.min(a, b) && secant < Math.max(a, b);
    const x = step % 3 === 2 || !inside ? middle : secant;
    const fx = f(x);
    if (fx === 0) return x;
    if (fx * fb < 0) {
      [a, fa, b, fb] = [b, fb, x, fx];
    } else {
      [b, fb] = [x, fx];
      fa /= 2;
    }
  }
  return (a + b) / 2;
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
