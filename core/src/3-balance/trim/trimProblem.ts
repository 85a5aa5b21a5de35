/** What can be set on a rig to balance it, brought to sums: slides and threads that move groups or the support, bolts with their counts. */
import { unit, ZERO, type Vec3 } from '../../0-base';
import { addSums, moveSums, NO_SUMS, sumsOfOne, type Sums } from '../../1-load';
import {
  countOf,
  keptAs,
  shiftOf,
  stackSums,
  valuesInOrder,
  washerName,
  type AdjusterValues,
  type Assembly,
  type AtHand,
} from '../../2-frame';
import type { Condition } from './conditions';

/** A setting with a place along a line: slide, thread, telescope, hole row or mark. */
export interface Mover {
  readonly id: string;
  readonly axis: Vec3;
  readonly range: readonly [number, number];
  /** The hand's least step, m; zero where any place can be set. */
  readonly step: number;
  readonly now: number;
}
export interface MovedGroup {
  /** Indices of movers, and what they carry together with all of them at zero. */
  readonly movedBy: readonly number[];
  readonly sums: Sums;
}
export interface Riding {
  readonly movedBy: readonly number[];
  readonly byCount: readonly Sums[];
}
export interface StackChoice {
  readonly id: string;
  /** The count of byCount[0]; the others follow by ones. */
  readonly least: number;
  readonly now: number;
  readonly byCount: readonly Sums[];
  /** Of its bolts that movers carry about: by which, and what is on them at each count with those movers at zero; not in `byCount`. */
  readonly rides?: readonly Riding[];
  /** What one of the count takes of what is at hand, by `keptAs`; left out: nothing that is counted there. */
  readonly takes?: ReadonlyMap<string, number>;
}
export interface TrimProblem {
  readonly movers: readonly Mover[];
  readonly groups: readonly MovedGroup[];
  readonly stacks: readonly StackChoice[];
  /** What no mover moves, bolts bare. */
  readonly fixed: Sums;
  /** Where it is borne with all movers at zero, m, and the movers that move that place. */
  readonly support: Vec3;
  readonly supportMovedBy: readonly number[];
  readonly conditions: readonly Condition[];
  /** Washers left for these stacks; null or left out: as many as are wanted. */
  readonly atHand?: AtHand;
  /** What no sum tells of a set-up that meets all conditions, as whether it goes in the bag: by counts (indices into byCount) and settings. */
  readonly accepts?: (counts: readonly number[], settings: readonly number[]) => boolean;
}

export interface BorneBy {
  readonly carries: ReadonlySet<string>;
  readonly at: Vec3;
  /** Adjusters (indices) that move the place it is borne at. */
  readonly movedBy: readonly number[];
}

