/** Where the pieces of a rig meet, pair by pair: read from its connections, its pivots and what the load stands on. */
import { add, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import {
  connectionsOf,
  countOf,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type Connection,
} from '../../2-frame';
import type { Joint, Pivot, StatedConnection } from '../../model';
import { nearestOn, pointOf, type StrengthPiece } from './strengthPieces';

export interface Join {
  readonly id: string;
  readonly name: string;
  readonly kind: Connection['kind'] | 'cameraScrew' | 'pivot';
  readonly from: StrengthPiece;
  readonly to: StrengthPiece;
  /** Where they meet, and the screw's or the pipe's way there. */
  readonly at: Vec3;
  readonly axis: Vec3;
  /** How large their meeting is, m: the two longer sides of what their boxes share. */
  readonly patch: readonly [number, number];
  readonly connection: Connection | null;
  readonly joint: Joint | null;
  readonly pivot: Pivot | null;
}

/** Boxes that are this near touch, m. */
const NEAR = 0.0015;

export interface Joins {
  readonly joins: readonly Join[];
  /** Hardware: which piece it goes along with. */
  readonly rides: ReadonlyMap<string, string>;
  readonly holes: readonly Hole[];
}
/** A hole in a piece, as drawn. */
export interface Hole {
  readonly piece: string;
  readonly at: Vec3;
  readonly diameter: number;
}

export function joinsOf(assembly: Assembly, values: AdjusterValues, pieces: readonly StrengthPiece[]): Joins {
  const { rig, stacks, mount } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const connections = connectionsOf(rig, (station) => counts.get(station) ?? 0);
  const byId = new Map(pieces.map((p) => [p.id, p]));
  // Washers are told one by one, and lie in their station's row.
  const pieceOf = (id: string): StrengthPiece | undefined => byId.get(id) ?? byId.get(id.slice(0, id.lastIndexOf('/')));
  const joints = new Map(rig.bodies.flatMap((b) => b.joints.map((j) => [j.id, j] as const)));
  const stated = new Map(rig.bodies.flatMap((b) => (b.connections ?? []).map((c) => [c.id, c] as const)));
  const pivots = new Map(rig.pivots.map((p) => [p.id, p]));
  const nodes = new Map(rig.bodies.flatMap((b) => b.nodes.map((n) => [n.id, n.at] as const)));
  const joins: Join[] = [];
  const rides = new Map<string, string>();
  const jointOf = (id: string): Joint | null => joints.get(id) ?? joints.get(id.slice(0, id.lastIndexOf('/'))) ?? null;

  for (const connection of connections) {
    const hardware = new Set(connection.hardware);
    const held = [...new Set(connection.pieces.flatMap((id) => pieceOf(id) ?? []))].filter((p) => !hardware.has(p.id));
    for (const id of hardware) if (held[0] && id !== held[0].id && byId.has(id)) rides.set(id, held[0].id);
    const joint = jointOf(connection.id);
    const said: StatedConnection | undefined = stated.get(connection.id);
    const rod = said?.kind === 'bolted' ? said.screw : undefined;
    const pivot = said?.kind === 'hinged' ? (pivots.get(said.pivot) ?? null) : null;
    const atNode = joint ? (nodes.get(joint.node) ?? null) : null;
    for (const [from, to] of pairsOf(held, rod)) {
      const seam = connection.kind === 'bonded' ? seamOf(from, to) : [];
      if (seam.length > 1) {
        seam.forEach(({ at, patch }, i) =>
          joins.push({
            id: `${connection.id}/${from.id}/${to.id}/${i + 1}`,
            name: connection.name,
            kind: connection.kind,
            from,
            to,
            at,
            axis: axisOf(from, to),
            patch,
            connection,
            joint: null,
            pivot: null,
          }),
        );
        continue;
      }
      const met = meeting(from, to);
      const hole = connection.holes.find((h) => h.piece === to.id) ?? connection.holes.find((h) => h.piece === from.id);
      joins.push({
        id: `${connection.id}/${from.id}/${to.id}`,
        name: connection.name,
        kind: connection.kind,
        from,
        to,
        at: pivot?.at ?? hole?.at ?? endNear(from, atNode) ?? atNode ?? met.at,
        axis: hole ? unit(hole.axis) : axisOf(from, to),
        patch: met.patch,
        connection,
        joint,
        pivot,
      });
    }
  }
  for (const load of pieces.filter((p) => p.isLoad)) {
    const carrier =
      load.id === 'load/' ? rig.bodies.flatMap((b) => b.parts).find((p) => p.mount)?.id : load.id.slice(5);
    const under = carrier ? byId.get(carrier) : undefined;
    if (!under) continue;
    joins.push({
      id: `camera/${load.id}`,
      name: 'camera screw',
      kind: 'cameraScrew',
      from: under,
      to: load,
      at: load.id === 'load/' ? shiftedMount(assembly, under, mount ?? under.centre) : meeting(under, load).at,
      axis: [0, 0, 1],
      patch: meeting(under, load).patch,
      connection: null,
      joint: null,
      pivot: null,
    });
  }
  return {
    joins,
    rides,
    holes: connections.flatMap((c) => c.holes.map(({ piece, at, diameter }) => ({ piece, at, diameter }))),
  };
}

/** Hardware that stands in a piece as if screwed to it. */
export function heldBy(from: StrengthPiece, to: StrengthPiece): Join {
  const { at, patch } = meeting(from, to);
  return {
    id: `${from.id}/${to.id}`,
    name: to.name,
    kind: 'bolted',
    from,
    to,
    at,
    axis: axisOf(to, from),
    patch,
    connection: null,
    joint: null,
    pivot: null,
  };
}

/** The mount goes where its part has been set to. */
function shiftedMount({ pieces }: Assembly, under: StrengthPiece, mount: Vec3): Vec3 {
  const drawn = pieces.find((p) => !p.isLoad && p.flat.owner === under.id)?.flat;
  return drawn ? add(mount, subtract(under.flats[0]!.at, drawn.at)) : mount;
}

/** Each to the next; where all sit on one rod, each to that. */
function pairsOf(
  held: readonly StrengthPiece[],
  rod: string | undefined,
): readonly (readonly [StrengthPiece, StrengthPiece])[] {
  const own = held.find((p) => p.id === rod);
  if (own) return held.filter((p) => p !== own).map((p) => [p, own] as const);
  return held.slice(1).map((p, i) => [held[i]!, p] as const);
}

/** Of a pipe in a fitting its end that lies there. */
function endNear({ stretches }: StrengthPiece, node: Vec3 | null): Vec3 | null {
  if (!node || stretches.length === 0) return null;
  const [a, b] = [stretches[0]!.from, stretches.at(-1)!.to];
  return length(subtract(a, node)) < length(subtract(b, node)) ? a : b;
}

/** Glued along each other two beams bend as one: held together at so many places, each with its share of the glue. */
const SEAM = { apart: 0.03, least: 3, most: 9 } as const;
/** Beams whose lines are further apart than half of both and this do not lie on each other, m. */
const OFF = 0.002;

function seamOf(
  a: StrengthPiece,
  b: StrengthPiece,
): readonly { readonly at: Vec3; readonly patch: readonly [number, number] }[] {
  if (a.stretches.length === 0 || b.stretches.length === 0) return [];
  const [short, long] = lengthOf(a) <= lengthOf(b) ? [a, b] : [b, a];
  const size = lengthOf(short);
  const count = Math.min(SEAM.most, Math.max(SEAM.least, Math.ceil(size / SEAM.apart)));
  const lies = (of: StrengthPiece): number =>
    Math.max(of.stretches[0]!.section.halfWidth, of.stretches[0]!.section.halfHeight);
  const reach = lies(short) + lies(long) + OFF;
  // What is glued on bends along from about half its own thickness on: stresses even out within that (Saint-Venant).
  const takes = Math.min(size / 4, halfOf(short));
  const places = Array.from({ length: count }, (_, i) => {
    const at = pointOf(short.stretches[0]!, (takes + (i * (size - 2 * takes)) / (count - 1)) / size);
    const { stretch, part } = nearestOn(long.stretches, at);
    return { at, isOn: part > 0 && part < 1 && length(subtract(pointOf(long.stretches[stretch]!, part), at)) < reach };
  });
  // Across its end, or over a bend: one place.
  if (short.stretches.length > 1 || places.some((p) => !p.isOn)) return [];
  const wide = Math.min(narrowOf(short), narrowOf(long));
  return places.map(({ at }) => ({ at, patch: [size / count, wide] as const }));
}
const lengthOf = ({ stretches }: StrengthPiece): number =>
  stretches.reduce((sum, s) => sum + length(subtract(s.to, s.from)), 0);
const halfOf = ({ stretches: [s] }: StrengthPiece): number => Math.min(s!.section.halfWidth, s!.section.halfHeight);
const narrowOf = ({ stretches: [s] }: StrengthPiece): number =>
  2 * Math.max(s!.section.halfWidth, s!.section.halfHeight);

/** Along the slender one of the two, else across what they share. */
function axisOf(from: StrengthPiece, to: StrengthPiece): Vec3 {
  const line = (from.stretches.length > 0 ? from : to).stretches[0];
  return line ? unit(subtract(line.to, line.from)) : [0, 0, 1];
}

/** The middle of what their boxes share, and how large that is; of boxes apart what lies between. */
function meeting(a: StrengthPiece, b: StrengthPiece): { readonly at: Vec3; readonly patch: readonly [number, number] } {
  const sides = [0, 1, 2].map((i) => {
    const low = Math.max(a.box[0][i]!, b.box[0][i]!) - NEAR;
    const high = Math.min(a.box[1][i]!, b.box[1][i]!) + NEAR;
    return [(low + high) / 2, Math.max(0, high - low - 2 * NEAR)] as const;
  });
  const sizes = sides.map((s) => s[1]).sort((x, y) => y - x);
  return { at: sides.map((s) => s[0]) as unknown as Vec3, patch: [sizes[0]!, sizes[1]!] };
}

/** Two directions square to an axis, and it: rows x y z with x along it. */
export function axesAlong(axis: Vec3): readonly [Vec3, Vec3, Vec3] {
  const x = unit(axis);
  const wanted: Vec3 = Math.abs(x[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0];
  const y = unit(subtract(wanted, scale(x, dot(x, wanted))));
  return [x, y, [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]]];
}
