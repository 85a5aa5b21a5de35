/** Starting and stopping: what a slow one is worth. */
import { figure, say } from '../../../0-base';
import type { BalanceContext } from '../../../3-balance';
import { MOTIONS, type Motion } from '../../../3-balance/swing/motions';
import { seenIn } from '../../../3-balance/swing/steadiness';
import { SMALL } from '../../../3-balance/swing/sway';
import type { Guide } from '../guide';

const START: Motion = MOTIONS.find((m) => m.id === 'start')!;
/** The same pace reached in twice the time: pushes half as hard, twice as long. */
const SOFT: Motion = {
  ...START,
  id: 'softStart',
  motion: {
    pushes: START.motion.pushes.map((p) =>
      p.type === 'halfSine' ? { ...p, peak: p.peak / 2, duration: 2 * p.duration } : p,
    ),
  },
  ends: START.ends + 0.9,
};

export const startAndStop: Guide = {
  id: 'startAndStop',
  title: 'Start and stop',
  look: (context) => {
    const [usual, soft] = [nose(START, context), nose(SOFT, context)];
    if (usual === null || soft === null) return null;
    return {
      habit: 'Roll into the first step and out of the last one; let it come to rest before you cut.',
      says: [
        usual > SMALL
          ? say`From standing to a walk in a second it swings far over: start slower, and keep the second hand near.`
          : say`From standing to a walk in ${figure('time', 0.9)} its nose swings by ${figure('angle', usual)}; taken twice as slowly by ${soft > SMALL ? 'far more than is small' : figure('angle', soft)}.`,
      ],
      drill: say`Four steps and stop, ten times, with something level in the picture. Count two beats into the first step and two out of the last.`,
      measure: 'walk',
    };
  },
};

const nose = (motion: Motion, context: BalanceContext): number | null => seenIn(motion, context)?.rig.pitch ?? null;
