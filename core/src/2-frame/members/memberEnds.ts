/** Where a member really ends: at its node, or short of it by what the fitting there takes off. */
import { dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { Body, Joint, Member, Node } from '../../model';
import { cutLength } from './cutLength';
import { pastNodes } from './mitres';

export interface MemberEnd {
  readonly joint: Joint | null;
  /** From the node's centre to the member's end when home, m. */
  readonly takeOff: number;
  /** How deep its socket is; null where it goes into none. */
  readonly depth: number | null;
  readonly shortBy: number;
  /** One standard uncertainty of `shortBy`. */
  readonly shortSpread: number;
}
export interface MemberEnds {
  readonly from: MemberEnd;
  readonly to: MemberEnd;
}

/** A member looks for the socket that faces it within this (cosine): anything more binds in the fitting. */
export const FACES = Math.cos(0.05);

export function memberEnds(member: Member, nodes: ReadonlyMap<string, Vec3>, joints: readonly Joint[]): MemberEnds {
  const [a, b] = [nodes.get(member.from), nodes.get(member.to)];
  const along = a && b && length(subtract(b, a)) > 0 ? unit(subtract(b, a)) : null;
  return { from: endAt(member, 0, along, joints), to: endAt(member, 1, along && scale(along, -1), joints) };
}

function endAt(member: Member, end: 0 | 1, away: Vec3 | null, joints: readonly Joint[]): MemberEnd {
  const node = end === 0 ? member.from : member.to;
  const joint = joints.find((j) => j.node === node && j.joins.includes(member.id)) ?? null;
  const socket = joint?.hub && away ? joint.hub.sockets.find((s) => dot(unit(s.direction), away) >= FACES) : undefined;
  const short = member.shortBy?.[end];
  return {
    joint,
    takeOff: socket?.takeOff ?? 0,
    depth: socket?.depth ?? null,
    shortBy: short?.value ?? 0,
    shortSpread: short?.spread ?? 0,
  };
}

const known = new WeakMap<readonly Node[], ReadonlyMap<string, Vec3>>();

/** Where each node is, by id; a rig's lists never change, so each is looked through once. */
export function placesOf(nodes: readonly Node[]): ReadonlyMap<string, Vec3> {
  const before = known.get(nodes);
  if (before) return before;
  const places = new Map<string, Vec3>(nodes.map((n) => [n.id, n.at]));
  known.set(nodes, places);
  return places;
}

/** Length to saw a straight member to, over its long side where it is mitred, m; not above zero when its two fittings meet. */
export function cutLengthOf(member: Member, body: Pick<Body, 'nodes' | 'joints' | 'members'>): number {
  const nodes = placesOf(body.nodes);
  const [a, b] = [nodes.get(member.from), nodes.get(member.to)];
  if (!a || !b) return 0;
  const { from, to } = memberEnds(member, nodes, body.joints);
  // Nodes lie where the rig was put together, so what it stands short by is in their distance already.
  const asCut = length(subtract(b, a)) - from.shortBy - to.shortBy;
  const past = pastNodes(member, body);
  return cutLength({ takeOff: from.takeOff }, { takeOff: to.takeOff }, asCut).length + past.from + past.to;
}
