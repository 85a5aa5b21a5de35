/** Estimates where a scale or an edge would tell: what to measure next, and what it would settle. */
import { figure, say } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';

/** Two standard uncertainties of lean beyond which the level shown is only an order of size. */
const LEAN_NOT_KNOWN = 2;

export const notMeasured: BalanceCheck = {
  id: 'notMeasured',
  stage: 'load',
  look: ({ evaluation, wants }) => {
    const guessed = evaluation.pieces.filter((p) => p.isLoad && p.flat.massFrom === 'estimate').map((p) => p.flat);
    const weigh = guessed.map((flat) => ({
      code: 'notWeighed', severity: 'measure' as const, about: flat.owner,
      figure: figure('mass', 2 * flat.massSpread), limit: null,
      title: say`${flat.name} has never been weighed.`,
      why: say`Its ${figure('mass', flat.mass)} is a guess from its size, give or take ${figure('mass', 2 * flat.massSpread)}.`,
      toDo: say`Put it on the kitchen scale and type what it reads.`,
      fixes: [],
    }));
    const { hung } = evaluation;
    if (!hung || weigh.length > 0) return weigh;
    const spread = 2 * hung.spread.massCentre[0];
    const allowed = Math.max(1e-6, hung.hang.bottomHeaviness) * Math.tan(wants.levelWithin);
    if (hung.hang.state !== 'hangs' || spread <= LEAN_NOT_KNOWN * allowed || !hung.spread.largestForeAft) return [];
    return [{
      code: 'levelNotKnown', severity: 'note', about: hung.spread.largestForeAft.owner,
      figure: figure('length', spread, 2), limit: figure('length', allowed, 2),
      title: say`Where it hangs is known to ${figure('length', spread, 1)} only; level within ${figure('angle', wants.levelWithin)} needs ${figure('length', allowed, 2)}.`,
      why: say`Most of it comes from the ${hung.spread.largestForeAft.source}. At this drop time no ruler is fine enough.`,
      toDo: say`Weigh or measure that to know better. Then set it up as shown, hang it, and finish with the fine screw.`,
      fixes: [],
    }];
  },
};
