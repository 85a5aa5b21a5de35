/** What tips in a hand that holds the rig rigidly: nose and sides, against what the maker wants to carry. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck, BalanceContext } from '../../../balanceCheck';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';
import type { HeldHand, HeldPose } from '../held';
import { wristAtMost } from '../wantsOfHands';

const AXES = [
  {
    axis: 0,
    code: 'wristNose',
    of: (h: HeldHand) => h.noseDown,
    words: ['nose down', 'nose up'],
    place: ['ahead of', 'behind'],
  },
  {
    axis: 1,
    code: 'wristSides',
    of: (h: HeldHand) => h.leftSideDown,
    words: ['left side down', 'right side down'],
    place: ['left of', 'right of'],
  },
] as const;

export const wristLoad: BalanceCheck = {
  id: 'wristLoad',
  stage: 'balance',
  look: (context) =>
    (context.evaluation.hung ? [] : context.evaluation.held.slice(0, 1))
      .filter((p) => p.hands.length > 0 && p.bears.length === 0)
      .flatMap((pose) => AXES.flatMap((axis) => oneAxis(context, pose, axis))),
};

function oneAxis(
  context: BalanceContext,
  { pose, hands }: HeldPose,
  { axis, code, of, words, place }: (typeof AXES)[number],
): readonly Finding[] {
  const limit = wristAtMost(context.wants);
  const worst = hands.reduce((a, b) => (Math.abs(of(b)) > Math.abs(of(a)) ? b : a));
  const torque = of(worst);
  if (Math.abs(torque) <= limit) return [];
  const offset = context.evaluation.fromSupport?.[axis] ?? 0;
  const fix = fixByAdjuster(context, axis, (r) => r.fromPivot[axis]);
  return [
    {
      code,
      severity: 'mend',
      about: fix?.changes[0]?.id ?? worst.contact.id,
      figure: figure('torque', Math.abs(torque)),
      limit: figure('torque', limit),
      title: say`${pose.name}: the wrist holds ${figure('torque', Math.abs(torque))} ${words[torque > 0 ? 0 : 1]}.`,
      why: say`The mass centre lies ${figure('length', Math.abs(offset))} ${place[offset > 0 ? 0 : 1]} the hand. Over ${figure('torque', limit)} the wrist tires and the picture leans.`,
      toDo: fix
        ? say`One move brings it over the hand.`
        : axis === 0
          ? say`Hold it further ${offset > 0 ? 'forward' : 'back'}, or put weight on the ${offset > 0 ? 'rear' : 'front'}.`
          : say`Bring the handle nearer, or hold it with the other hand too.`,
      fixes: fix ? [fix] : [],
    },
  ];
}
