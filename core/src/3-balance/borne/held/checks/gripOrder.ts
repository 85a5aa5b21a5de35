/** On a long take: in which order to change how it is held, so that what was spent rests while another muscle works. */
import { figure, say, type Figure } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import type { HeldPose } from '../held';

/** Fewer ways to hold it than this need no order. */
const FROM = 3;
const MINUTE = 60;
const TIRED = { wrist: 'wrist', shoulder: 'arm', pad: 'shoulder under the pad' } as const;

export const gripOrder: BalanceCheck = {
  id: 'gripOrder',
  stage: 'balance',
  look: ({ evaluation }) => {
    const order = orderOfGrips(evaluation.held);
    if (order.length < FROM) return [];
    const [first, second, third] = order as [HeldPose, HeldPose, HeldPose];
    const rests = second.tires !== first.tires;
    return [
      {
        code: 'gripOrder',
        severity: 'note',
        about: first.hands[0]?.contact.id ?? first.pose.contacts[0] ?? 'rig',
        figure: null,
        limit: null,
        title: say`On a long take change grips in this order: “${first.pose.name}”, “${second.pose.name}”, “${third.pose.name}”.`,
        why: say`The first tires the ${TIRED[first.tires]} (${strain(first)} of its strength), the second the ${TIRED[second.tires]} (${strain(second)}), the third the ${TIRED[third.tires]} (${strain(third)}).${rests ? ' What was spent rests meanwhile.' : ' All tire the same: put it down in between.'}`,
        toDo:
          first.holds.kind === 'minutes'
            ? say`Change at half of what it lasts, after about ${figure('time', (first.holds.usual * MINUTE) / 2, 0)}: a muscle rested then lasts far longer than one spent.`
            : say`Change before it burns: a muscle rested at half time lasts far longer than one spent.`,
        fixes: [],
      },
    ];
  },
};

/** The take's own pose first; then always the one that asks least of what was last at work, and of those the lightest. */
export function orderOfGrips(held: readonly HeldPose[]): readonly HeldPose[] {
  const left = held.filter((p) => !p.falls && p.holds.kind !== 'tooMuch');
  const order: HeldPose[] = left.slice(0, 1);
  while (order.length > 0 && order.length < left.length) {
    const last = order.at(-1)!;
    const next = left
      .filter((p) => !order.includes(p))
      .sort(
        (a, b) => Number(a.tires === last.tires) - Number(b.tires === last.tires) || a.holds.share - b.holds.share,
      )[0]!;
    order.push(next);
  }
  return order;
}

const strain = ({ holds }: HeldPose): Figure => figure('percent', holds.share, 0);
