/**
 * The hung rig set in motion: one rigid body on a free point that a hand moves, in full rotation. Air is left out; a
 * joint may drag and rub, and a hand may lead it softly in pan. Integrated to a stated error at exact sample times.
 */
import {
  cross,
  extrapolatedMidpoint,
  fromColumns,
  quaternionOf,
  rotationOf,
  STANDARD_GRAVITY,
  type Mat3,
  type Quaternion,
  unit,
  type Vec3,
} from '../../0-base';

import type { PanRig } from '../pan/panLean';
import { addAcceleration, addGust, addWobble, breaksOf, headingAt, type HandMotion } from './handMotion';

/** What holds the rig back. Torques in N m. */
export interface Joint {
  /** Rubs with this much whichever way it turns. */
  readonly dry?: number;
  /** Drags with this much per rad/s, all ways. */
  readonly viscous?: number;
  /** The other hand, light on the post: a soft spring (N m/rad) and damper (N m s/rad) about the vertical, towards where the hand points. */
  readonly pan?: { readonly spring: number; readonly damper: number };
  /** Held fast: hands that give, about each rig axis, towards how it was held and where the hand points; it bears the weight as it was held. */
  readonly wrist?: { readonly spring: Vec3; readonly damper: Vec3 };
  /** Two hands apart besides: towards how it was held, but without what the hands themselves rock. */
  readonly arms?: { readonly spring: Vec3; readonly damper: Vec3 };
  /**
   * Axes inside axes instead of one free point: first moments (kg m, rig axes) of what turns about the roll (x), tilt (y)
   * and pan (z) axis, each from its own axis; the rig's own `fromPivot` is then not used, and its inertia is each axis's
   * own. Exact while roll and tilt are small: the error is their square.
   */
  readonly axes?: { readonly roll: Vec3; readonly tilt: Vec3; readonly pan: Vec3 };
}
export interface SwingInput {
  readonly rig: PanRig;
  readonly motion: HandMotion;
  readonly joint?: Joint;
  /** From rig axes to world; left out: as it hangs at rest, looking along world x. */
  readonly from?: Quaternion;
  /** Sample times are k · every up to `until`, s. */
  readonly every: number;
  readonly until: number;
  /** Error allowed in a step, as a part of 1; left out: for rounding's sake only. */
  readonly tolerance?: number;
}
/** Every sample in one row of SAMPLE numbers: unit quaternion rig to world, then the angular velocity in world axes, rad/s. */
export interface Swing {
  readonly every: number;
  readonly count: number;
  readonly samples: Float64Array;
  /** The largest error estimate of any step. */
  readonly error: number;
}
export type SwingOutcome =
  | { readonly kind: 'swings'; readonly swing: Swing }
  | { readonly kind: 'notConverged'; readonly at: number }
  | { readonly kind: 'tooLong'; readonly samples: number; readonly most: number };

export const SAMPLE = 7;
const SAMPLES_AT_MOST = 200_000;
const TOLERANCE = 1e-12;
/** A step may grow to this, s; it is halved this often before the run is given up. */
const LONGEST_STEP = 0.25;
const HALVINGS = 30;
/**
 * Turning slower than this (rad/s), rubbing falls off evenly to zero: what sticks creeps at this rate times the part of
 * the rubbing that holds it. A light rig in stiff bearings has it wider, so that a swing is not cut into ever finer steps:
 * rubbing then stops it no faster than so many times a second.
 */
const STICKS = 1e-3;
const STOPS_AT_MOST = 2000;

/** World turn of a rig that hangs with `up` (rig axes), looking along world x. */
export function turnFromUp(up: Vec3): Quaternion {
  // Columns of the transpose: world x, y, z in rig axes. y is square to up and to the lens.
  const y = unit(cross(up, [1, 0, 0]));
  const x = cross(y, up);
  const columns: Mat3 = fromColumns(x, y, up);
  return quaternionOf([
    [columns[0][0], columns[1][0], columns[2][0]],
    [columns[0][1], columns[1][1], columns[2][1]],
    [columns[0][2], columns[1][2], columns[2][2]],
  ]);
}

