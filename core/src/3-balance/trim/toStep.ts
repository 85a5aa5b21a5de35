/** Nearest setting the hand can make, within the range. */
import type { Adjuster } from '../../model';

export function toStep(adjuster: Pick<Adjuster, 'range' | 'step'>, value: number): number {
  const [least, most] = adjuster.range;
  const steps = Math.round(value / adjuster.step);
  return Math.min(most, Math.max(least, Number((steps * adjuster.step).toPrecision(12))));
}
