/** What not knowing how far each pipe is pushed home does: everything beyond it, seen from the hand, lies so much further out or in. */
import { length, scale, sourceOf, subtract, unit, type Vec3 } from '../../0-base';
import type { Shift } from '../../1-load';
import { fastenedAt } from '../connections/fastenedAt';
import { piecesHeld } from '../connections/kinds';
import type { Body, Member, Rig } from '../../model';

/** By element: one standard uncertainty of its place, by source. A pipe in a ring moves nothing: the ring holds it. */
export function shortShifts(rig: Rig, body: Body): ReadonlyMap<string, readonly Shift[]> {
  // A pair gives way together: it is looked at once, and both are taken out.
  const uncertain = body.members.filter(
    (m, i) => m.shortBy?.some((s) => (s.spread ?? 0) > 0) && !body.members.slice(0, i).some((o) => o.id === m.twin),
  );
  const found = new Map<string, Shift[]>();
  const anchor = uncertain.length > 0 ? nearestNode(rig, body) : null;
  if (!anchor) return found;
  for (const member of uncertain) {
    const near = connected(body, member, anchor);
    if (near.has(member.from) === near.has(member.to)) continue;
    const [from, to] = [member.from, member.to].map((id) => body.nodes.find((n) => n.id === id)!.at) as [Vec3, Vec3];
    const along = scale(unit(subtract(to, from)), near.has(member.from) ? 1 : -1);
    const outward: Vec3 = member.twin ? [along[0], 0, along[2]] : along;
    const [a, b] = member.shortBy!;
    const shift: Shift = {
      source: a.source ?? b.source ?? sourceOf(`how far ${member.name} is pushed home`, member.id),
      by: scale(outward, (a.spread ?? 0) + (b.spread ?? 0)),
    };
    for (const id of beyond(body, near, member)) found.set(id, [...(found.get(id) ?? []), shift]);
  }
  return found;
}

/** The node that stays put: the one nearest to where the body hangs or is held. */
function nearestNode(rig: Rig, body: Body): string | null {
  const at = rig.pivots.find((p) => p.carries === body.id)?.at ?? rig.contacts.find((c) => c.body === body.id)?.at;
  if (!at) return null;
  return (
    body.nodes.reduce<{ id: string; far: number } | null>((best, n) => {
      const far = length(subtract(n.at, at));
      return best && best.far <= far ? best : { id: n.id, far };
    }, null)?.id ?? null
  );
}

function connected(body: Body, without: Member, from: string): ReadonlySet<string> {
  const links = [
    ...body.members.filter((m) => m !== without && m.id !== without.twin).map((m) => [m.from, m.to] as const),
    ...fastenings(body),
  ];
  const reached = new Set([from]);
  for (let grown = true; grown;) {
    grown = false;
    for (const [a, b] of links) {
      if (reached.has(a) === reached.has(b)) continue;
      reached.add(a).add(b);
      grown = true;
    }
  }
  return reached;
}

/** Nodes held together by a plate or a bolt: joints that share a part, or that grip a pipe along its run. */
function fastenings(body: Body): readonly (readonly [string, string])[] {
  const members = new Map(body.members.map((m) => [m.id, m]));
  const firstOn = new Map<string, string>();
  return body.joints.flatMap((joint) =>
    joint.joins.flatMap((id): readonly (readonly [string, string])[] => {
      const member = members.get(id);
      if (member) return member.from === joint.node || member.to === joint.node ? [] : [[joint.node, member.from]];
      const other = firstOn.get(id);
      if (other === undefined) firstOn.set(id, joint.node);
      return other === undefined ? [] : [[other, joint.node]];
    }),
  );
}

/** What hangs on the far side: members, joints and all that is fastened there. Half of the pipe itself is told with it. */
function beyond(body: Body, near: ReadonlySet<string>, member: Member): ReadonlySet<string> {
  const far = body.nodes.map((n) => n.id).filter((id) => !near.has(id));
  const reached = new Set(far);
  const fastened = fastenedAt(body, reached);
  return new Set([
    ...body.members.filter((m) => m !== member && m.id !== member.twin && reached.has(m.from)).map((m) => m.id),
    ...[...fastened].filter((id) => !body.members.some((m) => m.id === id)),
    // What a screw brings goes with what it holds.
    ...body.parts.filter((p) => p.by && bringsTo(body, p.by, fastened)).map((p) => p.id),
    member.id,
    ...(member.twin ? [member.twin] : []),
  ]);
}

const bringsTo = (body: Body, connection: string, fastened: ReadonlySet<string>): boolean =>
  body.connections?.some((c) => c.id === connection && piecesHeld(c).some((p) => fastened.has(p))) ?? false;
