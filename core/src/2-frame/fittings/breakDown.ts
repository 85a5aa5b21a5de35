/** The rig taken apart for the bag: which joints open, what is left in how many pieces, and the box each needs. */
import type { Vec3 } from '../../0-base';
import type { Rig } from '../../model';
import { assemble, placedPieces, type AdjusterValues } from '../assemble';
import type { Solid3 } from '../clearances/clearance';
import { piecesHeld } from '../connections/kinds';
import { jointFacts } from './jointFacts';
import { pointsOf } from '../clearances/near';

export interface PackedPiece {
  /** Elements that stay together. */
  readonly ids: readonly string[];
  readonly name: string;
  /** Box square to the rig's axes round it, sides from longest to shortest, m. */
  readonly box: readonly [number, number, number];
  readonly mass: number;
}
export interface BreakDown {
  readonly opens: readonly { readonly id: string; readonly name: string; readonly tool: string }[];
  /** Largest first; small hardware is counted with what it is fastened to. */
  readonly pieces: readonly PackedPiece[];
  /** Minutes to take apart, and to set up again. Rough: a fixed time a joint, and the same again to trim. */
  readonly packMinutes: number;
  readonly setUpMinutes: number;
}

/** Undone by hand or spanner, and done up again square. */
const MINUTES_TO_OPEN = 0.7;
const MINUTES_TO_CLOSE = 1.2;
/** To hang it, look, and bring it back to its marks. */
const MINUTES_TO_TRIM = 3;

export function breakDown(rig: Rig, values: AdjusterValues = {}): BreakDown {
  const parent = new Map<string, string>();
  const root = (id: string): string => {
    const up = parent.get(id);
    if (up === undefined || up === id) return id;
    const top = root(up);
    parent.set(id, top);
    return top;
  };
  const together = (a: string, b: string): void => {
    if (!parent.has(a)) parent.set(a, a);
    if (!parent.has(b)) parent.set(b, b);
    parent.set(root(a), root(b));
  };
  const joints = rig.bodies.flatMap((b) => b.joints);
  for (const joint of joints) {
    // A fitting stays on the first pipe it holds, even where the others come out.
    const [first, ...others] = joint.joins;
    if (first) together(first, joint.id);
    if (!joint.packs) for (const other of others) together(first!, other);
  }
  for (const body of rig.bodies) {
    const stations = new Set(body.stations.map((s) => s.id));
    // A washer by its number is of its station.
    const ownerOf = (piece: string): string => {
      const station = piece.replace(/\/\d+$/, '');
      return stations.has(station) ? station : piece;
    };
    const stated = (body.connections ?? []).map((c) => ({ ...c, pieces: piecesHeld(c).map(ownerOf) }));
    const counted = new Set(rig.adjusters.filter((a) => a.kind === 'count').flatMap((a) => a.moves.map((m) => m.id)));
    for (const { id, pieces, packs } of stated) {
      const [first, ...others] = pieces;
      // Hardware stays on the piece it is put through first, and what is trimmed with is strung on it.
      for (const p of body.parts) if (p.by === id) together(first!, p.of ?? p.id);
      for (const other of others) if (!packs || counted.has(other)) together(first!, other);
    }
    const main = body.members[0]?.id ?? body.parts[0]?.id;
    const joined = new Set([
      ...body.joints.flatMap((j) => j.joins),
      ...stated.flatMap((c) => c.pieces),
      ...body.parts.filter((p) => p.by).map((p) => p.of ?? p.id),
    ]);
    for (const p of body.parts) if (!joined.has(p.of ?? p.id) && main) together(main, p.id);
    for (const s of body.stations) if (!joined.has(s.id) && main) together(main, s.id);
    for (const m of body.members) if (!parent.has(m.id)) parent.set(m.id, m.id);
    for (const p of body.parts) if (!p.of && !parent.has(p.id)) parent.set(p.id, p.id);
  }
  const placed = placedPieces(assemble(rig, null), values);
  const groups = new Map<string, { ids: Set<string>; points: Vec3[]; mass: number; name: string; largest: number }>();
  for (const { flat } of placed) {
    const key = root(flat.owner);
    const group = groups.get(key) ?? { ids: new Set<string>(), points: [], mass: 0, name: flat.name, largest: 0 };
    groups.set(key, group);
    const reach = longest(flat);
    group.ids.add(flat.owner);
    group.points.push(...pointsOf(flat));
    group.mass += flat.mass;
    if (reach > group.largest) [group.name, group.largest] = [flat.name, reach];
  }
  const opens = [
    ...joints
      .filter((j) => j.packs && j.joins.length > 1)
      .map((j) => ({ id: j.id, name: j.name, tool: jointFacts(j).tool })),
    ...rig.bodies
      .flatMap((b) => b.connections ?? [])
      .filter((c) => c.packs)
      .map((c) => ({ id: c.id, name: c.name, tool: c.kind === 'bolted' ? 'spanners' : 'hand' })),
  ];
  const pivots = rig.pivots.length;
  return {
    opens,
    pieces: [...groups.values()]
      .map((g) => ({ ids: [...g.ids], name: g.name, mass: g.mass, box: boxOf(g.points) }))
      .sort((a, b) => b.box[0] - a.box[0]),
    packMinutes: 1 + (opens.length + pivots) * MINUTES_TO_OPEN,
    setUpMinutes: 1 + (opens.length + pivots) * MINUTES_TO_CLOSE + MINUTES_TO_TRIM,
  };
}

const longest = ({ shape }: Solid3): number =>
  shape.kind === 'box'
    ? Math.max(...shape.size)
    : shape.kind === 'tube'
      ? Math.max(shape.length, 2 * shape.outerRadius)
      : shape.kind === 'arcBar'
        ? shape.midRadius * shape.angle
        : 0;

function boxOf(points: readonly Vec3[]): readonly [number, number, number] {
  const range = ([0, 1, 2] as const).map(
    (i) => Math.max(...points.map((p) => p[i])) - Math.min(...points.map((p) => p[i])),
  );
  return range.sort((a, b) => b - a) as [number, number, number];
}

export interface BagFit {
  readonly fits: boolean;
  /** Pieces that do not go in, and by how much each is too long, m. */
  readonly tooLong: readonly { readonly piece: PackedPiece; readonly by: number }[];
}

/**
 * Each piece by itself: its box against the bag's, turned any square way, or its length laid along the bag's diagonal
 * when it is a slender one. That all of them go in together is for the maker to try; their volume is checked.
 */
export function fitsBag(pieces: readonly PackedPiece[], bag: readonly [number, number, number]): BagFit {
  const [length, width, height] = [...bag].sort((a, b) => b - a) as [number, number, number];
  const diagonal = Math.hypot(length, width);
  const tooLong = pieces.flatMap((piece) => {
    const [a, b, c] = piece.box;
    const square = a <= length && b <= width && c <= height;
    // A slender piece of thickness b loses about b at each end of the diagonal.
    const across = a + b <= diagonal && b <= width / 2 && c <= height;
    return square || across
      ? []
      : [{ piece, by: Math.max(a - Math.max(length, diagonal - b), b - width, c - height, 0.001) }];
  });
  const volume = pieces.reduce((sum, p) => sum + p.box[0] * p.box[1] * p.box[2], 0);
  return { fits: tooLong.length === 0 && volume <= length * width * height, tooLong };
}
