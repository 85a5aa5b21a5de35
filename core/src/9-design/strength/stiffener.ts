/** A kind of change that may stiffen a rig: what of it there is to try, read from the rig itself. A new kind is one file in `changes`. */
import type { Change, Phrase } from '../../0-base';
import type { RigStrength } from '../../4-strength';
import type { Workpiece } from '../derive';

export interface StiffChange {
  /** What is changed, and to what. */
  readonly name: string;
  readonly to: Phrase;
  readonly changes: readonly Change[];
}
export interface Stiffener {
  readonly id: string;
  /** `now`: its strength as it stands. */
  readonly tries: (work: Workpiece, now: RigStrength) => readonly StiffChange[];
}
