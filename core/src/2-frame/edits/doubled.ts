/**
 * A piece made stiffer where it is weak: a strip glued along one of its faces, or a round glued into its bore. Screws that pass
 * there go through the strip or the round too. It is a member of its own, so it is cut, bought, drilled, weighed and bends as one.
 */
import {
  add,
  addScaled,
  cross,
  dot,
  length,
  materialOf,
  scale,
  say,
  subtract,
  type Mat3,
  type Phrase,
  type Vec3,
} from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Body, Bolted, Edit, Member, Rig, StatedConnection } from '../../model';
import { NUT_SIZES } from '../hardware/boltUp';
import { WIDE_WASHER } from '../hardware/sizes';
import { threadCalled } from '../hardware/thread';
import { surroundings } from '../connections/surroundings';

export type DoubleInput = Omit<Extract<Edit, { kind: 'double' }>, 'kind' | 'id'>;
export type Doubled =
  { readonly kind: 'made'; readonly rig: Rig } | { readonly kind: 'refused'; readonly reason: Phrase };

/** A straight length of a piece that something can be glued along: its line, and square to it how wide and how thick it is. */
export interface Face {
  readonly start: Vec3;
  readonly along: Vec3;
  readonly size: number;
  /** The faces look along `out` and against it; round ones have none. */
  readonly out: Vec3;
  readonly across: Vec3;
  readonly width: number;
  readonly thick: number;
  /** How wide it is inside, m; null: it is not hollow, or its bore is not round. */
  readonly bore: number | null;
  readonly isRound: boolean;
}

/** Shorter is no doubling, m. */
export const SHORTEST_DOUBLER = 0.03;
/** Two things closer than this are level, m. */
const LEVEL = 1e-6;
/** A hole is so far from a core's end, of its diameter. */
export const EDGE = 1;
/** Cosine: along. */
const ALONG = 0.999;

const refused = (reason: Phrase): Doubled => ({ kind: 'refused', reason });

export function doubled(rig: Rig, input: DoubleInput): Doubled {
  const { body: bodyId, target, stretch, from, lies, member: id, stock } = input;
  const body = rig.bodies.find((b) => b.id === bodyId);
  if (!body?.connections || body.members.some((m) => m.id === id)) return refused(say`Pick a piece of this rig.`);
  const solid = surroundings(rig, () => 0).solids(target)[stretch];
  const face = solid && faceOf(solid);
  if (!face) return refused(say`Nothing straight of that piece is there to lay it along.`);
  // A piece that was made shorter since takes as much of it as there is room for.
  const to = Math.min(input.to, face.size);
  if (to - from < SHORTEST_DOUBLER) return refused(say`There is too little of the piece to glue it to.`);
  const { section, material } = stock;
  const glue = [material, materialIn(body, target)].every((m) => materialOf(m ?? '', rig.materials)?.look === 'wood')
    ? 'wood'
    : 'epoxy';
  const of = body.members.find((m) => m.id === target) ?? body.parts.find((p) => p.id === target);
  if (lies === 'inside') {
    if (section.kind !== 'rod' || face.bore === null || Math.abs(section.diameter - face.bore) > LEVEL)
      return refused(say`What goes into it must fit its bore.`);
    const inside = body.connections.map((c) => {
      const u = crossesTube(c, target, face);
      if (c.kind !== 'bolted' || u === null || u < from - EDGE * section.diameter || u > to + EDGE * section.diameter)
        return c;
      // Where its end would be at the hole it splits.
      return u > from + EDGE * section.diameter && u < to - EDGE * section.diameter ? bored(c, id) : null;
    });
    if (inside.includes(null)) return refused(say`A screw that passes there leaves no room for it.`);
    return put({
      rig,
      body,
      input,
      at: [addScaled(face.start, face.along, from), addScaled(face.start, face.along, to)],
      widthDirection: face.across,
      name: `core of the ${of?.name ?? 'piece'}`,
      glue,
      area: Math.PI * section.diameter * (to - from),
      connections: inside.filter((c) => c !== null),
    });
  }
  if (section.kind !== 'flat' || face.isRound) return refused(say`Only flat goes on flat.`);
  if (section.width > face.width + LEVEL) return refused(say`It is wider than what it lies on.`);
  const out = lies === 'over' ? face.out : scale(face.out, -1);
  const passed = body.connections.map((c) =>
    passing(c, target, id, { face, out, stretch: [from, to], width: section.width }),
  );
  if (passed.includes(null)) return refused(say`Something is screwed on there, on that face.`);
  const lift = scale(out, (face.thick + section.thickness) / 2);
  return put({
    rig,
    body,
    input,
    at: [from, to].map((u) => add(addScaled(face.start, face.along, u), lift)) as [Vec3, Vec3],
    widthDirection: face.across,
    name: `doubler of the ${of?.name ?? 'piece'}`,
    glue,
    area: section.width * (to - from),
    connections: passed.filter((c) => c !== null),
  });
}

