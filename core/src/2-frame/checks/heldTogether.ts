/** Every piece is held by another: what no connection holds falls off when the rig is lifted. */
import { figure, length, say, type Finding } from '../../0-base';
import type { Rig } from '../../model';
import type { Surroundings } from '../connections/kind';
import { piecesHeld } from '../connections/kinds';
import { lotsOf } from '../connections/lots';
import { surroundings } from '../connections/surroundings';
import { nearestTo } from '../connections/touching';
import type { FrameCheck } from '../frameCheck';

export const heldTogether: FrameCheck = {
  id: 'heldTogether',
  look: ({ rig }) => {
    const around = surroundings(rig, () => 0);
    return [...turningInNothing(rig), ...looseIn(rig, around)];
  },
};

/** A pivot whose bearing, or the piece that turns in it, is not there any more. */
function turningInNothing({ pivots, bodies }: Rig): readonly Finding[] {
  const all = bodies.flatMap((b) => b.connections ?? []);
  // A rig from before connections says nothing of what holds it.
  if (all.length === 0) return [];
  const bodyOf = new Map(
    bodies.flatMap((b) => [...b.parts, ...b.members, ...b.joints].map((e) => [e.id, b.id] as const)),
  );
  // A bearing of its own, or a bolt through pieces of both bodies.
  const joined = all.map((c) => new Set(piecesHeld(c).map((id) => bodyOf.get(id))));
  return pivots
    .filter((p) => !joined.some((of) => of.has(p.heldBy) && of.has(p.carries)))
    .map((p) => {
      const carried = bodies.find((b) => b.id === p.carries);
      return {
        code: 'heldByNothing',
        severity: 'mend' as const,
        about: p.id,
        figure: null,
        limit: null,
        title: say`The ${carried?.name ?? p.name} is held by nothing: the ${p.name} has nothing to turn in.`,
        why: say`A piece of it was taken off.`,
        toDo: say`Undo it, or start the rig anew.`,
        leavesOut: true as const,
        fixes: [],
      };
    });
}

const looseIn = (rig: Rig, around: Surroundings): readonly Finding[] =>
  rig.bodies.flatMap((body) => {
    // A rig from before connections says nothing of what holds it.
    if (!body.connections) return [];
    const [, ...loose] = lotsOf(body, rig);
    return loose.flatMap((lot) => {
      const piece = lot.find((id) => around.solids(id).length > 0);
      if (piece === undefined) return [];
      const { name } = around.solids(piece)[0]!;
      const near = nearestTo(piece, body, new Set(lot), around);
      const gap = near ? length(near.way) : null;
      const isPart = body.parts.some((p) => p.id === piece);
      return [
        {
          code: 'heldByNothing',
          severity: 'mend' as const,
          about: piece,
          figure: gap === null ? null : figure('length', gap, 1),
          limit: null,
          title: say`The ${name} is held by nothing.`,
          why: near
            ? say`Nearest to it is the ${near.name}, ${figure('length', gap!, 1)} away.`
            : say`There is nothing near it.`,
          toDo: say`Bring it up to what should hold it, or take it off.`,
          leavesOut: true as const,
          fixes:
            near && isPart && gap! > 0
              ? [
                  {
                    label: say`Move the ${name} up to the ${near.name}`,
                    changes: [{ kind: 'move' as const, id: piece, by: near.way }],
                  },
                ]
              : [],
        },
      ];
    });
  });
