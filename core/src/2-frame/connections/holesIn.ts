/** The holes that connections need, put into the pieces they go through, where their axes lead. */
import {
  add,
  addScaled,
  cross,
  dot,
  IDENTITY,
  length,
  rotationOf,
  subtract,
  transform,
  transpose,
  unit,
  type Vec3,
} from '../../0-base';
import type { Body, Hole, Member, Part, PartHole, Rig } from '../../model';
import type { Stretch } from '../members/bend';
import { bentStrip } from '../members/memberBodies';
import { memberEnds, placesOf } from '../members/memberEnds';
import { pastNodes } from '../members/mitres';
import { isPrinted } from '../parts/printed';
import type { Connection, ConnectionHole, Recess } from './connection';

/** An axis enters a bar within so many of its thicknesses of where it is given. */
const ENTERS = 1.5;

/** A hole's id by what is drilled and for what. */
export const holeId = (piece: string, connection: string): string => `${piece}/hole/${connection}`;

/** Which connections need which holes, by the piece. */
export type HolesByPiece = ReadonlyMap<string, readonly { readonly of: Connection; readonly hole: ConnectionHole }[]>;
export function holesByPiece(connections: readonly Connection[]): HolesByPiece {
  const found = new Map<string, { of: Connection; hole: ConnectionHole }[]>();
  for (const of of connections)
    for (const hole of of.holes) {
      const list = found.get(hole.piece);
      if (list) list.push({ of, hole });
      else found.set(hole.piece, [{ of, hole }]);
    }
  return found;
}

export function memberDrilled(member: Member, body: Body, wanted: HolesByPiece): Member {
  const holes = (wanted.get(member.id) ?? []).flatMap(({ of: { id, name, last }, hole: h }): Hole[] => {
    const place = onBlank(member, body, h);
    if (!place) return [];
    const named = `${name}${h.sunk ? ', countersunk' : ''}${h.bitten ? `, under size for ${h.thread}` : h.thread ? `, tapped ${h.thread}` : ''}`;
    const thread = h.thread ? { thread: { name: h.thread, by: h.bitten ? ('bolt' as const) : ('tap' as const) } } : {};
    const recess = h.recess
      ? { recess: { diameter: h.recess.diameter, depth: h.recess.depth, face: faceOf(h.axis) } }
      : {};
    const made = {
      name: named,
      ...place,
      diameter: h.diameter,
      ...thread,
      ...recess,
      afterBending: last === member.id,
      by: id,
    };
    return [{ id: holeId(member.id, id), ...made }];
  });
  return holes.length === 0 ? member : { ...member, holes: [...member.holes, ...holes] };
}

/** The face that a hole along this axis begins in, by the way it looks. */
const FACES = [
  ['rear', 'front'],
  ['right', 'left'],
  ['lower', 'upper'],
] as const;
function faceOf(axis: Vec3): string {
  const k = ([0, 1, 2] as const).reduce<0 | 1 | 2>(
    (best, i) => (Math.abs(axis[i]) > Math.abs(axis[best]) ? i : best),
    0,
  );
  return FACES[k][axis[k] > 0 ? 0 : 1];
}

/** How far a connection's screw slides in a piece, and the middle of that from where it stands; null where it stays. */
export type SlotFor = (connection: string, piece: string) => { readonly by: Vec3; readonly middle: Vec3 } | null;

export function partDrilled(part: Part, wanted: HolesByPiece, slotFor: SlotFor): Part {
  // Rings, feet and washers come with theirs.
  if (part.shape.kind !== 'box') return part;
  const piece = part.of ?? part.id;
  const holes = (wanted.get(piece) ?? []).flatMap(({ of: { id }, hole: h }): PartHole[] => {
    if (!passes(part, h)) return [];
    const slot = slotFor(id, piece);
    const at = inMiddle(part, h);
    return [
      {
        at: slot ? add(at, slot.middle) : at,
        axis: h.axis,
        diameter: h.diameter,
        ...(slot ? { slot: slot.by } : {}),
        by: id,
      },
    ];
  });
  return holes.length === 0 ? part : { ...part, holes: [...(part.holes ?? []), ...holes] };
}

/** Of a piece drawn in lengths, a hole is in the one that it enters. */
function passes({ shape, at, turn }: Part, { at: entry, axis }: ConnectionHole): boolean {
  if (shape.kind !== 'box') return true;
  const inwards = transpose(turn ? rotationOf(turn) : IDENTITY);
  const local = transform(inwards, subtract(entry, at));
  const way = transform(inwards, unit(axis));
  return ([0, 1, 2] as const).every((k) => {
    // Across its axis it lies within the face; along it, it begins at one.
    const room = Math.abs(way[k]) > 0.5 ? ENTRY : 0;
    return Math.abs(local[k]) <= shape.size[k] / 2 + room;
  });
}
/** A hole's entry lies on a face to this, m; a head may lie so deep in it. */
const ENTRY = 0.0005;

/** Half way through a flat box, as its other holes are given. */
function inMiddle({ at }: Part, { at: entry, axis }: ConnectionHole): Vec3 {
  const way = unit(axis);
  return addScaled(entry, way, dot(subtract(at, entry), way));
}

