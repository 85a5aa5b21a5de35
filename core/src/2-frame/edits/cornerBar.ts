/** A short flat bar across a corner, bolted to both members that meet there: it keeps them square where the fitting gives. */
import { addScaled, cross, dot, length, scale, subtract, unit, type Phrase, say, type Vec3 } from '../../0-base';
import type { Body, Edit, Member, Rig } from '../../model';
import { barBetween, type Bar } from './barBetween';

export type CornerBarInput = Omit<Extract<Edit, { kind: 'corner' }>, 'kind' | 'id'>;

/** Sine of the least angle between members that a bar across keeps square. */
const OPEN = 0.6;
/** A flat bar is bolted through its thickness: cosine of its width to the bolt at most. */
const EDGEWISE = 0.2;

/** A fitting's sockets reach so many of its radii from the corner. */
const ROUND = 3;

const refused = (reason: Phrase): Bar => ({ kind: 'refused', reason });

export function cornerBar(rig: Rig, input: CornerBarInput): Bar {
  const { body: bodyId, node, reach, stock, member, side } = input;
  const body = rig.bodies.find((b) => b.id === bodyId);
  const legs = body && [input.first, input.second].map((id) => legAt(body, id, node));
  const [first, second] = legs ?? [];
  if (!body?.connections || !first || !second || body.members.some((m) => m.id === member))
    return refused(say`Pick two straight members that meet at a corner.`);
  const { section } = stock;
  if (section.kind !== 'flat') return refused(say`Take flat bar: its faces lie against the members.`);
  const square = cross(first.way, second.way);
  if (length(square) < OPEN) return refused(say`These members run nearly in line: a bar across would do nothing.`);
  const out = scale(unit(square), side === 'front' ? 1 : -1);
  for (const { of, size } of [first, second]) {
    const { path } = of;
    if (size < 1.5 * reach) return refused(say`The ${of.name} is too short for a bar so far from the corner.`);
    if (
      of.stock.section.kind === 'flat' &&
      path.kind === 'straight' &&
      Math.abs(dot(unit(path.widthDirection), out)) > EDGEWISE
    )
      return refused(say`The ${of.name} stands on edge there: a bolt would go through its narrow side.`);
    if (rig.adjusters.some((a) => a.moves.some((m) => m.id === of.id)))
      return refused(say`What slides is no place for a bar: it would not go along.`);
  }
  const hub = body.joints.find((j) => j.node === node)?.hub?.outerRadius ?? 0;
  // How near the bar comes to the corner, on its inner edge.
  const near = length(addScaled(scale(first.way, reach / 2), second.way, reach / 2)) - section.width / 2;
  const over = near < ROUND * hub ? hub : 0;
  return barBetween(rig, body, {
    member,
    stock,
    section,
    folds: false,
    name: 'bar across the corner',
    out,
    // Beside the fitting where it is out of its way, over it where it is not.
    ...(over ? { atLeast: over } : {}),
    ends: [
      { piece: first.of.id, at: addScaled(first.corner, first.way, reach) },
      { piece: second.of.id, at: addScaled(second.corner, second.way, reach) },
    ],
  });
}

interface Leg {
  readonly of: Member;
  readonly corner: Vec3;
  /** From the corner along it. */
  readonly way: Vec3;
  readonly size: number;
}
function legAt({ members, nodes }: Body, id: string, node: string): Leg | null {
  const of = members.find((m) => m.id === id);
  if (of?.path.kind !== 'straight' || (of.from !== node && of.to !== node)) return null;
  const placeOf = (n: string): Vec3 | undefined => nodes.find((o) => o.id === n)?.at;
  const [corner, far] = [placeOf(node), placeOf(of.from === node ? of.to : of.from)];
  if (!corner || !far) return null;
  const run = subtract(far, corner);
  return length(run) > 0 ? { of, corner, way: unit(run), size: length(run) } : null;
}
