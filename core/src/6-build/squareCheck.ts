/**
 * What to measure before pieces are joined for good. Pipes: with what is there already each makes an angle, and a tape from end to end
 * says whether it is the drawn one; pipes that go in together stay parallel, and the tape lies across both ways.
 */
import { add, dot, figure, length, say, scale, subtract, unit, type Phrase, type Vec3 } from '../0-base';
import { meetingOf, memberEnds, placesOf, type Connection } from '../2-frame';
import type { Body, Joint, Member, Rig } from '../model';

/** One pipe in one fitting. */
interface Socketed {
  readonly body: Body;
  readonly pipe: Member;
  readonly joint: Joint;
}
/** Lines closer than this are one: no tape tells their angle (cosine). */
const STRAIGHT = Math.cos(0.1);

/** `there`: every piece that hangs together once these connections are made. */
export function squareCheck(
  rig: Rig,
  connections: readonly Connection[],
  there: ReadonlySet<string>,
): readonly Phrase[] {
  const made = connections.flatMap((c) => socketedOf(rig, c) ?? []).filter((s) => !s.joint.reversible);
  const [one, other] = made;
  if (!one) return connections.flatMap((c) => bevel(rig, c));
  if (other) return together(one, other, there);
  return spansOf(one, there).map(
    ({ end, across }) =>
      say`dry first: ${figure('length', length(subtract(end.at, across.at)), 1)} from the ${end.name} to the ${across.name}`,
  );
}

/** From the far end of a pipe that is put in to those of the pipes that are there, but for one that runs on in line. */
function spansOf(one: Socketed, there: ReadonlySet<string>) {
  const { body, pipe, joint } = one;
  const end = farEnd(one, there);
  const centre = placeOf(body, joint.node);
  return body.members
    .filter((m) => m !== pipe && there.has(m.id) && joint.joins.includes(m.id))
    .flatMap((beside) => {
      const across = farEnd({ body, pipe: beside, joint }, there);
      const [a, b] = [subtract(end.at, centre), subtract(across.at, centre)];
      if (Math.abs(dot(unit(a), unit(b))) > STRAIGHT) return [];
      return [{ end, across, beside, legs: [length(a), length(b)] as const }];
    });
}

/** A corner whose angle can be measured when it has set: by a tape over its legs, m, or where there are none by a bevel. */
export interface Corner {
  readonly member: string;
  readonly joint: string;
  readonly beside: string;
  readonly legs: readonly [number, number] | null;
  /** As drawn, rad. */
  readonly angle: number;
}
export function cornersIn(rig: Rig, connections: readonly Connection[], there: ReadonlySet<string>): readonly Corner[] {
  const made = connections.flatMap((c) => socketedOf(rig, c) ?? []).filter((s) => !s.joint.reversible);
  const [one, other] = made;
  // Both legs of a ring hold each other.
  if (other) return [];
  const corner = (
    body: Body,
    member: string,
    joint: string,
    beside: string,
    legs: Corner['legs'],
  ): readonly Corner[] => {
    const angle = meetingOf(body, member, joint, beside)?.apart;
    return angle === undefined || Math.abs(Math.cos(angle)) > STRAIGHT ? [] : [{ member, joint, beside, legs, angle }];
  };
  if (one)
    return spansOf(one, there).flatMap(({ beside, legs }) =>
      corner(one.body, one.pipe.id, one.joint.id, beside.id, legs),
    );
  return connections.flatMap((c) => {
    const [member, beside] = c.pieces;
    const body = rig.bodies.find((b) => b.connections?.some((s) => s.id === c.id));
    return c.kind === 'bonded' && body && member && beside ? corner(body, member, c.id, beside, null) : [];
  });
}

/** Two bars glued to each other at an angle, and boards face to face. */
function bevel({ bodies }: Rig, { kind, pieces }: Connection): readonly Phrase[] {
  if (kind !== 'bonded') return [];
  for (const body of bodies) {
    const [a, b] = pieces.map((id) => body.members.find((m) => m.id === id));
    if (!a || !b || a.path.kind !== 'straight' || b.path.kind !== 'straight') continue;
    const run = (m: Member): Vec3 => unit(subtract(placeOf(body, m.to), placeOf(body, m.from)));
    const turn = Math.acos(Math.min(1, Math.max(-1, dot(run(a), run(b)))));
    return Math.abs(Math.cos(turn)) > STRAIGHT
      ? [say`dry first: their edges flush from end to end`]
      : [say`dry first: ${figure('angle', turn, 0)} between the ${a.name} and the ${b.name}, by a bevel set to it`];
  }
  return [];
}

/** Both legs of a ring. */
function together(one: Socketed, other: Socketed, there: ReadonlySet<string>): readonly Phrase[] {
  const [a, b] = [placeOf(one.body, one.joint.node), placeOf(other.body, other.joint.node)];
  const [farA, farB] = [farEnd(one, there).at, farEnd(other, there).at];
  const diagonals = [length(subtract(a, farB)), length(subtract(b, farA))] as const;
  return [
    say`both go in together and stay parallel: ${figure('length', length(subtract(a, b)), 1)} from middle to middle where they go in, ${figure('length', length(subtract(farA, farB)), 1)} at the far ends`,
    say`dry first, corner to corner: ${figure('length', diagonals[0], 1)} one way, ${figure('length', diagonals[1], 1)} the other`,
  ];
}

function socketedOf({ bodies }: Rig, { kind, pieces }: Connection): Socketed | null {
  if (kind !== 'socketed') return null;
  for (const body of bodies) {
    const pipe = body.members.find((m) => m.id === pieces[0]);
    const joint = body.joints.find((j) => j.id === pieces[1]);
    if (pipe && joint) return { body, pipe, joint };
  }
  return null;
}

/** The middle of the fitting on a pipe's other end, or of its bare end. */
function farEnd(
  { body, pipe, joint }: Socketed,
  there: ReadonlySet<string>,
): { readonly at: Vec3; readonly name: string } {
  const nodes = placesOf(body.nodes);
  const ends = memberEnds(pipe, nodes, body.joints);
  const isTo = pipe.from === joint.node;
  const far = isTo ? ends.to : ends.from;
  const node = placeOf(body, isTo ? pipe.to : pipe.from);
  if (far.joint?.hub && there.has(far.joint.id)) return { at: node, name: `middle of the ${far.joint.name}` };
  const back = unit(subtract(placeOf(body, joint.node), node));
  return { at: add(node, scale(back, far.takeOff + far.shortBy)), name: `far end of the ${pipe.name}` };
}

const placeOf = ({ nodes }: Body, id: string): Vec3 => nodes.find((n) => n.id === id)!.at;