/** Along the blank from its start and across from its middle line, m; null where the axis leads past every straight of it. */
function onBlank(member: Member, body: Body, hole: ConnectionHole): OnBlank | null {
  const nodes = placesOf(body.nodes);
  const strip = bentStrip(member, nodes);
  if (!strip) {
    const [from, to] = [nodes.get(member.from), nodes.get(member.to)];
    if (!from || !to) return null;
    const run = unit(subtract(to, from));
    const ends = memberEnds(member, nodes, body.joints);
    // A mitred end is measured from its long side.
    const start = addScaled(from, run, ends.from.takeOff + ends.from.shortBy - pastNodes(member, body).from);
    const along = Math.max(0, dot(subtract(hole.at, start), run));
    const wanted = member.path.kind === 'straight' ? member.path.widthDirection : ([0, 1, 0] as const);
    const width = unit(addScaled(wanted, run, -dot(wanted, run)));
    const { kind } = member.stock.section;
    return kind === 'tube' || kind === 'rod'
      ? { along, across: 0, turn: roundFrom(width, run, hole.axis) }
      : { along, across: dot(subtract(hole.at, start), width) };
  }
  const line = { at: hole.at, way: unit(hole.axis) };
  for (const stretch of strip.stretches) {
    const found = stretch.bend ? onBend(stretch, stretch.bend.midRadius, line) : onStraight(stretch, line);
    if (found) return found;
  }
  return null;
}

/** Of a hole's axis from the scribed line, which lies on the side of the width direction; clockwise seen along the run, from nought to half a turn. */
function roundFrom(width: Vec3, run: Vec3, axis: Vec3): number {
  const turn = Math.atan2(dot(axis, cross(run, width)), dot(axis, width));
  const half = ((turn % Math.PI) + Math.PI) % Math.PI;
  return Math.PI - half < SAME_TURN ? 0 : half;
}
const SAME_TURN = 1e-6;

interface Axis {
  readonly at: Vec3;
  readonly way: Vec3;
}
type OnBlank = Pick<Hole, 'along' | 'across' | 'turn'>;

/** Where the axis meets the middle of the thickness, if it enters the bar here. */
function onStraight(stretch: Stretch, axis: Axis): OnBlank | null {
  const { at, along, across, width } = stretch.start;
  const lean = dot(axis.way, across);
  if (Math.abs(lean) < 0.5) return null;
  const met = addScaled(axis.at, axis.way, dot(subtract(at, axis.at), across) / lean);
  const past = dot(subtract(met, at), along);
  const thickness = stretch.shape.kind === 'box' ? stretch.shape.size[1] : 0;
  const near = length(subtract(met, axis.at)) <= ENTERS * thickness;
  return near && past >= 0 && past <= stretch.to - stretch.from
    ? { along: stretch.from + past, across: dot(subtract(met, at), width) }
    : null;
}

/** By the angle it is met at, for an axis that points to the middle of the bend. */
function onBend(stretch: Stretch, midRadius: number, axis: Axis): OnBlank | null {
  if (stretch.shape.kind !== 'arcBar') return null;
  const inwards = transpose(stretch.rotation);
  const [x, y, z] = transform(inwards, subtract(axis.at, stretch.origin));
  const angle = Math.atan2(y, x);
  const radial = Math.abs(dot(transform(inwards, axis.way), unit([x, y, 0])));
  const near = Math.abs(Math.hypot(x, y) - midRadius) <= ENTERS * stretch.shape.thickness;
  if (!near || radial < 0.98 || angle < 0 || angle > stretch.shape.angle) return null;
  return {
    along: stretch.from + (angle / stretch.shape.angle) * (stretch.to - stretch.from),
    across: z * Math.sign(stretch.bend?.angle ?? 1),
  };
}

export interface DrilledHole {
  readonly id: string;
  readonly piece: string;
  readonly connection: string;
  readonly diameter: number;
  /** Cut in it; null for a plain hole. */
  readonly thread: string | null;
  /** The bolt cuts it, and no tap. */
  readonly bitten: boolean;
  readonly deep: number | null;
  readonly recess: Recess | null;
  readonly sunk: boolean;
}

/** Holes that connections need in plates, round parts and fittings; what is bought with its hole has none to drill, nor what is passed by its own bore. */
export function drilledElsewhere(rig: Rig, connections: readonly Connection[]): readonly DrilledHole[] {
  const parts = new Map(
    rig.bodies.flatMap((b) => b.parts.filter((p) => !p.by && !p.drilled).map((p) => [p.id, p] as const)),
  );
  const fittings = new Set(rig.bodies.flatMap((b) => b.joints.map((j) => j.id)));
  const isDrilled = (h: ConnectionHole): boolean => {
    const part = parts.get(h.piece);
    return !h.sold && (fittings.has(h.piece) || (part !== undefined && (isPrinted(part) || !isOwnBore(part, h))));
  };
  return connections.flatMap((c) =>
    c.holes.filter(isDrilled).map((h) => ({
      id: holeId(h.piece, c.id),
      piece: h.piece,
      connection: c.id,
      diameter: h.diameter,
      thread: h.thread,
      bitten: h.bitten ?? false,
      deep: h.deep ?? null,
      recess: h.recess ?? null,
      sunk: h.sunk ?? false,
    })),
  );
}

/** Of what is not a box or a round, nothing is drilled by the maker. */
function isOwnBore({ shape, at, turn }: Part, hole: ConnectionHole): boolean {
  if (shape.kind === 'box') return false;
  if (shape.kind !== 'tube') return true;
  if (shape.innerRadius === 0) return false;
  const along = transform(turn ? rotationOf(turn) : IDENTITY, [0, 0, 1]);
  const off = cross(subtract(hole.at, at), along);
  return Math.abs(dot(along, unit(hole.axis))) > STRAIGHT && length(off) < shape.innerRadius;
}
/** Cosine of what still counts as along an axis. */
const STRAIGHT = 0.99;
