/** Whether a piece that a change brings, and the screws that hold it, stand clear of all that was there, and reach what they hold: quickly, without the proof by true solids. */
import { assemble, hardwareOf, pairOf, placedPieces, quickPairs, withoutHardware } from '../../2-frame';
import type { Rig } from '../../model';

/** `after`: with the change, as it was stated. As drawn, and with each adjuster at either end. */
export function standsClear(before: Rig, after: Rig): boolean {
  const known = new Set(before.bodies.flatMap((b) => [...b.members, ...b.parts].map((e) => e.id)));
  const { rig, faults } = hardwareOf(after, null);
  if (faults.length > hardwareOf(withoutHardware(before), null).faults.length) return false;
  const assembly = assemble(rig, null);
  // Counted washers stand on their own screws: only what moves is tried.
  const ends = rig.adjusters.flatMap(({ id, kind, range }) =>
    kind === 'count' ? [] : range.map((end) => ({ [id]: end })),
  );
  return [{}, ...ends].every((values) =>
    [...quickPairs(rig, placedPieces(assembly, values))].every((key) => pairOf(key).every((id) => known.has(id))),
  );
}
