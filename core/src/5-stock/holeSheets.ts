/** Where holes go in what is not a bar: a plate's from two edges, a cap's in the middle of its closed end. */
import {
  dot,
  figure,
  IDENTITY,
  rotationOf,
  say,
  subtract,
  transpose,
  transform,
  unit,
  type Phrase,
  type Vec3,
} from '../0-base';
import { connectionsOf, drilledElsewhere, jointName } from '../2-frame';
import type { Part, Rig } from '../model';

export interface HoleMark {
  readonly id: string;
  /** What it is drilled for. */
  readonly name: string;
  readonly connection: string;
  readonly diameter: number;
  readonly place: Phrase;
}
export interface HoleSheet {
  readonly piece: string;
  readonly name: string;
  /** What all is measured from. */
  readonly from: string;
  readonly marks: readonly HoleMark[];
}

/** The edge that lies that way, by the rig axis it is nearest to: the lower of the two. */
const EDGES = ['rear', 'right', 'lower'] as const;

export function holeSheets(rig: Rig): readonly HoleSheet[] {
  const connections = connectionsOf(rig, () => 0);
  const parts = new Map(rig.bodies.flatMap((b) => b.parts).map((p) => [p.id, p]));
  const joints = new Map(rig.bodies.flatMap((b) => b.joints.map((j) => [j.id, jointName(j, b)])));
  const sheets = new Map<string, HoleSheet & { readonly marks: HoleMark[] }>();
  for (const hole of drilledElsewhere(rig, connections)) {
    const connection = connections.find((c) => c.id === hole.connection)!;
    const { at, axis } = connection.holes.find((h) => h.piece === hole.piece)!;
    const part = parts.get(hole.piece);
    const placed = part ? onPlate(part, at, axis) : null;
    const sheet = sheets.get(hole.piece) ?? {
      piece: hole.piece,
      name: part?.name ?? joints.get(hole.piece) ?? 'piece',
      from: placed ? `its ${placed.edges.join(' and its ')} edge` : 'the middle of its closed end',
      marks: [],
    };
    sheets.set(hole.piece, sheet);
    sheet.marks.push({
      id: hole.id,
      name: connection.name,
      connection: hole.connection,
      diameter: hole.diameter,
      place: placed?.place ?? say`in the middle of its closed end`,
    });
  }
  return [...sheets.values()];
}

/** From the two edges square to the hole, each told by the way it lies in the rig. */
function onPlate(
  { shape, at, turn }: Part,
  hole: Vec3,
  axis: Vec3,
): { readonly edges: readonly string[]; readonly place: Phrase } | null {
  if (shape.kind !== 'box') return null;
  const rotation = turn ? rotationOf(turn) : IDENTITY;
  const local = transform(transpose(rotation), subtract(hole, at));
  const own = ([0, 1, 2] as const).map((k) => [rotation[0][k], rotation[1][k], rotation[2][k]] as Vec3);
  const through = own.reduce(
    (best, a, k) => (Math.abs(dot(a, unit(axis))) > Math.abs(dot(own[best]!, unit(axis))) ? k : best),
    0,
  );
  const edges = ([0, 1, 2] as const).flatMap((k) => {
    if (k === through) return [];
    const way = own[k]!;
    const along = ([0, 1, 2] as const).reduce(
      (best, i) => (Math.abs(way[i]) > Math.abs(way[best]) ? i : best),
      0 as 0 | 1 | 2,
    );
    const sense = Math.sign(way[along]) || 1;
    return [{ name: EDGES[along], off: shape.size[k] / 2 + sense * local[k] }];
  });
  const [a, b] = edges as [(typeof edges)[number], (typeof edges)[number]];
  return {
    edges: [a.name, b.name],
    place: say`${figure('length', a.off, 1)} from its ${a.name} edge, ${figure('length', b.off, 1)} from its ${b.name} edge`,
  };
}
