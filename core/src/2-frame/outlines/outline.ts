/** The outline of a body seen square-on, as a polygon in metres; what every drawing of a rig is made of. */
import { add, addScaled, cross, dot, scale, transform, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Shape } from '../../model';

type Seen = Pick<FlatBody, 'shape' | 'at' | 'rotation' | 'outline'>;

/** Side: lens to the right. Front: looking at the lens. Top: from above, lens to the right. */
export type View = 'side' | 'front' | 'top';
export type Point2 = readonly [number, number];

const ROUND_STEPS = 24; // drawing only: a chord error under 1 % of the radius

export const project = (p: Vec3, view: View): Point2 =>
  view === 'side' ? [p[0], p[2]] : view === 'front' ? [p[1], p[2]] : [p[0], p[1]];

/** Distance towards the onlooker, for painting the far ones first. */
export const nearness = (p: Vec3, view: View): number => (view === 'side' ? -p[1] : view === 'front' ? p[0] : p[2]);

export const outline = seenOnce(outlineOf);
/** The bore of a tube seen end-on, to be left open; null where it is not seen through. */
export const boreOutline = seenOnce(boreOf);

/** Most of what is drawn stands where it stood before an edit: each body is looked at once from each side. */
function seenOnce<T>(look: (body: Seen, view: View) => T): (body: Seen, view: View) => T {
  const known = new WeakMap<object, Partial<Record<View, { readonly seen: T }>>>();
  return (body, view) => {
    const before = known.get(body);
    const had = before?.[view];
    if (had) return had.seen;
    const seen = look(body, view);
    known.set(body, { ...before, [view]: { seen } });
    return seen;
  };
}

function outlineOf(body: Seen, view: View): readonly Point2[] {
  const place = (p: Vec3): Point2 => project(add(body.at, transform(body.rotation, p)), view);
  const { shape } = body;
  // A sawn outline is seen where the strip's face is.
  if (body.outline && shape.kind === 'box' && Math.abs(nearness(transform(body.rotation, [0, 0, 1]), view)) > 0.7)
    return body.outline.map(([x, y]) => place([x, y, shape.size[2] / 2]));
  if (shape.kind === 'arcBar') {
    const seenFlat = Math.abs(nearness(transform(body.rotation, [0, 0, 1]), view)) > 0.7;
    const steps = Math.max(4, Math.ceil((shape.angle / Math.PI) * 40));
    const arc = (radius: number): Vec3[] =>
      Array.from({ length: steps + 1 }, (_, i) => [
        radius * Math.cos((shape.angle * i) / steps),
        radius * Math.sin((shape.angle * i) / steps),
        0,
      ]);
    const [outer, inner] = [arc(shape.midRadius + shape.thickness / 2), arc(shape.midRadius - shape.thickness / 2)];
    if (seenFlat) return [...outer, ...inner.reverse()].map(place);
    return hull(
      [...outer, ...inner].flatMap((p) => [
        place(addScaled(p, [0, 0, 1], shape.width / 2)),
        place(addScaled(p, [0, 0, 1], -shape.width / 2)),
      ]),
    );
  }
  if (shape.kind === 'tube') {
    const lying = tubeAcross(shape, body, view);
    if (lying) return lying;
  }
  return hull(corners(shape).map(place));
}

const TOWARDS: Readonly<Record<View, Vec3>> = { side: [0, -1, 0], front: [1, 0, 0], top: [0, 0, 1] };

/** A tube seen from straight beside is a rectangle, as most are; null when it is seen at a slant or end-on. */
function tubeAcross(
  shape: Extract<Shape, { kind: 'tube' }>,
  { at, rotation }: Pick<FlatBody, 'at' | 'rotation'>,
  view: View,
): readonly Point2[] | null {
  const axis = transform(rotation, [0, 0, 1]);
  const towards = TOWARDS[view];
  if (Math.abs(dot(axis, towards)) > 1e-9) return null;
  const along = scale(axis, shape.length / 2);
  const across = scale(cross(axis, towards), shape.outerRadius);
  return hull(
    (
      [
        [1, 1],
        [-1, 1],
        [-1, -1],
        [1, -1],
      ] as const
    ).map(([a, b]) => project(add(at, add(scale(along, a), scale(across, b))), view)),
  );
}

function boreOf(body: Seen, view: View): readonly Point2[] | null {
  const { shape } = body;
  if (
    shape.kind !== 'tube' ||
    shape.innerRadius <= 0 ||
    Math.abs(nearness(transform(body.rotation, [0, 0, 1]), view)) < 0.999
  )
    return null;
  return Array.from({ length: ROUND_STEPS }, (_, i) => (2 * Math.PI * i) / ROUND_STEPS).map((t) =>
    project(
      add(body.at, transform(body.rotation, [shape.innerRadius * Math.cos(t), shape.innerRadius * Math.sin(t), 0])),
      view,
    ),
  );
}

function corners(shape: Exclude<Shape, { kind: 'arcBar' }>): readonly Vec3[] {
  switch (shape.kind) {
    case 'box': {
      const [a, b, c] = [shape.size[0] / 2, shape.size[1] / 2, shape.size[2] / 2];
      return [-a, a].flatMap((x) => [-b, b].flatMap((y) => [-c, c].map((z): Vec3 => [x, y, z])));
    }
    case 'tube':
      return Array.from({ length: ROUND_STEPS }, (_, i) => (2 * Math.PI * i) / ROUND_STEPS).flatMap((t) =>
        [-1, 1].map((end): Vec3 => [
          shape.outerRadius * Math.cos(t),
          shape.outerRadius * Math.sin(t),
          (end * shape.length) / 2,
        ]),
      );
    case 'mesh':
      return shape.vertices;
    case 'point':
      return [[0, 0, 0]];
  }
}

/** Convex hull, counter-clockwise, by the monotone chain. */
function hull(points: readonly Point2[]): readonly Point2[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  if (sorted.length < 3) return sorted;
  const half = (ordered: readonly Point2[]): Point2[] => {
    const chain: Point2[] = [];
    for (const p of ordered) {
      while (chain.length >= 2 && turn(chain.at(-2)!, chain.at(-1)!, p) <= 1e-12) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const turn = (o: Point2, a: Point2, b: Point2): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
