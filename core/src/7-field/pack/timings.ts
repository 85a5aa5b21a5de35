/** What setting up or breaking down took, over all times it was timed: by step, and what would save most. */
import type { LogEntry } from '../../model';
import type { Handling, HandlingStep } from './handling';

export interface StepTook extends HandlingStep {
  /** Mean over the times it was timed, s; null where it never was. */
  readonly mean: number | null;
  /** Of the whole, by the means. */
  readonly share: number;
}
export interface Timings {
  /** How often it was timed. */
  readonly times: number;
  /** Mean of the whole, s, and from the quickest to the slowest. */
  readonly mean: number;
  readonly from: number;
  readonly to: number;
  readonly steps: readonly StepTook[];
  /** Steps that something would spare, the longest first: no more than its own time is saved by any. */
  readonly saves: readonly (StepTook & { readonly mean: number })[];
}

/** Null where it was never timed. Steps of the rig as it was, which it has no more, count in the whole alone. */
export function timingsOf(
  entries: readonly Pick<LogEntry, 'timed'>[],
  what: Handling,
  steps: readonly HandlingStep[],
): Timings | null {
  const timed = entries.flatMap((e) => (e.timed?.what === what ? [e.timed.splits] : []));
  if (timed.length === 0) return null;
  const wholes = timed.map((splits) => splits.reduce((sum, s) => sum + s.seconds, 0));
  const mean = wholes.reduce((a, b) => a + b, 0) / wholes.length;
  const took = steps.map((step): StepTook => {
    const own = timed.flatMap((splits) => splits.filter((s) => s.step === step.id).map((s) => s.seconds));
    const each = own.length > 0 ? own.reduce((a, b) => a + b, 0) / own.length : null;
    return { ...step, mean: each, share: each === null || mean === 0 ? 0 : each / mean };
  });
  return {
    times: timed.length,
    mean,
    from: Math.min(...wholes),
    to: Math.max(...wholes),
    steps: took,
    saves: took
      .filter((s): s is StepTook & { mean: number } => s.spares !== '' && (s.mean ?? 0) >= WORTH)
      .sort((a, b) => b.mean - a.mean)
      .slice(0, MOST),
  };
}

/** Quicker steps are not worth a change, s. */
const WORTH = 10;
const MOST = 3;
