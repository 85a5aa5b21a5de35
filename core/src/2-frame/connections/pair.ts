/** Two pieces that keep each other by their own shape, with nothing between them: a grip on its pipe, a ring in its bore. */
import type { StatedConnection } from '../../model';
import { plainly } from './connection';
import { GONE, type Resolved, type Surroundings } from './kind';

export function resolvePair(
  { id, name, kind, packs }: Pick<StatedConnection, 'id' | 'name' | 'kind' | 'packs'>,
  pieces: readonly [string, string],
  { solids }: Surroundings,
): Resolved {
  const there = pieces.find((p) => solids(p).length > 0);
  const isWhole = pieces.every((p) => solids(p).length > 0);
  return {
    parts: [],
    faults: isWhole ? [] : [{ about: there ?? id, connection: id, name, reason: GONE }],
    // Glue holds for good.
    connection: plainly({ id, name, kind, pieces, reversible: kind !== 'bonded', comesApart: packs ?? false }),
  };
}
