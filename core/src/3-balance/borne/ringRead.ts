/** What a flick says: how often it swings, and how well that was read. */
import type { Ringing } from '../../model';

/** A tuner or an app on a phone shows a low note within some two in a hundred. */
const EAR = 0.02;
/** Where a swing begins is told to half a frame, at either end. */
const FRAME = 0.5;

/** Hz, with one standard uncertainty. */
export function ringRead({ read }: Pick<Ringing, 'read'>): {
  readonly frequency: number;
  readonly uncertainty: number;
} {
  if (read.by === 'ear') return { frequency: read.frequency, uncertainty: EAR * read.frequency };
  if (read.by === 'phone') return { frequency: read.frequency, uncertainty: read.spread };
  const frequency = (read.swings * read.frameRate) / read.frames;
  return { frequency, uncertainty: (frequency * Math.SQRT2 * FRAME) / read.frames };
}
