/** A member turned about the end it is held by; everything beyond its free end swings round with it. */
import { add, rotationOf, subtract, transform, type Quaternion, type Vec3 } from '../../0-base';
import type { Body, Member } from '../../model';
import { beyondEnd } from './beyondEnd';
import { placesOf } from '../members/memberEnds';
import { partMoved, partTurned } from './placePart';
import { jointTurned, memberTurned } from './turned';
import { fastenedAt, screwsMoved } from '../connections/fastenedAt';
import { refit } from '../fittings/refit';

/**
 * In a frame that closes on itself only the far corner moves, and the
 * members that meet there follow it. Null when the member is not in this body.
 */
export function turnMember(body: Body, id: string, turn: Quaternion): Body | null {
  const member = body.members.find((m) => m.id === id);
  if (!member) return null;
  const rotation = rotationOf(turn);
  const { held, free } = ends(body, member);
  const pivot = placesOf(body.nodes).get(held);
  if (!pivot) return null;
  const about = (p: Vec3): Vec3 => add(pivot, transform(rotation, subtract(p, pivot)));
  const round = (v: Vec3): Vec3 => transform(rotation, v);
  const swings = (m: Member): boolean => m.id === id || (free.has(m.from) && free.has(m.to));
  const fastened = fastenedAt(body, free);
  return refit(
    {
      ...body,
      nodes: body.nodes.map((n) => (free.has(n.id) ? { ...n, at: about(n.at) } : n)),
      members: body.members.map((m) => (swings(m) ? memberTurned(m, round) : m)),
      parts: body.parts.map((p) =>
        fastened.has(p.id) ? partMoved(partTurned(p, turn), subtract(about(p.at), p.at)) : p,
      ),
      stations: body.stations.map((s) => (fastened.has(s.id) ? { ...s, seat: about(s.seat), axis: round(s.axis) } : s)),
      ...screwsMoved(body, fastened, free, ({ point, way }) => ({
        point: about(point),
        way: round(way),
      })),
      joints: body.joints.map((j) => (free.has(j.node) ? jointTurned(j, round) : j)),
    },
    new Set([
      ...free,
      ...body.members.filter((m) => free.has(m.from) || free.has(m.to)).flatMap((m) => [m.from, m.to]),
    ]),
  );
}

/** The end with more of the rig behind it holds; in a closed frame the end it was drawn from. */
function ends(body: Body, member: Member): { readonly held: string; readonly free: ReadonlySet<string> } {
  const [from, to] = [beyondEnd(body, member, member.from), beyondEnd(body, member, member.to)];
  if (to.has(member.from)) return { held: member.from, free: new Set([member.to]) };
  return weight(body, from) >= weight(body, to) ? { held: member.from, free: to } : { held: member.to, free: from };
}

/** How much is fastened at these nodes, counted in things. */
const weight = (body: Body, nodes: ReadonlySet<string>): number =>
  body.members.filter((m) => nodes.has(m.from) && nodes.has(m.to)).length +
  body.joints.filter((j) => nodes.has(j.node)).reduce((sum, j) => sum + j.joins.length, 0);
