/** A thing taken off with its twin, with what only held it and what was only on it. */
import type { Rig, StatedConnection } from '../../model';
import { without } from '../connections/kinds';
import { refit } from '../fittings/refit';

/** Where an added piece is held, by its part. */
export const heldBy = (part: string): string => `${part}-hold`;

/** Stations whose washers are on a screw. */
const rowsOf = (connections: readonly StatedConnection[] = []): ReadonlySet<string> =>
  new Set(
    connections
      .flatMap((c) => (c.kind === 'bolted' ? c.stack : []))
      .flatMap((l) => (l.kind === 'row' ? [l.station] : [])),
  );

/** The thing and its twin; a node takes the members that end there with it. What only held them goes too. */
export function removed(rig: Rig, target: string): Rig | null {
  const twin = rig.bodies.flatMap((b) => [...b.parts, ...b.members, ...b.nodes]).find((e) => e.id === target)?.twin;
  const gone = new Set(twin ? [target, twin] : [target]);
  const has = rig.bodies.some((b) =>
    [...b.parts, ...b.members, ...b.nodes, ...b.stations, ...b.joints].some((e) => gone.has(e.id)),
  );
  if (!has) return null;
  const bodies = rig.bodies.map((b) => {
    const members = b.members.filter((m) => !gone.has(m.id) && !gone.has(m.from) && !gone.has(m.to));
    const left = new Set([...b.members.filter((m) => !members.includes(m)).map((m) => m.id), ...gone]);
    const touched = new Set(b.members.filter((m) => left.has(m.id)).flatMap((m) => [m.from, m.to]));
    const ends = new Set(members.flatMap((m) => [m.from, m.to]));
    const joined = b.joints
      .filter((j) => !gone.has(j.id) && !gone.has(j.node))
      .map((j) => ({ ...j, joins: j.joins.filter((id) => !left.has(id)) }));
    // With one thing left, and no member that ends there, there is nothing to join.
    const over = new Set(
      joined
        .filter(
          (j) =>
            !ends.has(j.node) &&
            j.joins.length < 2 &&
            b.joints.find((o) => o.id === j.id)!.joins.length > j.joins.length,
        )
        .map((j) => j.id),
    );
    const joints = joined.filter((j) => !over.has(j.id));
    for (const j of joined) if (over.has(j.id)) touched.add(j.node);
    const used = new Set([...ends, ...joints.filter((j) => j.joins.length > 0).map((j) => j.node)]);
    const nodes = b.nodes.filter((n) => !gone.has(n.id) && (!touched.has(n.id) || used.has(n.id)));
    const connections = b.connections?.flatMap((c) => without(c, new Set([...left, ...over])) ?? []);
    // Washers whose bolt went through nothing else go with it.
    const kept = rowsOf(connections);
    for (const row of rowsOf(b.connections)) if (!kept.has(row)) gone.add(row);
    return refit(
      {
        ...b,
        members,
        nodes,
        joints,
        parts: b.parts.filter((p) => !gone.has(p.id)),
        stations: b.stations.filter((s) => !gone.has(s.id)),
        ...(connections ? { connections } : {}),
      },
      touched,
    );
  });
  const adjusters = rig.adjusters
    .map((a) => ({ ...a, moves: a.moves.filter((m) => !gone.has(m.id)) }))
    .filter((a) => a.moves.length > 0);
  const unheld = new Set(rig.contacts.filter((c) => [...gone].some((id) => c.id === heldBy(id))).map((c) => c.id));
  return {
    ...rig,
    bodies,
    adjusters,
    contacts: rig.contacts.filter((c) => !unheld.has(c.id)),
    poses: rig.poses.filter((p) => !p.contacts.some((c) => unheld.has(c))),
  };
}
