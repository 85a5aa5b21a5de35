/** What a walk does to a hand, up and down: the body's harmonics (Young 2001) and how much of each a soft arm lets through. */
import type { Shaking } from './shakenBy';

const G = 9.80665;
/** A hand that walks softly: of the first harmonic 0.3 to 0.6, of the rest 0.2 to 0.5; within 2 times either way (from memory). */
const FIRST = 0.45;
const REST = 0.35;

/** `rate` steps a second, 1.6 to 2.8. */
export function footfall(rate: number): Pick<Shaking, 'frequency' | 'harmonics'> {
  const body = [
    Math.min(0.56, 0.41 * (rate - 0.95)),
    0.069 + 0.0056 * 2 * rate,
    0.033 + 0.0064 * 3 * rate,
    0.013 + 0.0065 * 4 * rate,
  ];
  return {
    frequency: rate,
    harmonics: body.map((share, i) => ({
      order: i + 1,
      amplitude: G * Math.max(0, share) * (i === 0 ? FIRST : REST),
      phase: 0,
    })),
  };
}

/** Running, `rate` 2.4 to 3.2 steps a second: of the body 1 to 1.6 g, 0.3 and 0.1 g (from memory), as much let through. */
export function running(rate: number): Pick<Shaking, 'frequency' | 'harmonics'> {
  return {
    frequency: rate,
    harmonics: [1.3, 0.3, 0.1].map((share, i) => ({
      order: i + 1,
      amplitude: G * share * (i === 0 ? FIRST : REST),
      phase: 0,
    })),
  };
}

/** A walker's sway: sideways at half the rate of steps 0.3 to 0.8 m/s², forwards and back at the rate 0.5 to 1 (from memory). */
export const SWAY = { sideways: 0.55, along: 0.75 };
