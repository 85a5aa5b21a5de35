/** A hole needs metal beside it: at least its own radius on each side of the bar. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { otherStock } from '../members/otherStock';

export const holeInBar: FrameCheck = {
  id: 'holeInBar',
  look: ({ rig }) =>
    rig.bodies
      .flatMap((body) => body.members)
      .flatMap((member) => {
        if (member.stock.section.kind !== 'flat') return [];
        const { width } = member.stock.section;
        const each = member.holes.flatMap((hole) => {
          const beside = width / 2 - Math.abs(hole.across) - hole.diameter / 2;
          const least = hole.diameter / 2;
          if (beside >= least - 1e-9) return [];
          const wider = otherStock(
            member,
            (s) => s.kind === 'flat' && s.width / 2 - Math.abs(hole.across) - hole.diameter / 2 >= least,
          );
          return [
            {
              code: 'holeInBar',
              severity: beside <= 0 ? ('stop' as const) : ('mend' as const),
              about: member.id,
              figure: figure('length', beside),
              limit: figure('length', least),
              title:
                beside <= 0
                  ? say`The ${hole.name} hole of ${figure('length', hole.diameter)} does not fit in a bar ${figure('length', width)} wide.`
                  : say`The ${hole.name} hole leaves only ${figure('length', beside)} of bar on each side.`,
              why: say`Less than half the hole's diameter on each side tears or bends there first.`,
              toDo: say`Take a wider bar or a thinner bolt.`,
              fixes: wider
                ? [
                    {
                      label: say`Cut it from ${wider.stock.name}`,
                      changes: [{ kind: 'restock' as const, id: member.id, stock: wider.id }],
                    },
                  ]
                : [],
            },
          ];
        });
        // One bar for all of them: the worst says which.
        return each.sort((a, b) => a.figure.value - a.limit.value - (b.figure.value - b.limit.value)).slice(0, 1);
      }),
};
