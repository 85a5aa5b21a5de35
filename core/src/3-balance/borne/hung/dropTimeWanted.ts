/** How far below the pivot the mass centre must lie for a wanted drop time. */
import { ellipticK, leastBetween, rootBetween, STANDARD_GRAVITY } from '../../../0-base';
import { inertiaAbout, massCentre, addSums, moveSums, type Sums } from '../../../1-load';
import type { Vec3 } from '../../../0-base';

export interface HeightForDrop {
  readonly possible: boolean;
  readonly leastTime: number;
  readonly heightOfLeast: number;
  /** The smaller and the larger bottom-heaviness that give the wanted time, m; null when it cannot be had. */
  readonly height: number | null;
  readonly otherHeight: number | null;
}

/**
 * From M h² - M g (T/K)² h + Ic = 0 with mass and inertia about the mass centre fixed; the shortest time is at
 * h = √(Ic/M). docs/sources.md, Drop time. The smaller root is taken as 2c/(b + √…) so that it keeps its digits.
 */
export function heightForDrop(
  mass: number,
  inertiaAboutCentre: number,
  releaseAngle: number,
  wanted: number,
): HeightForDrop {
  const K = ellipticK(Math.sin(releaseAngle / 2));
  const heightOfLeast = Math.sqrt(inertiaAboutCentre / mass);
  const leastTime = K * Math.sqrt((2 * heightOfLeast) / STANDARD_GRAVITY);
  const b = STANDARD_GRAVITY * (wanted / K) ** 2;
  const discriminant = b * b - (4 * inertiaAboutCentre) / mass;
  if (discriminant < 0) return { possible: false, leastTime, heightOfLeast, height: null, otherHeight: null };
  const otherHeight = (b + Math.sqrt(discriminant)) / 2;
  return { possible: true, leastTime, heightOfLeast, height: inertiaAboutCentre / mass / otherHeight, otherHeight };
}

export interface SliderForDrop {
  readonly positions: readonly number[];
  readonly leastTime: number;
  readonly positionOfLeast: number;
}

const SAMPLES = 800; // over the range: the time is a smooth curve with at most two dips and a pole where d passes zero

/** Every position of a slider in its range (m) that gives the wanted drop time about `axis`, and the least time there is. */
export function sliderForDrop(
  problem: {
    fixed: Sums;
    moving: Sums;
    direction: Vec3;
    range: readonly [number, number];
    pivot: Vec3;
    axis: 'pitch' | 'roll';
    releaseAngle: number;
  },
  wanted: number,
): SliderForDrop {
  const K = ellipticK(Math.sin(problem.releaseAngle / 2));
  const time = (s: number): number => {
    const sums = addSums(
      problem.fixed,
      moveSums(problem.moving, [problem.direction[0] * s, problem.direction[1] * s, problem.direction[2] * s]),
    );
    const { inertia, distance } = aboutAxis(sums, problem.pivot, problem.axis);
    return K * Math.sqrt(inertia / (sums.mass * STANDARD_GRAVITY * distance));
  };
  const [from, to] = problem.range;
  const places = Array.from({ length: SAMPLES + 1 }, (_, i) => from + ((to - from) * i) / SAMPLES);
  const times = places.map(time);
  const lowest = times.indexOf(Math.min(...times));
  const dip = leastBetween(time, places[Math.max(0, lowest - 1)]!, places[Math.min(SAMPLES, lowest + 1)]!);
  const positionOfLeast = [places[lowest]!, dip, from, to].reduce((best, s) => (time(s) < time(best) ? s : best));
  // Where the curve's dip falls between two samples its own place splits that bracket in two.
  const knots = [...places, dip].sort((a, b) => a - b);
  const positions = knots.slice(1).flatMap((right, i) => {
    const left = knots[i]!;
    const [a, b] = [time(left) - wanted, time(right) - wanted];
    if (a === 0) return [left];
    return a * b < 0 ? [rootBetween((s) => time(s) - wanted, left, right)] : [];
  });
  return { positions, leastTime: time(positionOfLeast), positionOfLeast };
}

/** Inertia about the level axis through the pivot (kg m²) and the mass centre's distance from it (m). */
export function aboutAxis(sums: Sums, pivot: Vec3, axis: 'pitch' | 'roll'): { inertia: number; distance: number } {
  const about = inertiaAbout(sums, pivot);
  const centre = massCentre(sums);
  const [x, y, z] = [centre[0] - pivot[0], centre[1] - pivot[1], centre[2] - pivot[2]];
  return axis === 'pitch'
    ? { inertia: about[1][1], distance: Math.hypot(x, z) }
    : { inertia: about[0][0], distance: Math.hypot(y, z) };
}
