/** A pipe that stands so far out of its socket that too little of it is held. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { memberEnds, placesOf } from '../members/memberEnds';

/** Part of a socket or thread that must be filled: below it joints work loose and glue lines fail. */
const LEAST_FILLED = 2 / 3;

export const heldInSocket: FrameCheck = {
  id: 'heldInSocket',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) => {
      const nodes = placesOf(body.nodes);
      return body.members.flatMap((member) => {
        const ends = memberEnds(member, nodes, body.joints);
        return ([ends.from, ends.to] as const).flatMap(({ depth, shortBy, joint }, end) => {
          if (depth === null || depth - shortBy >= LEAST_FILLED * depth - 1e-9) return [];
          return [
            {
              code: 'heldInSocket',
              severity: depth - shortBy <= 0 ? ('stop' as const) : ('mend' as const),
              about: member.id,
              place: `end ${end}`,
              figure: figure('length', Math.max(0, depth - shortBy)),
              limit: figure('length', LEAST_FILLED * depth),
              title: say`Only ${figure('length', Math.max(0, depth - shortBy))} of the ${member.name} is in its ${joint?.name ?? 'fitting'}.`,
              why: say`It stops ${figure('length', shortBy)} short of home; two thirds of the ${figure('length', depth)} must be filled to hold.`,
              toDo: say`Push or screw it home, or cut it longer by as much.`,
              fixes: [
                {
                  label: say`Push it home`,
                  changes: [{ kind: 'short' as const, id: member.id, end: end as 0 | 1, value: 0 }],
                },
              ],
            },
          ];
        });
      });
    }),
};
