/** Set down on its feet or foot: does it stand, and how far may it be tilted. */
import { figure, say, DEGREE } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';
import { setDownOf } from '../borne/setDown';

/** Less than this and a nudge, or ground that is not level, puts it over. */
const LEAST_TILT = 8 * DEGREE;

export const standsOnFeet: BalanceCheck = {
  id: 'standsOnFeet',
  stage: 'frame',
  look: ({ assembly, values, evaluation }) => {
    const found = setDownOf(assembly, values, evaluation);
    if (!found || found.tip.leastTilt >= LEAST_TILT) return [];
    const { tip, way, feet } = found;
    return [
      {
        code: 'standsOnFeet',
        severity: tip.standsAlone ? ('note' as const) : ('mend' as const),
        about: feet[0]!.id,
        figure: figure('angle', Math.max(0, tip.leastTilt)),
        limit: figure('angle', LEAST_TILT),
        title: tip.standsAlone
          ? say`Set down, it goes over ${way} when tilted ${figure('angle', tip.leastTilt)}.`
          : say`Set down, it falls over ${way} by itself.`,
        why: say`Its mass centre stands ${figure('length', tip.height)} up and only ${figure('length', Math.max(0, tip.edge))} inside its feet that way.`,
        toDo: say`Put the feet further out by ${figure('length', tip.height * Math.tan(LEAST_TILT) - tip.edge)} on that side, or lay it down between takes.`,
        fixes: [],
      },
    ];
  },
};
