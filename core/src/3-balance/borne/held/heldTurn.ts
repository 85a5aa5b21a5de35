/** How a rig held loosely at a point starts to turn when the hand moves: what shakes a boom's picture. */
import {
  cross,
  IDENTITY,
  inverse,
  multiply,
  scale,
  subtract,
  transform,
  transpose,
  type Mat3,
  type Vec3,
} from '../../../0-base';
import { inertiaAbout, massCentre, type Sums } from '../../../1-load';

/**
 * Angular acceleration, rad/s², level axes, at the first instant: I_H^-1 (d x (-M a)), d from the hand to the mass
 * centre, I_H about the hand. `attitude` turns rig axes to level ones. Gravity is left out: the hand holds against it.
 * Throws where the inertia about the hand is singular (a bare point on a line through it has no say about that axis).
 */
export function heldTurn(held: { sums: Sums; hand: Vec3; acceleration: Vec3; attitude?: Mat3 }): Vec3 {
  const turn = held.attitude ?? IDENTITY;
  const about = multiply(multiply(turn, inertiaAbout(held.sums, held.hand)), transpose(turn));
  const d = transform(turn, subtract(massCentre(held.sums), held.hand));
  return transform(inverse(about), cross(d, scale(held.acceleration, -held.sums.mass)));
}
