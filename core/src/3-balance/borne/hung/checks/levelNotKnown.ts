/** All is weighed, and still the level is not known: what to measure better, and why no ruler may be fine enough. */
import { figure, say, sourceWords } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';

/** Two standard uncertainties of lean beyond which the level shown is only an order of size. */
const LEAN_NOT_KNOWN = 2;

export const levelNotKnown: BalanceCheck = {
  id: 'levelNotKnown',
  stage: 'load',
  look: ({ evaluation, wants }) => {
    const { hung } = evaluation;
    // While something is only guessed, that is said in Load, and this would say it again.
    if (!hung || evaluation.pieces.some((p) => p.isLoad && p.flat.massFrom === 'estimate')) return [];
    const spread = 2 * hung.spread.massCentre[0];
    const allowed = Math.max(1e-6, hung.hang.bottomHeaviness) * Math.tan(wants.levelWithin);
    if (hung.hang.state !== 'hangs' || spread <= LEAN_NOT_KNOWN * allowed || !hung.spread.largestForeAft) return [];
    return [
      {
        code: 'levelNotKnown',
        severity: 'note',
        about: hung.spread.largestForeAft.owner,
        figure: figure('length', spread, 2),
        limit: figure('length', allowed, 2),
        title: say`Where it hangs is known to ${figure('length', spread, 1)} only; level within ${figure('angle', wants.levelWithin)} needs ${figure('length', allowed, 2)}.`,
        why: say`Most of it comes from the ${sourceWords(hung.spread.largestForeAft.source)}. At this drop time no ruler is fine enough.`,
        toDo: say`Weigh or measure that to know better. Then set it up as shown, hang it, and finish with the fine screw.`,
        fixes: [],
      },
    ];
  },
};
