/** Does it rest level, nose and sides? Says which way it leans, why, and the slide that mends it. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck, BalanceContext } from '../../../balanceCheck';
import type { Hung } from '../../../evaluate';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';

export const hangsLevel: BalanceCheck = {
  id: 'hangsLevel',
  stage: 'balance',
  look: (context) => {
    const { hung } = context.evaluation;
    const rest = hung?.hang.rest;
    if (!hung || !rest) return [];
    return [
      ...lean(context, hung, {
        code: 'notLevelForeAft',
        angle: rest.noseDown,
        axis: 0,
        words: ['nose down', 'nose up'],
        place: ['ahead of', 'behind'],
      }),
      ...lean(context, hung, {
        code: 'notLevelSideways',
        angle: rest.leftSideDown,
        axis: 1,
        words: ['left side down', 'right side down'],
        place: ['left of', 'right of'],
      }),
    ];
  },
};

interface Lean {
  readonly code: string;
  readonly angle: number;
  readonly axis: 0 | 1;
  readonly words: readonly [string, string];
  readonly place: readonly [string, string];
}

function lean(context: BalanceContext, hung: Hung, { code, angle, axis, words, place }: Lean): readonly Finding[] {
  const { levelWithin } = context.wants;
  if (Math.abs(angle) <= levelWithin) return [];
  const offset = hung.hang.fromPivot[axis];
  const allowed = Math.abs(hung.hang.fromPivot[2]) * Math.tan(levelWithin);
  const fix = fixByAdjuster(context, axis, (r) => r.fromPivot[axis]);
  return [
    {
      code,
      severity: 'mend',
      about: fix?.changes[0]?.id ?? 'load',
      figure: figure('angle', Math.abs(angle)),
      limit: figure('angle', levelWithin),
      title: say`It hangs ${figure('angle', Math.abs(angle))} ${words[angle > 0 ? 0 : 1]}.`,
      why: say`The mass centre lies ${figure('length', Math.abs(offset), 2)} ${place[offset > 0 ? 0 : 1]} the pivot. A rig this slow lets it stray ${figure('length', allowed, 2)}.`,
      toDo: fix
        ? say`Set it back under the pivot with one move.`
        : say`No slide reaches that far: trim it with the washers too, or move the stage on the bar.`,
      fixes: fix ? [fix] : [],
    },
  ];
}
