/** Gaps between solids: a point, a round bar or another body against a box or a tube. For clearances, in metres. */
import {
  add,
  addScaled,
  dot,
  leastBetween,
  length,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import type { Shape } from '../../model';

/** A solid where it stands. Bars bent to an arc and meshes are taken by the box round them: near enough for a finger's room, never less than true. */
export interface Solid3 {
  readonly shape: Shape;
  readonly at: Vec3;
  readonly rotation: Mat3;
}
export interface RoundBar {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly radius: number;
}

/** From a point to the nearest of the solid, m; zero inside it. Exact for boxes and tubes (a tube's bore counts as filled). */
export function pointGap(p: Vec3, { shape, at, rotation }: Solid3): number {
  const local = transform(transpose(rotation), subtract(p, at));
  if (shape.kind === 'tube') {
    const beyond = Math.max(0, Math.abs(local[2]) - shape.length / 2);
    const outside = Math.max(0, Math.hypot(local[0], local[1]) - shape.outerRadius);
    return Math.hypot(beyond, outside);
  }
  const { middle, half } = boxRound(shape);
  const out = local.map((x, i) => Math.max(0, Math.abs(x - middle[i]!) - half[i]!)) as unknown as Vec3;
  return length(out);
}

type Box = { readonly middle: Vec3; readonly half: Vec3 };
/** Shapes never change, so the box round a bent bar or a mesh is found once. */
const boxes = new WeakMap<Shape, Box>();

function boxRound(shape: Exclude<Shape, { kind: 'tube' }>): Box {
  const known = boxes.get(shape);
  if (known) return known;
  const box = roundBox(shape);
  boxes.set(shape, box);
  return box;
}

function roundBox(shape: Exclude<Shape, { kind: 'tube' }>): Box {
  if (shape.kind === 'box')
    return { middle: [0, 0, 0], half: [shape.size[0] / 2, shape.size[1] / 2, shape.size[2] / 2] };
  if (shape.kind === 'point') return { middle: [0, 0, 0], half: [0, 0, 0] };
  const points = shape.kind === 'mesh' ? shape.vertices : arcCorners(shape);
  const low = points.reduce<Vec3>(
    (m, p) => [Math.min(m[0], p[0]), Math.min(m[1], p[1]), Math.min(m[2], p[2])],
    [Infinity, Infinity, Infinity],
  );
  const high = points.reduce<Vec3>(
    (m, p) => [Math.max(m[0], p[0]), Math.max(m[1], p[1]), Math.max(m[2], p[2])],
    [-Infinity, -Infinity, -Infinity],
  );
  return { middle: scale(add(low, high), 0.5), half: scale(subtract(high, low), 0.5) };
}

function arcCorners({ midRadius, thickness, width, angle }: Extract<Shape, { kind: 'arcBar' }>): readonly Vec3[] {
  const steps = 24;
  return Array.from({ length: steps + 1 }, (_, i) => (angle * i) / steps).flatMap((t) =>
    [midRadius - thickness / 2, midRadius + thickness / 2].flatMap((r): Vec3[] => [
      [r * Math.cos(t), r * Math.sin(t), -width / 2],
      [r * Math.cos(t), r * Math.sin(t), width / 2],
    ]),
  );
}

/** From a round bar (its ends round too) to the solid, m; negative where it reaches in. The distance along a line to a convex body is convex, so the least is found by bracketing. */
export function barGap(bar: RoundBar, solid: Solid3): number {
  const run = subtract(bar.to, bar.from);
  const at = (t: number): number => pointGap(addScaled(bar.from, run, t), solid);
  return Math.min(at(0), at(1), at(leastBetween(at, 0, 1))) - bar.radius;
}

/** Gap between two solids, m; zero where they touch or meet. By alternate nearest points, which for convex bodies close on the least; good to a hundredth of a millimetre or so. */
export function solidGap(a: Solid3, b: Solid3): number {
  let p: Vec3 = b.at;
  let gap = Infinity;
  for (let round = 0; round < 60; round++) {
    const onA = nearestPoint(p, a);
    p = nearestPoint(onA, b);
    const now = length(subtract(onA, p));
    if (gap - now < 1e-6) return now;
    gap = now;
  }
  return gap;
}

/** The point of the solid nearest to `p`; `p` itself inside it. */
export function nearestPoint(p: Vec3, { shape, at, rotation }: Solid3): Vec3 {
  const local = transform(transpose(rotation), subtract(p, at));
  if (shape.kind === 'tube') {
    const reach = Math.hypot(local[0], local[1]);
    const k = reach > shape.outerRadius ? shape.outerRadius / reach : 1;
    return add(at, transform(rotation, [local[0] * k, local[1] * k, clamp(local[2], shape.length / 2)]));
  }
  const { middle, half } = boxRound(shape);
  return add(
    at,
    transform(rotation, local.map((x, i) => middle[i]! + clamp(x - middle[i]!, half[i]!)) as unknown as Vec3),
  );
}

const clamp = (x: number, most: number): number => Math.max(-most, Math.min(most, x));

/** Farthest of a solid from an axis line, m. Exact at the corners of a box and the mesh; a tube's rims are followed round. */
export function reachFromAxis(solid: Solid3, axis: { point: Vec3; direction: Vec3 }): number {
  const along = unit(axis.direction);
  const off = (local: Vec3): number => {
    const d = subtract(add(solid.at, transform(solid.rotation, local)), axis.point);
    return length(addScaled(d, along, -dot(d, along)));
  };
  const { shape } = solid;
  if (shape.kind === 'tube') {
    return Math.max(
      ...[-1, 1].map((end) => {
        const at = (t: number): number =>
          -off([shape.outerRadius * Math.cos(t), shape.outerRadius * Math.sin(t), (end * shape.length) / 2]);
        const steps = 48;
        const best = Array.from({ length: steps }, (_, i) => (2 * Math.PI * i) / steps).reduce(
          (a, t) => (at(t) < at(a) ? t : a),
          0,
        );
        return -at(leastBetween(at, best - (2 * Math.PI) / steps, best + (2 * Math.PI) / steps));
      }),
    );
  }
  if (shape.kind === 'mesh') return Math.max(...shape.vertices.map(off));
  const { middle, half } = boxRound(shape);
  return Math.max(
    ...[-1, 1].flatMap((x) =>
      [-1, 1].flatMap((y) =>
        [-1, 1].map((z) => off([middle[0] + x * half[0], middle[1] + y * half[1], middle[2] + z * half[2]])),
      ),
    ),
  );
}
