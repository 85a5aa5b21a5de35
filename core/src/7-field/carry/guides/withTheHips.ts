/** Turning: from the hips, and no faster than it stays level. */
import { DEGREE, figure, say, type Phrase } from '../../../0-base';
import { panLimit, type Hung } from '../../../3-balance';
import { leanAt, panRigOf } from '../../../3-balance/pan/panReading';
import { seenIn } from '../../../3-balance/swing/steadiness';
import { MOTIONS } from '../../../3-balance/swing/motions';
import { SMALL } from '../../../3-balance/swing/sway';
import type { Guide } from '../guide';

const QUARTER = 90 * DEGREE;
/** Faster is no pan, rad/s. */
const FASTEST = 2 * Math.PI;
const HALVINGS = 40;
const by = (angle: number): Phrase => (angle > SMALL ? ['far'] : say`by ${figure('angle', angle)}`);
const motionOf = (id: string) => MOTIONS.find((m) => m.id === id)!;

export const withTheHips: Guide = {
  id: 'withTheHips',
  title: 'Turn with the hips',
  look: (context) => {
    const { evaluation, wants } = context;
    const [slow, whip] = [seenIn(motionOf('pan'), context), seenIn(motionOf('whip'), context)];
    const hung = evaluation.hung?.hang.rest ? evaluation.hung : null;
    if (!hung && !slow) return null;
    const says: Phrase[] = [];
    if (hung) {
      const rate = quickestLevel(hung, wants.levelWithin);
      says.push(
        rate >= FASTEST
          ? say`It stays level within ${figure('angle', wants.levelWithin)} however fast you turn.`
          : say`It stays level within ${figure('angle', wants.levelWithin)} up to a quarter turn in ${figure('time', QUARTER / rate)}; turned faster it leans more.`,
      );
    }
    if (slow && whip)
      says.push([
        ...say`A quarter turn in ${figure('time', 4, 0)} overshoots `,
        ...by(slow.rig.pan),
        ...say`, one in ${figure('time', 0.67, 1)} `,
        ...by(whip.rig.pan),
        '.',
      ]);
    return {
      habit: 'Feet first where the pan ends, then unwind from the hips; the arms do nothing.',
      says,
      drill: say`Pan a quarter turn between two marks in four seconds, ten times, and stop dead on the mark. Then in two.`,
      measure: 'walk',
    };
  },
};

/** The fastest steady turn in which it leans no more than that, rad/s: leans grow with the rate till it drifts out. */
function quickestLevel(hung: Hung, within: number): number {
  const holds = (rate: number): boolean => {
    const lean = leanAt(hung, rate);
    return lean !== null && Math.max(Math.abs(lean.noseUp), Math.abs(lean.leftUp)) <= within;
  };
  const { unstableAbove } = panLimit(panRigOf(hung));
  let [least, most] = [0, Math.min(FASTEST, unstableAbove ?? FASTEST)];
  if (holds(most)) return most;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (least + most) / 2;
    if (holds(middle)) least = middle;
    else most = middle;
  }
  return least;
}
