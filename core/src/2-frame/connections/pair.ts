/** Two pieces that keep each other by their own shape, with nothing between them: a grip on its pipe, a ring in its bore. */
import type { StatedConnection } from '../../model';
import { plainly } from './connection';
import { GONE, type Resolved, type Surroundings } from './kind';

export function resolvePair(
  { id, name, kind, packs }: Pick<StatedConnection, 'id' | 'name' | 'kind' | 'packs'>,
  pieces: readonly [string, string],
  { solids, rig }: Surroundings,
): Resolved {
  // What a screw brings is there with its screw.
  const brought = (p: string): boolean => rig.bodies.some((b) => b.connections?.some((c) => p.startsWith(`${c.id}/`)));
  const isThere = (p: string): boolean => solids(p).length > 0 || brought(p);
  const there = pieces.find(isThere);
  const isWhole = pieces.every(isThere);
  return {
    parts: [],
    faults: isWhole ? [] : [{ about: there ?? id, connection: id, name, reason: GONE }],
    // Glue holds for good.
    connection: plainly({ id, name, kind, pieces, reversible: kind !== 'bonded', comesApart: packs ?? false }),
  };
}
