/** Things of a rig carried to another place as one rigid whole, with the pivots, hands and screws that are theirs. */
import { add, length, quaternionOf, subtract, transform, type Mat3, type Vec3 } from '../../0-base';
import type { Body, Contact, Rig } from '../../model';
import { datumOf } from '../connections/kinds';
import { partMoved, partTurned } from '../edits/placePart';
import { jointTurned, memberTurned } from '../edits/turned';
import type { Hangs } from './hangsOn';

/** First turned about the origin, then shifted, m. */
export interface Motion {
  readonly turn: Mat3;
  readonly shift: Vec3;
}
export function movedRigidly(rig: Rig, { things, links }: Hangs, { turn, shift }: Motion): Rig {
  const to = (p: Vec3): Vec3 => add(transform(turn, p), shift);
  const round = (v: Vec3): Vec3 => transform(turn, v);
  const turned = quaternionOf(turn);
  const goes = (id: string): boolean => things.has(id);
  // A joint's node goes with it, and a member's with the member.
  const nodes = new Set(
    rig.bodies.flatMap((b) => [
      ...b.members.filter((m) => goes(m.id)).flatMap((m) => [m.from, m.to]),
      ...b.joints.filter((j) => goes(j.id)).map((j) => j.node),
    ]),
  );
  const hinges = rig.bodies.flatMap((b) =>
    (b.connections ?? []).flatMap((c) => (c.kind === 'hinged' && goes(c.held) && goes(c.carried) ? [c.pivot] : [])),
  );
  const pivots = new Set(hinges);
  const contacts = rig.contacts.map((c) =>
    contactGoes(c, rig, goes)
      ? { ...c, at: to(c.at), direction: round(c.direction), ...(c.also ? { also: c.also.map(round) } : {}) }
      : c,
  );
  return {
    ...rig,
    contacts,
    pivots: rig.pivots.map((p) =>
      pivots.has(p.id) ? { ...p, at: to(p.at), ...(p.axis ? { axis: round(p.axis) } : {}) } : p,
    ),
    adjusters: rig.adjusters.map((a) =>
      a.axis && a.moves.every((m) => goes(m.id) || pivots.has(m.id) || (m.kind === 'body' && bodyGoes(rig, m.id, goes)))
        ? { ...a, axis: round(a.axis) }
        : a,
    ),
    bodies: rig.bodies.map((b) => ({
      ...b,
      nodes: b.nodes.map((n) => (nodes.has(n.id) ? { ...n, at: to(n.at) } : n)),
      members: b.members.map((m) => (goes(m.id) ? memberTurned(m, round) : m)),
      parts: b.parts.map((p) =>
        goes(p.id) || (p.of !== undefined && goes(p.of))
          ? partMoved(partTurned(p, turned), subtract(to(p.at), p.at))
          : p,
      ),
      stations: b.stations.map((s) => (goes(s.id) ? { ...s, seat: to(s.seat), axis: round(s.axis) } : s)),
      joints: b.joints.map((j) => (goes(j.id) ? jointTurned(j, round) : j)),
      ...(b.connections
        ? {
            connections: b.connections.map((c) =>
              'point' in c && (links.has(c.id) || goes(datumOf(c)))
                ? { ...c, point: to(c.point), way: round(c.way) }
                : c,
            ),
          }
        : {}),
    })),
  };
}

const bodyGoes = (rig: Rig, id: string, goes: (thing: string) => boolean): boolean => {
  const body = rig.bodies.find((b) => b.id === id);
  return (
    body !== undefined &&
    [...body.members, ...body.parts].every((e) => goes(e.id) || ('of' in e && e.of !== undefined && goes(e.of)))
  );
};

/** A hand or shoulder goes with the part that it is nearest to. */
function contactGoes(contact: Contact, rig: Rig, goes: (thing: string) => boolean): boolean {
  const body = rig.bodies.find((b) => b.id === contact.body);
  const nearest = body && nearestTo(body, contact.at);
  return nearest !== undefined && nearest !== null && goes(nearest);
}
function nearestTo(body: Body, at: Vec3): string | null {
  const nodes = new Map(body.nodes.map((n) => [n.id, n.at]));
  const places = [
    ...body.parts.filter((p) => !p.by).map((p) => [p.of ?? p.id, p.at] as const),
    ...body.members.flatMap((m) => {
      const [a, b] = [nodes.get(m.from), nodes.get(m.to)];
      return a && b ? [[m.id, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2] as Vec3] as const] : [];
    }),
  ];
  let best: readonly [string, number] | null = null;
  for (const [id, p] of places) {
    const off = length(subtract(p, at));
    if (!best || off < best[1]) best = [id, off];
  }
  return best?.[0] ?? null;
}
