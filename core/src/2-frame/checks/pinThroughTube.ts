/** A hole across a tube takes away its sides; what is left must carry. */
import { figure, say } from '../../0-base';
import type { StatedConnection } from '../../model';
import type { FrameCheck } from '../frameCheck';
import { otherStock } from '../members/otherStock';

/** A cross hole wider than this part of the tube leaves less than about half of its strength in bending. */
const MOST = 0.42;

export const pinThroughTube: FrameCheck = {
  id: 'pinThroughTube',
  look: ({ rig }) =>
    rig.bodies
      // A core is held together by the tube that it is glued into.
      .flatMap((body) => body.members.filter((m) => !body.connections?.some((c) => isCore(c, m.id))))
      .flatMap((member) => {
        const { section } = member.stock;
        if (section.kind === 'flat') return [];
        const across =
          section.kind === 'tube'
            ? section.outerDiameter
            : section.kind === 'rod'
              ? section.diameter
              : Math.min(section.width, section.height);
        return member.holes.flatMap((hole) => {
          if (hole.diameter <= MOST * across + 1e-9) return [];
          const thicker = otherStock(
            member,
            (s) =>
              (s.kind === 'tube'
                ? s.outerDiameter
                : s.kind === 'rod'
                  ? s.diameter
                  : s.kind === 'square'
                    ? Math.min(s.width, s.height)
                    : 0) *
                MOST >=
              hole.diameter,
          );
          return [
            {
              code: 'pinThroughTube',
              severity: hole.diameter >= across ? ('stop' as const) : ('mend' as const),
              about: member.id,
              figure: figure('length', hole.diameter),
              limit: figure('length', MOST * across),
              title: say`The ${hole.name} hole of ${figure('length', hole.diameter)} leaves too little of the ${member.name}.`,
              why: say`It is ${figure('length', across)} across; more than ${figure('percent', MOST, 0)} of that and it bends at the hole.`,
              toDo: say`A thinner pin, a thicker tube, or a sleeve or dowel inside it there.`,
              fixes: thicker
                ? [
                    {
                      label: say`Cut it from ${thicker.stock.name}`,
                      changes: [{ kind: 'restock' as const, id: member.id, stock: thicker.id }],
                    },
                  ]
                : [],
            },
          ];
        });
      }),
};

const isCore = (c: StatedConnection, member: string): boolean =>
  c.kind === 'bolted' && (c.inside?.includes(member) ?? false);
