/** Mass, mass centre and inertia of many bodies together, kept as sums so that parts can be added and taken away again. */
import {
  addMatrix,
  multiply,
  scale,
  scaleMatrix,
  subtract,
  transpose,
  ZERO,
  NO_INERTIA,
  IDENTITY,
  type Mat3,
  type Vec3,
} from '../0-base';

export interface RigidPiece {
  readonly mass: number;
  readonly centre: Vec3;
  readonly inertia: Mat3;
  readonly rotation?: Mat3;
}

/** Sums about the rig's origin: mass (kg), first moment (kg m), inertia (kg m², sign as in 0-base/axes). */
export interface Sums {
  readonly mass: number;
  readonly first: Vec3;
  readonly inertia: Mat3;
}

export const NO_SUMS: Sums = { mass: 0, first: ZERO, inertia: NO_INERTIA };

/** m(|d|² 1 - d dᵀ): what a mass at d adds to the inertia about the origin of d (parallel axes). */
export function carryOver(mass: number, d: Vec3): Mat3 {
  const square = d[0] * d[0] + d[1] * d[1] + d[2] * d[2];
  return [
    [mass * (square - d[0] * d[0]), -mass * d[0] * d[1], -mass * d[0] * d[2]],
    [-mass * d[0] * d[1], mass * (square - d[1] * d[1]), -mass * d[1] * d[2]],
    [-mass * d[0] * d[2], -mass * d[1] * d[2], mass * (square - d[2] * d[2])],
  ];
}

export function sumsOf(pieces: readonly RigidPiece[]): Sums {
  let sums = NO_SUMS;
  for (const piece of pieces) sums = addSums(sums, sumsOfOne(piece));
  return sums;
}

export function sumsOfOne({ mass, centre, inertia, rotation }: RigidPiece): Sums {
  const turned =
    rotation === undefined || rotation === IDENTITY
      ? inertia
      : multiply(multiply(rotation, inertia), transpose(rotation));
  return { mass, first: scale(centre, mass), inertia: addMatrix(turned, carryOver(mass, centre)) };
}

// Searches ask these by the hundred thousand: written out, without vectors in between.
export const addSums = (a: Sums, b: Sums): Sums => addScaledSums(a, b, 1);
export const scaleSums = (a: Sums, k: number): Sums => addScaledSums(NO_SUMS, a, k);

/** a + k b. */
export function addScaledSums({ mass, first, inertia: [p, q, r] }: Sums, b: Sums, k: number): Sums {
  const [u, v, w] = b.inertia;
  return {
    mass: mass + k * b.mass,
    first: [first[0] + k * b.first[0], first[1] + k * b.first[1], first[2] + k * b.first[2]],
    inertia: [
      [p[0] + k * u[0], p[1] + k * u[1], p[2] + k * u[2]],
      [q[0] + k * v[0], q[1] + k * v[1], q[2] + k * v[2]],
      [r[0] + k * w[0], r[1] + k * w[1], r[2] + k * w[2]],
    ],
  };
}

/**
 * The sums of the same matter moved by s: no body is visited. Of m (|r|² E - r rᵀ) with r + s for r, and F the first
 * moment, only 2 F·s + m s² and F sᵀ + s Fᵀ + m s sᵀ are new.
 */
export function moveSums({ mass, first: [fx, fy, fz], inertia: [p, q, r] }: Sums, [x, y, z]: Vec3): Sums {
  const [xx, yy, zz] = [(2 * fx + mass * x) * x, (2 * fy + mass * y) * y, (2 * fz + mass * z) * z];
  const [xy, xz, yz] = [fx * y + fy * x + mass * x * y, fx * z + fz * x + mass * x * z, fy * z + fz * y + mass * y * z];
  return {
    mass,
    first: [fx + mass * x, fy + mass * y, fz + mass * z],
    inertia: [
      [p[0] + yy + zz, p[1] - xy, p[2] - xz],
      [q[0] - xy, q[1] + xx + zz, q[2] - yz],
      [r[0] - xz, r[1] - yz, r[2] + xx + yy],
    ],
  };
}

/** Mass centre, m. Nothing there has no centre: throws. */
export function massCentre(sums: Sums): Vec3 {
  if (!(sums.mass > 0)) throw new RangeError('no mass, so no mass centre');
  return scale(sums.first, 1 / sums.mass);
}

/** Inertia about the mass centre, kg m², rig axes. */
export const inertiaAboutMassCentre = (sums: Sums): Mat3 =>
  addMatrix(sums.inertia, scaleMatrix(carryOver(sums.mass, massCentre(sums)), -1));

/** Inertia about point P (m), kg m², rig axes. */
export const inertiaAbout = (sums: Sums, point: Vec3): Mat3 =>
  addMatrix(inertiaAboutMassCentre(sums), carryOver(sums.mass, subtract(massCentre(sums), point)));
