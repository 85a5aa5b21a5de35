/** Walking with the rig in front: what hangs low against the knee that swings towards it. */
import { figure, say } from '../../0-base';
import { contactAt, valuesInOrder } from '../assemble';
import type { FrameCheck } from '../frameCheck';
import { pointsOf } from '../clearances/near';

/** A knee comes this far ahead of the hip in an easy step, and cloth and sway take more, m. */
const STRIDE = 0.17;
/** Hands are carried at about elbow height; legs begin this far under them, m. */
const LEGS_BELOW = 0.15;

/** A hand this far out from the shoulder carries the rig in front, m. */
const IN_FRONT = 0.2;

export const weightMeetsLegs: FrameCheck = {
  id: 'weightMeetsLegs',
  look: ({ rig, pieces, values }) => {
    const inOrder = valuesInOrder(rig, values);
    return rig.poses.flatMap((pose) => {
      const contact = rig.contacts.find((c) => c.kind === 'hand' && pose.contacts.includes(c.id));
      // With the arm hanging the rig is carried beside the leg, not before it.
      if (pose.arm === undefined || pose.arm < IN_FRONT || !contact) return [];
      const hand = contactAt(rig, contact, inOrder);
      const low = pieces
        .filter((p) => p.flat.at[2] < hand[2])
        .flatMap((p) =>
          pointsOf(p.flat)
            .filter((q) => q[2] < hand[2] - LEGS_BELOW)
            .map((q) => ({ owner: p.flat.owner, name: p.flat.name, room: pose.arm! + q[0] - hand[0] })),
        );
      if (low.length === 0) return [];
      const nearest = low.reduce((a, b) => (b.room < a.room ? b : a));
      if (nearest.room >= STRIDE) return [];
      return [
        {
          code: 'weightMeetsLegs',
          severity: 'note' as const,
          about: nearest.owner,
          place: pose.id,
          figure: figure('length', Math.max(0, nearest.room)),
          limit: figure('length', STRIDE),
          title: say`${pose.name}: the ${nearest.name} hangs ${figure('length', Math.max(0, nearest.room))} in front of you; a striding leg meets it.`,
          why: say`A knee swings ${figure('length', STRIDE)} ahead of the hip. Further out is freer to walk with and tires the arm sooner.`,
          toDo: say`Walk with the hand ${figure('length', pose.arm + STRIDE - nearest.room)} out from the shoulder, or shorten what hangs.`,
          fixes: [],
        },
      ];
    });
  },
};
