/** Mass centre by balancing on an edge or dowel: the ruler says where the edge stood from a face. */
import { combine, spreadOfStep } from '../../0-base';
import type { MeasuredPlace } from './measuredPlace';

/**
 * Tip points: the edge was moved until the load tipped one way (`tipsOneWay`) and the other (`tipsOtherWay`), both read
 * from the same face (m). The centre lies midway; half their distance is an even spread, beside the ruler's step.
 * `length` is the size of the box along that line: a reading outside it cannot be.
 */
export function balanceOnEdge(reading: {
  tipsOneWay: number;
  tipsOtherWay: number;
  length: number;
  rulerStep: number;
}): MeasuredPlace {
  const { tipsOneWay, tipsOtherWay, length } = reading;
  for (const place of [tipsOneWay, tipsOtherWay]) {
    if (!(place >= 0 && place <= length))
      return { ok: false, reason: 'The edge stood outside the item. Measure from the same face each time.' };
  }
  const width = Math.abs(tipsOtherWay - tipsOneWay);
  return {
    ok: true,
    at: (tipsOneWay + tipsOtherWay) / 2,
    spread: combine(spreadOfStep(width), spreadOfStep(reading.rulerStep) / Math.SQRT2),
  };
}
