/** Packed and dropped: not whether it breaks, for how it lands is not known; what gives way first, and how hard a blow it takes. */
import { scale, type Vec3 } from '../../0-base';
import { byShare, carriedBy, strainedShare } from './carriedBy';
import { strainer } from './strains';
import { under, type HeldFrame } from './underCases';

export interface FirstToBreak {
  readonly id: string;
  readonly name: string;
  /** Times its weight, whichever way is worst. */
  readonly blow: number;
}
/** A fall from a table onto a hard floor stops at 50 to 150 times the weight (from memory). */
export const FALL_FROM_TABLE: readonly [number, number] = [50, 150];

const G = 9.80665;
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Held where it is held in use; all it is made of bears as much one way as the other. */
export function firstToBreak(held: HeldFrame): FirstToBreak | null {
  const strain = strainer(held.frame);
  return AXES.flatMap((axis): readonly FirstToBreak[] => {
    const answer = under(held, scale(axis, G));
    if (!answer) return [];
    const pieces = strain(answer, 'dropped').map((s) => ({ id: s.piece, name: s.name, blow: s.reserve }));
    // A camera screw parts its faces and closes again: that breaks nothing.
    const [join] = carriedBy(held.frame, answer, 'dropped')
      .filter((c) => c.kind === 'bonded' || c.kind === 'socketed')
      .sort(byShare);
    const share = join ? strainedShare(join) : 0;
    return join && share > 0 ? [...pieces, { id: join.pieces[1], name: join.name, blow: 1 / share }] : pieces;
  }).reduce<FirstToBreak | null>((first, one) => (first && first.blow <= one.blow ? first : one), null);
}
