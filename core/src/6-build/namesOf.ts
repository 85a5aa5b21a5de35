/** What each piece of a rig is called in a sentence. */
import { jointName, washerId } from '../2-frame';
import type { Rig } from '../model';

export function namesOf({ bodies }: Rig): (piece: string) => string {
  const known = new Map(
    bodies.flatMap((b) => [
      ...[...b.members, ...b.parts].map((e) => [e.id, e.name] as const),
      ...b.joints.map((j) => [j.id, jointName(j, b)] as const),
      ...b.stations.flatMap((s) =>
        Array.from({ length: s.count }, (_, i) => [washerId(s.id, i + 1), s.washer.name] as const),
      ),
    ]),
  );
  return (id) => known.get(id) ?? 'piece';
}
