/** A mass centre above the pivot: it turns over, and no angle or drop time exists. */
import { figure, say, type Fix } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';

const UNDER = [0.002, 0.001, 0.0005];

export const topHeavy: BalanceCheck = {
  id: 'topHeavy',
  stage: 'balance',
  look: (context) => {
    const { hung } = context.evaluation;
    if (!hung || hung.hang.state === 'hangs') return [];
    if (hung.hang.state === 'neutral') {
      return [
        {
          code: 'neutral',
          severity: 'stop',
          about: hung.pivot.id,
          figure: figure('length', 0),
          limit: null,
          title: say`The mass centre is on the pivot: it stays however you leave it.`,
          why: say`Nothing brings it upright again.`,
          toDo: say`Bring the mass centre a millimetre or two under the pivot.`,
          fixes: [],
        },
      ];
    }
    const above = -hung.hang.bottomHeaviness;
    // Two millimetres under is a usual, slow rig; less where the adjuster does not go so far.
    const fix = UNDER.reduce<Fix | null>(
      (found, under) => found ?? fixByAdjuster(context, 2, (r) => -r.fromPivot[2] - under),
      null,
    );
    return [
      {
        code: 'topHeavy',
        severity: 'stop',
        about: hung.pivot.id,
        figure: figure('length', above, 1),
        limit: figure('length', 0),
        title: say`Top-heavy: the mass centre lies ${figure('length', above, 1)} above the pivot.`,
        why: say`Let go, it turns over with the camera. It has no rest and no drop time.`,
        toDo: fix
          ? say`Raise the pivot, or put more on the foot.`
          : say`Put more on the foot: trim it, or hang the foot lower.`,
        fixes: fix ? [fix] : [],
      },
    ];
  },
};
