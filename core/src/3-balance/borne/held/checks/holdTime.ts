/** How long each pose can be held, against a take. A rough range, told as one. */
import { figure, say } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import { holdTimeWords } from '../holdWords';
import { holdFor } from '../wantsOfHands';

const MINUTE = 60;
const TIRES = { wrist: 'wrist', shoulder: 'shoulder', pad: 'shoulder under the pad' } as const;

export const holdTime: BalanceCheck = {
  id: 'holdTime',
  stage: 'balance',
  look: ({ evaluation, wants }) =>
    evaluation.held.flatMap((pose) => {
      const { holds } = pose;
      const tires = TIRES[pose.tires];
      // What cannot be held at all is told by another check.
      if (holds.kind === 'anHour' || pose.falls) return [];
      const wanted = holdFor(wants);
      if (holds.kind === 'minutes' && holds.usual * MINUTE >= wanted) return [];
      const strain = figure('percent', holds.share, 0);
      return [
        {
          code: 'holdTime',
          severity: holds.kind === 'tooMuch' ? ('stop' as const) : ('mend' as const),
          place: pose.pose.id,
          about: pose.hands[0]?.contact.id ?? pose.pose.contacts[0] ?? 'rig',
          figure:
            holds.kind === 'minutes' ? figure('time', holds.usual * MINUTE, 0) : figure('percent', holds.share, 0),
          limit: holds.kind === 'minutes' ? figure('time', wanted, 0) : figure('percent', 1, 0),
          title:
            holds.kind === 'minutes'
              ? [`${pose.pose.name}: the ${tires} lasts `, ...holdTimeWords(holds), '.']
              : say`${pose.pose.name}: the ${tires} is asked for ${strain} of its strength.`,
          why: say`It works at ${strain} of its strength (rough, by a published endurance curve); people differ twofold. You want ${figure('time', wanted, 0)}.`,
          toDo:
            pose.tires === 'pad'
              ? say`Take weight off, or spread it: a wider pad, a belt, a rest between takes.`
              : pose.tires === 'shoulder'
                ? say`Keep the arm closer, take weight off, or rest it on the hip between takes.`
                : say`Bring the mass centre nearer the hand, or use both hands.`,
          fixes: [],
        },
      ];
    }),
};
