/** What was made otherwise than drawn and cannot be followed: a piece that is tied on both sides, or that is no longer there. */
import { say, type Judgement } from '../../0-base';
import type { AsMade, Rig } from '../../model';
import { madeWords } from './madeWords';

const MADE = { stage: 'frame', figure: null, limit: null, fixes: [] } as const;

const placeOf = (of: AsMade): string => ('hole' in of ? `${of.kind}-${of.hole}` : `${of.kind}-${of.member}`);

export const tiedAdvice = (of: AsMade, rig: Rig): Judgement => ({
  ...MADE,
  code: 'madeTied',
  severity: 'mend',
  about: of.member,
  place: placeOf(of),
  title: [...say`As made, this does not go together: `, ...madeWords(of, rig), '.'],
  why: say`What it carries is held on its other side too, so it cannot give way. The figures are those of the drawing.`,
  toDo: say`Cut its fellow the same, open the hole into a slot, or make the piece again.`,
  leavesOut: true,
});

export const idleAdvice = (of: AsMade): Judgement => ({
  ...MADE,
  code: 'madeWithoutTarget',
  severity: 'note',
  about: 'rig',
  place: placeOf(of),
  title: say`Something you measured as made finds nothing to act on.`,
  why: say`The piece it was measured on is no longer in this rig. It is kept and comes back with the piece.`,
  toDo: say`Change the rig back, or clear the measurement in Build.`,
});
