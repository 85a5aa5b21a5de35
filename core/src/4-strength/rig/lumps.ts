/** A rig's masses and places by node: for pushes that are not the same everywhere. */
import { length, subtract, ZERO, type Vec3 } from '../../0-base';
import type { RigFrame } from './rigFrame';

export interface Lump {
  readonly node: string;
  readonly mass: number;
  /** From the node to its mass centre. */
  readonly offset: Vec3;
  /** The body that the node is of. */
  readonly body: string;
}

/** Of a beam's piece a node is named after it, and the place along it. */
const pieceOfStation = (node: string): string => node.slice(0, node.lastIndexOf('@'));

/** All that has mass; a member's at its two ends. */
export function lumps({ model, pieces }: RigFrame): readonly Lump[] {
  const bodies = new Map(pieces.map((p) => [p.id, p.body]));
  const bodyOf = (node: string): string => bodies.get(node) ?? bodies.get(pieceOfStation(node)) ?? '';
  return [
    ...model.equipment.map(({ node, mass, offset }) => ({ node, mass, offset, body: bodyOf(node) })),
    ...model.members.flatMap((m): readonly Lump[] => {
      const [from, to] = [m.from, m.to].map((n) => model.nodes.get(n)!) as [Vec3, Vec3];
      const long = m.arc ? Math.abs(m.arc.angle) * length(subtract(from, m.arc.centre)) : length(subtract(to, from));
      const half = { mass: (m.material.density * m.section.area * long) / 2, offset: ZERO };
      return [
        { node: m.from, body: bodyOf(m.from), ...half },
        { node: m.to, body: bodyOf(m.to), ...half },
      ];
    }),
  ];
}

/** The node of a body that is nearest to a place, and the way from it to there. */
export function nearestNode(
  { model, pieces }: RigFrame,
  body: string,
  at: Vec3,
): { readonly node: string; readonly arm: Vec3 } | null {
  const own = new Set(pieces.filter((p) => p.body === body && !p.isLoad).map((p) => p.id));
  let best: { readonly node: string; readonly arm: Vec3 } | null = null;
  for (const [node, here] of model.nodes) {
    if (!own.has(node) && !own.has(pieceOfStation(node))) continue;
    const arm = subtract(at, here);
    if (!best || length(arm) < length(best.arm)) best = { node, arm };
  }
  return best;
}

/** kg */
export const totalMass = (frame: RigFrame): number => lumps(frame).reduce((m, l) => m + l.mass, 0);
