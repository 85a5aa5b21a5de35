/**
 * A flat bar between two corners of a frame that stand already, on the side where no pipe leaves: a bolt through the bar and
 * each corner. One that folds turns on a lock nut at its first corner and comes off a wing nut at its second.
 */
import { add, cross, dot, length, scale, subtract, unit, type Phrase, say, type Vec3 } from '../../0-base';
import type { Body, Edit, Joint, Rig } from '../../model';
import { barBetween, BEYOND, type Bar } from './barBetween';

export type BraceInput = Omit<Extract<Edit, { kind: 'brace' }>, 'kind' | 'id'>;
/** Ways tried round the bar. */
const TURNS = 24;
/** A pipe that leaves this nearly along the bolt (cosine) is in its way. */
const IN_THE_WAY = 0.35;
const refused = (reason: Phrase): Bar => ({ kind: 'refused', reason });

export function braceBetween(rig: Rig, { body: bodyId, from, to, stock, member: id, folds }: BraceInput): Bar {
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
  return barBetween(rig, body, {
    member: id,
    stock,
    section,
    folds,
    out,
    name: folds ? 'folding bar' : 'bar between corners',
    ends: [
      { piece: first.id, at: a },
      { piece: second.id, at: b },
    ],
  });
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
