/** A hung rig panned at a usual rate: does it lean so far that the horizon tilts. */
import { DEGREE, figure, say } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';
import { panRigOf, smallLean } from '../pan/panReading';
import { USUAL_PAN } from '../trim/solveTrim';

/** What an eye forgives in a horizon, where the maker has said nothing. */
const FORGIVEN = 1.5 * DEGREE;

export const leansInPan: BalanceCheck = {
  id: 'leansInPan',
  stage: 'balance',
  look: ({ evaluation: { hung }, wants }) => {
    if (!hung?.hang.rest) return [];
    const most = wants.panLeanAtMost ?? FORGIVEN;
    const { noseUp, leftUp } = smallLean(panRigOf(hung), USUAL_PAN);
    const nose = Math.abs(noseUp) >= Math.abs(leftUp);
    const lean = Math.abs(nose ? noseUp : leftUp);
    if (!(lean > most) || lean > 0.6) return [];
    return [{
      code: 'leansInPan', severity: wants.panLeanAtMost === undefined ? 'note' : 'mend', about: hung.pivot.id, figure: figure('angle', lean), limit: figure('angle', most),
      title: say`Panned at ${figure('angle', USUAL_PAN, 0)} a second it leans ${figure('angle', lean)} ${nose ? (noseUp > 0 ? 'nose up' : 'nose down') : leftUp > 0 ? 'left side up' : 'left side down'}.`,
      why: nose ? say`Its weight is not laid out evenly about the post: one end is high where the other is low.` : say`Its weight is not laid out evenly to the sides: one side is high where the other is low.`,
      toDo: say`“Pan” shows what to move where, and by how much; or let the trim look for the set-up that leans least.`, fixes: [],
    }];
  },
};
