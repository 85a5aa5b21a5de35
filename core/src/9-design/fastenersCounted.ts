/**
 * What the screws, nuts, washers and pins of a rig weigh, and how it is with and without them: told of rigs kept before they were
 * counted, whose set-ups were found without them.
 */
import { evaluate, type Evaluation } from '../3-balance';
import type { AdjusterValues } from '../2-frame';
import type { Workpiece } from './derive';

export interface Hanging {
  /** Nose down is positive, rad; null where it turns over. */
  readonly noseDown: number | null;
  /** s; null where it does not fall to rest upright. */
  readonly dropTime: number | null;
}
export interface FastenersCounted {
  readonly pieces: number;
  /** kg. */
  readonly mass: number;
  /** Null where nothing hangs. */
  readonly without: Hanging | null;
  readonly with: Hanging | null;
}

export function fastenersCounted({ assembly, hands }: Workpiece, values: AdjusterValues): FastenersCounted {
  const brought = new Set(assembly.rig.bodies.flatMap((b) => b.parts.filter((p) => p.by).map((p) => p.id)));
  const isBrought = (id: string): boolean => brought.has(id);
  const bare = {
    ...assembly,
    pieces: assembly.pieces.filter((p) => !isBrought(p.flat.owner)),
    stacks: assembly.stacks.map((s) => ({ ...s, riders: s.riders.filter((r) => !isBrought(r.owner)) })),
  };
  const own = assembly.pieces.filter((p) => isBrought(p.flat.owner));
  return {
    pieces: new Set(own.map((p) => p.flat.owner)).size,
    mass: own.reduce((sum, p) => sum + p.flat.mass, 0),
    without: hanging(evaluate(bare, values, hands)),
    with: hanging(evaluate(assembly, values, hands)),
  };
}

const hanging = ({ hung }: Evaluation): Hanging | null =>
  hung && {
    noseDown: hung.hang.rest?.noseDown ?? null,
    dropTime: hung.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null,
  };
