/** What the screws, nuts, washers and pins of a rig weigh: told of rigs kept before all of them were counted. */
import type { Assembly } from '../2-frame';

export interface FastenersCounted {
  readonly pieces: number;
  /** kg. */
  readonly mass: number;
}

export function fastenersCounted({ rig, pieces }: Assembly): FastenersCounted {
  // A head and its shank are one piece.
  const brought = new Map(rig.bodies.flatMap((b) => b.parts.filter((p) => p.by).map((p) => [p.id, p.of ?? p.id])));
  const own = pieces.filter((p) => brought.has(p.flat.owner));
  return {
    pieces: new Set(own.map((p) => brought.get(p.flat.owner))).size,
    mass: own.reduce((sum, p) => sum + p.flat.mass, 0),
  };
}
