/** Three-vectors and 3×3 matrices as plain readonly tuples. Rows first: matrix[row][column]; v_out = matrix · v_in. */
export type Vec3 = readonly [number, number, number];
export type Mat3 = readonly [Vec3, Vec3, Vec3];

export const ZERO: Vec3 = [0, 0, 0];
export const IDENTITY: Mat3 = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
export const NO_INERTIA: Mat3 = [ZERO, ZERO, ZERO];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const addScaled = (a: Vec3, b: Vec3, k: number): Vec3 => [a[0] + b[0] * k, a[1] + b[1] * k, a[2] + b[2] * k];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Unit vector along a. A nil vector has no direction: that is the caller's mistake and throws. */
export function unit(a: Vec3): Vec3 {
  const size = length(a);
  if (!(size > 0)) throw new RangeError('a vector of no length has no direction');
  return scale(a, 1 / size);
}

export const transform = (m: Mat3, v: Vec3): Vec3 => [dot(m[0], v), dot(m[1], v), dot(m[2], v)];
export const transpose = (m: Mat3): Mat3 => [
  [m[0][0], m[1][0], m[2][0]],
  [m[0][1], m[1][1], m[2][1]],
  [m[0][2], m[1][2], m[2][2]],
];
export const addMatrix = (a: Mat3, b: Mat3): Mat3 => [add(a[0], b[0]), add(a[1], b[1]), add(a[2], b[2])];
export const scaleMatrix = (a: Mat3, k: number): Mat3 => [scale(a[0], k), scale(a[1], k), scale(a[2], k)];
export function multiply(a: Mat3, b: Mat3): Mat3 {
  const columns = transpose(b);
  const row = (r: Vec3): Vec3 => [dot(r, columns[0]), dot(r, columns[1]), dot(r, columns[2])];
  return [row(a[0]), row(a[1]), row(a[2])];
}

/** Matrix whose columns are the three given vectors. */
export const fromColumns = (a: Vec3, b: Vec3, c: Vec3): Mat3 => transpose([a, b, c]);

/** Inverse by cofactors. A singular matrix is refused: throws where the determinant is zero against the size of its rows. */
export function inverse(m: Mat3): Mat3 {
  const [a, b, c] = m;
  const determinant = dot(a, cross(b, c));
  if (!(Math.abs(determinant) > 1e-14 * length(a) * length(b) * length(c)))
    throw new RangeError('a singular matrix has no inverse');
  return fromColumns(
    scale(cross(b, c), 1 / determinant),
    scale(cross(c, a), 1 / determinant),
    scale(cross(a, b), 1 / determinant),
  );
}
