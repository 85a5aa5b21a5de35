/** Each stated connection of a rig worked out by its kind. */
import type { FlatBody } from '../../1-load';
import type { Rig, StatedConnection } from '../../model';
import { assemble, stackBody } from '../assemble';
import { resolveBolted, type Resolved, type Surroundings } from './bolted';
import { plainly } from './connection';
import { washerId } from './washerId';

export function resolve(of: StatedConnection, around: Surroundings): Resolved {
  switch (of.kind) {
    case 'bolted':
      return resolveBolted(of, around);
    case 'slidOn':
      return whole(of, [of.piece, of.over], around);
    case 'seated':
      return whole(of, [of.piece, of.in], around);
  }
}

/** Two pieces and nothing more. */
function whole(
  { id, name, kind, packs }: StatedConnection,
  pieces: readonly string[],
  { solids }: Surroundings,
): Resolved {
  const gone = pieces.some((p) => solids(p).length === 0);
  return {
    parts: [],
    faults: gone
      ? [
          {
            about: pieces.find((p) => solids(p).length > 0) ?? id,
            connection: id,
            name,
            reason: ['A piece it holds is not on this rig any more.'],
          },
        ]
      : [],
    connection: plainly({ id, name, kind, pieces, reversible: true, comesApart: packs ?? false }),
  };
}

/** The rig's solids by the piece they are of, with all adjusters at zero. */
export function surroundings(rig: Rig, counts: (station: string) => number): Surroundings {
  const byPiece = new Map<string, FlatBody[]>();
  const { pieces, stacks } = assemble(rig, null);
  for (const stack of stacks)
    for (let n = 1; n <= counts(stack.station.id); n++) {
      const washer = stackBody(stack, n);
      if (washer) byPiece.set(washerId(stack.station.id, n), [washer]);
    }
  for (const { flat } of pieces) {
    const list = byPiece.get(flat.owner) ?? [];
    byPiece.set(flat.owner, list);
    list.push(flat);
  }
  return { rig, counts, solids: (piece) => byPiece.get(piece) ?? [] };
}
