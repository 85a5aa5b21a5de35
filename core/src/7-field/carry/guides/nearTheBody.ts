/** How far from the body it is held: what the shoulder pays for it. */
import { figure, fromTo, say, STANDARD_GRAVITY, type Phrase } from '../../../0-base';
import type { BalanceContext } from '../../../3-balance';
import { endurance } from '../../../3-balance/borne/held/endurance';
import { holdTimeWords } from '../../../3-balance/borne/held/holdWords';
import { restAfter } from '../../../3-balance/borne/held/restAfter';
import { shoulderMoment, shoulderStrength } from '../../../3-balance/borne/held/shoulder';
import { holdFor } from '../../../3-balance/borne/held/wantsOfHands';
import type { Guide } from '../guide';

/** From the shoulder to the hand, m: an elbow at the ribs, and an arm half way out. */
const NEAR = 0.25;
const OUT = 0.45;
const MINUTE = 60;

export const nearTheBody: Guide = {
  id: 'nearTheBody',
  title: 'How near the body',
  look: (context) => {
    const weight = heldUp(context);
    if (weight === null) return null;
    const { hands, wants } = context;
    const at = (reach: number) => endurance('shoulder', shoulderMoment(weight, reach) / shoulderStrength(hands));
    const told = (reach: number): Phrase => [
      ...say`${figure('length', reach, 0)} before the shoulder it asks ${figure('percent', at(reach).share, 0)} of its strength and can be held `,
      ...holdTimeWords(at(reach)),
    ];
    const take = holdFor(wants);
    const rest = restAfter(at(OUT), take);
    return {
      habit: 'Elbow at the ribs for a long take; further out only while your legs would meet the weight.',
      says: [
        [...told(NEAR), '; ', ...told(OUT), '. Rough, and people differ twofold.'],
        rest === null
          ? say`Held far out it does not last a take of ${figure('time', take, 0)}.`
          : rest < 1
            ? say`After a take of ${figure('time', take, 0)} no rest is needed.`
            : [
                ...say`After a take of ${figure('time', take, 0)} held far out rest `,
                ...fromTo('time', Math.max(1, rest / 2), rest * 2, 0),
                '.',
              ],
      ],
      drill: say`Hold it as you film, eyes on the picture, till you would put it down; rest as long as told; once more. The second time tells whether the rest was enough. Not beyond ${figure('time', 10 * MINUTE, 0)}, and not through pain.`,
      measure: 'held',
    };
  },
};

/** What the arm that carries most holds up, N; null of what lies on the body or on nothing. */
function heldUp({ evaluation }: BalanceContext): number | null {
  const [pose] = evaluation.held;
  if (pose?.bears.length) return null;
  if (pose) return Math.max(...pose.hands.map((h) => Math.abs(h.up)));
  return evaluation.hung ? evaluation.mass * STANDARD_GRAVITY : null;
}