const materialIn = ({ members, parts }: Body, id: string): string | undefined =>
  members.find((m) => m.id === id)?.stock.material ?? parts.find((p) => p.id === id)?.material;

/** Of a box the longest side is along and the shortest the way its faces look; null of what is bent, printed or a ball. */
export function faceOf({ shape, at, rotation }: FlatBody): Face | null {
  if (shape.kind === 'tube') {
    const along = column(rotation, 2);
    return {
      start: addScaled(at, along, -shape.length / 2),
      along,
      size: shape.length,
      out: column(rotation, 0),
      across: column(rotation, 1),
      width: 2 * shape.outerRadius,
      thick: 2 * shape.outerRadius,
      bore: shape.innerRadius > 0 ? 2 * shape.innerRadius : null,
      isRound: true,
    };
  }
  if (shape.kind !== 'box') return null;
  const [thin, , long] = [0, 1, 2].sort((a, b) => shape.size[a]! - shape.size[b]!) as [0 | 1 | 2, number, 0 | 1 | 2];
  const [along, out] = [column(rotation, long), column(rotation, thin)];
  return {
    start: addScaled(at, along, -shape.size[long] / 2),
    along,
    size: shape.size[long],
    out,
    across: cross(out, along),
    width: shape.size[(3 - thin - long) as 0 | 1 | 2],
    thick: shape.size[thin],
    bore: null,
    isRound: false,
  };
}
const column = (m: Mat3, i: 0 | 1 | 2): Vec3 => [m[0][i], m[1][i], m[2][i]];

/** How far a screw's head, nut or washer reaches beside its axis, m. */
export const reachOf = ({ thread }: Bolted): number => {
  const known = threadCalled(thread);
  return (known ? (WIDE_WASHER.outside.of(known) ?? 3 * known.diameter) : 0.03) / 2;
};

/** A screw on a piece, as a strip on one of its faces meets it. */
export interface ScrewOnFace {
  /** So far along the piece and beside its middle line, m; and how far what turns on it reaches. */
  readonly u: number;
  readonly v: number;
  readonly reach: number;
  /** It can go through the strip as well; it is in the strip's way; nothing of it is on that face. */
  readonly how: 'through' | 'blocks' | 'elsewhere';
}
/** Null where it does not hold that piece. */
export function screwOnFace(c: StatedConnection, target: string, face: Face, out: Vec3): ScrewOnFace | null {
  if (c.kind !== 'bolted') return null;
  const layer = c.stack.findIndex((l) => l.kind === 'piece' && l.piece === target);
  const isTapped = c.end.kind === 'tapped' && c.end.piece === target;
  if (layer < 0 && !isTapped && c.root?.piece !== target) return null;
  const off = subtract(c.point, face.start);
  const place = { u: dot(off, face.along), v: dot(off, face.across), reach: reachOf(c) };
  const leans = dot(c.way, out) / length(c.way);
  if (Math.abs(leans) < ALONG) return { ...place, v: 0, how: 'blocks' };
  const isHeadSide = leans < 0;
  if (layer < 0) return { ...place, how: isTapped && !isHeadSide ? 'elsewhere' : 'blocks' };
  const isOutside = isHeadSide
    ? layer === 0 && !c.root && c.recess === undefined
    : layer === c.stack.length - 1 && c.end.kind in NUT_SIZES && c.endRecess === undefined;
  return { ...place, how: isOutside && !c.screw ? 'through' : 'blocks' };
}

