/** What the search for an order is made on: pieces as solids, and connections as what binds which of them. */
import { dot, length, subtract, unit, type Vec3 } from '../../0-base';
import type { PieceShape } from '../../2-frame';
import { pieceShapes, type AdjusterValues, type Assembly, type Connection } from '../../2-frame';
import type { Rig, StatedConnection } from '../../model';

/** A connection between pieces by their numbers; what has no solid, glue and tape, is left out. */
export interface Bond {
  readonly connection: Connection;
  readonly stated: StatedConnection | null;
  /** Every piece it binds, what it brings included. */
  readonly binds: readonly number[];
  /** What it brings. */
  readonly hardware: readonly number[];
  /** Of that, the screw. */
  readonly screw: number | null;
  /** The way its screw, pin or pipe goes in, or grip slides on; null where it has none. */
  readonly axis: Vec3 | null;
  /** It comes apart as such: a clamp, tape, a bearing, a union. Its pieces are not in each other's way then. */
  readonly opens: boolean;
  /** A pipe screwed into its fitting: one of both turns all the way round with all that is on it. A point of its axis. */
  readonly turnsAbout: Vec3 | null;
}
export interface ToPart {
  readonly shapes: readonly PieceShape[];
  readonly bonds: readonly Bond[];
  /** Directions that anything goes together by, each once, either way. */
  readonly axes: readonly Vec3[];
  /** Tape, wraps and straps give way to everything. */
  readonly soft: ReadonlySet<number>;
  /** The node of a piece, by its id; of a washer, its row's. */
  readonly numberOf: (piece: string) => number | undefined;
}

/** Directions closer than this are one. */
const SAME = 1e-4;
/** More are not looked along: the ones most connections go by are kept. */
const AXES_AT_MOST = 14;

export function toPart(assembly: Assembly, values: AdjusterValues, connections: readonly Connection[]): ToPart {
  const { rig } = assembly;
  const shapes = pieceShapes(assembly, values, connections);
  const numbers = new Map(shapes.map((s, i) => [s.id, i]));
  const numberOf = (piece: string): number | undefined =>
    numbers.get(piece) ?? numbers.get(piece.replace(/\/\d+$/, ''));
  const stated = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, c]));
  // A clamp opens: what is screwed to it from inside is no prisoner of it.
  const clamps = new Set(connections.flatMap((c) => (c.kind === 'clamped' ? [c.pieces[0]!] : [])));
  const bonds = connections.map((connection): Bond => {
    const own = (ids: readonly string[]): readonly number[] => [...new Set(ids.flatMap((id) => numberOf(id) ?? []))];
    const of = stated.get(connection.id) ?? null;
    return {
      connection,
      stated: of,
      binds: own([...connection.pieces, ...connection.hardware]),
      hardware: own(connection.hardware),
      screw: numberOf(`${connection.id}/screw`) ?? null,
      axis: axisOf(connection, of, rig, (id) => shapes[numberOf(id) ?? -1]),
      opens:
        OPENING.has(connection.kind) ||
        isUnion(connection, rig) ||
        (of?.kind === 'bolted' && of.held === true && clamps.has(connection.pieces[0]!)),
      turnsAbout: turnsAbout(connection, rig),
    };
  });
  const soft = new Set(
    connections.flatMap((c) => (c.kind === 'laid' ? [numberOf(c.pieces[0]!)] : [])).filter((n) => n !== undefined),
  );
  return { shapes, bonds, axes: axesOf(bonds), soft, numberOf };
}

function axisOf(
  connection: Connection,
  stated: StatedConnection | null,
  { bodies }: Rig,
  shapeOf: (piece: string) => PieceShape | undefined,
): Vec3 | null {
  if (stated?.kind === 'bolted' || stated?.kind === 'screwedIn') return unit(stated.way);
  if (connection.holes[0]) return unit(connection.holes[0].axis);
  if (connection.kind === 'socketed') {
    const [pipe, fitting] = connection.pieces;
    for (const { members, joints, nodes } of bodies) {
      const member = members.find((m) => m.id === pipe);
      const joint = joints.find((j) => j.id === fitting);
      if (!member || !joint) continue;
      const at = (id: string): Vec3 => nodes.find((n) => n.id === id)!.at;
      const [near, far] = joint.node === member.from ? [member.from, member.to] : [member.to, member.from];
      return unit(subtract(at(near), at(far)));
    }
  }
  // A round glued into a tube goes in along it.
  if (connection.kind === 'bonded') {
    const flats = connection.pieces.map((id) => shapeOf(id)?.flats.find((f) => f.shape.kind === 'tube'));
    const [a, b] = flats.map((f): Vec3 | null => (f ? [f.rotation[0][2], f.rotation[1][2], f.rotation[2][2]] : null));
    if (a && b && isAlong(a, b)) return a;
  }
  if (connection.kind === 'slidOn' || connection.kind === 'seated') {
    // Round things go along their own axis, others along what they go over.
    for (const id of connection.pieces) {
      const flat = shapeOf(id)?.flats.find((f) => f.shape.kind === 'tube');
      if (flat) return [flat.rotation[0][2], flat.rotation[1][2], flat.rotation[2][2]];
    }
    const over = shapeOf(connection.pieces[1]!)?.flats[0];
    if (over?.shape.kind === 'box') return [over.rotation[0][0], over.rotation[1][0], over.rotation[2][0]];
  }
  return null;
}

const OPENING = new Set(['clamped', 'laid', 'hinged']);
const isUnion = ({ kind, pieces }: Connection, { bodies }: Rig): boolean =>
  kind === 'socketed' && bodies.some((b) => b.joints.some((j) => j.id === pieces[1] && j.fitting === 'union'));

function turnsAbout({ kind, pieces }: Connection, { bodies }: Rig): Vec3 | null {
  if (kind !== 'socketed') return null;
  for (const { joints, nodes } of bodies) {
    const joint = joints.find((j) => j.id === pieces[1]);
    if (!joint || joint.hold !== 'threaded' || joint.fitting === 'union') continue;
    return nodes.find((n) => n.id === joint.node)!.at;
  }
  return null;
}

function axesOf(bonds: readonly Bond[]): readonly Vec3[] {
  const found: { readonly axis: Vec3; times: number }[] = [
    { axis: [1, 0, 0], times: 2 },
    { axis: [0, 1, 0], times: 2 },
    { axis: [0, 0, 1], times: 2 },
  ];
  for (const { axis } of bonds) {
    if (!axis || length(axis) === 0) continue;
    const same = found.find((f) => isAlong(f.axis, axis));
    if (same) same.times++;
    else found.push({ axis, times: 1 });
  }
  return found
    .sort((a, b) => b.times - a.times)
    .slice(0, AXES_AT_MOST)
    .map((f) => f.axis);
}

export const isAlong = (a: Vec3, b: Vec3): boolean => 1 - Math.abs(dot(a, b)) < SAME;
