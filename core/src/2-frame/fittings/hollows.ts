/** Pipes that open into one another through their fittings, and where such a hollow is open to the air. */
import type { Vec3 } from '../../0-base';
import type { Body, Member } from '../../model';
import type { Connection } from '../connections/connection';

export interface Hollow {
  readonly pipes: readonly Member[];
  /** Ids of fittings. */
  readonly fittings: readonly string[];
}

export function hollowsOf({ members, joints }: Pick<Body, 'members' | 'joints'>): readonly Hollow[] {
  const fitted = joints.filter((j) => j.hub);
  const byId = new Map(members.filter((m) => m.stock.section.kind === 'tube').map((m) => [m.id, m]));
  const left = new Set(byId.keys());
  const found: Hollow[] = [];
  for (const start of left) {
    const pipes = new Set([start]);
    const fittings = new Set<string>();
    for (const pipe of pipes) {
      left.delete(pipe);
      for (const j of fitted.filter((f) => f.joins.includes(pipe))) {
        fittings.add(j.id);
        for (const id of j.joins) if (byId.has(id)) pipes.add(id);
      }
    }
    found.push({ pipes: [...pipes].map((id) => byId.get(id)!), fittings: [...fittings] });
  }
  return found;
}

/** By a bare end, or a hole in any of its walls: where, rig axes. */
export function openingsOf(
  { pipes, fittings }: Hollow,
  { joints, nodes }: Pick<Body, 'joints' | 'nodes'>,
  connections: readonly Connection[],
): readonly Vec3[] {
  const own = new Set([...pipes.map((p) => p.id), ...fittings]);
  const ends = pipes.flatMap((p) => [p.from, p.to].map((node) => ({ node, pipe: p.id })));
  return [
    ...ends.flatMap(({ node, pipe }) =>
      joints.some((j) => j.hub && j.node === node && j.joins.includes(pipe))
        ? []
        : nodes.flatMap((n) => (n.id === node ? [n.at] : [])),
    ),
    ...connections.flatMap((c) => c.holes.flatMap((h) => (own.has(h.piece) ? [h.at] : []))),
  ];
}
