/** Another thread, nut or lock washer for a screw of the rig's own; all else of it follows. */
import type { Bolted, Edit, Rig } from '../../model';
import { headsFor, nutsFor } from '../connections/nutsFor';
import { threadCalled } from '../hardware/thread';

type EditOf<K extends Edit['kind']> = Extract<Edit, { kind: K }>;

/** Only a screw of its own: one that a rod of the rig stands for has that rod's thread. Washers on it sit as loosely as it is thick. */
export function threaded(rig: Rig, { target, thread }: EditOf<'thread'>): Rig | null {
  const found = threadCalled(thread);
  const own = rig.bodies.flatMap((b) => b.connections ?? []).find((c) => c.id === target);
  if (!found || own?.kind !== 'bolted' || own.screw !== undefined) return null;
  const rows = new Set(own.stack.flatMap((l) => (l.kind === 'row' ? [l.station] : [])));
  return {
    ...rig,
    bodies: rig.bodies.map((b) => ({
      ...b,
      ...(b.connections
        ? { connections: b.connections.map((c) => (c === own ? { ...own, thread: found.name } : c)) }
        : {}),
      stations: b.stations.map((s) => (rows.has(s.id) ? { ...s, boltDiameter: found.diameter } : s)),
    })),
  };
}

/** Another nut where one turns at its end, if it is made in that thread; a spring washer anywhere; another head where it is a screw's own; holes as they are to be. */
export function fastened(rig: Rig, { target, nut, lockWasher, head, holes }: EditOf<'fasten'>): Rig | null {
  const own = rig.bodies.flatMap((b) => b.connections ?? []).find((c) => c.id === target);
  if (own?.kind !== 'bolted' || (nut && !nutsFor(own).includes(nut)) || (head && !headsFor(own).includes(head)))
    return null;
  const { lockWasher: lockBefore, head: headBefore, bites: before, ...rest } = own;
  const [lock, heads, bites] = [
    lockWasher === undefined ? lockBefore : lockWasher === 'spring' ? lockWasher : undefined,
    head === undefined ? headBefore : head === 'hexagon' ? undefined : head,
    holes === undefined ? before : holes === 'bite' ? (true as const) : undefined,
  ];
  const next: Bolted = {
    ...rest,
    ...(lock ? { lockWasher: lock } : {}),
    ...(heads ? { head: heads } : {}),
    ...(bites ? { bites } : {}),
    ...(nut ? { end: { kind: nut } } : {}),
  };
  return {
    ...rig,
    bodies: rig.bodies.map((b) =>
      b.connections?.includes(own) ? { ...b, connections: b.connections.map((c) => (c === own ? next : c)) } : b,
    ),
  };
}
