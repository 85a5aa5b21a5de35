/** Where holes go in what is not a bar: a plate's from two edges, a cap's in the middle of its closed end. */
import { addScaled, dot, figure, length, say, subtract, unit, type Phrase, type Vec3 } from '../0-base';
import { connectionsOf, drilledElsewhere, fromEdges, jointName, largest, type FromEdge } from '../2-frame';
import { EDGES, type Part, type Rig } from '../model';

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
  /** The same in figures, where it is told from edges. */
  readonly from: readonly FromEdge[];
}
export interface HoleSheet {
  readonly piece: string;
  readonly name: string;
  /** What all is measured from. */
  readonly from: string;
  readonly marks: readonly HoleMark[];
}

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
    const from = part ? fromEdges(part, lengths.get(hole.piece) ?? [part], at, axis) : [];
    const sheet = sheets.get(hole.piece) ?? {
      piece: hole.piece,
      name: part?.name ?? joints.get(hole.piece) ?? 'piece',
      edges: new Set<string>(),
      marks: [],
    };
    sheets.set(hole.piece, sheet);
    for (const { edge } of from) sheet.edges.add(edge);
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
      place: (part && placedOn(part, from, at, axis)) ?? onFitting(axis, rig, hole.piece),
      from,
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
  const k = largest(axis);
  return ['front to back', 'side to side', 'top to bottom'][k]!;
}

const fromWords = (edges: readonly string[]): string =>
  edges.length === 0 ? 'the middle of its end' : `${AND.format(edges.map((e) => `its ${e}`))} edge`;
const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Of a plate from two edges, of a round from its end; in a round's end, from its middle. */
function placedOn(part: Part, edges: readonly FromEdge[], hole: Vec3, axis: Vec3): Phrase | null {
  const [a, b] = edges;
  if (a && b) return [...fromEdge(a), ', ', ...fromEdge(b)];
  if (a) return say`${figure('length', a.off, 1)} from its ${a.edge} end, straight through its middle`;
  if (part.shape.kind !== 'tube') return null;
  const from = subtract(hole, part.at);
  const off = addScaled(from, unit(axis), -dot(from, unit(axis)));
  const apart = length(off);
  if (apart < ON_EDGE) return say`in the middle of its end`;
  const k = largest(off);
  return say`${figure('length', apart, 1)} from its middle, towards its ${off[k] < 0 ? EDGES[k] : FAR_EDGES[k]} edge`;
}

/** A hole on a seam has its other half in the piece beside it. */
const fromEdge = ({ edge, off }: FromEdge): Phrase =>
  Math.abs(off) < ON_EDGE ? say`on its ${edge} edge` : say`${figure('length', off, 1)} from its ${edge} edge`;
const ON_EDGE = 1e-6;
