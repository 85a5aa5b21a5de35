/** Which piece another stands nearest to, and the way to it. */
import { length, subtract, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Body } from '../../model';
import { nearestPoint } from '../clearances/clearance';
import type { Surroundings } from './kind';

export interface Nearest {
  readonly piece: string;
  readonly name: string;
  /** From the first piece to this one, m; nought long where they touch. */
  readonly way: Vec3;
}

/** Of a body's own pieces, those named left out; null where there is no other. */
export function nearestTo(
  piece: string,
  body: Body,
  without: ReadonlySet<string>,
  { solids }: Surroundings,
): Nearest | null {
  const own = solids(piece);
  const others = [
    ...body.members.map((m) => m.id),
    ...body.parts.filter((p) => !p.by && !p.of).map((p) => p.id),
    ...body.joints.filter((j) => j.hub).map((j) => j.id),
  ].filter((id) => id !== piece && !without.has(id));
  let best: Nearest | null = null;
  for (const id of others)
    for (const other of solids(id))
      for (const solid of own) {
        const way = between(solid, other);
        if (!best || length(way) < length(best.way)) best = { piece: id, name: other.name, way };
      }
  return best;
}

/** From the nearest point of one to the nearest of the other, by turns; nought long where one lies in the other, a bore counting as filled. */
export function between(a: FlatBody, b: FlatBody): Vec3 {
  let p: Vec3 = b.at;
  let way: Vec3 = [Infinity, 0, 0];
  for (let round = 0; round < 40; round++) {
    const onA = nearestPoint(p, a);
    p = nearestPoint(onA, b);
    const next = subtract(p, onA);
    if (length(way) - length(next) < 1e-7) return next;
    way = next;
  }
  return way;
}
