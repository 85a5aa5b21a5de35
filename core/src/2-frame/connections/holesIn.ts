/** The holes that connections need, put into the pieces they go through, where their axes lead. */
import { addScaled, dot, length, subtract, unit, type Vec3 } from '../../0-base';
import type { Body, Hole, Member, Part, PartHole, Rig } from '../../model';
import { bentStrip } from '../members/memberBodies';
import { memberEnds, placesOf } from '../members/memberEnds';
import type { Connection, ConnectionHole } from './connection';

/** A hole's id by what is drilled and for what. */
export const holeId = (piece: string, connection: string): string => `${piece}/hole/${connection}`;

export function memberDrilled(member: Member, body: Body, connections: readonly Connection[]): Member {
  const holes = connections.flatMap(({ id, name, holes: all }): Hole[] =>
    all
      .filter((h) => h.piece === member.id)
      .flatMap((h) => {
        const place = onBlank(member, body, h);
        return place
          ? [{ id: holeId(member.id, id), name, ...place, diameter: h.diameter, afterBending: false, by: id }]
          : [];
      }),
  );
  return holes.length === 0 ? member : { ...member, holes: [...member.holes, ...holes] };
}

export function partDrilled(part: Part, connections: readonly Connection[]): Part {
  const holes = connections.flatMap(({ id, holes: all }): PartHole[] =>
    all
      .filter((h) => h.piece === part.id)
      .map((h) => ({ at: inMiddle(part, h), axis: h.axis, diameter: h.diameter, by: id })),
  );
  // Rings, feet and washers come with theirs.
  return holes.length === 0 || part.shape.kind !== 'box' ? part : { ...part, holes: [...(part.holes ?? []), ...holes] };
}

/** Half way through a flat box, as its other holes are given. */
function inMiddle({ at }: Part, { at: entry, axis }: ConnectionHole): Vec3 {
  const way = unit(axis);
  return addScaled(entry, way, dot(subtract(at, entry), way));
}

/** Along the blank from its start and across from its middle line, m; null where the axis leads past every straight of it. */
function onBlank(member: Member, body: Body, hole: ConnectionHole): Pick<Hole, 'along' | 'across'> | null {
  const nodes = placesOf(body.nodes);
  const strip = bentStrip(member, nodes);
  if (!strip) {
    const [from, to] = [nodes.get(member.from), nodes.get(member.to)];
    if (!from || !to) return null;
    const run = unit(subtract(to, from));
    const ends = memberEnds(member, nodes, body.joints);
    const start = addScaled(from, run, ends.from.takeOff + ends.from.shortBy);
    return { along: Math.max(0, dot(subtract(hole.at, start), run)), across: 0 };
  }
  const way = unit(hole.axis);
  for (const stretch of strip.stretches) {
    if (stretch.bend) continue;
    const { at, along, across, width } = stretch.start;
    const lean = dot(way, across);
    if (Math.abs(lean) < 0.5) continue;
    // Where it meets the middle of the thickness.
    const met = addScaled(hole.at, way, dot(subtract(at, hole.at), across) / lean);
    const past = dot(subtract(met, at), along);
    const aside = dot(subtract(met, at), width);
    const thickness = stretch.shape.kind === 'box' ? stretch.shape.size[1] : 0;
    const reach = length(subtract(met, hole.at));
    if (past >= 0 && past <= stretch.to - stretch.from && reach <= thickness * 1.5)
      return { along: stretch.from + past, across: aside };
  }
  return null;
}

export interface DrilledHole {
  readonly id: string;
  readonly piece: string;
  readonly connection: string;
  readonly diameter: number;
}

/** Holes that connections need in plates and fittings; what is bought with its hole has none to drill. */
export function drilledElsewhere(rig: Rig, connections: readonly Connection[]): readonly DrilledHole[] {
  const drilled = new Set(
    rig.bodies.flatMap((b) => [
      ...b.joints.map((j) => j.id),
      ...b.parts.filter((p) => p.shape.kind === 'box').map((p) => p.id),
    ]),
  );
  return connections.flatMap((c) =>
    c.holes
      .filter((h) => drilled.has(h.piece))
      .map((h) => ({ id: holeId(h.piece, c.id), piece: h.piece, connection: c.id, diameter: h.diameter })),
  );
}
