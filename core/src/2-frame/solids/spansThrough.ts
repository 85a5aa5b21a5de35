/** Where a straight line runs within a body. Closed forms, no facets. */
import { addScaled, cross, dot, subtract, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';

/** From where to where along the line, in lengths of its way from its point: m where that is of length one. */
export type Span = readonly [from: number, to: number];

/** Of what is solid of a body, bored or not, in the body's own frame. */
export function spansThrough(
  point: Vec3,
  way: Vec3,
  { shape, outline }: Pick<FlatBody, 'shape' | 'outline'>,
): readonly Span[] {
  switch (shape.kind) {
    case 'box': {
      const whole = throughBox(point, way, shape.size);
      if (whole && outline) return throughOutline(point, way, outline, whole);
      if (!whole || !shape.bore) return whole ? [whole] : [];
      return without(whole, throughBox(point, way, [2 * shape.size[0], shape.bore[0], shape.bore[1]]));
    }
    case 'tube': {
      const whole = throughCylinder(point, way, shape.outerRadius, shape.length);
      return whole ? without(whole, throughCylinder(point, way, shape.innerRadius, 2 * shape.length)) : [];
    }
    case 'arcBar': {
      const outside = throughCylinder(point, way, shape.midRadius + shape.thickness / 2, shape.width);
      if (!outside) return [];
      const ring = without(
        outside,
        throughCylinder(point, way, shape.midRadius - shape.thickness / 2, 2 * shape.width),
      );
      return ring.flatMap((span) => withinSector(point, way, span, shape.angle));
    }
    case 'mesh':
      return throughMesh(point, way, shape);
    case 'point':
      return [];
  }
}

/** A line that runs along a face counts as outside. Asked for some ten thousand lines a piece: nothing is made on the way but the answer. */
function throughBox(point: Vec3, way: Vec3, size: readonly number[]): Span | null {
  let from = -Infinity;
  let to = Infinity;
  for (let i = 0; i < 3; i++) {
    const half = size[i]! / 2;
    const [at, speed] = [point[i]!, way[i]!];
    if (Math.abs(speed) < 1e-12) {
      if (Math.abs(at) >= half) return null;
      continue;
    }
    const middle = -at / speed;
    const reach = half / Math.abs(speed);
    if (middle - reach > from) from = middle - reach;
    if (middle + reach < to) to = middle + reach;
    if (from >= to) return null;
  }
  return [from, to];
}

/** Along z, centred. */
function throughCylinder(point: Vec3, way: Vec3, radius: number, length: number): Span | null {
  const half = length / 2;
  let from = -Infinity;
  let to = Infinity;
  const a = way[0] * way[0] + way[1] * way[1];
  const b = point[0] * way[0] + point[1] * way[1];
  const c = point[0] * point[0] + point[1] * point[1] - radius * radius;
  if (a < 1e-12) {
    if (c >= 0) return null;
  } else {
    const under = b * b - a * c;
    if (under <= 0) return null;
    const root = Math.sqrt(under);
    from = (-b - root) / a;
    to = (-b + root) / a;
  }
  if (Math.abs(way[2]) < 1e-12) return Math.abs(point[2]) < half ? [from, to] : null;
  const middle = -point[2] / way[2];
  const reach = half / Math.abs(way[2]);
  if (middle - reach > from) from = middle - reach;
  if (middle + reach < to) to = middle + reach;
  return from < to ? [from, to] : null;
}

export function without(whole: Span, hole: Span | null): readonly Span[] {
  if (!hole || hole[1] <= whole[0] || hole[0] >= whole[1]) return [whole];
  const [before, after] = [hole[0] > whole[0], hole[1] < whole[1]];
  if (before && after)
    return [
      [whole[0], hole[0]],
      [hole[1], whole[1]],
    ];
  return before ? [[whole[0], hole[0]]] : after ? [[hole[1], whole[1]]] : [];
}

/** Cut at the sector's two flat sides; what lies within is kept. */
function withinSector(point: Vec3, way: Vec3, [from, to]: Span, angle: number): readonly Span[] {
  const cuts = [0, angle].flatMap((turn) => {
    const normal: Vec3 = [-Math.sin(turn), Math.cos(turn), 0];
    const speed = dot(way, normal);
    const at = Math.abs(speed) < 1e-12 ? NaN : -dot(point, normal) / speed;
    return at > from && at < to ? [at] : [];
  });
  const ends = [from, ...cuts.sort((p, q) => p - q), to];
  return ends.slice(1).flatMap((end, i): Span[] => {
    const start = ends[i]!;
    const [x, y] = addScaled(point, way, (start + end) / 2);
    const turn = (Math.atan2(y, x) + 2 * Math.PI) % (2 * Math.PI);
    return turn <= angle && start < end ? [[start, end]] : [];
  });
}

/** Of a flat sawn to an outline in x and y: by every second edge it comes in. */
function throughOutline(
  point: Vec3,
  way: Vec3,
  outline: NonNullable<FlatBody['outline']>,
  [from, to]: Span,
): readonly Span[] {
  const [x, y] = point;
  const [alongX, alongY] = way;
  // Seen flat on, it is in or out all the way.
  if (Math.hypot(alongX, alongY) < 1e-9) return isWithin(x, y, outline) ? [[from, to]] : [];
  const cuts: number[] = [];
  let last = outline[outline.length - 1]!;
  // How far a corner lies to the left of the line: an edge whose ends lie on either side of it is passed.
  let before = (last[1] - y) * alongX - (last[0] - x) * alongY;
  for (const corner of outline) {
    const side = (corner[1] - y) * alongX - (corner[0] - x) * alongY;
    if (side > 0 !== before > 0) {
      const share = before / (before - side);
      const [metX, metY] = [last[0] + share * (corner[0] - last[0]) - x, last[1] + share * (corner[1] - last[1]) - y];
      cuts.push((metX * alongX + metY * alongY) / (alongX * alongX + alongY * alongY));
    }
    last = corner;
    before = side;
  }
  return byPairs(cuts).flatMap(([start, end]): Span[] => {
    const span: Span = [Math.max(from, start), Math.min(to, end)];
    return span[0] < span[1] ? [span] : [];
  });
}

function isWithin(x: number, y: number, outline: NonNullable<FlatBody['outline']>): boolean {
  let isIn = false;
  let [lastX, lastY] = outline[outline.length - 1]!;
  for (const [atX, atY] of outline) {
    if (atY > y !== lastY > y && x < lastX + ((y - lastY) / (atY - lastY)) * (atX - lastX)) isIn = !isIn;
    lastX = atX;
    lastY = atY;
  }
  return isIn;
}

/** Each triangle the line passes is a wall: in by the first, out by the second. */
function throughMesh(
  point: Vec3,
  way: Vec3,
  { vertices, triangles }: Extract<FlatBody['shape'], { readonly kind: 'mesh' }>,
): readonly Span[] {
  return byPairs(
    triangles.flatMap((corners) => {
      const [a, b, c] = corners.map((i) => vertices[i]!) as [Vec3, Vec3, Vec3];
      const [ab, ac] = [subtract(b, a), subtract(c, a)];
      const normal = cross(way, ac);
      const facing = dot(ab, normal);
      if (Math.abs(facing) < 1e-18) return [];
      const off = subtract(point, a);
      const u = dot(off, normal) / facing;
      const other = cross(off, ab);
      const v = dot(way, other) / facing;
      return u >= 0 && v >= 0 && u + v <= 1 ? [dot(ac, other) / facing] : [];
    }),
  );
}

function byPairs(cuts: readonly number[]): readonly Span[] {
  if (cuts.length === 0) return [];
  const sorted = [...cuts].sort((a, b) => a - b);
  return sorted.flatMap((cut, i): Span[] => (i % 2 === 1 ? [[sorted[i - 1]!, cut]] : []));
}
