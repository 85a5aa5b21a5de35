/** The rig with pieces of it moved, whole again: what was moved takes along what it carries, and screws are found anew for it. */
import type { Change } from '../../0-base';
import { applyEdits, assemble, hardwareOf, withoutHardware, type Assembly } from '../../2-frame';

export type Move = Extract<Change, { kind: 'move' }>;

/** Null where something is not there to be moved, or where a connection would not hold that holds now. The load stays on its mount. */
export function movedAssembly(assembly: Assembly, moves: readonly Move[]): Assembly | null {
  const stored = withoutHardware(assembly.rig);
  const edits = moves.map(({ id, by }, i) => ({ kind: 'move' as const, id: `move-${i}`, target: id, by }));
  const { rig, unapplied } = applyEdits(stored, edits);
  if (unapplied.length > 0) return null;
  const whole = hardwareOf(rig, null);
  if (whole.faults.length > hardwareOf(stored, null).faults.length) return null;
  const moved = assemble(whole.rig, null, assembly.atHand);
  return { ...moved, pieces: [...moved.pieces, ...assembly.pieces.filter((p) => p.isLoad)] };
}
