/** The thread nearest to a screw's own with which its connection holds: the cure for one that suits nothing it passes. */
import type { Rig } from '../../model';
import { hardwareOf } from '../connections/withHardware';
import { threadCalled, THREADS } from '../hardware/thread';
import { threaded } from './fastening';

/** By diameter, of those that the shops have; null where it has no thread of its own or none holds, or makes another connection fail. */
export function threadThatHolds(rig: Rig, connection: string): string | null {
  const own = rig.bodies.flatMap((b) => b.connections ?? []).find((c) => c.id === connection);
  const now = own?.kind === 'bolted' ? threadCalled(own.thread) : null;
  if (!now || (own?.kind === 'bolted' && own.end.kind === 'camera')) return null;
  const off = ({ diameter, standard }: typeof now): number =>
    Math.abs(diameter - now.diameter) + (standard === now.standard ? 0 : 1);
  const loose = (of: Rig): number => hardwareOf(of, null).faults.length;
  const before = loose(rig);
  for (const { name } of [...THREADS].sort((a, b) => off(a) - off(b))) {
    const after =
      name === now.name ? null : threaded(rig, { kind: 'thread', id: connection, target: connection, thread: name });
    if (!after) continue;
    const { faults } = hardwareOf(after, null);
    if (faults.length < before && faults.every((f) => f.connection !== connection)) return name;
  }
  return null;
}
