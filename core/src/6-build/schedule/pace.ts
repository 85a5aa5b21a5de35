/** How long a maker's hands take for each kind of work, learned from the minutes typed at steps done before. */
import type { BuildStep } from '../step';

/** What was typed for a step, and what was reckoned for it then, minutes. */
export interface Took {
  readonly minutes: number;
  readonly reckoned: number;
}
export interface Pace {
  /** Times as long as reckoned. */
  readonly factor: number;
  /** From so many steps. */
  readonly from: number;
}
/** Sawing, drilling, gluing …: the first word of a step's id. */
export const workOf = (step: string): string => step.split(':')[0]!;

/**
 * By kind of work: the geometric mean of how many times as long it took, with one step that took as long as reckoned counted in, so
 * that a single odd one moves it half way only. Minutes that are not above nought are left out.
 */
export function paceOf(took: Iterable<readonly [step: string, took: Took]>): ReadonlyMap<string, Pace> {
  const logs = new Map<string, number[]>();
  for (const [step, { minutes, reckoned }] of took) {
    if (!(minutes > 0 && reckoned > 0)) continue;
    logs.set(workOf(step), [...(logs.get(workOf(step)) ?? []), Math.log(minutes / reckoned)]);
  }
  return new Map(
    [...logs].map(([work, list]) => [
      work,
      { factor: Math.exp(list.reduce((sum, x) => sum + x, 0) / (list.length + 1)), from: list.length },
    ]),
  );
}

/** As typed for this very step; else as reckoned, at the maker's pace for such work. Minutes. */
export const minutesOf = (
  step: Pick<BuildStep, 'id' | 'minutes'>,
  typed: Readonly<Record<string, Took>>,
  pace: ReadonlyMap<string, Pace>,
): number => typed[step.id]?.minutes ?? step.minutes * (pace.get(workOf(step.id))?.factor ?? 1);