export function trimProblem(
  assembly: Assembly,
  values: AdjusterValues,
  borne: BorneBy,
  conditions: readonly Condition[],
): TrimProblem {
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const stacks = assembly.stacks.filter((s) => borne.carries.has(s.body));
  const free = rig.adjusters.flatMap((a, i) => (a.kind !== 'count' && a.axis ? [i] : []));
  const place = new Map(free.map((adjuster, n) => [adjuster, n]));
  const own = (movedBy: readonly number[]): readonly number[] => movedBy.flatMap((i) => place.get(i) ?? []);
  const still = (movedBy: readonly number[]): Vec3 =>
    shiftOf(
      rig,
      movedBy.filter((i) => !place.has(i)),
      inOrder,
    );
  let fixed = NO_SUMS;
  const groups = new Map<string, MovedGroup>();
  const put = (movedBy: readonly number[], sums: Sums): void => {
    if (movedBy.length === 0) fixed = addSums(fixed, sums);
    else groups.set(movedBy.join(), { movedBy, sums: addSums(groups.get(movedBy.join())?.sums ?? NO_SUMS, sums) });
  };
  for (const piece of assembly.pieces) {
    if (!borne.carries.has(piece.body)) continue;
    put(own(piece.movedBy), moveSums(sumsOfOne(piece.flat), still(piece.movedBy)));
  }
  const choices = new Map<number, StackChoice>();
  for (const stack of stacks) {
    const shift = still(stack.movedBy);
    const movedBy = own(stack.movedBy);
    const at = (count: number): Sums => moveSums(stackSums(stack, count), shift);
    if (stack.countedBy === null) put(movedBy, at(stack.station.count));
    else {
      const adjuster = rig.adjusters[stack.countedBy]!;
      const least = Math.ceil(adjuster.range[0]);
      const byCount = Array.from({ length: Math.floor(adjuster.range[1]) - least + 1 }, (_, n) => at(least + n));
      // One count may set several bolts at once: a pair, left and right.
      const pair = choices.get(stack.countedBy);
      const name = keptAs(washerName(stack.station));
      const takes = new Map(pair?.takes).set(name, (pair?.takes?.get(name) ?? 0) + 1);
      const before = pair?.byCount ?? byCount.map(() => NO_SUMS);
      choices.set(stack.countedBy, {
        takes,
        id: adjuster.id,
        least,
        now: Math.round(inOrder[stack.countedBy]!),
        byCount: movedBy.length === 0 ? before.map((sums, n) => addSums(sums, byCount[n]!)) : before,
        rides: movedBy.length === 0 ? (pair?.rides ?? []) : [...(pair?.rides ?? []), { movedBy, byCount }],
      });
    }
  }
  const movers = free.map((i): Mover => {
    const { id, axis, range, step } = rig.adjusters[i]!;
    return { id, axis: unit(axis!), range, step, now: inOrder[i]! };
  });
  return {
    movers,
    groups: [...groups.values()],
    stacks: [...choices.values()],
    fixed,
    support: borne.at,
    supportMovedBy: own(borne.movedBy),
    conditions,
    atHand: leftAtHand(),
  };

  /** Less what is on bolts that are not set here. */
  function leftAtHand(): AtHand {
    if (!assembly.atHand) return null;
    const left = new Map(assembly.atHand);
    for (const stack of assembly.stacks) {
      if (stack.countedBy !== null && choices.has(stack.countedBy)) continue;
      const name = keptAs(washerName(stack.station));
      left.set(name, (left.get(name) ?? 0) - countOf(stack, inOrder));
    }
    return left;
  }
}

/** Sums about the support with these counts (indices into byCount) and settings. */
export function sumsAbout(
  { movers, groups, support, supportMovedBy }: Pick<TrimProblem, 'movers' | 'groups' | 'support' | 'supportMovedBy'>,
  still: Sums,
  settings: readonly number[],
): Sums {
  const shift = (movedBy: readonly number[]): Vec3 =>
    movedBy.reduce<Vec3>(
      (s, i) => [
        s[0] + movers[i]!.axis[0] * settings[i]!,
        s[1] + movers[i]!.axis[1] * settings[i]!,
        s[2] + movers[i]!.axis[2] * settings[i]!,
      ],
      ZERO,
    );
  const all = groups.reduce((sum, g) => addSums(sum, moveSums(g.sums, shift(g.movedBy))), still);
  const [x, y, z] = shift(supportMovedBy);
  return moveSums(all, [-support[0] - x, -support[1] - y, -support[2] - z]);
}

/** What stands still with these counts (indices into byCount). */
export const withCounts = ({ fixed, stacks }: TrimProblem, counts: readonly number[]): Sums =>
  stacks.reduce((sum, s, i) => addSums(sum, s.byCount[counts[i]!]!), fixed);

/** The same problem with what these counts put on the movers among its groups. */
export function riding(problem: TrimProblem, counts: readonly number[]): TrimProblem {
  const more = problem.stacks.flatMap((s, i) =>
    (s.rides ?? []).map((r): MovedGroup => ({ movedBy: r.movedBy, sums: r.byCount[counts[i]!]! })),
  );
  return more.length === 0 ? problem : { ...problem, groups: [...problem.groups, ...more] };
}

/** Washers of one stack at a count, kg. */
export const stackMass = ({ byCount, rides }: StackChoice, count: number): number =>
  (rides ?? []).reduce((mass, r) => mass + r.byCount[count]!.mass, byCount[count]!.mass);

/** Washers put on, kg. */
export const addedBy = ({ stacks }: TrimProblem, counts: readonly number[]): number =>
  stacks.reduce((mass, s, i) => mass + stackMass(s, counts[i]!), 0);
