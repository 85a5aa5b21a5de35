/** Mass centre of something lying on a board hinged at one end, with one scale under the other. */
import { combine, spreadOfStep } from '../../0-base';
import type { MeasuredPlace } from './measuredPlace';

/** x = L (F - F_board)/W from the hinge; every reading has the same scale step. Forces and weight in N, L in m. */
export function boardOneScale(reading: {
  withBody: number;
  boardAlone: number;
  weight: number;
  distance: number;
  scaleStep: number;
  rulerStep: number;
}): MeasuredPlace {
  const { withBody, boardAlone, weight, distance } = reading;
  if (!(weight > 0)) return { ok: false, reason: 'Weigh the load first: its weight is missing.' };
  if (!(distance > 0)) return { ok: false, reason: 'The scale must stand a distance from the hinge.' };
  const added = withBody - boardAlone;
  if (!(added >= 0))
    return { ok: false, reason: 'The scale reads less with the load on than without. Check the two readings.' };
  const at = (distance * added) / weight;
  const force = spreadOfStep(reading.scaleStep);
  const spread = combine(
    (distance / weight) * force,
    (distance / weight) * force,
    (at / weight) * force,
    (added / weight) * spreadOfStep(reading.rulerStep),
  );
  return { ok: true, at, spread };
}
