/** A hinge that is clamped: does its friction hold what it carries, as it is set and at the worst tilt. */
import { DEGREE, figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import { clampHolds } from '../clampHold';

/** A knock, a step and sweat: what holds must hold this many times over. */
const SPARE = 1.5;

export const clampSlips: BalanceCheck = {
  id: 'clampSlips',
  stage: 'frame',
  look: ({ assembly, values, evaluation }) => {
    return clampHolds(assembly, values, evaluation).flatMap(({ pivot, now, worst, holds }): readonly Finding[] => {
      if (holds === null) {
        return [
          {
            code: 'clampNotKnown',
            severity: 'measure' as const,
            about: pivot.id,
            figure: null,
            limit: null,
            title: say`What the ${pivot.name} holds is not known.`,
            why: say`It is held by friction alone.`,
            toDo: say`Hang a weight on an arm from it till it slips: weight times arm is its hold.`,
            fixes: [],
          },
        ];
      }
      if (worst * SPARE <= holds) return [];
      const slipsNow = now * SPARE > holds;
      const upTo = Math.asin(Math.min(1, holds / (SPARE * worst)));
      return [
        {
          code: 'clampSlips',
          severity: slipsNow ? ('stop' as const) : ('mend' as const),
          about: pivot.id,
          figure: figure('torque', slipsNow ? now : worst),
          limit: figure('torque', holds / SPARE),
          title: slipsNow
            ? say`The ${pivot.name} slips: the camera tips it with ${figure('torque', now)}.`
            : say`The ${pivot.name} holds here, and slips when the camera lies over further.`,
          why: say`It holds ${figure('torque', holds)}, which should be half as much again as what it carries: ${figure('torque', now)} as set, ${figure('torque', worst)} with the camera abeam. It is safe within ${figure('angle', upTo, 0)} of balance${upTo < 1 * DEGREE ? ', which is nowhere' : ''}.`,
          toDo: say`Bring the camera’s mass nearer the bolt, tighten by a bigger nut, or put a wider or rougher washer in the clamp. Never tighten into the camera’s own socket by force.`,
          fixes: [],
        },
      ];
    });
  },
};
