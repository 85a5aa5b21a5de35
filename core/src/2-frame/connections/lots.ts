/** What hangs together: pieces joined by connections, joints and pipes in fittings. A rig that can be lifted is one lot a body. */
import type { Body, Rig } from '../../model';
import { piecesHeld } from './kinds';

/** The pieces of a body in the lots they fall into, the largest first. What a connection brings is with it and is left out. */
export function lotsOf(body: Body, { bodies }: Pick<Rig, 'bodies'>): readonly (readonly string[])[] {
  const own = new Set([
    ...body.members.map((m) => m.id),
    ...body.parts.filter((p) => !p.by && !p.of).map((p) => p.id),
    ...body.joints.filter((j) => j.hub).map((j) => j.id),
    ...body.stations.map((s) => s.id),
  ]);
  const root = new Map([...own].map((id) => [id, id]));
  const find = (id: string): string => {
    let at = id;
    while (root.get(at) !== at) at = root.get(at)!;
    return at;
  };
  const join = (ids: readonly string[]): void => {
    const here = ids.map((id) => (own.has(id) ? id : broughtBy(id))).filter((id) => own.has(id));
    for (const id of here.slice(1)) root.set(find(id), find(here[0]!));
  };
  // What lies on a screw is with what that screw holds.
  const all = bodies.flatMap((b) => b.connections ?? []);
  const broughtBy = (id: string): string => {
    const by = all.find((c) => id.startsWith(`${c.id}/`));
    return (by && piecesHeld(by).find((p) => own.has(p))) ?? id;
  };
  for (const c of all) join(piecesHeld(c));
  for (const joint of body.joints)
    join([
      joint.id,
      ...joint.joins,
      ...body.members.filter((m) => m.from === joint.node || m.to === joint.node).map((m) => m.id),
    ]);
  // Washers of a row hold each their own filler.
  for (const c of all) join(piecesHeld(c).map((id) => body.stations.find((s) => id.startsWith(`${s.id}/`))?.id ?? id));
  const lots = new Map<string, string[]>();
  for (const id of own) {
    const lot = lots.get(find(id));
    if (lot) lot.push(id);
    else lots.set(find(id), [id]);
  }
  return [...lots.values()].sort((a, b) => b.length - a.length);
}
