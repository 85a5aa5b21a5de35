/** Readings of the real rig as equations: each a figure of its sums that should be zero, and how well it was read. */
import { DEGREE, ellipticK, STANDARD_GRAVITY } from '../../0-base';
import { moveSums, type Sums } from '../../1-load';
import { dropFactor, pinDepth } from '../../3-balance';
import type { LogEntry, Pivot } from '../../model';

/** Standard uncertainties of readings: a lean by a level or a phone laid on, a thumb on a stopwatch, a scale's step and drift, a finger's width. */
export const READ = { lean: 0.5 * DEGREE, drop: 0.1, mass: 0.002, finger: 0.002 };
/** No reading of a place is better than this, m: joints, cables, draughts. */
export const BEST = 5e-6;
/** How far above the pivot the mass centre is taken to lie when a rig turns over the first time, m. */
const ABOVE = 0.003;
const K = ellipticK(Math.SQRT1_2);

/** Of the sums about the point it is borne at, and the friction of the joint read. */
export interface Observation {
  /** A place in m, or a mass in kg, that should be zero, straight in the sums; and how well it was read. */
  readonly value: (s: Sums, friction: number) => number;
  readonly spread: (s: Sums, friction: number) => number;
}

/** Where friction would stop it, it was seen to come all the same: no longer than this, of √(I/(M g d)). */
const MOST_FACTOR = 6;

/** `held`: what is on the scale too, but does not hang, kg. `over`: how often it turned over before. `joint`: its friction draws a drop out, and its pins may lie apart. */
export function observations(
  seen: LogEntry['seen'],
  held: number,
  over: number,
  joint: Pick<Pivot, 'pins' | 'frictionTorque'> = {},
): readonly Observation[] {
  const far = ({ first, mass }: Sums): number => Math.hypot(...first) / mass;
  const lean = (angle: number, i: 0 | 1): Observation => ({
    value: ({ first, mass }) => (first[i] * Math.cos(angle) + first[2] * Math.sin(angle)) / mass,
    spread: (s) => Math.max(BEST, far(s) * READ.lean),
  });
  const drops = seen.dropTimes;
  const nose = seen.noseDown ?? 0;
  const mean = drops.reduce((s, t) => s + t, 0) / drops.length;
  const above = ABOVE * 2 ** over;
  return [
    ...(seen.noseDown === undefined ? [] : [lean(seen.noseDown, 0)]),
    ...(seen.leftSideDown === undefined ? [] : [lean(seen.leftSideDown, 1)]),
    // T² M g h = k² I, so h - k² I/(M g T²) is zero; h along the way it was seen to hang, k with the friction there.
    ...(drops.length === 0
      ? []
      : [
          {
            value: (about: Sums) => {
              const { first, inertia, mass } = moveSums(about, [0, 0, pinDepth(joint, 'pitch')]);
              const k = Math.min(
                MOST_FACTOR,
                dropFactor((joint.frictionTorque?.value ?? 0) / (STANDARD_GRAVITY * Math.hypot(first[0], first[2]))),
              );
              return (
                (first[0] * Math.sin(nose) - first[2] * Math.cos(nose)) / mass -
                (k ** 2 * inertia[1][1]) / (STANDARD_GRAVITY * mean ** 2 * mass)
              );
            },
            spread: (s: Sums) =>
              Math.max(
                BEST,
                (2 * Math.abs(Math.hypot(s.first[0], s.first[2]) / s.mass) * READ.drop) /
                  Math.sqrt(drops.length) /
                  mean,
              ),
          },
        ]),
    // It turned over: the mass centre lies above the pivot, by how much is not known. Turned over again, it was more.
    ...(seen.turnsOver ? [{ value: ({ first, mass }: Sums) => first[2] / mass - above, spread: () => above / 3 }] : []),
    ...(seen.mass === undefined
      ? []
      : [{ value: ({ mass }: Sums) => mass + held - seen.mass!, spread: () => READ.mass }]),
    ...(seen.fingerAhead === undefined
      ? []
      : [{ value: ({ first, mass }: Sums) => first[0] / mass - seen.fingerAhead!, spread: () => READ.finger }]),
  ];
}

/** Quicker than a body of this size can fall from any pivot, by two thumbs: T is least where h² = I/M. */
export const shortestDrop = (s: Sums): number =>
  Math.max(0.1, K * Math.sqrt((2 * Math.sqrt(s.inertia[1][1] / s.mass)) / STANDARD_GRAVITY) - 2 * READ.drop);
