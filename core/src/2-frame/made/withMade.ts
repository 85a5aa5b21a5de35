/**
 * A rig as it was really made: what was measured otherwise than drawn is worked into it before its hardware is worked out. What hangs
 * on a bend that came out otherwise swings with it, what is bolted through a hole that is off stands off, what is beyond a short pipe
 * comes nearer. What is tied on both sides cannot follow: it is told, and left as drawn.
 */
import {
  add,
  addScaled,
  cross,
  dot,
  fromColumns,
  length,
  multiply,
  rotationAbout,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import type { AsMade, BendSegment, Body, Joint, Member, Part, Rig } from '../../model';
import { connectionsOf } from '../connections/connectionsOf';
import { fromEdges } from '../connections/fromEdges';
import { holeId } from '../connections/holesIn';
import { frameAlong, type BentStrip, type StripFrame } from '../members/bend';
import { weighed } from '../edits/applyEdits';
import { finishedLength } from '../members/finishedLength';
import { bentStrip } from '../members/memberBodies';
import { FACES, placesOf } from '../members/memberEnds';
import { hangsOn, linksOf, type Link } from './hangsOn';
import { meetingOf } from './meeting';
import { movedRigidly, type Motion } from './movedRigidly';

/** One that cannot be: what ties it, by its ids. */
export interface Tied {
  readonly of: AsMade;
  readonly by: readonly string[];
}
export interface MadeRig {
  readonly rig: Rig;
  readonly tied: readonly Tied[];
  /** Those that find nothing in this rig. */
  readonly idle: readonly AsMade[];
}

/** `whole`: the same rig with its hardware, which says where each hole is drawn. */
export function withMade(stated: Rig, whole: Rig, made: readonly AsMade[]): MadeRig {
  const tied: Tied[] = [];
  const idle: AsMade[] = [];
  /** Pipes that moved along with one before them. */
  const done = new Set<AsMade>();
  let rig = stated;
  for (const entry of made) {
    if (done.has(entry)) continue;
    const next =
      entry.kind === 'mass'
        ? onScale(rig, entry)
        : entry.kind === 'fromEdge'
          ? offInPart(rig, whole, entry)
          : onMember(entry);
    if (!next) idle.push(entry);
    else if ('tied' in next) tied.push({ of: entry, by: next.tied });
    else rig = next.rig;
  }
  return { rig, tied, idle };

  function onMember(entry: OnMember): Moved {
    const found = memberOf(rig, entry.member);
    if (!found) return null;
    switch (entry.kind) {
      case 'bend':
        return bent(rig, whole, found, entry.bend, entry.angle);
      case 'hole':
        return drilledOff(rig, whole, found, entry.hole, { along: entry.along });
      case 'across':
        return drilledOff(rig, whole, found, entry.hole, { across: entry.across });
      case 'turn':
        return turnedAway(rig, found, entry);
      case 'length': {
        const alone = sawn(rig, stated, found, entry.length);
        if (!alone || 'rig' in alone) return alone;
        // The other legs of a ring, cut alike.
        const fellows = made.filter((e) => e.kind === 'length' && !done.has(e));
        const together = sawnAlike(rig, stated, found, entry, fellows);
        if (!together) return alone;
        for (const e of together.of) done.add(e);
        return together.moved;
      }
    }
  }
}

/** A kitchen scale reads so, kg. */
const SCALE_SPREAD = 0.001;
function onScale(rig: Rig, { member, mass }: Extract<AsMade, { kind: 'mass' }>): Moved {
  const next = weighed(rig, {
    target: member,
    mass: { value: mass, spread: SCALE_SPREAD, source: 'on the scale, made' },
  });
  return next && { rig: next };
}

type OnMember = Exclude<AsMade, { kind: 'mass' | 'fromEdge' }>;
type Found = { readonly body: Body; readonly member: Member };
type Moved = { readonly rig: Rig } | { readonly tied: readonly string[] } | null;

function memberOf({ bodies }: Rig, id: string): Found | null {
  for (const body of bodies) {
    const member = body.members.find((m) => m.id === id);
    if (member) return { body, member };
  }
  return null;
}

/**
 * A bend by its number among the bends, to so much, rad. The blank stays as long as it was cut and marked: what the bend takes less
 * or more of it the straight beyond has more or less. What hangs beyond the bend swings as one; what hangs in it, each for itself.
 */
function bent(rig: Rig, whole: Rig, { body, member }: Found, bend: number, angle: number): Moved {
  const { path } = member;
  const strip = bentStrip(member, placesOf(body.nodes));
  const was = strip?.stretches.filter((x) => x.bend)[bend];
  if (path.kind !== 'bent' || !strip || !was?.bend) return null;
  let n = -1;
  const at = path.segments.findIndex((s) => 'angle' in s && s.angle !== 0 && ++n === bend);
  const left = ((was.to - was.from) * (Math.abs(was.bend.angle) - angle)) / Math.abs(was.bend.angle);
  const segments = path.segments.flatMap((s, i): BendSegment[] => {
    if (i === at && 'angle' in s) {
      const next = path.segments[i + 1];
      const made = { ...s, angle: Math.sign(s.angle) * angle };
      return next && 'straight' in next ? [made] : [made, { straight: Math.max(0, left) }];
    }
    return i === at + 1 && 'straight' in s ? [{ straight: Math.max(0, s.straight + left) }] : [s];
  });
  const other: Member = { ...member, path: { ...path, segments } };
  const after = bentStrip(other, placesOf(body.nodes));
  if (!after) return null;
  const links = linksOf(rig);
  const places = links.map((link) => ({ link, along: placeOn(link, member, body, whole, strip) }));
  const motionAt = (along: number): Motion => between(frameAlong(strip, along), frameAlong(after, along));
  const groups = [
    { first: places.filter((p) => p.along >= was.to).map((p) => p.link), along: was.to },
    ...places
      .filter((p) => p.along > was.from && p.along < was.to)
      .map(({ link, along }) => ({ first: [link], along })),
  ];
  let moved: Exclude<Moved, null> = { rig };
  for (const { first, along } of groups) {
    if ('tied' in moved) return moved;
    moved = movedWith(moved.rig, links, first, new Set([member.id]), motionAt(along), (r) => r);
  }
  return 'tied' in moved ? moved : { rig: memberPut(moved.rig, other, after) };
}

/** A hole so far along the blank from its start, or so far across it, m: what is bolted through it goes along. */
function drilledOff(
  rig: Rig,
  whole: Rig,
  { body, member }: Found,
  hole: string,
  place: { readonly along: number } | { readonly across: number },
): Moved {
  const drawn = memberOf(whole, member.id)?.member.holes.find((h) => h.id === hole);
  if (!drawn) return null;
  const strip = bentStrip(member, placesOf(body.nodes));
  const motion = motionOf();
  // A hole that nothing is bolted through only lies elsewhere.
  const put = (): Rig =>
    memberPut(rig, { ...member, holes: member.holes.map((h) => (h.id === hole ? { ...h, ...place } : h)) }, null);
  return boltedMoved(rig, member.id, hole, motion) ?? { rig: put() };

  function motionOf(): Motion {
    if ('along' in place)
      return strip
        ? between(frameAlong(strip, drawn!.along), frameAlong(strip, place.along))
        : shiftedBy(scale(runOf(member, body), place.along - drawn!.along));
    const { path } = member;
    const wide = strip
      ? frameAlong(strip, drawn!.along).width
      : path.kind === 'straight'
        ? unit(path.widthDirection)
        : null;
    return shiftedBy(wide ? scale(wide, place.across - drawn!.across) : [0, 0, 0]);
  }
}

/** A hole in a plate or a round so far inwards from an edge, m. */
function offInPart(
  rig: Rig,
  whole: Rig,
  { member: piece, hole: id, edge, off }: Extract<AsMade, { kind: 'fromEdge' }>,
): Moved {
  const parts = whole.bodies.flatMap((b) => b.parts);
  const part = parts.find((p) => p.id === piece);
  const hole = connectionsOf(whole, () => 0)
    .flatMap((c) => (holeId(piece, c.id) === id ? c.holes : []))
    .find((h) => h.piece === piece);
  if (!part || !hole) return null;
  const lengths = parts.filter((p) => (p.of ?? p.id) === piece);
  const drawn = fromEdges(part, lengths, hole.at, hole.axis).find((e) => e.edge === edge);
  return drawn ? boltedMoved(rig, piece, id, shiftedBy(scale(drawn.inwards, off - drawn.off))) : null;
}

/** What is fastened through a hole of a piece goes along without the piece; a camera that is screwed on through it, too. Null where there is nothing. */
function boltedMoved(rig: Rig, piece: string, hole: string, motion: Motion): Moved {
  const links = linksOf(rig);
  const first = links.filter((l) => l.stated && holeId(piece, l.id) === hole);
  if (first.length === 0) return null;
  const moved = movedWith(rig, links, first, new Set([piece]), motion, (r) => r);
  const isCameras = first.some((l) => l.stated?.kind === 'bolted' && l.stated.end.kind === 'camera');
  if (!isCameras || 'tied' in moved) return moved;
  // What it stands on holds its place, unless that goes along already.
  const goes = hangsOn(links, first, new Set([piece])).things;
  const onPart = (p: Part): Part =>
    p.mount && !goes.has(p.of ?? p.id) ? { ...p, mount: add(transform(motion.turn, p.mount), motion.shift) } : p;
  return { rig: { ...moved.rig, bodies: moved.rig.bodies.map((b) => ({ ...b, parts: b.parts.map(onPart) })) } };
}

/** At another angle to the one beside it, rad: it turns about where they meet, in their plane, and all that hangs on it goes along. */
function turnedAway(rig: Rig, { body, member }: Found, { joint, beside, angle }: Turned): Moved {
  const meets = meetingOf(body, member.id, joint, beside);
  if (!meets) return null;
  const { centre, own, other, apart } = meets;
  const axis = cross(other, own);
  if (!(length(axis) > 0.05)) return null;
  const turn = rotationAbout(unit(axis), angle - apart);
  const links = linksOf(rig);
  const node = body.joints.find((j) => j.id === joint)?.node;
  const isLeft = (l: Link): boolean => l.id === joint || (node !== undefined && l.node === node);
  const without = new Set(links.filter(isLeft).flatMap((l) => l.things.filter((t) => t !== member.id)));
  const onward = links.filter((l) => !isLeft(l));
  const hangs = hangsOn(
    onward,
    onward.filter((l) => l.things.includes(member.id)),
    without,
  );
  if (hangs.back.length > 0) return { tied: hangs.back.map((l) => l.id) };
  const things = new Set([...hangs.things, member.id]);
  const next = movedRigidly(rig, { ...hangs, things }, { turn, shift: subtract(centre, transform(turn, centre)) });
  // It sits crooked in its socket, as deep as before.
  const socketed = (j: Joint): Joint =>
    j.id === joint && j.hub
      ? {
          ...j,
          hub: {
            ...j.hub,
            sockets: j.hub.sockets.map((s) =>
              dot(unit(s.direction), own) > FACES ? { ...s, direction: transform(turn, s.direction) } : s,
            ),
          },
        }
      : j;
  return { rig: { ...next, bodies: next.bodies.map((b) => ({ ...b, joints: b.joints.map(socketed) })) } };
}
type Turned = Extract<AsMade, { kind: 'turn' }>;

/** Sawn so long, m: what is beyond its far end moves, for all is measured from its start. */
function sawn(rig: Rig, stated: Rig, { body, member }: Found, long: number): Moved {
  const by = long - drawnLength(stated, member.id);
  if (member.path.kind === 'straight')
    return farEndMoved(rig, [{ member, node: member.to }], scale(runOf(member, body), by));
  const segments = [...member.path.segments];
  const last = segments.map((s) => 'straight' in s).lastIndexOf(true);
  const end = segments[last];
  if (!end || !('straight' in end) || end.straight + by <= 0) return null;
  segments[last] = { straight: end.straight + by };
  const other: Member = { ...member, path: { ...member.path, segments } };
  return { rig: memberPut(rig, other, bentStrip(other, placesOf(body.nodes))) };
}

/** Several that are as much too short or too long, one beside the other: what is beyond all of them moves. Null where there is but one. */
function sawnAlike(
  rig: Rig,
  stated: Rig,
  { body, member }: Found,
  { length: long }: Sawn,
  all: readonly AsMade[],
): { readonly moved: Moved; readonly of: readonly AsMade[] } | null {
  const shift = scale(runOf(member, body), long - drawnLength(stated, member.id));
  const fellows = all.flatMap((e) => {
    const found = e.kind === 'length' ? memberOf(rig, e.member) : null;
    if (e.kind !== 'length' || found?.member.path.kind !== 'straight') return [];
    const own = scale(runOf(found.member, found.body), e.length - drawnLength(stated, e.member));
    const end = alike(own, shift) ? 'to' : alike(scale(own, -1), shift) ? 'from' : null;
    return end ? [{ entry: e, member: found.member, node: found.member[end] }] : [];
  });
  if (fellows.length < 2) return null;
  return { moved: farEndMoved(rig, fellows, shift), of: fellows.map((f) => f.entry) };
}
type Sawn = Extract<AsMade, { kind: 'length' }>;

function farEndMoved(
  rig: Rig,
  ends: readonly { readonly member: Member; readonly node: string }[],
  shift: Vec3,
): Moved {
  const links = linksOf(rig);
  const without = new Set(ends.map((e) => e.member.id));
  const first = links.filter((l) => ends.some((e) => l.node === e.node));
  const were = new Map(rig.bodies.flatMap((b) => b.nodes).map((n) => [n.id, n.at]));
  return movedWith(rig, links, first, without, shiftedBy(shift), (r) => ({
    ...r,
    bodies: r.bodies.map((b) => ({
      ...b,
      // A node that went along with what it joins is there already.
      nodes: b.nodes.map((n) =>
        ends.some((e) => e.node === n.id) && n.at === were.get(n.id) ? { ...n, at: addScaled(n.at, shift, 1) } : n,
      ),
    })),
  }));
}
const alike = (a: Vec3, b: Vec3): boolean => length(subtract(a, b)) < SAME;
/** Cut alike, m. */
const SAME = 0.0005;

function drawnLength(stated: Rig, id: string): number {
  const { body, member } = memberOf(stated, id)!;
  return finishedLength(member, body);
}

function movedWith(
  rig: Rig,
  links: readonly Link[],
  first: readonly Link[],
  without: ReadonlySet<string>,
  motion: Motion,
  finish: (rig: Rig) => Rig,
): Exclude<Moved, null> {
  const hangs = hangsOn(links, first, without);
  if (hangs.back.length > 0) return { tied: hangs.back.map((l) => l.id) };
  return { rig: finish(movedRigidly(rig, hangs, motion)) };
}

/** The member as it is now; a bent one takes its far node along. */
function memberPut(rig: Rig, member: Member, strip: BentStrip | null): Rig {
  return {
    ...rig,
    bodies: rig.bodies.map((b) =>
      b.members.some((m) => m.id === member.id)
        ? {
            ...b,
            members: b.members.map((m) => (m.id === member.id ? member : m)),
            nodes: strip ? b.nodes.map((n) => (n.id === member.to ? { ...n, at: strip.end.at } : n)) : b.nodes,
          }
        : b,
    ),
  };
}

/** Where along the blank a link is, m: by its hole, by its node, or by what is nearest to it; before all where it has nothing to do with the member. */
function placeOn(link: Link, member: Member, body: Body, whole: Rig, strip: BentStrip): number {
  if (!link.things.includes(member.id)) return -Infinity;
  if (link.node !== null) return link.node === member.to ? Infinity : -Infinity;
  const hole = memberOf(whole, member.id)?.member.holes.find((h) => h.id === holeId(member.id, link.id));
  if (hole) return hole.along;
  const others = [...body.parts, ...whole.bodies.flatMap((b) => b.parts)].filter(
    (p) => p.id !== member.id && link.things.includes(p.id),
  );
  const seats = whole.bodies.flatMap((b) => b.stations).filter((s) => link.things.includes(s.id));
  const at = others[0]?.at ?? seats[0]?.seat;
  return at ? nearestAlong(strip, at) : -Infinity;
}
const STEPS = 400;
function nearestAlong(strip: BentStrip, at: Vec3): number {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i <= STEPS; i++) {
    const along = (strip.developedLength * i) / STEPS;
    const off = length(subtract(frameAlong(strip, along).at, at));
    if (off < least) [least, best] = [off, along];
  }
  return best;
}

const runOf = ({ from, to }: Member, { nodes }: Body): Vec3 => {
  const places = placesOf(nodes);
  return unit(subtract(places.get(to)!, places.get(from)!));
};
const shiftedBy = (shift: Vec3): Motion => ({ turn: fromColumns([1, 0, 0], [0, 1, 0], [0, 0, 1]), shift });

/** What takes a place on the strip to another. */
function between(was: StripFrame, is: StripFrame): Motion {
  const columns = (f: StripFrame): Mat3 => fromColumns(f.along, f.across, f.width);
  const turn = multiply(columns(is), transpose(columns(was)));
  return { turn, shift: subtract(is.at, transform(turn, was.at)) };
}