export function swing(input: SwingInput): SwingOutcome {
  const { every, until, tolerance = TOLERANCE } = input;
  const count = Math.floor(until / every + 1e-9) + 1;
  if (!(count <= SAMPLES_AT_MOST)) return { kind: 'tooLong', samples: count, most: SAMPLES_AT_MOST };
  const from = input.from ?? turnFromUp(upAtRest(input.rig));
  const y = Float64Array.of(...from, 0, 0, 0);
  const stepper = extrapolatedMidpoint(ratesOf(input, from), 7, tolerance);
  const samples = new Float64Array(count * SAMPLE);
  const breaks = breaksOf(input.motion);
  const kept = new Float64Array(7);
  let [t, worst, nextBreak] = [0, 0, 0];
  let stride = Math.min(LONGEST_STEP, Math.max(every, 1e-3));
  write(samples, 0, y);
  for (let n = 1; n < count; n++) {
    const goal = n * every;
    while (t < goal - 1e-12) {
      while (nextBreak < breaks.length && breaks[nextBreak]! <= t + 1e-12) nextBreak++;
      const end = Math.min(goal, breaks[nextBreak] ?? Infinity);
      let h = Math.min(stride, end - t);
      kept.set(y);
      let error = stepper.step(t, y, h);
      for (let halving = 0; !(error <= tolerance); halving++) {
        if (halving === HALVINGS) return { kind: 'notConverged', at: t };
        y.set(kept);
        h /= 2;
        error = stepper.step(t, y, h);
        stride = h;
      }
      worst = Math.max(worst, error);
      // Landing on the end itself keeps rounding from leaving a sliver.
      t = h === end - t ? end : t + h;
      stride = Math.min(LONGEST_STEP, stride * 1.5);
      normalise(y);
    }
    write(samples, n, y);
  }
  return { kind: 'swings', swing: { every, count, samples, error: worst } };
}

function upAtRest({ fromPivot: [x, y, z] }: PanRig): Vec3 {
  const size = Math.hypot(x, y, z);
  return size > 0 ? [-x / size, -y / size, -z / size] : [0, 0, 1];
}

