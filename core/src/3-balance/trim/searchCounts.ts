/**
 * All ways to put washers on that may meet every condition, in the order of a wish. A branch is left out when one of the
 * conditions' bounds is broken whatever the rest and the slides do; so what is not listed is proven to be no answer.
 */
import type { Sums } from '../../1-load';
import { boundsOf, boxOf, fromHighest, highest, isBroken, leastOfGroups } from './bounds';
import { leastOver, valueOf } from './conditions';
import { stackMass, type TrimProblem } from './trimProblem';

export interface Candidates {
  /** Washers' mass of each, kg; and its counts as one number, in the radix of the stacks. */
  readonly mass: Float64Array;
  readonly code: Float64Array;
  readonly count: number;
  /** Every other way was looked at or left out with reason; false when the list was full. */
  readonly whole: boolean;
}

const MOST = 300_000;

/** `between`: only ways whose washers weigh more than the first and at most the second, kg. */
export function searchCounts(problem: TrimProblem, between: readonly [number, number]): Candidates {
  const { stacks } = problem;
  const top = highest(problem);
  const bounds = boundsOf(problem, top);
  const fromSupport = (sums: Sums): Sums => fromHighest(top, sums);
  const start = leastOfGroups(problem, top, bounds, problem.fixed);
  // The stack with the heaviest steps is set first: its branches differ most.
  const order = stacks.map((_, i) => i).sort((p, q) => stepOf(problem, q) - stepOf(problem, p));
  const rides = stacks.map((s) => (s.rides ?? []).map((r) => ({ ...r, box: boxOf(problem, r.movedBy) })));
  const values = order.map((i) =>
    stacks[i]!.byCount.map((s, n) =>
      Float64Array.from(bounds, (b) =>
        rides[i]!.reduce(
          (sum, r) => sum + leastOver(b, fromSupport(r.byCount[n]!), ...r.box),
          valueOf(b, fromSupport(s)),
        ),
      ),
    ),
  );
  const masses = order.map((i) => Float64Array.from(stacks[i]!.byCount, (_, n) => stackMass(stacks[i]!, n)));
  const radix = radixOf(problem);
  const weights = order.map((i) => radix[i]!);
  const depth = order.length;
  // Least of each bound, and of the mass, over what is not set yet.
  const rest = Array.from({ length: depth + 1 }, () => new Float64Array(bounds.length));
  // Washers of one kind, over all their bolts, are no more than there are.
  const kinds = problem.atHand ? [...new Set(stacks.flatMap((s) => [...(s.takes?.keys() ?? [])]))] : [];
  const takes = order.map((i) => kinds.map((kind) => stacks[i]!.takes?.get(kind) ?? 0));
  const room = kinds.map(
    (kind) =>
      (problem.atHand!.get(kind) ?? 0) - stacks.reduce((sum, s) => sum + s.least * (s.takes?.get(kind) ?? 0), 0),
  );
  const restMost = new Float64Array(depth + 1);
  const restLeast = new Float64Array(depth + 1);
  for (let k = depth - 1; k >= 0; k--) {
    for (let j = 0; j < bounds.length; j++)
      rest[k]![j] = rest[k + 1]![j]! + values[k]!.reduce((least, v) => Math.min(least, v[j]!), Infinity);
    restMost[k] = restMost[k + 1]! + Math.max(...masses[k]!);
    restLeast[k] = restLeast[k + 1]! + Math.min(...masses[k]!);
  }
  const sums = Array.from({ length: depth + 1 }, () => new Float64Array(bounds.length));
  sums[0]!.set(start);
  const mass: number[] = [];
  const code: number[] = [];
  let whole = true;
  const [over, most] = between;
  const left = [...room];
  const visit = (k: number, added: number, packed: number): void => {
    if (!whole || added + restLeast[k]! > most || added + restMost[k]! <= over) return;
    const here = sums[k]!;
    for (let j = 0; j < here.length; j++) if (isBroken(here[j]! + rest[k]![j]!, start[j]!)) return;
    if (k === depth) {
      if (mass.length >= MOST) whole = false;
      else {
        mass.push(added);
        code.push(packed);
      }
      return;
    }
    const next = sums[k + 1]!;
    const taken = takes[k]!;
    for (let n = 0; n < values[k]!.length; n++) {
      if (taken.some((each, t) => each * n > left[t]!)) break;
      const one = values[k]![n]!;
      for (let j = 0; j < here.length; j++) next[j] = here[j]! + one[j]!;
      taken.forEach((each, t) => (left[t]! -= each * n));
      visit(k + 1, added + masses[k]![n]!, packed + n * weights[k]!);
      taken.forEach((each, t) => (left[t]! += each * n));
    }
  };
  if (room.every((r) => r >= 0)) visit(0, 0, 0);
  return { mass: Float64Array.from(mass), code: Float64Array.from(code), count: mass.length, whole };
}

const stepOf = ({ stacks }: TrimProblem, i: number): number => {
  const stack = stacks[i]!;
  return stack.byCount.length > 1 ? stackMass(stack, 1) - stackMass(stack, 0) : 0;
};

/** Weight of each stack's count in a code. */
export function radixOf({ stacks }: TrimProblem): readonly number[] {
  let weight = 1;
  return stacks.map((s) => {
    const own = weight;
    weight *= s.byCount.length;
    return own;
  });
}

export function countsOf(problem: TrimProblem, code: number): readonly number[] {
  const radix = radixOf(problem);
  return problem.stacks.map((s, i) => Math.floor(code / radix[i]!) % s.byCount.length);
}

export const combinationsOf = ({ stacks }: TrimProblem): number => stacks.reduce((n, s) => n * s.byCount.length, 1);
