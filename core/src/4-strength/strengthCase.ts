/** Something that is done to a rig: pushes and pulls that it has to bear. A new one is one file in `cases`. */
import type { Vec3 } from '../0-base';
import type { Contact, Rig } from '../model';
import type { FrameLoad } from './frame/frameModel';
import type { RigFrame } from './rig/rigFrame';

export interface CaseLoad {
  /** On all that has mass, m/s², rig axes. */
  readonly field: Vec3;
  readonly pushes: readonly FrameLoad[];
}
export interface CaseOn {
  readonly rig: Rig;
  readonly frame: RigFrame;
  /** What holds it as it is asked about, and all that may. */
  readonly holding: readonly Contact[];
  readonly contacts: readonly Contact[];
  /** Weights of a bump. */
  readonly bump: number;
  /** What a place of the rig sags under its own weight, held as in this case, m. */
  readonly sag: number;
}
export interface StrengthCase {
  readonly id: string;
  readonly name: string;
  /** What stands it up instead of what the pose names. */
  readonly heldBy?: (contacts: readonly Contact[]) => readonly Contact[];
  /** One or more ways it may come, the worst counts; none: it cannot happen to this rig, or not as it is held. */
  readonly loads: (on: CaseOn) => readonly CaseLoad[];
  /** How hard, after “it is”: “bumped to 3 times its weight”. */
  readonly says: (on: CaseOn) => string;
}
