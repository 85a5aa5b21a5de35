/** What sits in another: a ring in a bore, a bearing, an insert, a pin in a hole of its own size. */
import { addScaled, type Vec3 } from '../../../0-base';
import type { Seated } from '../../../model';
import type { ConnectionHole } from '../connection';
import { crossings } from '../crossing';
import type { KindOfConnection, Surroundings } from '../kind';
import { resolvePair } from '../pair';

export const seated: KindOfConnection<'seated'> = {
  kind: 'seated',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.in, ...(of.through ?? [])],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.in) ? null : of),
  resolve: (of, around) => {
    const pair = resolvePair(of, [of.piece, of.in], around);
    return of.bored ? { ...pair, connection: { ...pair.connection, holes: boreOf(of, around) } } : pair;
  },
};

/** Where the round piece's axis enters what it sits in. */
function boreOf(of: Seated, { solids }: Surroundings): readonly ConnectionHole[] {
  const [piece] = solids(of.piece);
  if (piece?.shape.kind !== 'tube') return [];
  const way: Vec3 = [piece.rotation[0][2], piece.rotation[1][2], piece.rotation[2][2]];
  const diameter = 2 * piece.shape.outerRadius;
  return [of.in, ...(of.through ?? [])].flatMap((into) => {
    const [span] = crossings({ point: piece.at, way }, solids(into), 0);
    return span ? [{ piece: into, at: addScaled(piece.at, way, span[0]), axis: way, diameter, thread: null }] : [];
  });
}