/** Euler's equations about the pivot in rig axes: I w' + w × I w = d × M Rᵀ(g - a) + joint; q' = q (0, w)/2. */
function ratesOf(
  { rig: { mass, fromPivot: d, inertia }, motion, joint = {} }: SwingInput,
  held: Quaternion,
): (t: number, y: Float64Array, out: Float64Array) => void {
  const [[ixx, ixy, ixz], [, iyy, iyz], [, , izz]] = inertia;
  const det = ixx * (iyy * izz - iyz * iyz) - ixy * (ixy * izz - iyz * ixz) + ixz * (ixy * iyz - iyy * ixz);
  if (!(det > 0)) throw new RangeError('the inertia about the pivot is not that of a body');
  const inverse = [
    (iyy * izz - iyz * iyz) / det,
    (ixz * iyz - ixy * izz) / det,
    (ixy * iyz - ixz * iyy) / det,
    (ixx * izz - ixz * ixz) / det,
    (ixy * ixz - ixx * iyz) / det,
    (ixx * iyy - ixy * ixy) / det,
  ] as const;
  const a = new Float64Array(3);
  const torque = new Float64Array(3);
  const hand = new Float64Array(6);
  const rocks = (motion.wobbles?.length ?? 0) > 0;
  const { dry = 0, viscous = 0, pan, wrist, arms } = joint;
  const sticks = Math.max(STICKS, dry / (STOPS_AT_MOST * Math.min(ixx, iyy, izz)));
  const start = headingOf(held[0], held[1], held[2], held[3]);
  // What the weight turns with in the first attitude, rig axes: d × M Rᵀ g.
  const down = rotationOf(held)[2].map((x) => -x * mass * STANDARD_GRAVITY) as unknown as Vec3;
  const borne = cross(d, down);
  const whole: Vec3 = [mass * d[0], mass * d[1], mass * d[2]];
  const { roll, tilt, pan: turn } = joint.axes ?? { roll: whole, tilt: whole, pan: whole };
  return (t, y, out) => {
    const [q0, q1, q2, q3, wx, wy, wz] = y as unknown as readonly [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    a.fill(0);
    addAcceleration(motion, t, a);
    const [ax, ay, az] = [-a[0]!, -a[1]!, -STANDARD_GRAVITY - a[2]!];
    // Rows of the turn from rig to world.
    const [xx, xy, xz] = [1 - 2 * (q2 * q2 + q3 * q3), 2 * (q1 * q2 - q0 * q3), 2 * (q1 * q3 + q0 * q2)];
    const [yx, yy, yz] = [2 * (q1 * q2 + q0 * q3), 1 - 2 * (q1 * q1 + q3 * q3), 2 * (q2 * q3 - q0 * q1)];
    const [zx, zy, zz] = [2 * (q1 * q3 - q0 * q2), 2 * (q2 * q3 + q0 * q1), 1 - 2 * (q1 * q1 + q2 * q2)];
    // Weight and push of a kilogram, rig axes.
    const [fx, fy, fz] = [xx * ax + yx * ay + zx * az, xy * ax + yy * ay + zy * az, xz * ax + yz * ay + zz * az];
    let tx = roll[1] * fz - roll[2] * fy;
    let ty = tilt[2] * fx - tilt[0] * fz;
    let tz = turn[0] * fy - turn[1] * fx;
    torque.fill(0);
    addGust(motion, t, torque);
    const [heading, turning] = pan || wrist ? headingAt(motion, t) : [0, 0];
    if (pan)
      torque[2] =
        torque[2]! -
        pan.spring * angleBetween(headingOf(q0, q1, q2, q3), start + heading) -
        pan.damper * (zx * wx + zy * wy + zz * wz - turning);
    tx += xx * torque[0]! + yx * torque[1]! + zx * torque[2]!;
    ty += xy * torque[0]! + yy * torque[1]! + zy * torque[2]!;
    tz += xz * torque[0]! + yz * torque[1]! + zz * torque[2]!;
    if (rocks) {
      hand.fill(0);
      addWobble(motion, t, hand);
    }
    // The hand's own turning, in rig axes.
    const [hwx, hwy, hwz] = rocks
      ? [
          xx * hand[3]! + yx * hand[4]! + zx * hand[5]!,
          xy * hand[3]! + yy * hand[4]! + zy * hand[5]!,
          xz * hand[3]! + yz * hand[4]! + zz * hand[5]!,
        ]
      : [0, 0, 0];
    const [rx, ry, rz] = [wx - hwx, wy - hwy, wz - hwz];
    if (wrist) {
      const [offX, offY, offZ] = offFrom(held, heading, q0, q1, q2, q3);
      const [ex, ey, ez] = rocks
        ? [
            offX - (xx * hand[0]! + yx * hand[1]! + zx * hand[2]!),
            offY - (xy * hand[0]! + yy * hand[1]! + zy * hand[2]!),
            offZ - (xz * hand[0]! + yz * hand[1]! + zz * hand[2]!),
          ]
        : [offX, offY, offZ];
      if (arms) {
        tx -= arms.spring[0] * offX + arms.damper[0] * (wx - turning * zx);
        ty -= arms.spring[1] * offY + arms.damper[1] * (wy - turning * zy);
        tz -= arms.spring[2] * offZ + arms.damper[2] * (wz - turning * zz);
      }
      tx -= borne[0] + wrist.spring[0] * ex + wrist.damper[0] * (rx - turning * zx);
      ty -= borne[1] + wrist.spring[1] * ey + wrist.damper[1] * (ry - turning * zy);
      tz -= borne[2] + wrist.spring[2] * ez + wrist.damper[2] * (rz - turning * zz);
    }
    const speed = dry > 0 ? Math.sqrt(rx * rx + ry * ry + rz * rz) : 0;
    const rub = viscous + (dry > 0 ? dry / Math.sqrt(speed * speed + sticks * sticks) : 0);
    const [hx, hy, hz] = [
      ixx * wx + ixy * wy + ixz * wz,
      ixy * wx + iyy * wy + iyz * wz,
      ixz * wx + iyz * wy + izz * wz,
    ];
    tx -= rub * rx + wy * hz - wz * hy;
    ty -= rub * ry + wz * hx - wx * hz;
    tz -= rub * rz + wx * hy - wy * hx;
    out[0] = -0.5 * (q1 * wx + q2 * wy + q3 * wz);
    out[1] = 0.5 * (q0 * wx + q2 * wz - q3 * wy);
    out[2] = 0.5 * (q0 * wy + q3 * wx - q1 * wz);
    out[3] = 0.5 * (q0 * wz + q1 * wy - q2 * wx);
    out[4] = inverse[0] * tx + inverse[1] * ty + inverse[2] * tz;
    out[5] = inverse[1] * tx + inverse[3] * ty + inverse[4] * tz;
    out[6] = inverse[2] * tx + inverse[4] * ty + inverse[5] * tz;
  };
}

/** Where the lens points on the level, rad to the left of world x. */
const headingOf = (q0: number, q1: number, q2: number, q3: number): number =>
  Math.atan2(2 * (q1 * q2 + q0 * q3), 1 - 2 * (q2 * q2 + q3 * q3));
const angleBetween = (a: number, b: number): number => {
  const d = (a - b) % (2 * Math.PI);
  return d > Math.PI ? d - 2 * Math.PI : d < -Math.PI ? d + 2 * Math.PI : d;
};

/** The small turn (rotation vector, rig axes) by which it is off from how it was held, panned by `heading`. */
function offFrom(
  held: Quaternion,
  heading: number,
  q0: number,
  q1: number,
  q2: number,
  q3: number,
): readonly [number, number, number] {
  const [c, s] = [Math.cos(heading / 2), Math.sin(heading / 2)];
  // wanted = pan · held; off = conj(wanted) · q.
  const [a0, a1, a2, a3] = [
    c * held[0] - s * held[3],
    c * held[1] - s * held[2],
    c * held[2] + s * held[1],
    c * held[3] + s * held[0],
  ];
  const e0 = a0 * q0 + a1 * q1 + a2 * q2 + a3 * q3;
  const e1 = a0 * q1 - a1 * q0 - a2 * q3 + a3 * q2;
  const e2 = a0 * q2 + a1 * q3 - a2 * q0 - a3 * q1;
  const e3 = a0 * q3 - a1 * q2 + a2 * q1 - a3 * q0;
  const size = Math.hypot(e1, e2, e3);
  const angle = 2 * Math.atan2(size, Math.abs(e0));
  const k = size > 1e-12 ? (Math.sign(e0) || 1) * (angle / size) : 2;
  return [k * e1, k * e2, k * e3];
}

function normalise(y: Float64Array): void {
  const size = Math.hypot(y[0]!, y[1]!, y[2]!, y[3]!);
  for (let i = 0; i < 4; i++) y[i] = y[i]! / size;
}

function write(samples: Float64Array, n: number, y: Float64Array): void {
  const turn = rotationOf([y[0]!, y[1]!, y[2]!, y[3]!]);
  const at = n * SAMPLE;
  for (let i = 0; i < 4; i++) samples[at + i] = y[i]!;
  for (let i = 0; i < 3; i++) samples[at + 4 + i] = turn[i]![0] * y[4]! + turn[i]![1] * y[5]! + turn[i]![2] * y[6]!;
}

/** Angular acceleration at the first instant, rad/s², world axes. */
export function firstAcceleration(input: Pick<SwingInput, 'rig' | 'motion' | 'joint' | 'from'>): Vec3 {
  const from = input.from ?? turnFromUp(upAtRest(input.rig));
  const out = new Float64Array(7);
  ratesOf({ ...input, every: 1, until: 0 }, from)(0, Float64Array.of(...from, 0, 0, 0), out);
  const turn = rotationOf(from);
  return [0, 1, 2].map((i) => turn[i]![0] * out[4]! + turn[i]![1] * out[5]! + turn[i]![2] * out[6]!) as unknown as Vec3;
}

/** Energy of the rig above its pivot, J: of motion and of height; kept where nothing rubs and the hand is still. */
export function energyAt({ mass, fromPivot, inertia }: PanRig, { samples }: Swing, n: number): number {
  const at = n * SAMPLE;
  const turn = rotationOf([samples[at]!, samples[at + 1]!, samples[at + 2]!, samples[at + 3]!]);
  const w = [0, 1, 2].map(
    (i) => turn[0][i]! * samples[at + 4]! + turn[1][i]! * samples[at + 5]! + turn[2][i]! * samples[at + 6]!,
  );
  const spin =
    [0, 1, 2].reduce((sum, i) => sum + [0, 1, 2].reduce((row, k) => row + w[i]! * inertia[i]![k]! * w[k]!, 0), 0) / 2;
  return (
    spin + mass * STANDARD_GRAVITY * (turn[2][0] * fromPivot[0] + turn[2][1] * fromPivot[1] + turn[2][2] * fromPivot[2])
  );
}
