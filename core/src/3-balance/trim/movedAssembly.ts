/** The rig with pieces of it moved, whole again: what was moved takes along what it carries, and screws are found anew for it. */
import { subtract, type Change, type Vec3 } from '../../0-base';
import { shifted } from '../../1-load';
import { applyEdits, assemble, comesInto, hardwareOf, standing, withoutHardware, type Assembly } from '../../2-frame';

export type Move = Extract<Change, { kind: 'move' }>;

/** Null where something is not there to be moved, where a connection would not hold that holds now, or where a piece comes into another. The load stays on its mount; kit goes along with the piece it stands on. */
export function movedAssembly(assembly: Assembly, moves: readonly Move[]): Assembly | null {
  const stored = withoutHardware(assembly.rig);
  const edits = moves.map(({ id, by }, i) => ({ kind: 'move' as const, id: `move-${i}`, target: id, by }));
  const { rig, unapplied } = applyEdits(stored, edits);
  if (unapplied.length > 0) return null;
  const whole = hardwareOf(rig, null);
  if (whole.faults.length > hardwareOf(stored, null).faults.length) return null;
  const moved = assemble(whole.rig, null, assembly.atHand);
  const placeOf = (of: Assembly, id: string): Vec3 | undefined =>
    of.rig.bodies.flatMap((b) => b.parts).find((p) => p.id === id)?.at;
  const load = assembly.pieces
    .filter((p) => p.isLoad)
    .map((piece) => {
      const { carriedBy } = piece.flat;
      const [before, now] = carriedBy ? [placeOf(assembly, carriedBy), placeOf(moved, carriedBy)] : [];
      return before && now ? { ...piece, flat: shifted(piece.flat, subtract(now, before)) } : piece;
    });
  return comesInto(standing(assembly, {}), moved, {}) ? null : { ...moved, pieces: [...moved.pieces, ...load] };
}
