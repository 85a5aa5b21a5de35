/** A grip, sleeve or cap over a bar. */
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const slidOn: KindOfConnection<'slidOn'> = {
  kind: 'slidOn',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.over],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.over) ? null : of),
  resolve: (of, around) => resolvePair(of, [of.piece, of.over], around),
};
