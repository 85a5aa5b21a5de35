/** What a turning rate adds up to: the angle, its size and its strongest tone. */
import { dominantFrequency } from '../../0-base';

export interface Turned {
  /** What the gyro tells of one that stands still, with the walk’s own drift, rad/s. */
  readonly bias: number;
  /** Of the rate less its bias, rad/s. */
  readonly rateRms: number;
  readonly ratePeak: number;
  /** Less its own mean, rad, as many as samples. */
  readonly angle: Float64Array;
  readonly angleRms: number;
  readonly anglePeak: number;
  /** Hz; null where nothing turns. */
  readonly dominantFrequency: number | null;
}

/** Rates in rad/s at even times; summed by trapezia, so a tone of a tenth of the rate comes out 3 % short. */
export function turned(rates: Float64Array, rate: number): Turned {
  const bias = meanOf(rates);
  const free = rates.map((r) => r - bias);
  const angle = angleOf(free, rate);
  return {
    bias,
    rateRms: rmsOf(free),
    ratePeak: peakOf(free),
    angle,
    angleRms: rmsOf(angle),
    anglePeak: peakOf(angle),
    dominantFrequency: dominantFrequency(free, rate),
  };
}

/** The angle that rates add up to, less its own mean, rad. */
export function angleOf(rates: Float64Array, rate: number): Float64Array {
  const sum = new Float64Array(rates.length);
  for (let i = 1; i < sum.length; i++) sum[i] = sum[i - 1]! + (rates[i - 1]! + rates[i]!) / (2 * rate);
  const middle = meanOf(sum);
  return sum.map((a) => a - middle);
}

export const meanOf = (list: Float64Array): number => list.reduce((a, b) => a + b, 0) / list.length;
export const rmsOf = (list: Float64Array): number => Math.sqrt(list.reduce((a, b) => a + b * b, 0) / list.length);
export const peakOf = (list: Float64Array): number => list.reduce((a, b) => Math.max(a, Math.abs(b)), 0);
