/** How a rig's bending turns the lens while the hand moves: its modes followed in time, on top of the swing of it stiff. */
import type { Vec3 } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import { frameSystem } from '../frame/frameSystem';
import { modesOf } from '../frame/modesOf';
import { rungBy } from '../answer/rungBy';
import { modesAt, sharesOf } from '../answer/shakenBy';
import { energyShares } from './energyShares';
import type { JointsHeard } from './knownJoints';
import { rigFrame } from './rigFrame';

export interface RigRungInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly joints?: JointsHeard | undefined;
  readonly pushed: (t: number, out: Float64Array) => void;
  readonly every: number;
  readonly count: number;
}
const PIECES = 2;
const MODES = 6;
const LEAST_DAMPING = 0.001;
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Turns of the camera about x y z at each sample, rad; null: nothing is held, nothing rings or nothing is carried. */
export function rung({ pushed, every, count, ...input }: RigRungInput): readonly Vec3[] | null {
  const pose = input.assembly.rig.poses[0] ?? null;
  const made = rigFrame({ ...input, pose, held: 'vice', pivots: 'still' });
  if (made.kind !== 'framed' || made.frame.camera === null) return null;
  const { frame } = made;
  const system = frameSystem(frame.model, () => PIECES);
  const modes = modesOf(system, MODES)?.modes ?? [];
  if (modes.length === 0 || modes[0]!.frequency === 0) return null;
  return rungBy({
    modes: modesAt(system, modes, made.frame.camera),
    shares: AXES.map((axis) => sharesOf(system, modes, axis)),
    damping: modes.map((m) =>
      Math.max(
        LEAST_DAMPING,
        energyShares(system, frame, m).reduce((sum, s) => sum + s.share * s.damping, 0),
      ),
    ),
    pushed,
    every,
    count,
  });
}
