/** Rotations between frames: about an axis, from unit quaternions, and the turn that lays local z along a direction. */
import { cross, fromColumns, length, multiply, scale, subtract, unit, dot, type Mat3, type Vec3 } from './vec';

/** Unit quaternion [w, x, y, z]. */
export type Quaternion = readonly [number, number, number, number];

/** Right-handed rotation by `angle` (rad) about the unit vector `axis`. */
export function rotationAbout(axis: Vec3, angle: number): Mat3 {
  const [x, y, z] = axis;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const t = 1 - c;
  return [
    [t * x * x + c, t * x * y - s * z, t * x * z + s * y],
    [t * x * y + s * z, t * y * y + c, t * y * z - s * x],
    [t * x * z - s * y, t * y * z + s * x, t * z * z + c],
  ];
}

/** Rotation matrix of a quaternion; it is normalised first, so a rounded one from a file does not scale the body. */
export function rotationOf(q: Quaternion): Mat3 {
  const size = Math.hypot(...q);
  if (!(size > 0)) throw new RangeError('a nil quaternion is no rotation');
  const [w, x, y, z] = [q[0] / size, q[1] / size, q[2] / size, q[3] / size];
  return [
    [1 - 2 * (y * y + z * z), 2 * (x * y - w * z), 2 * (x * z + w * y)],
    [2 * (x * y + w * z), 1 - 2 * (x * x + z * z), 2 * (y * z - w * x)],
    [2 * (x * z - w * y), 2 * (y * z + w * x), 1 - 2 * (x * x + y * y)],
  ];
}

/** Quaternion of a right-handed turn by `angle` (rad) about `axis` (any length above nil). */
export function quaternionAbout(axis: Vec3, angle: number): Quaternion {
  const [x, y, z] = scale(unit(axis), Math.sin(angle / 2));
  return [Math.cos(angle / 2), x, y, z];
}

/**
 * A rotation whose third column (local z) is the unit vector along `direction`. The turn about z is free for round
 * bodies; local x is laid as near `preferX` as it can be, which settles it for all others.
 */
export function alignZ(direction: Vec3, preferX: Vec3 = [1, 0, 0]): Mat3 {
  const z = unit(direction);
  let x = subtract(preferX, scale(z, dot(preferX, z)));
  if (length(x) < 1e-6) x = Math.abs(z[1]) < 0.9 ? cross([0, 1, 0], z) : cross([0, 0, 1], z);
  x = unit(x);
  return fromColumns(x, cross(z, x), z);
}

/** Unit quaternion of a rotation matrix; the largest component is taken first, so no division is by a small number. */
export function quaternionOf(m: Mat3): Quaternion {
  const [[xx, xy, xz], [yx, yy, yz], [zx, zy, zz]] = m;
  const squares = [1 + xx + yy + zz, 1 + xx - yy - zz, 1 - xx + yy - zz, 1 - xx - yy + zz] as const;
  const largest = squares.indexOf(Math.max(...squares));
  const s = 2 * Math.sqrt(squares[largest]!);
  switch (largest) {
    case 0:
      return [s / 4, (zy - yz) / s, (xz - zx) / s, (yx - xy) / s];
    case 1:
      return [(zy - yz) / s, s / 4, (xy + yx) / s, (xz + zx) / s];
    case 2:
      return [(xz - zx) / s, (xy + yx) / s, s / 4, (yz + zy) / s];
    default:
      return [(yx - xy) / s, (xz + zx) / s, (yz + zy) / s, s / 4];
  }
}

/** A turn as a maker says it: to the left, then nose down, then left side down, each about the axes already turned; rad. */
export interface Turns {
  readonly toTheLeft: number;
  readonly noseDown: number;
  readonly leftSideDown: number;
}

/** Rz(left) · Ry(nose down) · Rx(-left side down), right-handed. */
export function quaternionOfTurns({ toTheLeft, noseDown, leftSideDown }: Turns): Quaternion {
  const z = rotationAbout([0, 0, 1], toTheLeft);
  const y = rotationAbout([0, 1, 0], noseDown);
  const x = rotationAbout([1, 0, 0], -leftSideDown);
  return quaternionOf(multiply(multiply(z, y), x));
}

/** Nearer than this to straight up or down (cosine), turning and leaning are one: all of it is told as turning. */
const STRAIGHT_UP = 1e-9;

/** The turns of a rotation; nose down within a right angle either way. */
export function turnsOfRotation(q: Quaternion): Turns {
  const m = rotationOf(q);
  const noseDown = Math.asin(Math.max(-1, Math.min(1, -m[2][0])));
  if (Math.hypot(m[0][0], m[1][0]) < STRAIGHT_UP)
    return { toTheLeft: Math.atan2(-m[0][1], m[1][1]), noseDown, leftSideDown: 0 };
  return { toTheLeft: Math.atan2(m[1][0], m[0][0]), noseDown, leftSideDown: -Math.atan2(m[2][1], m[2][2]) };
}
