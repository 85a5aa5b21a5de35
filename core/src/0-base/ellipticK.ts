/** The complete elliptic integral of the first kind, which sets the time of a large swing. */

/**
 * K(k) by the arithmetic-geometric mean, k = modulus in [0, 1). Exact to rounding. At k = 1 the integral is infinite
 * (a pendulum let go upside down never falls) and Infinity is returned. Abramowitz & Stegun 17.6.
 */
export function ellipticK(k: number): number {
  if (!(k >= 0 && k <= 1)) throw new RangeError('the modulus lies between 0 and 1');
  if (k === 1) return Infinity;
  let a = 1;
  let b = Math.sqrt(1 - k * k);
  for (let step = 0; step < 40 && Math.abs(a - b) > 1e-16 * a; step++) [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
  return Math.PI / (a + b);
}
