/** The drilling steps of a piece's holes that can be done before it is joined to anything but what it is glued to. */
import { holeSheets, type BarPlan } from '../5-stock';
import type { Rig } from '../model';
import type { BuildOrder } from './order/buildOrder';
import { byHole } from './order/drilledTogether';

export function drilledTo(
  rig: Rig,
  bars: readonly BarPlan[],
  order: BuildOrder,
): (piece: string, joined: readonly string[]) => readonly string[] {
  const together = byHole(order.drilledTogether);
  const holes = new Map<string, readonly string[]>();
  for (const { member, marks } of bars)
    holes.set(
      member,
      marks.filter((m) => m.kind === 'hole' && !m.last).map((m) => m.id),
    );
  for (const { piece, marks } of holeSheets(rig))
    holes.set(piece, [...(holes.get(piece) ?? []), ...marks.map((m) => m.id)]);
  return (piece, joined) =>
    (holes.get(piece) ?? []).flatMap((id) => {
      const other = together.get(id);
      if (!other) return [`drill:${id}`];
      // Drilled where it stands: only if that is before.
      return joined.includes(other.after) ? [`drill:${other.pieces[0]!}/hole/${other.connection}`] : [];
    });
}
