/**
 * How far a rig sways while a hand moves it, axis by axis, for small turns: quick enough for every edit, where the swing
 * player follows the whole motion. What turns with the square of an angle is left out.
 */
import { inverse, STANDARD_GRAVITY, type Vec3 } from '../../0-base';
import { addAcceleration, addGust, addWobble, headingAt, type HandMotion } from './handMotion';
import type { Motion } from './motions';
import type { Swinger } from './swinger';

/** Peaks, rad. */
export interface Sway {
  readonly roll: number;
  readonly pitch: number;
  readonly pan: number;
}

/** Motions are kept at steps of this, s; what answers slowly takes several at once. */
const KEPT = 1 / 240;
const STRIDES = [4, 2];
/** Of the quickest answer's own time (rad): longer steps would not follow it. */
const FOLLOWS = 0.3;
/** After the last push the first swing back is still the largest, s. */
const AFTER = 2;
/** Further than this no turn is small, rad. */
export const SMALL = 0.6;

/** Valid for peaks below SMALL; against the whole motion it errs by less than a fifth (spec). Throws nothing. */
export function sway({ rig, joint }: Swinger, { motion, until, ends }: Motion): Sway {
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
  const quickest = Math.sqrt(Math.max(...[0, 1, 2].map((i) => spring[i]! * free[i]![i]!), 0));
  const stride = STRIDES.find((n) => n * KEPT * quickest < FOLLOWS) ?? 1;
  const step = stride * KEPT;
  const moved = movedBy(motion, Math.min(until, ends + AFTER));
  const axis = (i: 0 | 1 | 2, j: 0 | 1 | 2, k: 0 | 1 | 2) => ({
    spring: spring[i]!,
    // Damping taken at the end of the step: a light camera in firm hands is far quicker than a step.
    slows: 1 / (1 + step * damper[i]! * free[i]![i]!),
    own: step * free[i]![i]!,
    alongJ: moments[i]![j]!,
    alongK: moments[i]![k]!,
    rocks: wrist?.spring[i] ?? 0,
    rockDamps: wrist?.damper[i] ?? 0,
  });
  const [x, y, z] = [axis(0, 1, 2), axis(1, 2, 0), axis(2, 0, 1)];
  const [fxx, fxy, fxz] = free[0].map((f) => step * f) as [number, number, number];
  const [, fyy, fyz] = free[1].map((f) => step * f) as [number, number, number];
  const fzz = step * free[2][2];
  let [roll, pitch, turn, rollRate, pitchRate, turnRate] = [0, 0, 0, 0, 0, 0];
  let [mostRoll, mostPitch, mostTurn] = [0, 0, 0];
  const rubbed = (rate: number, hand: number, own: number): number => {
    // Rubbing takes the hand's own turning up, at most to it.
    const off = rate - hand;
    return rate - Math.sign(off) * Math.min(dry * own, Math.abs(off));
  };
  for (let at = 0; at < moved.length; at += ROW * stride) {
    const [ax, ay, az] = [moved[at]!, moved[at + 1]!, moved[at + 2]!];
    const [hx, hy, hz, hxr, hyr, hzr] = [
      moved[at + 6]!,
      moved[at + 7]!,
      moved[at + 8]!,
      moved[at + 9]!,
      moved[at + 10]!,
      moved[at + 11]!,
    ];
    const [heading, turning] = [moved[at + 12]!, moved[at + 13]!];
    // d × (-M a), about its own axis; what turns it back; the hand's own rocking.
    const tx = moved[at + 3]! - x.alongJ * az + x.alongK * ay - x.spring * roll + x.rocks * hx + x.rockDamps * hxr;
    const ty = moved[at + 4]! - y.alongJ * ax + y.alongK * az - y.spring * pitch + y.rocks * hy + y.rockDamps * hyr;
    const tz =
      moved[at + 5]! -
      z.alongJ * ay +
      z.alongK * ax -
      z.spring * turn +
      z.rocks * hz +
      z.rockDamps * hzr +
      lead * heading +
      leadRate * turning;
    rollRate = (rollRate + fxx * tx + fxy * ty + fxz * tz) * x.slows;
    pitchRate = (pitchRate + fxy * tx + fyy * ty + fyz * tz) * y.slows;
    turnRate = (turnRate + fxz * tx + fyz * ty + fzz * tz) * z.slows;
    if (dry > 0) {
      rollRate = rubbed(rollRate, hxr, x.own);
      pitchRate = rubbed(pitchRate, hyr, y.own);
      turnRate = rubbed(turnRate, hzr, z.own);
    }
    roll += step * rollRate;
    pitch += step * pitchRate;
    turn += step * turnRate;
    mostRoll = Math.max(mostRoll, Math.abs(roll));
    mostPitch = Math.max(mostPitch, Math.abs(pitch));
    mostTurn = Math.max(mostTurn, Math.abs(turn - heading));
  }
  return { roll: mostRoll, pitch: mostPitch, pan: mostTurn };
}

/** Acceleration, wind's torque, the hand's small turn and its rate (three each), where it points and how fast: a row a step. */
const ROW = 14;
const rows = new WeakMap<HandMotion, Float64Array>();

/** A motion never changes, so what it does at each step is worked out once. */
function movedBy(motion: HandMotion, until: number): Float64Array {
  const known = rows.get(motion);
  if (known) return known;
  const steps = Math.ceil(until / KEPT);
  const all = new Float64Array(steps * ROW);
  const [a, torque, hand] = [new Float64Array(3), new Float64Array(3), new Float64Array(6)];
  for (let n = 0; n < steps; n++) {
    const t = n * KEPT;
    for (const list of [a, torque, hand]) list.fill(0);
    addAcceleration(motion, t, a);
    addGust(motion, t, torque);
    addWobble(motion, t, hand);
    all.set([...a, ...torque, ...hand, ...headingAt(motion, t)], n * ROW);
  }
  rows.set(motion, all);
  return all;
}
