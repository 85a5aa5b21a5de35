/** Glued face to face; lashed over as well. */
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
    const { id: by, piece: goesWith, area } = of;
    const at = betweenPieces(piece, to);
    const parts = [
      fillerPart({ id: `${by}/glue`, by, goesWith, glue: of.glue, area, at }),
      ...(of.lashed ? [fillerPart({ id: `${by}/tow`, by, goesWith, glue: 'tow', area, at })] : []),
    ];
    return { ...made, parts, connection: { ...made.connection, hardware: parts.map((p) => p.id) } };
  },
};
