/** Pipes soldered into a hollow that is closed all round: steam and flux blow the last joint open, unless a vent is drilled before. */
import { connectionsOf } from '../2-frame';
import type { Body, Rig } from '../model';
import type { BuildOrder } from './order/buildOrder';

/** The joining that would close each such hollow: the last soldered one of its sockets. */
export function closedBy(rig: Rig, order: BuildOrder): ReadonlySet<string> {
  const drilled = new Set(connectionsOf(rig, () => 0).flatMap((c) => c.holes.map((h) => h.piece)));
  const hollows = rig.bodies.flatMap((body) => hollowsOf(body).filter((h) => !isOpen(h, body, drilled)));
  return new Set(
    hollows.flatMap((hollow) => {
      const last = order.joinings
        .filter((j) => j.connections.some((c) => c.kind === 'socketed' && hollow.soldered.has(c.pieces[1]!)))
        .at(-1);
      return last ? [last.id] : [];
    }),
  );
}

interface Hollow {
  readonly pipes: ReadonlySet<string>;
  readonly fittings: ReadonlySet<string>;
  readonly soldered: ReadonlySet<string>;
}

/** Pipes that open into one another through their fittings. */
function hollowsOf({ members, joints }: Body): readonly Hollow[] {
  const fitted = joints.filter((j) => j.hub);
  const left = new Set(members.filter((m) => m.stock.section.kind === 'tube').map((m) => m.id));
  const found: Hollow[] = [];
  for (const start of left) {
    const pipes = new Set([start]);
    const fittings = new Set<string>();
    for (const pipe of pipes) {
      left.delete(pipe);
      for (const j of fitted.filter((f) => f.joins.includes(pipe))) {
        fittings.add(j.id);
        for (const id of j.joins) if (members.some((m) => m.id === id)) pipes.add(id);
      }
    }
    const soldered = new Set(fitted.filter((j) => fittings.has(j.id) && j.hold === 'soldered').map((j) => j.id));
    if (soldered.size > 0) found.push({ pipes, fittings, soldered });
  }
  return found;
}

/** By a bare end, or a hole in any of its walls. */
function isOpen({ pipes, fittings }: Hollow, { members, joints }: Body, drilled: ReadonlySet<string>): boolean {
  if ([...pipes, ...fittings].some((id) => drilled.has(id))) return true;
  return members.some(
    (m) =>
      pipes.has(m.id) &&
      (m.holes.length > 0 ||
        [m.from, m.to].some((node) => !joints.some((j) => j.hub && j.node === node && j.joins.includes(m.id)))),
  );
}
