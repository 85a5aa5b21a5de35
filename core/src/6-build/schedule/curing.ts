/**
 * How long what sets takes at the warmth of the shop, K: as long as its label says at room warmth, and about twice as long for each
 * 10 K less (van ’t Hoff’s rule), no less than half where it is warmer; below a least warmth it does not set. Valid for what hardens
 * by drying or reacting; solder and welds only cool. Least warmths are those that labels usually give, from memory: the label decides.
 */
import type { BuildStep } from '../step';

/** What of a step sets: glues by their sort, and oil. */
export type Cures = 'cement' | 'wood' | 'contact' | 'epoxy' | 'oil';

/** At which drying times are told, K. */
export const ROOM = 293.15;
const PER_DOUBLING = 10;
const LEAST: Readonly<Record<Cures, number>> = {
  cement: 277.15,
  wood: 283.15,
  contact: 288.15,
  epoxy: 283.15,
  oil: 283.15,
};

/** Of so long at room warmth, s; `least`: it must be that warm, K. */
export function setsIn(
  cures: Cures,
  atRoom: number,
  warmth: number,
): { readonly kind: 'sets'; readonly time: number } | { readonly kind: 'tooCold'; readonly least: number } {
  const least = LEAST[cures];
  if (!(warmth >= least)) return { kind: 'tooCold', least };
  return { kind: 'sets', time: atRoom * Math.max(0.5, 2 ** ((ROOM - warmth) / PER_DOUBLING)) };
}

/** What goes on without a hand once a step is done, s; what is too cold to set is told as at its least warmth. */
export function goesOnAt({ cures, dries, runs }: BuildStep, warmth: number): number {
  if (dries === undefined) return runs?.time ?? 0;
  if (!cures) return dries;
  const found = setsIn(cures, dries, Math.max(warmth, LEAST[cures]));
  return found.kind === 'sets' ? found.time : dries;
}

/** Steps whose glue does not set in this cold, with the warmth that they need, K. */
export const tooColdFor = (
  steps: readonly BuildStep[],
  warmth: number,
): readonly { readonly step: BuildStep; readonly least: number }[] =>
  steps.flatMap((step) => {
    const found = step.cures && step.dries !== undefined ? setsIn(step.cures, step.dries, warmth) : null;
    return found?.kind === 'tooCold' ? [{ step, least: found.least }] : [];
  });
