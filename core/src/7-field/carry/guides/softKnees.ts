/** Walking and stairs: soft knees, and where one looks. */
import { figure, say, type Figure } from '../../../0-base';
import { MOTIONS } from '../../../3-balance/swing/motions';
import { seenIn } from '../../../3-balance/swing/steadiness';
import { SMALL } from '../../../3-balance/swing/sway';
import type { Guide } from '../guide';

const motionOf = (id: string) => MOTIONS.find((m) => m.id === id)!;

export const softKnees: Guide = {
  id: 'softKnees',
  title: 'Walk, stairs, follow',
  look: (context) => {
    const [walk, stairs] = [seenIn(motionOf('walk'), context), seenIn(motionOf('stairs'), context)];
    if (!walk || !stairs) return null;
    const angle = (x: number): Figure | string => (x > SMALL ? 'far over' : figure('angle', x));
    return {
      habit:
        'Knees soft, feet rolled from heel to toe, eyes on the ground some metres ahead. Down stairs with a hand on the rail and somebody beside you; following someone, keep their pace and a step further off.',
      says: [
        say`Walking its nose moves by ${angle(walk.rig.pitch)}, the bare camera by ${angle(walk.bare.pitch)}; down a flight of stairs by ${angle(stairs.rig.pitch)} and ${angle(stairs.bare.pitch)}.`,
      ],
      drill: say`Ten metres, the same path and pace, three times with it and three times with the bare camera. Then the same with knees as soft as you can.`,
      measure: 'walk',
    };
  },
};
