/** Where holes go in what is not a bar: a plate's from two edges, a cap's in the middle of its closed end. */
import {
  addScaled,
  dot,
  figure,
  IDENTITY,
  length,
  rotationOf,
  say,
  scale,
  subtract,
  transpose,
  transform,
  unit,
  type Mat3,
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
  /** Cut in it; null for a plain hole. */
  readonly thread: string | null;
  /** Drilled under size: the bolt cuts it, and no tap. */
  readonly bitten: boolean;
  /** How far, m. */
  readonly deep: number | null;
  /** A pocket round it for its head, m. */
  readonly recess: { readonly diameter: number; readonly depth: number; readonly six?: true } | null;
  /** For a head that lies flush. */
  readonly sunk: boolean;
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
const FAR_EDGES = ['front', 'left', 'upper'] as const;

export function holeSheets(rig: Rig): readonly HoleSheet[] {
  const connections = connectionsOf(rig, () => 0);
  const parts = new Map(rig.bodies.flatMap((b) => b.parts).map((p) => [p.id, p]));
  // A lug or a flange is more of the same piece.
  const lengths = new Map<string, Part[]>();
  for (const p of parts.values()) lengths.set(p.of ?? p.id, [...(lengths.get(p.of ?? p.id) ?? []), p]);
  const joints = new Map(rig.bodies.flatMap((b) => b.joints.map((j) => [j.id, jointName(j, b)])));
  const sheets = new Map<
    string,
    Omit<HoleSheet, 'from'> & { readonly marks: HoleMark[]; readonly edges: Set<string> }
  >();
  for (const hole of drilledElsewhere(rig, connections)) {
    const connection = connections.find((c) => c.id === hole.connection)!;
    const { at, axis } = connection.holes.find((h) => h.piece === hole.piece)!;
    const part = parts.get(hole.piece);
    const placed = part ? onPlate(part, lengths.get(hole.piece) ?? [part], at, axis) : null;
    const sheet = sheets.get(hole.piece) ?? {
      piece: hole.piece,
      name: part?.name ?? joints.get(hole.piece) ?? 'piece',
      edges: new Set<string>(),
      marks: [],
    };
    sheets.set(hole.piece, sheet);
    for (const edge of placed?.edges ?? []) sheet.edges.add(edge);
    sheet.marks.push({
      id: hole.id,
      name: connection.name,
      connection: hole.connection,
      diameter: hole.diameter,
      thread: hole.thread,
      bitten: hole.bitten,
      deep: hole.deep,
      recess: hole.recess,
      sunk: hole.sunk,
      place: placed?.place ?? onFitting(axis, rig, hole.piece),
    });
  }
  return [...sheets.values()].map(({ edges, ...sheet }) => ({ ...sheet, from: fromWords([...edges]) }));
}

/** Of a fitting: through its closed end, or square through its middle where pipes leave it. */
function onFitting(axis: Vec3, { bodies }: Rig, piece: string): Phrase {
  const sockets = bodies.flatMap((b) => b.joints).find((j) => j.id === piece)?.hub?.sockets ?? [];
  const [only, more] = sockets;
  if (only && !more && Math.abs(dot(unit(only.direction), unit(axis))) > ALONG)
    return say`in the middle of its closed end`;
  return say`straight through its middle, ${throughWords(axis)}, square to its pipes`;
}
const ALONG = 0.9;
function throughWords(axis: Vec3): string {
  const k = ([0, 1, 2] as const).reduce<0 | 1 | 2>(
    (best, i) => (Math.abs(axis[i]) > Math.abs(axis[best]) ? i : best),
    0,
  );
  return ['front to back', 'side to side', 'top to bottom'][k]!;
}

const fromWords = (edges: readonly string[]): string =>
  edges.length === 0 ? 'the middle of its end' : `${AND.format(edges.map((e) => `its ${e}`))} edge`;
const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** From the two outermost edges square to the hole, each told by the way it lies in the rig. */
function onPlate(
  { shape, at, turn }: Part,
  lengths: readonly Part[],
  hole: Vec3,
  axis: Vec3,
): { readonly edges: readonly string[]; readonly place: Phrase } | null {
  const rotation = turn ? rotationOf(turn) : IDENTITY;
  if (shape.kind === 'tube') return onRound(shape, at, rotation, hole, axis);
  if (shape.kind !== 'box') return null;
  const own = ([0, 1, 2] as const).map((k) => [rotation[0][k], rotation[1][k], rotation[2][k]] as Vec3);
  const through = own.reduce(
    (best, a, k) => (Math.abs(dot(a, unit(axis))) > Math.abs(dot(own[best]!, unit(axis))) ? k : best),
    0,
  );
  const edges = ([0, 1, 2] as const).flatMap((k) => {
    if (k === through) return [];
    const way = own[k]!;
    const along = largest(way);
    const sense = Math.sign(way[along]) || 1;
    const inwards = scale(way, sense);
    const edge = Math.min(...lengths.map((l) => lowest(l, inwards)));
    return [{ name: EDGES[along], off: dot(hole, inwards) - edge }];
  });
  const [a, b] = edges as [(typeof edges)[number], (typeof edges)[number]];
  return {
    edges: [a.name, b.name],
    place: [...fromEdge(a), ', ', ...fromEdge(b)],
  };
}

/** In the end of a round, from its middle; through its side, from one end. */
function onRound(
  { length: long }: { readonly length: number },
  middle: Vec3,
  rotation: Mat3,
  hole: Vec3,
  axis: Vec3,
): { readonly edges: readonly string[]; readonly place: Phrase } {
  const own: Vec3 = [rotation[0][2], rotation[1][2], rotation[2][2]];
  const from = subtract(hole, middle);
  if (Math.abs(dot(own, unit(axis))) > 0.9) {
    const off = addScaled(from, own, -dot(from, own));
    const apart = length(off);
    if (apart < ON_EDGE) return { edges: [], place: say`in the middle of its end` };
    const k = largest(off);
    return {
      edges: [],
      place: say`${figure('length', apart, 1)} from its middle, towards its ${off[k] < 0 ? EDGES[k] : FAR_EDGES[k]} edge`,
    };
  }
  const k = largest(own);
  const inwards = scale(own, Math.sign(own[k]) || 1);
  const end = { name: EDGES[k], off: dot(from, inwards) + long / 2 };
  return {
    edges: [end.name],
    place: say`${figure('length', end.off, 1)} from its ${end.name} end, straight through its middle`,
  };
}
const largest = (v: Vec3): 0 | 1 | 2 =>
  ([0, 1, 2] as const).reduce((best, i) => (Math.abs(v[i]) > Math.abs(v[best]) ? i : best), 0 as 0 | 1 | 2);

/** A hole on a seam has its other half in the piece beside it. */
const fromEdge = ({ name, off }: { readonly name: string; readonly off: number }): Phrase =>
  Math.abs(off) < ON_EDGE ? say`on its ${name} edge` : say`${figure('length', off, 1)} from its ${name} edge`;
const ON_EDGE = 1e-6;

/** Where a part begins along a direction, m. */
function lowest({ shape, at, turn }: Part, way: Vec3): number {
  if (shape.kind !== 'box') return Infinity;
  const local = transform(transpose(turn ? rotationOf(turn) : IDENTITY), way);
  return dot(at, way) - local.reduce((sum, x, k) => sum + (Math.abs(x) * shape.size[k as 0]!) / 2, 0);
}
