/**
 * How far a rig sways while a hand moves it, axis by axis, for small turns: quick enough for every edit, where the swing
 * player follows the whole motion. What turns with the square of an angle is left out.
 */
import { inverse, STANDARD_GRAVITY, type Vec3 } from '../../0-base';
import { addAcceleration, addGust, addWobble, headingAt } from './handMotion';
import type { Motion } from './motions';
import type { Swinger } from './swinger';

/** Peaks, rad. */
export interface Sway {
  readonly roll: number;
  readonly pitch: number;
  readonly pan: number;
}

/** A step a third as long as the quickest thing that moves here, s. */
const STEP = 1 / 240;
/** Further than this no turn is small, rad. */
export const SMALL = 0.6;

/** Valid for peaks below SMALL; against the whole motion it errs by less than a fifth (spec). Throws nothing. */
export function sway({ rig, joint }: Swinger, { motion, until }: Motion): Sway {
  const { mass, fromPivot, inertia } = rig;
  const { dry = 0, viscous = 0, pan, wrist, arms } = joint;
  const free = inverse(inertia);
  const whole: Vec3 = [mass * fromPivot[0], mass * fromPivot[1], mass * fromPivot[2]];
  const moments = joint.axes
    ? ([joint.axes.roll, joint.axes.tilt, joint.axes.pan] as const)
    : ([whole, whole, whole] as const);
  // What turns it back: the hand, and its weight where the mass centre lies below what bears it.
  const spring = [0, 1, 2].map(
    (i) =>
      (wrist?.spring[i] ?? 0) +
      (arms?.spring[i] ?? 0) +
      (i < 2 ? -moments[i]![2] * STANDARD_GRAVITY : (pan?.spring ?? 0)),
  );
  const damper = [0, 1, 2].map(
    (i) => (wrist?.damper[i] ?? 0) + (arms?.damper[i] ?? 0) + viscous + (i === 2 ? (pan?.damper ?? 0) : 0),
  );
  // Where the hands point is followed by all that holds it about the vertical.
  const [lead, leadRate] = [
    (wrist?.spring[2] ?? 0) + (arms?.spring[2] ?? 0) + (pan?.spring ?? 0),
    (wrist?.damper[2] ?? 0) + (arms?.damper[2] ?? 0) + (pan?.damper ?? 0),
  ];
  const [angle, rate, peak, push] = [0, 1, 2, 3].map(() => new Float64Array(3)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const [a, torque, hand] = [new Float64Array(3), new Float64Array(3), new Float64Array(6)];
  for (let t = 0; t < until; t += STEP) {
    a.fill(0);
    torque.fill(0);
    hand.fill(0);
    addAcceleration(motion, t, a);
    addGust(motion, t, torque);
    addWobble(motion, t, hand);
    const [heading, turning] = headingAt(motion, t);
    for (let i = 0; i < 3; i++) {
      const [j, k] = [(i + 1) % 3, (i + 2) % 3];
      const m = moments[i]!;
      // d × (-M a), about its own axis.
      let on = torque[i]! - (m[j]! * a[k]! - m[k]! * a[j]!) - spring[i]! * angle[i]!;
      if (wrist) on += wrist.spring[i]! * hand[i]! + wrist.damper[i]! * hand[3 + i]!;
      push[i] = i === 2 ? on + lead * heading + leadRate * turning : on;
    }
    for (let i = 0; i < 3; i++) {
      const gain = free[i]![0]! * push[0]! + free[i]![1]! * push[1]! + free[i]![2]! * push[2]!;
      // Damping taken at the end of the step: a light camera in firm hands is far quicker than a step.
      let next = (rate[i]! + STEP * gain) / (1 + STEP * damper[i]! * free[i]![i]!);
      if (dry > 0) {
        // Rubbing takes the hand's own turning up, at most to it.
        const [most, off] = [STEP * dry * free[i]![i]!, next - hand[3 + i]!];
        next -= Math.sign(off) * Math.min(most, Math.abs(off));
      }
      rate[i] = next;
      angle[i] = angle[i]! + STEP * next;
      peak[i] = Math.max(peak[i]!, Math.abs(angle[i]! - (i === 2 ? heading : 0)));
    }
  }
  return { roll: peak[0]!, pitch: peak[1]!, pan: peak[2]! };
}
