/** What one hand carries when it holds a rig rigidly: weight and the torque that tips nose or side. */
import {
  addScaled,
  cross,
  IDENTITY,
  STANDARD_GRAVITY,
  subtract,
  transform,
  type Mat3,
  type Vec3,
} from '../../../0-base';

export interface HandLoad {
  /** On the hand, N, level axes (x forward, y left, z up). */
  readonly force: Vec3;
  /** On the hand, N m, level axes, about the hand. */
  readonly torque: Vec3;
  /** The same as a maker says it, N m: positive tips the nose, or the left side, down. */
  readonly noseDown: number;
  readonly leftSideDown: number;
  /** Of the two level axes together, N m. */
  readonly tipping: number;
  /** Level distance from the hand to the mass centre, m. */
  readonly levelDistance: number;
}

/**
 * `centre` and `hand` in rig axes, m; `attitude` turns rig axes to level ones; `acceleration` of the hand, m/s², level axes.
 * The rig moves with the hand, so it presses on it with M (g - a) through its mass centre: torque = d x M (g - a).
 */
export function handLoad(held: {
  mass: number;
  centre: Vec3;
  hand: Vec3;
  attitude?: Mat3;
  acceleration?: Vec3;
}): HandLoad {
  const d = transform(held.attitude ?? IDENTITY, subtract(held.centre, held.hand));
  const pull = addScaled([0, 0, -STANDARD_GRAVITY], held.acceleration ?? [0, 0, 0], -1);
  const force: Vec3 = [held.mass * pull[0], held.mass * pull[1], held.mass * pull[2]];
  const torque = cross(d, force);
  return {
    force,
    torque,
    noseDown: torque[1],
    leftSideDown: -torque[0],
    tipping: Math.hypot(torque[0], torque[1]),
    levelDistance: Math.hypot(d[0], d[1]),
  };
}

/**
 * Two hands in a line under a rig: what each holds up, N. The line's level run takes moments; what lies off the line
 * sideways is left to the wrists. Null when one hand is straight above the other, for then the shares are not known.
 */
export function twoHands(held: {
  mass: number;
  centre: Vec3;
  hands: readonly [Vec3, Vec3];
  attitude?: Mat3;
}): readonly [number, number] | null {
  const turn = held.attitude ?? IDENTITY;
  const run = transform(turn, subtract(held.hands[1], held.hands[0]));
  const d = transform(turn, subtract(held.centre, held.hands[0]));
  const level = run[0] ** 2 + run[1] ** 2;
  if (!(level > 1e-12)) return null;
  const share = (d[0] * run[0] + d[1] * run[1]) / level;
  const weight = held.mass * STANDARD_GRAVITY;
  return [weight * (1 - share), weight * share];
}
