/** Glued face to face. */
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const bonded: KindOfConnection<'bonded'> = {
  kind: 'bonded',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.to],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.to) ? null : of),
  resolve: (of, around) => resolvePair(of, [of.piece, of.to], around),
};
