/** The drop from level with dry friction in the joint, in closed form but for one smooth integral: quick enough for a search. */
import { ellipticK, STANDARD_GRAVITY } from '../../../0-base';
import { FROM_LEVEL } from './dropTime';

/** Without friction: T = K √(I/(M g d)). */
export const DROP_K = ellipticK(Math.sin(FROM_LEVEL / 2));
/** With friction at this part of the righting moment and more it stops short of upright: the work of both over the quarter turn is one. */
export const STOPS_FROM = 2 / Math.PI;

/**
 * T / √(I/(M g d)) for a drop from level at rest, with dry friction torque `part` times M g d. By energy, u = the angle
 * from level: T = ∫ du / √(2 (sin u - part u)), u from 0 to π/2; with u = v² the integrand is smooth, and Gauss-Legendre
 * of 32 places is within 1e-12 up to part 0.5. Infinity from 2/π on: it stops. docs/sources.md, Drop time, by energy.
 */
export function dropFactor(part: number): number {
  if (!(part > 0)) return DROP_K;
  if (part >= STOPS_FROM) return Infinity;
  const half = Math.sqrt(FROM_LEVEL) / 2;
  let sum = 0;
  for (const [x, w] of PLACES) {
    const v = half * (1 + x);
    sum += (w * 2 * v) / Math.sqrt(2 * (Math.sin(v * v) - part * v * v));
  }
  return half * sum;
}

/** Seconds from level to upright; Infinity when friction stops it, or nothing rights it. Inertia kg m², righting moment M g d and friction N m. */
export function dropFromLevel(inertia: number, righting: number, friction: number): number {
  return righting > 0 ? dropFactor(friction / righting) * Math.sqrt(inertia / righting) : Infinity;
}

/**
 * Drop times are never below what a bound linear in the sums says: inertia ≥ T² (righting/K² - SLOPE friction) for a drop
 * of T or more. SLOPE is the most that (1/K² - 1/factor²)/part comes to; it rises with part, and ends at 2/π.
 */
export const FRICTION_SLOPE = 1 / (DROP_K ** 2 * STOPS_FROM);

/** Righting moment per first moment, m/s²: their sums are kg m. */
export const PER_FIRST_MOMENT = STANDARD_GRAVITY;

/** Places and weights of Gauss-Legendre on [-1, 1], by Newton on the Legendre polynomial (Abramowitz & Stegun 25.4.29). */
function gaussLegendre(n: number): readonly (readonly [number, number])[] {
  return Array.from({ length: n }, (_, i) => {
    let x = Math.cos((Math.PI * (i + 0.75)) / (n + 0.5));
    let slope = 1;
    for (let turn = 0; turn < 100; turn++) {
      let [p, before] = [1, 0];
      for (let k = 0; k < n; k++) [p, before] = [((2 * k + 1) * x * p - k * before) / (k + 1), p];
      slope = (n * (x * p - before)) / (x * x - 1);
      const step = p / slope;
      x -= step;
      if (Math.abs(step) < 1e-16) break;
    }
    return [x, 2 / ((1 - x * x) * slope * slope)] as const;
  });
}
const PLACES = gaussLegendre(32);
