/** What no setting of the slides and heights can mend: the bounds of all conditions, each at the least its movers bring it to. */
import { addScaled, type Vec3 } from '../../0-base';
import type { Sums } from '../../1-load';
import { leastOver, valueOf, withMovingSupport, type Bound } from './conditions';
import { sumsAbout, type TrimProblem } from './trimProblem';

export interface Highest {
  readonly support: Vec3;
  /** Of the movers that move the support: how far each goes from there. */
  readonly ranges: ReadonlyMap<number, readonly [number, number]>;
}

/**
 * The support at the highest its movers bring it, and their ranges from there: what hangs anywhere hangs there, so the
 * first moment along z is below zero for every answer, as a bound with a moving support needs.
 */
export function highest({ support, movers, supportMovedBy }: TrimProblem): Highest {
  const ranges = new Map<number, readonly [number, number]>();
  let place = support;
  for (const i of supportMovedBy) {
    const { axis, range } = movers[i]!;
    const end = axis[2] >= 0 ? range[1] : range[0];
    place = addScaled(place, axis, end);
    ranges.set(i, [range[0] - end, range[1] - end]);
  }
  return { support: place, ranges };
}

/** Everything about one place of the support: then it adds up. */
export const fromHighest = ({ support }: Highest, sums: Sums): Sums =>
  sumsAbout({ movers: [], groups: [], support, supportMovedBy: [] }, sums, []);

export function boundsOf({ conditions, movers, supportMovedBy }: TrimProblem, { ranges }: Highest): readonly Bound[] {
  return conditions
    .flatMap((c) => c.bounds)
    .flatMap((b) => {
      let held: Bound | null = b;
      for (const i of supportMovedBy) held = held && withMovingSupport(held, movers[i]!.axis, ranges.get(i)!);
      return held ? [held] : [];
    });
}

/** How far a group may be shifted each way, m. */
export function boxOf(
  { movers }: TrimProblem,
  movedBy: readonly number[],
): readonly [readonly number[], readonly number[]] {
  const [low, high] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  for (const i of movedBy) {
    const { axis, range } = movers[i]!;
    for (let k = 0; k < 3; k++) {
      low[k] = low[k]! + Math.min(axis[k]! * range[0], axis[k]! * range[1]);
      high[k] = high[k]! + Math.max(axis[k]! * range[0], axis[k]! * range[1]);
    }
  }
  return [low, high];
}

/** Each bound with what stands still, and the least that each moved group can bring to it. */
export function leastOfGroups(
  problem: TrimProblem,
  top: Highest,
  bounds: readonly Bound[],
  still: Sums,
): readonly number[] {
  const about = fromHighest(top, still);
  const groups = problem.groups.map((g) => ({ sums: fromHighest(top, g.sums), box: boxOf(problem, g.movedBy) }));
  return bounds.map(
    (b) => b.constant + valueOf(b, about) + groups.reduce((sum, g) => sum + leastOver(b, g.sums, ...g.box), 0),
  );
}

/** A bound is broken only beyond rounding: a little of `size`, its own. */
export const isBroken = (value: number, size: number): boolean => value > 1e-9 * Math.abs(size) + 1e-12;

/** False: with these washers no place of its movers meets every condition. True proves nothing. */
export function mayMeet(problem: TrimProblem, still: Sums): boolean {
  const top = highest(problem);
  const bounds = boundsOf(problem, top);
  const about = fromHighest(top, still);
  return leastOfGroups(problem, top, bounds, still).every(
    (least, j) => !isBroken(least, Math.abs(bounds[j]!.constant) + Math.abs(valueOf(bounds[j]!, about))),
  );
}
