/** How a frame rings: its lowest natural frequencies and the shapes it swings in. */
import { lowestModes } from '../solver/lowestModes';
import { motionOf, spreadOut, type Motion } from './frameAnswer';
import type { FrameModel } from './frameModel';
import { frameSystem, type FrameSystem } from './frameSystem';

export interface FrameMode {
  /** Hz */
  readonly frequency: number;
  /** Over all unknowns, vᵀ M v = 1. */
  readonly shape: Float64Array;
  readonly at: Motion;
}
export interface FrameModes {
  readonly modes: readonly FrameMode[];
  /** None below the last was missed. */
  readonly proven: boolean;
}

/** Null where a motion has neither stiffness nor mass. Rigid motions of what is not held come first, at nought within rounding. */
export function modesOf(system: FrameSystem, count: number): FrameModes | null {
  const found = lowestModes(system.stiffness, system.mass, count);
  return (
    found && {
      proven: found.proven,
      modes: found.values.map((value, i) => {
        const shape = spreadOut(system, found.vectors[i]!);
        return { frequency: Math.sqrt(Math.max(0, value)) / (2 * Math.PI), shape, at: motionOf(system, shape) };
      }),
    }
  );
}

/** The modes of a mesh made finer until they stand still, each with the mesh's own equations. */
export interface Settled extends FrameModes {
  readonly system: FrameSystem;
  /** Short beams to a member. */
  readonly pieces: number;
  /** How far the last of them still moved when the mesh was halved, as a part of it. */
  readonly moved: number;
}
/** The last mode asked for moves less than this when every piece is halved: the error left is a part of it, as it falls with the fourth power. */
const STILL = 1e-4;
const FEWEST = 4;
const MOST = 32;

export function settledModes(model: FrameModel, count: number): Settled | null {
  let before: number | null = null;
  for (let pieces = FEWEST; ; pieces *= 2) {
    const system = frameSystem(model, () => pieces);
    const found = modesOf(system, count);
    if (!found) return null;
    const last = found.modes.at(-1)?.frequency ?? 0;
    const moved = before === null ? Infinity : Math.abs(last - before) / Math.max(last, Number.MIN_VALUE);
    if (moved < STILL || pieces === MOST) return { ...found, system, pieces, moved };
    before = last;
  }
}
