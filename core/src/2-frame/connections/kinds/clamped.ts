/** Held round or along something by squeezing: a clamp on a bar, a carriage on its rails. */
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const clamped: KindOfConnection<'clamped'> = {
  kind: 'clamped',
  datum: (of) => of.piece,
  holds: (of) => [of.piece, of.on],
  without: (of, gone) => (gone.has(of.piece) || gone.has(of.on) ? null : of),
  resolve: (of, around) => resolvePair(of, [of.piece, of.on], around),
};
