/** What sits in another: a ring in a bore, a bearing, an insert. */
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const seated: KindOfConnection<'seated'> = {
  kind: 'seated',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.in],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.in) ? null : of),
  resolve: (of, around) => resolvePair(of, [of.piece, of.in], around),
};
