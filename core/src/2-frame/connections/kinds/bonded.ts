/** Glued face to face. */
import { betweenPieces, fillerPart } from '../fillerPart';
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const bonded: KindOfConnection<'bonded'> = {
  kind: 'bonded',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.to],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.to) ? null : of),
  resolve: (of, around) => {
    const made = resolvePair(of, [of.piece, of.to], around);
    const [piece, to] = [around.solids(of.piece), around.solids(of.to)];
    if (!of.glue || of.area === undefined || piece.length === 0 || to.length === 0) return made;
    const id = `${of.id}/glue`;
    const at = betweenPieces(piece, to);
    return {
      ...made,
      parts: [fillerPart({ id, by: of.id, goesWith: of.piece, glue: of.glue, area: of.area, at })],
      connection: { ...made.connection, hardware: [id] },
    };
  },
};
