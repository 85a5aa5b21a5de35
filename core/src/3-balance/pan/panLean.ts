/** How a hung rig leans in a steady pan, and the rate past which hanging upright is no rest to rely on. */
import {
  cross,
  dot,
  length,
  scale,
  STANDARD_GRAVITY,
  subtract,
  transform,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { restWithUp, type Rest } from '../borne/hung/hang';

/** The hung rig in rig axes: mass (kg), mass centre from the pivot (m), inertia about the pivot (kg m², tensor sign). */
export interface PanRig {
  readonly mass: number;
  readonly fromPivot: Vec3;
  readonly inertia: Mat3;
}
export interface PanRest extends Rest {
  /** Of the energy seen by someone who turns with it: it comes back when nudged. */
  readonly minimum: boolean;
}

/** A product of inertia or an offset under this part of the rig's own size is zero: rounding, not a lean. */
const NOUGHT = 1e-9;
/** The first step of the rate squared is this part of it; each that succeeds is followed by one twice as large. */
const FIRST_STEP = 0.25;
/** Steps that may fail, each then halved: where the branch turns sharply. */
const HALVINGS = 60;
/** A step this small, as a part of the rate squared, has jumped nowhere. */
const LEAST_STEP = 1e-4;
/** A turn in one step by more than this may have jumped to another branch, rad. */
const TURN_AT_MOST = 0.1;
const NEWTON_AT_MOST = 30;
const CONVERGED = 1e-13;

/**
 * Steady turning at `rate` (rad/s) about the vertical through the pivot. The up-vector n (rig axes, |n| = 1) is where
 * V(n) = M g n·d - w²/2 n·I n is stationary, so n × (M g d - w² I n) = 0; the branch that starts at rest is followed.
 * Null: it hangs on nothing (top-heavy or neutral), or that branch ends before this rate: it drifts out.
 */
export function steadyPan(rig: PanRig, rate: number): PanRest | null {
  const size = length(rig.fromPivot);
  if (!(size > 0) || rig.fromPivot[2] >= 0) return null;
  let up = scale(rig.fromPivot, -1 / size);
  const target = rate * rate;
  let square = 0;
  let step = target * FIRST_STEP;
  let halvings = 0;
  let isLeast = true;
  while (square < target) {
    const next = Math.min(target, square + step);
    const found = stationary(rig, next, up);
    // What lands far off, or on no least energy, has jumped to another branch: creep instead. A branch that does lose its
    // least energy does so however small the step.
    if (
      found &&
      length(subtract(found, up)) < TURN_AT_MOST &&
      (!isLeast || step < LEAST_STEP * target || isMinimum(rig, next, found))
    ) {
      isLeast &&= isMinimum(rig, next, found);
      up = found;
      square = next;
      step *= 2;
    } else if (halvings++ < HALVINGS) step /= 2;
    else return null;
  }
  return { ...restWithUp(up), minimum: isLeast };
}

/** Newton on the sphere: in the two directions square to n, gradient zero. */
function stationary(rig: PanRig, square: number, from: Vec3): Vec3 | null {
  let n = from;
  const weight = rig.mass * STANDARD_GRAVITY;
  const size = weight * length(rig.fromPivot);
  for (let i = 0; i < NEWTON_AT_MOST; i++) {
    const { a, b, gradient, hessian } = tangentFrame(rig, square, n);
    if (Math.hypot(...gradient) <= CONVERGED * size) return n;
    const [[p, q], [, r]] = hessian;
    const det = p * r - q * q;
    if (!(Math.abs(det) > 0)) return null;
    const [u, v] = [(-gradient[0] * r + gradient[1] * q) / det, (-gradient[1] * p + gradient[0] * q) / det];
    n = unit([n[0] + a[0] * u + b[0] * v, n[1] + a[1] * u + b[1] * v, n[2] + a[2] * u + b[2] * v]);
    if (!n.every(Number.isFinite)) return null;
  }
  // At the last digits the gradient is rounding: near enough is found.
  return Math.hypot(...tangentFrame(rig, square, n).gradient) <= 1e-10 * size ? n : null;
}

interface TangentFrame {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly gradient: readonly [number, number];
  readonly hessian: readonly [readonly [number, number], readonly [number, number]];
}

/** Gradient and curvature of V along two unit directions square to n. With k = M g d - w² I n: Hessian = -w² I - (n·k) 1. */
function tangentFrame({ mass, fromPivot, inertia }: PanRig, square: number, n: Vec3): TangentFrame {
  const a = unit(cross(Math.abs(n[0]) < 0.8 ? [1, 0, 0] : [0, 1, 0], n));
  const b = cross(n, a);
  const turned = transform(inertia, n);
  const k = subtract(scale(fromPivot, mass * STANDARD_GRAVITY), scale(turned, square));
  const along = dot(n, k);
  const [ia, ib] = [transform(inertia, a), transform(inertia, b)];
  const cross_ = -square * dot(a, ib);
  return {
    a,
    b,
    gradient: [dot(a, k), dot(b, k)],
    hessian: [
      [-square * dot(a, ia) - along, cross_],
      [cross_, -square * dot(b, ib) - along],
    ],
  };
}

function isMinimum(rig: PanRig, square: number, n: Vec3): boolean {
  const [[p, q], [, r]] = tangentFrame(rig, square, n).hessian;
  return p > 0 && p * r - q * q > 0;
}

export interface PanLimit {
  /** Mass centre straight under the pivot and no product of inertia with the vertical: it stays level at every rate. */
  readonly balanced: boolean;
  /** Rate (rad/s) past which upright is no rest; null when there is none. Sharp only for a balanced rig. */
  readonly unstableAbove: number | null;
}

/** w1 = √(M g h/(e - Izz)), e the larger eigenvalue of the level part of the inertia; none when e ≤ Izz. docs/sources.md, Pan. */
export function panLimit({ mass, fromPivot, inertia }: PanRig): PanLimit {
  const [[ixx, ixy, ixz], [, iyy, iyz], [, , izz]] = inertia;
  const size = Math.sqrt((ixx + iyy + izz) / mass);
  const balanced =
    Math.hypot(fromPivot[0], fromPivot[1]) <= NOUGHT * size && Math.hypot(ixz, iyz) <= NOUGHT * (ixx + iyy + izz);
  const h = -fromPivot[2];
  const larger = (ixx + iyy) / 2 + Math.hypot((ixx - iyy) / 2, ixy);
  return {
    balanced,
    unstableAbove: h > 0 && larger > izz ? Math.sqrt((mass * STANDARD_GRAVITY * h) / (larger - izz)) : null,
  };
}

/** Lean (rad) of the new rest of a balanced rig panned beyond w1: cos = M g h/(w² (e - Izz)); null where upright still is one. */
export function leanBeyondLimit(rig: PanRig, rate: number): number | null {
  const { unstableAbove } = panLimit(rig);
  return unstableAbove === null || rate <= unstableAbove ? null : Math.acos((unstableAbove / rate) ** 2);
}
