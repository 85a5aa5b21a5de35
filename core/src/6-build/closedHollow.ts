/** Pipes soldered into a hollow that is closed all round: steam and flux blow the last joint open, unless a vent is drilled before. */
import { connectionsOf, hollowsOf, openingsOf } from '../2-frame';
import type { Rig } from '../model';
import type { BuildOrder } from './order/buildOrder';

/** The joining that would close each such hollow: the last soldered one of its sockets. */
export function closedBy(rig: Rig, order: BuildOrder): ReadonlySet<string> {
  const connections = connectionsOf(rig, () => 0);
  return new Set(
    rig.bodies.flatMap((body) => {
      const soldered = new Set(body.joints.filter((j) => j.hold === 'soldered').map((j) => j.id));
      return hollowsOf(body)
        .filter((h) => h.fittings.some((f) => soldered.has(f)) && openingsOf(h, body, connections).length === 0)
        .flatMap(({ fittings }) => {
          const last = order.joinings
            .filter((j) =>
              j.connections.some(
                ({ kind, pieces }) => kind === 'socketed' && soldered.has(pieces[1]!) && fittings.includes(pieces[1]!),
              ),
            )
            .at(-1);
          return last ? [last.id] : [];
        });
    }),
  );
}
