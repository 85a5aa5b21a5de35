/** Repeated readings of one thing: their mean, what it is worth, and which of them stand apart. */
import { combine, spreadOfStep } from '../0-base';
import type { Reading } from '../model';

export interface Averaged {
  readonly value: number;
  /** One standard uncertainty: scatter of the mean and the instrument's step together. */
  readonly spread: number;
  readonly count: number;
  /** Largest minus smallest. */
  readonly range: number;
  /** Places in the list (all readings) that stand apart from the others; they count in the mean until left out. */
  readonly apart: readonly number[];
}

/** A reading stands apart beyond this many robust standard deviations from the median (Iglewicz and Hoaglin 1993). */
const APART = 3.5;
/** Median absolute deviation to standard deviation, for normal scatter. */
const MAD_TO_SIGMA = 1.4826;

/**
 * Mean of the readings not left out; null when none is left. Scatter s/√n from two readings on (with two or three it is
 * itself rough), and the step's s/√12 once, since rounding of like readings does not average out.
 */
export function averaged(readings: readonly Reading[], step: number): Averaged | null {
  const kept = readings
    .map((r, place) => ({ value: r.value, place, leftOut: r.leftOut === true }))
    .filter((r) => !r.leftOut);
  if (kept.length === 0) return null;
  const values = kept.map((r) => r.value);
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const scatter =
    values.length < 2
      ? 0
      : Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (values.length - 1) / values.length);
  return {
    value: mean,
    spread: combine(scatter, spreadOfStep(step)),
    count: values.length,
    range: Math.max(...values) - Math.min(...values),
    apart: apart(kept, step),
  };
}

/** Two readings cannot say which of them is wrong. The scatter is never taken as finer than the step. */
function apart(kept: readonly { value: number; place: number }[], step: number): readonly number[] {
  if (kept.length < 3) return [];
  const middle = median(kept.map((r) => r.value));
  const sigma = Math.max(MAD_TO_SIGMA * median(kept.map((r) => Math.abs(r.value - middle))), spreadOfStep(step));
  return kept.filter((r) => Math.abs(r.value - middle) > APART * sigma).map((r) => r.place);
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
