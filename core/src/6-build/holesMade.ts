/** Where the holes go that a step makes, in rig axes with all adjusters at zero, m: for pictures of it. */
import { connectionsOf, holeId } from '../2-frame';
import type { Vec3 } from '../0-base';
import type { Rig } from '../model';
import type { BuildStep } from './step';

export interface HoleMade {
  readonly piece: string;
  readonly at: Vec3;
  /** Into the piece. */
  readonly axis: Vec3;
  readonly diameter: number;
}

export function holesMade({ makes = [] }: Pick<BuildStep, 'makes'>, rig: Rig): readonly HoleMade[] {
  const made = new Set(makes);
  if (made.size === 0) return [];
  return connectionsOf(rig, () => 0).flatMap((c) =>
    c.holes
      .filter((h) => made.has(holeId(h.piece, c.id)))
      .map(({ piece, at, axis, diameter }) => ({ piece, at, axis, diameter })),
  );
}