interface Laid {
  readonly face: Face;
  readonly out: Vec3;
  readonly stretch: readonly [number, number];
  readonly width: number;
}
/** A screw through both: as it was where it does not come near, null where it is in the way. */
function passing(c: StatedConnection, target: string, id: string, laid: Laid): StatedConnection | null {
  const { face, out, stretch, width } = laid;
  const screw = screwOnFace(c, target, face, out);
  if (!screw || c.kind !== 'bolted') return c;
  const { u, v, reach, how } = screw;
  const isClear = u < stretch[0] - reach || u > stretch[1] + reach || Math.abs(v) > width / 2 + reach;
  if (isClear || how === 'elsewhere') return c;
  const isWholly = u > stretch[0] + reach && u < stretch[1] - reach && Math.abs(v) < width / 2 - reach / 2;
  if (how === 'blocks' || !isWholly) return null;
  const added = { kind: 'piece' as const, piece: id };
  return { ...c, stack: dot(c.way, out) < 0 ? [added, ...c.stack] : [...c.stack, added] };
}

/** So far along a tube a screw goes across it, m; null where it does not. */
export function crossesTube(c: StatedConnection, target: string, { start, along }: Face): number | null {
  if (c.kind !== 'bolted' || !c.stack.some((l) => l.kind === 'piece' && l.piece === target)) return null;
  const way = scale(c.way, 1 / length(c.way));
  const off = subtract(c.point, start);
  const lean = dot(way, along);
  // Where its line passes the tube's nearest.
  return lean ** 2 > LEANS ** 2 ? null : (dot(off, along) - lean * dot(off, way)) / (1 - lean ** 2);
}
/** Cosine: leaning more it goes along the tube rather than across. */
const LEANS = 0.7;
/** The round is drilled with the tube; null where the screw ends within it. */
const bored = (c: Bolted, id: string): Bolted | null =>
  c.stack.some((l) => l.kind === 'piece' && l.wall === 'near') ||
  c.root ||
  (c.inside?.length ?? 0) >= 4 ||
  c.end.kind === 'tapped'
    ? null
    : { ...c, inside: [...(c.inside ?? []), id] };

interface Put {
  readonly rig: Rig;
  readonly body: Body;
  readonly input: DoubleInput;
  readonly at: readonly [Vec3, Vec3];
  readonly widthDirection: Vec3;
  readonly name: string;
  readonly glue: 'wood' | 'epoxy';
  readonly area: number;
  readonly connections: readonly StatedConnection[];
}
function put({ rig, body, input, at, widthDirection, name, glue, area, connections }: Put): Doubled {
  const { member: id, target, stock } = input;
  const ends = [`${id}-end-1`, `${id}-end-2`] as const;
  const member: Member = {
    id,
    name,
    from: ends[0],
    to: ends[1],
    stock,
    path: { kind: 'straight', widthDirection },
    leftLong: 0,
    holes: [],
  };
  const glued: StatedConnection = {
    kind: 'bonded',
    id: `${id}-glue`,
    name: `glue of the ${name}`,
    piece: id,
    to: target,
    glue,
    area,
  };
  const made: Body = {
    ...body,
    nodes: [...body.nodes, ...ends.map((end, i) => ({ id: end, at: at[i]! }))],
    members: [...body.members, member],
    connections: [...connections, glued],
  };
  // What slides takes along what is glued to it.
  const adjusters = rig.adjusters.map((a) =>
    a.moves.some((m) => m.id === target) ? { ...a, moves: [...a.moves, { kind: 'member' as const, id }] } : a,
  );
  return {
    kind: 'made',
    rig: { ...rig, adjusters, bodies: rig.bodies.map((b) => (b === body ? made : b)) },
  };
}
