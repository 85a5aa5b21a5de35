/** A bearing that is moved, with what turns in it: the piece it carries, all that is held below it, and as much of its stud's bare thread. */
import { add, dot, unit, type Vec3 } from '../../0-base';
import type { Bolted, Hinged, Pivot, Rig } from '../../model';
import { partMoved } from './placePart';

/** Null where there is no such pivot. One that no connection states, or whose holder bears others too, moves by itself. */
export function movedPivot(rig: Rig, id: string, by: Vec3): Rig | null {
  const pivot = rig.pivots.find((p) => p.id === id);
  if (!pivot) return null;
  const moved = { ...rig, pivots: rig.pivots.map((p) => (p === pivot ? { ...p, at: add(p.at, by) } : p)) };
  const hinge = rig.bodies
    .flatMap((b) => b.connections ?? [])
    .find((c): c is Hinged => c.kind === 'hinged' && c.pivot === id);
  const bearsOthers = rig.pivots.some((p) => p !== pivot && (p.heldBy === pivot.heldBy || p.carries === pivot.heldBy));
  return hinge && !bearsOthers ? withHeld(moved, pivot, hinge.carried, by) : moved;
}

const withHeld = (rig: Rig, { heldBy }: Pivot, carried: string, by: Vec3): Rig => ({
  ...rig,
  contacts: rig.contacts.map((c) => (c.body === heldBy ? { ...c, at: add(c.at, by) } : c)),
  bodies: rig.bodies.map((b) => {
    const isHeld = b.id === heldBy;
    const connections = b.connections?.map((c) =>
      c.kind !== 'bolted' ? c : isHeld ? { ...c, point: add(c.point, by) } : studReaching(c, carried, by),
    );
    return {
      ...b,
      nodes: isHeld ? b.nodes.map((n) => ({ ...n, at: add(n.at, by) })) : b.nodes,
      stations: isHeld ? b.stations.map((s) => ({ ...s, seat: add(s.seat, by) })) : b.stations,
      parts: b.parts.map((p) => (isHeld || p.id === carried ? partMoved(p, by) : p)),
      ...(connections ? { connections } : {}),
    };
  }),
});

/** A stud into a piece that moved along it: its bare thread is longer or shorter by as much, as far as there is some. */
function studReaching(of: Bolted, piece: string, by: Vec3): Bolted {
  if (of.end.kind !== 'tapped' || of.end.piece !== piece) return of;
  const further = dot(by, unit(of.way));
  return {
    ...of,
    stack: of.stack.map((l) => (l.kind === 'bare' ? { ...l, length: Math.max(0, l.length + further) } : l)),
  };
}
