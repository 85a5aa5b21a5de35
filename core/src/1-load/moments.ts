/** Mass, mass centre and inertia of many bodies together, kept as sums so that parts can be added and taken away again. */
import { add, addMatrix, addScaled, multiply, scale, scaleMatrix, subtract, transpose, ZERO, NO_INERTIA, IDENTITY, type Mat3, type Vec3 } from '../0-base';

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
  const turned = rotation === undefined || rotation === IDENTITY ? inertia : multiply(multiply(rotation, inertia), transpose(rotation));
  return { mass, first: scale(centre, mass), inertia: addMatrix(turned, carryOver(mass, centre)) };
}

export const addSums = (a: Sums, b: Sums): Sums => ({ mass: a.mass + b.mass, first: add(a.first, b.first), inertia: addMatrix(a.inertia, b.inertia) });
export const scaleSums = (a: Sums, k: number): Sums => ({ mass: a.mass * k, first: scale(a.first, k), inertia: scaleMatrix(a.inertia, k) });

/** The sums of the same matter moved by s: first moments and products follow from the sums alone, no body is visited. */
export function moveSums(a: Sums, s: Vec3): Sums {
  if (a.mass === 0) return a;
  const centre = scale(a.first, 1 / a.mass);
  const about = addMatrix(a.inertia, scaleMatrix(carryOver(a.mass, centre), -1));
  return { mass: a.mass, first: addScaled(a.first, s, a.mass), inertia: addMatrix(about, carryOver(a.mass, add(centre, s))) };
}

/** Mass centre, m. Nothing there has no centre: throws. */
export function massCentre(sums: Sums): Vec3 {
  if (!(sums.mass > 0)) throw new RangeError('no mass, so no mass centre');
  return scale(sums.first, 1 / sums.mass);
}

/** Inertia about the mass centre, kg m², rig axes. */
export const inertiaAboutMassCentre = (sums: Sums): Mat3 => addMatrix(sums.inertia, scaleMatrix(carryOver(sums.mass, massCentre(sums)), -1));

/** Inertia about point P (m), kg m², rig axes. */
export const inertiaAbout = (sums: Sums, point: Vec3): Mat3 =>
  addMatrix(inertiaAboutMassCentre(sums), carryOver(sums.mass, subtract(massCentre(sums), point)));
