/** The second hand on a rig that hangs: light, low, and never at the rig's own pace. */
import { ellipticK, figure, say } from '../../../0-base';
import { MOTIONS } from '../../../3-balance/swing/motions';
import { seenIn } from '../../../3-balance/swing/steadiness';
import { SMALL } from '../../../3-balance/swing/sway';
import type { Guide } from '../guide';

/** A small swing to and fro against a drop from level, both without friction: 2 pi over K(sin 45°) (physics.md, 4). */
const SWING_TO_DROP = (2 * Math.PI) / ellipticK(Math.SQRT1_2);
const GUST = MOTIONS.find((m) => m.id === 'gust')!;

export const secondHand: Guide = {
  id: 'secondHand',
  title: 'The second hand',
  look: (context) => {
    const { hung } = context.evaluation;
    if (hung?.pitch.drop.kind !== 'falls') return null;
    const swing = SWING_TO_DROP * hung.pitch.drop.time;
    const gust = seenIn(GUST, context)?.rig.roll ?? null;
    return {
      habit: 'Thumb and a finger on the post under the pivot, as light as on an egg: it points, and holds nothing up.',
      says: [
        say`Left alone it swings to and fro once in ${figure('time', swing)}. What pushes in that time builds up: touch it once, and wait ${figure('time', swing / 2)} before the next touch.`,
        ...(gust === null
          ? []
          : [
              gust > SMALL
                ? say`A puff of wind lays it far over: hold it then.`
                : say`A puff of wind leans it by ${figure('angle', gust)}: that is when it is held, from low down.`,
            ]),
      ],
      drill: say`Stand still, tip it a hand's breadth, and bring it to rest with one touch. Ten times, till it stands after one.`,
      measure: 'walk',
    };
  },
};
