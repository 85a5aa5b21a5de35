/** The balance at many settings of one assembly, quickly: sums kept by what moves together, no body visited again. */
import { STANDARD_GRAVITY, type Vec3 } from '../0-base';
import { addSums, moveSums, NO_SUMS, sumsOfOne, type Sums } from '../1-load';
import { countOf, shiftOf, stackSums, valuesInOrder, type AdjusterValues, type Assembly } from '../2-frame';
import { aboutAxis } from './borne/hung/dropTimeWanted';
import type { Pivot } from '../model';
import { dropFromLevel } from './borne/hung/dropFactor';
import { hangAt } from './borne/hung/hangAt';
import { pinAt } from './borne/hung/pins';
import { supportAt, supportOf } from './borne/support';

/** As `evaluate` would find it; angles and drop null when it turns over, the drop also where friction stops it. */
export interface QuickReading {
  readonly fromPivot: Vec3;
  readonly noseDown: number | null;
  readonly leftSideDown: number | null;
  readonly dropPitch: number | null;
}
export interface QuickBalance {
  at(values: AdjusterValues): QuickReading;
}

/** Null when nothing bears the rig, or nothing hangs there. For a held rig `fromPivot` is from the hands, and the rest is of a rig hung there. */
export function quickBalance(assembly: Assembly): QuickBalance | null {
  const { rig } = assembly;
  const support = supportOf(rig);
  if (!support) return null;
  const { carries: beyond } = support;
  const groups = new Map<string, { readonly movedBy: readonly number[]; sums: Sums }>();
  for (const piece of assembly.pieces) {
    if (!beyond.has(piece.body)) continue;
    const key = piece.movedBy.join();
    const group = groups.get(key) ?? { movedBy: piece.movedBy, sums: NO_SUMS };
    groups.set(key, { ...group, sums: addSums(group.sums, sumsOfOne(piece.flat)) });
  }
  const moved = [...groups.values()];
  const stacks = assembly.stacks.filter((s) => beyond.has(s.body));
  if (moved.length === 0 && stacks.length === 0) return null;
  const kept = stacks.map(() => new Map<number, Sums>());
  const onBolt = (i: number, count: number): Sums => {
    let sums = kept[i]!.get(count);
    if (!sums) {
      kept[i]!.set(count, (sums = stackSums(stacks[i]!, count)));
    }
    return sums;
  };
  return {
    at: (values) => {
      const inOrder = valuesInOrder(rig, values);
      let sums = NO_SUMS;
      for (const { movedBy, sums: own } of moved)
        sums = addSums(sums, movedBy.length === 0 ? own : moveSums(own, shiftOf(rig, movedBy, inOrder)));
      for (const [i, stack] of stacks.entries()) {
        const own = onBolt(i, countOf(stack, inOrder));
        sums = addSums(sums, stack.movedBy.length === 0 ? own : moveSums(own, shiftOf(rig, stack.movedBy, inOrder)));
      }
      return reading(sums, supportAt(rig, support, inOrder), support.kind === 'pivot' ? support.pivot : {});
    },
  };
}

function reading(sums: Sums, at: Vec3, joint: Pick<Pivot, 'pins' | 'frictionTorque'>): QuickReading {
  const { fromPivot, rest } = hangAt(joint, at, sums);
  if (!rest) return { fromPivot, noseDown: null, leftSideDown: null, dropPitch: null };
  const { inertia, distance } = aboutAxis(sums, pinAt(joint, at, 'pitch'), 'pitch');
  const drop = dropFromLevel(inertia, sums.mass * STANDARD_GRAVITY * distance, joint.frictionTorque?.value ?? 0);
  return {
    fromPivot,
    noseDown: rest.noseDown,
    leftSideDown: rest.leftSideDown,
    dropPitch: Number.isFinite(drop) ? drop : null,
  };
}
