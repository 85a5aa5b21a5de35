/** A hung rig panned at a usual rate: does it lean so far that the horizon tilts. */
import { DEGREE, figure, say } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';
import { leanAt } from '../pan/panReading';
import { USUAL_PAN } from '../pan/usualPan';

/** What an eye forgives in a horizon, where the maker has said nothing. */
const FORGIVEN = 1.5 * DEGREE;

export const leansInPan: BalanceCheck = {
  id: 'leansInPan',
  stage: 'balance',
  look: ({ evaluation: { hung }, wants }) => {
    if (!hung?.hang.rest) return [];
    const most = wants.panLeanAtMost ?? FORGIVEN;
    const about = {
      code: 'leansInPan',
      severity: wants.panLeanAtMost === undefined ? ('note' as const) : ('mend' as const),
      about: hung.pivot.id,
      limit: figure('angle', most),
    };
    const toDo = say`“Pan” shows what to move where, and by how much; or let the trim look for the set-up that leans least.`;
    const lean = leanAt(hung, USUAL_PAN);
    if (!lean) {
      return [
        {
          ...about,
          figure: null,
          title: say`Panned at ${figure('angle', USUAL_PAN, 0)} a second it does not stay upright.`,
          why: say`What is laid out unevenly about the post is flung outwards harder than the weight below pulls it back.`,
          toDo,
          fixes: [],
        },
      ];
    }
    const { noseUp, leftUp } = lean;
    const nose = Math.abs(noseUp) >= Math.abs(leftUp);
    const far = Math.abs(nose ? noseUp : leftUp);
    if (!(far > most)) return [];
    return [
      {
        ...about,
        figure: figure('angle', far),
        title: say`Panned at ${figure('angle', USUAL_PAN, 0)} a second it leans ${figure('angle', far)} ${nose ? (noseUp > 0 ? 'nose up' : 'nose down') : leftUp > 0 ? 'left side up' : 'left side down'}.`,
        why: nose
          ? say`Its weight is not laid out evenly about the post: one end is high where the other is low.`
          : say`Its weight is not laid out evenly to the sides: one side is high where the other is low.`,
        toDo,
        fixes: [],
      },
    ];
  },
};
