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

/** A line that runs along a face counts as outside. */
function throughBox(point: Vec3, way: Vec3, size: readonly number[]): Span | null {
  let span: Span = [-Infinity, Infinity];
  for (const i of [0, 1, 2] as const) {
    const half = size[i]! / 2;
    if (Math.abs(way[i]) < 1e-12) {
      if (Math.abs(point[i]) >= half) return null;
      continue;
    }
    const ends = [(-half - point[i]) / way[i], (half - point[i]) / way[i]] as const;
    span = [Math.max(span[0], Math.min(...ends)), Math.min(span[1], Math.max(...ends))];
  }
  return span[0] < span[1] ? span : null;
}

/** Along z, centred. */
export function throughCylinder(point: Vec3, way: Vec3, radius: number, length: number): Span | null {
  const half = length / 2;
  let span: Span = [-Infinity, Infinity];
  const a = way[0] ** 2 + way[1] ** 2;
  const b = point[0] * way[0] + point[1] * way[1];
  const c = point[0] ** 2 + point[1] ** 2 - radius ** 2;
  if (a < 1e-12) {
    if (c >= 0) return null;
  } else {
    const under = b * b - a * c;
    if (under <= 0) return null;
    span = [(-b - Math.sqrt(under)) / a, (-b + Math.sqrt(under)) / a];
  }
  if (Math.abs(way[2]) < 1e-12) return Math.abs(point[2]) < half ? span : null;
  const ends = [(-half - point[2]) / way[2], (half - point[2]) / way[2]] as const;
  span = [Math.max(span[0], Math.min(...ends)), Math.min(span[1], Math.max(...ends))];
  return span[0] < span[1] ? span : null;
}

export function without(whole: Span, hole: Span | null): readonly Span[] {
  if (!hole || hole[1] <= whole[0] || hole[0] >= whole[1]) return [whole];
  return (
    [
      [whole[0], hole[0]],
      [hole[1], whole[1]],
    ] as const
  ).filter(([from, to]) => from < to);
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
  const cuts = outline.flatMap(([x, y], i) => {
    const [toX, toY] = outline[(i + 1) % outline.length]!;
    const [alongX, alongY] = [toX - x, toY - y];
    const turn = way[0] * alongY - way[1] * alongX;
    if (Math.abs(turn) < 1e-15) return [];
    const [offX, offY] = [x - point[0], y - point[1]];
    const share = (offX * way[1] - offY * way[0]) / turn;
    return share >= 0 && share < 1 ? [(offX * alongY - offY * alongX) / turn] : [];
  });
  // Seen flat on, it is in or out all the way.
  if (Math.hypot(way[0], way[1]) < 1e-9) return isWithin(point, outline) ? [[from, to]] : [];
  return byPairs(cuts).flatMap(([start, end]): Span[] => {
    const span: Span = [Math.max(from, start), Math.min(to, end)];
    return span[0] < span[1] ? [span] : [];
  });
}

const isWithin = (point: Vec3, outline: NonNullable<FlatBody['outline']>): boolean =>
  outline.filter(([x, y], i) => {
    const [toX, toY] = outline[(i + 1) % outline.length]!;
    return y > point[1] !== toY > point[1] && point[0] < x + ((point[1] - y) / (toY - y)) * (toX - x);
  }).length %
    2 ===
  1;

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
  const sorted = [...cuts].sort((a, b) => a - b);
  return sorted.flatMap((cut, i): Span[] => (i % 2 === 1 ? [[sorted[i - 1]!, cut]] : []));
}
