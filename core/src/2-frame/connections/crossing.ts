/** Where a straight line passes through solids, before any hole is drilled in them. */
import { addScaled, cross, dot, subtract, transform, transpose, unit, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';

export interface Line {
  readonly point: Vec3;
  /** Of length one. */
  readonly way: Vec3;
}
/** From where to where along the line, m from its point. */
export type Span = readonly [from: number, to: number];

/** Sides of the ring that a washer or a head bears on: a wall that bends is met by its crown. */
const RING = 8;
/** Solids of one piece that lie on each other within this are one, m. */
const MEETS = 1e-9;

/**
 * From first to last contact of a screw's axis, and of a ring of `ringRadius` round it, with one piece: what a head and a nut bear
 * on. A bar that comes back is met more than once: in order along the axis. A bore wider than the ring is passed by. Meshes are
 * not looked at. `walls` both: what lies between the walls of a tube or a bored block counts as passed.
 */
export function crossings(
  { point, way }: Line,
  solids: readonly FlatBody[],
  ringRadius: number,
  { walls = 'each' }: { readonly walls?: 'each' | 'both' } = {},
): readonly Span[] {
  const along = unit(way);
  const aside = unit(Math.abs(along[2]) < 0.9 ? cross(along, [0, 0, 1]) : cross(along, [1, 0, 0]));
  const other = cross(along, aside);
  const starts: Vec3[] = [point];
  for (let i = 0; i < RING; i++) {
    const turn = (2 * Math.PI * i) / RING;
    starts.push(addScaled(addScaled(point, aside, ringRadius * Math.cos(turn)), other, ringRadius * Math.sin(turn)));
  }
  const all = solids
    .flatMap((solid) => {
      const inwards = transpose(solid.rotation);
      const own = transform(inwards, along);
      const found = starts.flatMap((start) => spans(transform(inwards, subtract(start, solid.at)), own, solid.shape));
      const isHollow = solid.shape.kind === 'tube' || solid.shape.kind === 'box';
      return walls === 'both' && isHollow && found.length > 1 ? [hull(found)] : found;
    })
    .sort((a, b) => a[0] - b[0]);
  const merged: Span[] = [];
  for (const span of all) {
    const last = merged.at(-1);
    if (last && span[0] <= last[1] + MEETS) merged[merged.length - 1] = [last[0], Math.max(last[1], span[1])];
    else merged.push(span);
  }
  return merged;
}

const hull = (all: readonly Span[]): Span => [Math.min(...all.map((s) => s[0])), Math.max(...all.map((s) => s[1]))];

/** In the solid's own frame. */
function spans(point: Vec3, way: Vec3, shape: FlatBody['shape']): readonly Span[] {
  switch (shape.kind) {
    case 'box': {
      const whole = throughBox(point, way, shape.size);
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
function throughCylinder(point: Vec3, way: Vec3, radius: number, length: number): Span | null {
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

function without(whole: Span, hole: Span | null): readonly Span[] {
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
