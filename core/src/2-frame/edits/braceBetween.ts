/**
 * A flat bar between two corners of a frame that stand already, on the side where no pipe leaves: a bolt through the bar and
 * each corner. One that folds turns on a lock nut at its first corner and comes off a wing nut at its second.
 */
import { add, addScaled, cross, dot, length, scale, subtract, unit, type Phrase, say, type Vec3 } from '../../0-base';
import type { Body, Bolted, Edit, Joint, Member, Rig } from '../../model';
import { crossings } from '../connections/crossing';
import { bearsOnRing } from '../connections/kinds/bolted';
import { threadCalled } from '../hardware/thread';
import { surroundings } from '../connections/surroundings';

export type BraceInput = Omit<Extract<Edit, { kind: 'brace' }>, 'kind' | 'id'>;
export type Brace =
  { readonly kind: 'made'; readonly rig: Rig } | { readonly kind: 'refused'; readonly reason: Phrase };

const THREAD = 'M5';
/** Beyond a bolt: half as much again as it is thick, and room to round the end. */
const BEYOND = 0.012;
/** Ways tried round the bar. */
const TURNS = 24;
/** A pipe that leaves this nearly along the bolt (cosine) is in its way. */
const IN_THE_WAY = 0.35;
/** Further out than any fitting, m. */
const FAR = 0.5;
/** Corners whose faces differ by less are level: the bar lies on both as it is bolted, out of square by a hair; no spacer is so thin, m. */
const LEVEL = 0.0003;

const refused = (reason: Phrase): Brace => ({ kind: 'refused', reason });

export function braceBetween(rig: Rig, { body: bodyId, from, to, stock, member: id, folds }: BraceInput): Brace {
  const body = rig.bodies.find((b) => b.id === bodyId);
  const [a, b] = [from, to].map((n) => body?.nodes.find((o) => o.id === n)?.at);
  if (!body?.connections || !a || !b || from === to || body.members.some((m) => m.id === id))
    return refused(say`Pick two corners of one frame.`);
  const { section } = stock;
  if (section.kind !== 'flat') return refused(say`Take flat bar: its faces lie against the corners.`);
  const [first, second] = [cornerAt(body, from), cornerAt(body, to)];
  if (!first || !second) return refused(say`There is no fitting at that corner for its bolt to go through.`);
  const moved = [first, second].map((c) => rig.adjusters.filter((x) => x.moves.some((m) => m.id === c.id)).length);
  if (moved.some((n) => n > 0)) return refused(say`A corner that slides is no place for a bar: it would not go along.`);
  const run = subtract(b, a);
  if (length(run) < 2 * BEYOND) return refused(say`These corners are too near each other.`);
  const along = unit(run);
  const out = freeSide(along, [first, second]);
  if (!out) return refused(say`Pipes leave these corners on every side: no bolt goes through.`);
  const around = surroundings(rig, () => 0);
  const ring = bearsOnRing(threadCalled(THREAD)!);
  const faces = [first, second].map((corner, i) => {
    const point = addScaled(i === 0 ? a : b, out, FAR);
    const [met] = crossings({ point, way: scale(out, -1) }, around.solids(corner.id), ring, { walls: 'both' });
    return met ? FAR - met[0] : null;
  });
  if (faces.some((f) => f === null)) return refused(say`The bolt would miss that corner’s fitting.`);
  const highest = Math.max(faces[0]!, faces[1]!);
  const [atFirst, atSecond] = faces.map((f) => (highest - f! < LEVEL ? f! : highest)) as [number, number];
  const ends = [
    addScaled(addScaled(a, out, atFirst + section.thickness / 2), along, -BEYOND),
    addScaled(addScaled(b, out, atSecond + section.thickness / 2), along, BEYOND),
  ];
  const bolt = (corner: Joint, at: Vec3, face: number, off: number, end: Bolted['end'], name: string): Bolted => ({
    kind: 'bolted',
    id: `${id}-bolt-${corner.id}`,
    name,
    on: corner.id,
    point: addScaled(at, out, face + section.thickness),
    way: scale(out, -1),
    thread: THREAD,
    stack: [
      { kind: 'piece', piece: id },
      ...(face - off > LEVEL ? [{ kind: 'spacer' as const, length: face - off }] : []),
      { kind: 'piece', piece: corner.id },
    ],
    end,
  });
  const member: Member = {
    id,
    name: folds ? 'folding bar' : 'bar between corners',
    from: `${id}-end-1`,
    to: `${id}-end-2`,
    stock,
    path: { kind: 'straight', widthDirection: cross(along, out) },
    leftLong: 0,
    holes: [],
  };
  const bolts = folds
    ? [
        bolt(first, a, atFirst, faces[0]!, { kind: 'lock' }, 'bolt the bar folds on'),
        { ...bolt(second, b, atSecond, faces[1]!, { kind: 'wing' }, 'bolt that lets the bar fold'), packs: true },
      ]
    : [
        bolt(first, a, atFirst, faces[0]!, { kind: 'nut' }, 'first bolt of the bar'),
        bolt(second, b, atSecond, faces[1]!, { kind: 'nut' }, 'second bolt of the bar'),
      ];
  const made: Body = {
    ...body,
    nodes: [...body.nodes, ...ends.map((at, i) => ({ id: `${id}-end-${i + 1}`, at }))],
    members: [...body.members, member],
    connections: [...body.connections, ...bolts],
  };
  return { kind: 'made', rig: { ...rig, bodies: rig.bodies.map((x) => (x === body ? made : x)) } };
}

/** Corners of a frame that a bolt goes through. */
export const cornersFor = (body: Body): readonly string[] =>
  body.nodes.filter((n) => cornerAt(body, n.id)).map((n) => n.id);

const cornerAt = (body: Body, node: string): Joint | undefined => body.joints.find((j) => j.node === node && j.hub);

/** Square to the bar, as far as can be from every pipe at both corners; of those alike, behind, then to the right. */
function freeSide(along: Vec3, corners: readonly Joint[]): Vec3 | null {
  const aside = unit(Math.abs(along[2]) < 0.9 ? cross(along, [0, 0, 1]) : cross(along, [0, 1, 0]));
  const other = cross(along, aside);
  const sockets = corners.flatMap((c) => c.hub!.sockets.map((s) => unit(s.direction)));
  const ways = Array.from({ length: TURNS }, (_, i) => {
    const turn = (2 * Math.PI * i) / TURNS;
    const way = add(scale(aside, Math.cos(turn)), scale(other, Math.sin(turn)));
    return { way, against: Math.max(...sockets.map((d) => Math.abs(dot(d, way)))) };
  });
  const best = ways.reduce((x, y) => {
    const better =
      y.against < x.against - 1e-6 || (y.against < x.against + 1e-6 && prefer(y.way) > prefer(x.way) + 1e-6);
    return better ? y : x;
  });
  return best.against < IN_THE_WAY ? best.way : null;
}
const prefer = (way: Vec3): number => -way[0] - 0.1 * way[1];
