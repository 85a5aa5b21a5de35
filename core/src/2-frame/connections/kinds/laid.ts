/** Tape, pads and wraps that cling to what they lie on. */
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const laid: KindOfConnection<'laid'> = {
  kind: 'laid',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.on],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.on) ? null : of),
  resolve: (of, around) => resolvePair(of, [of.piece, of.on], around),
};
