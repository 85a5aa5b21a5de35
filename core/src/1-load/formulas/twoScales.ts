/** Mass centre of something resting on two scales a known distance apart. */
import { combine, spreadOfStep } from '../../0-base';
import type { MeasuredPlace } from './measuredPlace';

/**
 * x = L F2/(F1 + F2), from the support at the origin towards the far one. Forces in N (or both in kg: only their ratio
 * counts), L in m, steps are the full width of one division. Refuses a sum that is not above zero.
 */
export function twoScales(reading: {
  atOrigin: number;
  atFar: number;
  distance: number;
  scaleStep: number;
  rulerStep: number;
}): MeasuredPlace {
  const { atOrigin: f1, atFar: f2, distance } = reading;
  const sum = f1 + f2;
  if (!(f1 >= 0) || !(f2 >= 0))
    return { ok: false, reason: 'A scale reads less than nothing: tare it and read again.' };
  if (!(sum > 0)) return { ok: false, reason: 'Both scales read nothing. Put the load across them.' };
  if (!(distance > 0)) return { ok: false, reason: 'The supports need a distance between them.' };
  const force = spreadOfStep(reading.scaleStep);
  const spread = combine(
    (distance * f2 * force) / sum ** 2,
    (distance * f1 * force) / sum ** 2,
    (f2 / sum) * spreadOfStep(reading.rulerStep),
  );
  return { ok: true, at: (distance * f2) / sum, spread };
}
