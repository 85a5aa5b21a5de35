/** Bending added to a swing: how the lens rings while the hand walks, in the angles of the swing's traces. */
import type { AdjusterValues, Assembly } from '../../2-frame';
import { addAcceleration, type HandMotion } from '../../3-balance/swing/handMotion';
import { rung, type JointsHeard } from '../../4-strength';

export interface RungSwingInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly joints: JointsHeard;
  readonly motion: HandMotion;
  readonly every: number;
  readonly until: number;
}
/** Rad at each sample: lens up, left side up, to the left. */
export interface Bending {
  readonly pitch: Float64Array;
  readonly roll: Float64Array;
  readonly pan: Float64Array;
}

export function rungSwing({ motion, until, ...input }: RungSwingInput): Bending | null {
  const count = Math.floor(until / input.every + 1e-9) + 1;
  const turns = rung({ ...input, count, pushed: (t, out) => addAcceleration(motion, t, out) });
  return (
    turns && {
      // Right-handed about the left a turn takes the lens down.
      pitch: Float64Array.from(turns, (t) => -t[1]),
      roll: Float64Array.from(turns, (t) => t[0]),
      pan: Float64Array.from(turns, (t) => t[2]),
    }
  );
}
