/** Held off its balance, though the wrist can bear it: what that costs in torque and minutes, and the move that ends it. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import { endurance } from '../endurance';
import { holdTimeWords } from '../holdWords';
import { ALL_DAY, wristAtMost } from '../wantsOfHands';
import { leadingWay } from '../../ways';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';

export const offTheMark: BalanceCheck = {
  id: 'offTheMark',
  stage: 'balance',
  look: (context): readonly Finding[] => {
    const { evaluation, wants, hands } = context;
    const [pose] = evaluation.held;
    const from = evaluation.fromSupport;
    if (leadingWay(evaluation)?.id !== 'held' || !pose || !from) return [];
    const torque = Math.max(...pose.hands.map((h) => Math.hypot(h.noseDown, h.leftSideDown)));
    const share = torque / hands.wristStrength;
    const tooMuch = pose.hands.some(
      (h) => Math.max(Math.abs(h.noseDown), Math.abs(h.leftSideDown)) > wristAtMost(wants),
    );
    if (share <= ALL_DAY || tooMuch) return [];
    const axis = Math.abs(from[0]) >= Math.abs(from[1]) ? 0 : 1;
    const fix = fixByAdjuster(context, axis, (r) => r.fromPivot[axis]);
    const place = axis === 0 ? (from[0] > 0 ? 'ahead of' : 'behind') : from[1] > 0 ? 'left of' : 'right of';
    return [
      {
        code: 'offTheMark',
        severity: 'note',
        about: fix?.changes[0]?.id ?? pose.hands[0]!.contact.id,
        figure: figure('torque', torque),
        limit: figure('torque', ALL_DAY * hands.wristStrength),
        title: say`The mass centre lies ${figure('length', Math.abs(from[axis]))} ${place} the hand: ${figure('torque', torque)} in the wrist.`,
        why: [
          ...say`The wrist works at ${figure('percent', share, 0)} of its strength for it, which it can do for `,
          ...holdTimeWords(endurance('wrist', share)),
          ...say`. To ${figure('percent', ALL_DAY, 0)} it hardly matters.`,
        ],
        toDo: fix
          ? say`One move brings it over the hand.`
          : say`Take hold nearer the mass centre, or put weight at the other end.`,
        fixes: fix ? [fix] : [],
      },
    ];
  },
};
