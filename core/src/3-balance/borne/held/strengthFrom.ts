/** A maker's own strength from a pose held till it had to be let go: the endurance curve read backwards. */
import type { Hands } from '../../../model';
import { shareHeldFor } from './endurance';
import type { HeldPose } from './held';

/**
 * Most the wrist can turn with for a moment, N m, so that the pose would last `time` s. The share of strength of whatever tires
 * goes as one over the strength, and shoulder strength is taken in proportion to the wrist's. Null where a pad tires first.
 */
export function strengthFrom({ tires, holds }: HeldPose, hands: Hands, time: number): number | null {
  if (tires === 'pad' || !(holds.share > 0)) return null;
  return (hands.wristStrength * holds.share) / shareHeldFor(tires, time);
}
