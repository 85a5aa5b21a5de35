/** Where a straight line passes through solids, before any hole is drilled in them. */
import { addScaled, cross, subtract, transform, transpose, unit, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import { spansThrough, type Span } from '../solids/spansThrough';

export interface Line {
  readonly point: Vec3;
  /** Of length one. */
  readonly way: Vec3;
}

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
      const found =
        solid.shape.kind === 'mesh'
          ? []
          : starts.flatMap((start) =>
              spansThrough(transform(inwards, subtract(start, solid.at)), own, { shape: solid.shape }),
            );
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
