/** Two straight bars that are put together for good: where they meet, and at what angle they are drawn. */
import { addScaled, dot, length, subtract, unit, type Vec3 } from '../../0-base';
import type { Body, Member } from '../../model';

export interface Meeting {
  readonly centre: Vec3;
  /** Which way each runs: of pipes in a fitting away from it; of bars glued to each other, from their start. */
  readonly own: Vec3;
  readonly other: Vec3;
  /** Between them, rad. */
  readonly apart: number;
}

/** `joint`: a fitting, or a glue line. Null where they do not meet so. */
export function meetingOf(body: Body, member: string, joint: string, beside: string): Meeting | null {
  const [a, b] = [member, beside].map((id) => body.members.find((m) => m.id === id));
  if (!a || !b || a.path.kind !== 'straight' || b.path.kind !== 'straight') return null;
  const at = (n: string): Vec3 => body.nodes.find((x) => x.id === n)!.at;
  const node = body.joints.find((j) => j.id === joint)?.node;
  if (node !== undefined) {
    const away = (m: Member): Vec3 | null =>
      m.from === node ? runOf(at(m.from), at(m.to)) : m.to === node ? runOf(at(m.to), at(m.from)) : null;
    const [own, other] = [away(a), away(b)];
    return own && other ? { centre: at(node), own, other, apart: between(own, other) } : null;
  }
  if (!body.connections?.some((c) => c.id === joint && c.kind === 'bonded')) return null;
  const [own, other] = [runOf(at(a.from), at(a.to)), runOf(at(b.from), at(b.to))];
  const off = (p: Vec3): number => {
    const d = subtract(p, at(b.from));
    return length(addScaled(d, other, -dot(d, other)));
  };
  const centre = off(at(a.from)) <= off(at(a.to)) ? at(a.from) : at(a.to);
  return { centre, own, other, apart: between(own, other) };
}

const runOf = (from: Vec3, to: Vec3): Vec3 => unit(subtract(to, from));
const between = (a: Vec3, b: Vec3): number => Math.acos(Math.min(1, Math.max(-1, dot(a, b))));
