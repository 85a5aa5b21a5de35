/**
 * Whether two boxes or rounds reach into each other, quickly and exactly: the origin lies inside the difference of two convex
 * bodies or it does not (Gilbert, Johnson and Keerthi 1988). Bores count as filled, and each body is taken a hair smaller.
 */
import { add, addScaled, cross, dot, scale, subtract, type Mat3, type Vec3 } from '../../0-base';
import type { Shape } from '../../model';

export interface Convex {
  readonly shape: Extract<Shape, { kind: 'box' | 'tube' }>;
  readonly at: Vec3;
  readonly rotation: Mat3;
}

/** Each body is drawn in by this on every side, m: what only touches does not meet. */
export const HAIR = 0.00015;
/** It is decided long before; a bound all the same. */
const ROUNDS = 32;
const NOUGHT = 1e-24;

export function reachInto(a: Convex, b: Convex): boolean {
  let way = subtract(b.at, a.at);
  if (dot(way, way) < NOUGHT) return true;
  const corners: Vec3[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const far = subtract(support(a, way), support(b, scale(way, -1)));
    // Nothing lies past the origin this way: a plane between them.
    if (dot(far, way) <= 0) return false;
    corners.unshift(far);
    const next = towardsOrigin(corners);
    if (next === null || dot(next, next) < NOUGHT) return true;
    way = next;
  }
  return true;
}

/** The point of a body farthest along a direction. */
function support({ shape, at, rotation: r }: Convex, way: Vec3): Vec3 {
  const x = r[0][0] * way[0] + r[1][0] * way[1] + r[2][0] * way[2];
  const y = r[0][1] * way[0] + r[1][1] * way[1] + r[2][1] * way[2];
  const z = r[0][2] * way[0] + r[1][2] * way[1] + r[2][2] * way[2];
  let local: Vec3;
  if (shape.kind === 'box') {
    const half = (k: 0 | 1 | 2): number => Math.max(0, shape.size[k] / 2 - HAIR);
    local = [Math.sign(x) * half(0), Math.sign(y) * half(1), Math.sign(z) * half(2)];
  } else {
    const round = Math.hypot(x, y);
    const k = round > 0 ? Math.max(0, shape.outerRadius - HAIR) / round : 0;
    local = [x * k, y * k, Math.sign(z) * Math.max(0, shape.length / 2 - HAIR)];
  }
  return [
    at[0] + r[0][0] * local[0] + r[0][1] * local[1] + r[0][2] * local[2],
    at[1] + r[1][0] * local[0] + r[1][1] * local[1] + r[1][2] * local[2],
    at[2] + r[2][0] * local[0] + r[2][1] * local[1] + r[2][2] * local[2],
  ];
}

/** From the part of the simplex (newest corner first) nearest the origin towards it, other corners dropped; null where it lies inside. */
function towardsOrigin(corners: Vec3[]): Vec3 | null {
  switch (corners.length) {
    case 1:
      return scale(corners[0]!, -1);
    case 2:
      return ofLine(corners);
    case 3:
      return ofTriangle(corners);
    default:
      return ofTetrahedron(corners);
  }
}

function ofLine(corners: Vec3[]): Vec3 {
  const [a, b] = corners as [Vec3, Vec3];
  const [ab, ao] = [subtract(b, a), scale(a, -1)];
  if (dot(ab, ao) <= 0) {
    corners.length = 1;
    return ao;
  }
  return cross(cross(ab, ao), ab);
}

function ofTriangle(corners: Vec3[]): Vec3 {
  const [a, b, c] = corners as [Vec3, Vec3, Vec3];
  const [ab, ac, ao] = [subtract(b, a), subtract(c, a), scale(a, -1)];
  const face = cross(ab, ac);
  if (dot(cross(face, ac), ao) > 0) return ofEdge(corners, dot(ac, ao) > 0 ? [a, c] : [a, b]);
  if (dot(cross(ab, face), ao) > 0) return ofEdge(corners, [a, b]);
  if (dot(face, ao) > 0) return face;
  corners.splice(0, 3, a, c, b);
  return scale(face, -1);
}

function ofEdge(corners: Vec3[], edge: readonly [Vec3, Vec3]): Vec3 {
  corners.splice(0, corners.length, ...edge);
  return ofLine(corners);
}

function ofTetrahedron(corners: Vec3[]): Vec3 | null {
  const [a, b, c, d] = corners as [Vec3, Vec3, Vec3, Vec3];
  const ao = scale(a, -1);
  for (const [p, q, other] of [
    [b, c, d],
    [c, d, b],
    [d, b, c],
  ] as const) {
    const face = cross(subtract(p, a), subtract(q, a));
    // Away from the corner that is not on it.
    const out = dot(face, subtract(other, a)) > 0 ? scale(face, -1) : face;
    if (dot(out, ao) > 0) {
      corners.splice(0, corners.length, a, p, q);
      return ofTriangle(corners);
    }
  }
  return null;
}

/** Half the sides of the box along the axes that holds a body. */
export function halfRound({ shape, rotation: r }: Convex): Vec3 {
  if (shape.kind === 'box') {
    const [x, y, z] = scale(shape.size, 0.5);
    return [0, 1, 2].map((i) => {
      const row = r[i as 0 | 1 | 2];
      return Math.abs(row[0]) * x + Math.abs(row[1]) * y + Math.abs(row[2]) * z;
    }) as unknown as Vec3;
  }
  return [0, 1, 2].map((i) => {
    const along = r[i as 0 | 1 | 2][2];
    return (Math.abs(along) * shape.length) / 2 + shape.outerRadius * Math.sqrt(Math.max(0, 1 - along * along));
  }) as unknown as Vec3;
}

/** Corners of the box along the axes that holds a body. */
export const boundsOf = (body: Convex): { readonly low: Vec3; readonly high: Vec3 } => {
  const half = halfRound(body);
  return { low: addScaled(body.at, half, -1), high: add(body.at, half) };
};
