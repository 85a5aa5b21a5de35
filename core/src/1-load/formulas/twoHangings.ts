/** Mass centre where the plumb lines of two hangings cross. */
import { add, cross, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';

export interface Hanging {
  /** Where it hung from, and which way was down, both in the thing's own axes. */
  readonly point: Vec3;
  readonly down: Vec3;
}
export type Crossing =
  | { readonly ok: true; readonly massCentre: Vec3; readonly missDistance: number; readonly angleBetweenLines: number }
  | { readonly ok: false; readonly reason: string };

/** Lines nearer to parallel than this (rad) cross too loosely to say anything; about one degree. */
const LEAST_ANGLE = 0.02;

/** The middle of the shortest link between the two lines, its length (m) and the angle between the lines (rad). */
export function twoHangings(a: Hanging, b: Hanging): Crossing {
  const [u, v] = [unit(a.down), unit(b.down)];
  const normal = cross(u, v);
  const angleBetweenLines = Math.atan2(length(normal), dot(u, v));
  if (length(normal) < LEAST_ANGLE)
    return { ok: false, reason: 'The two plumb lines are almost parallel. Hang it from a point further round.' };
  const between = subtract(b.point, a.point);
  const square = dot(normal, normal);
  const onA = add(a.point, scale(u, dot(cross(between, v), normal) / square));
  const onB = add(b.point, scale(v, dot(cross(between, u), normal) / square));
  return {
    ok: true,
    massCentre: scale(add(onA, onB), 0.5),
    missDistance: length(subtract(onA, onB)),
    angleBetweenLines,
  };
}
