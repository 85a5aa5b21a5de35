/** Trim: the set-up that meets what is wanted, best by an aim and proven so, by the same means for whatever bears the rig; or what fails nearest. */
import { placedPieces, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import { addSums, type Sums } from '../../1-load';
import type { Wants } from '../../model';
import { axesIn, balancedAxes } from '../borne/turning/turning';
import { goesInBag } from './bagRemedies';
import type { ConditionId } from './conditions';
import { solveTrim, type Aim, type Solved } from './solveTrim';
import { trimProblem, type TrimProblem } from './trimProblem';
import { wantedOf, type Wanted } from './wantedOf';

export interface SetUpFound {
  readonly values: AdjusterValues;
  /** Washers on, kg. */
  readonly added: number;
  /** Of the tightest condition, as a part of what is allowed. */
  readonly slack: number;
  /** Adjusters that differ from how it stood. */
  readonly moves: number;
}
export type TrimOutcome =
  | {
      readonly kind: 'solved';
      readonly values: AdjusterValues;
      readonly addedMass: number;
      /** All that are as good by the aim, the first with most to spare. */
      readonly ties: readonly SetUpFound[];
      /** What the aim makes least: kg, moves, lean in rad, or less the calmness in kg m². */
      readonly cost: number;
      /** Cost of the next worse. */
      readonly next: number | null;
      readonly gap: Extract<Solved, { kind: 'solved' }>['gap'];
      readonly combinations: number;
      readonly looked: number;
      /** Wishes that cannot be had together with what is firm. */
      readonly unmet: readonly ConditionId[];
    }
  | {
      readonly kind: 'impossible';
      /** The nearest there is, and what it fails. */
      readonly nearest: AdjusterValues;
      readonly failing: ConditionId | null;
      /** A levelling slide that runs out, and by how much, m. */
      readonly beyond: { readonly mover: string; readonly by: number } | null;
      readonly combinations: number;
      /** False: not all ways were looked at. */
      readonly proven: boolean;
    }
  /** Axes inside axes, set from the inside out; what is left on each is for its check to judge. */
  | {
      readonly kind: 'axesSet';
      readonly values: AdjusterValues;
      readonly left: readonly { readonly name: string; readonly residual: number; readonly friction: number }[];
    }
  | { readonly kind: 'nothingBears' }
  | { readonly kind: 'nothingToSet' };

/** To a thirty-second of the way from the wish to what is firm. */
const EASED_TURNS = 5;

export interface TrimOptions {
  readonly aim?: Aim;
  /** What hangs there besides the model's bodies, by what was learned: sums about the rig's origin, added to what no slide moves. */
  readonly also?: Sums | null;
  readonly tell?: (part: number) => void;
}

export function trim(
  assembly: Assembly,
  values: AdjusterValues,
  wants: Wants,
  { aim = 'lightest', also = null, tell = () => undefined }: TrimOptions = {},
): TrimOutcome {
  const { rig } = assembly;
  if (rig.adjusters.length === 0) return { kind: 'nothingToSet' };
  const { bag } = wants;
  const goesIn = (set: AdjusterValues): boolean => !bag || goesInBag(rig, set, bag);
  const bagIsFirm = wants.firm?.includes('bag') ?? false;
  const axes = (set: AdjusterValues) => axesIn(assembly, valuesInOrder(rig, set), placedPieces(assembly, set));
  // Axes inside axes are held by a hand too, but each is balanced about itself.
  if (axes(values).length > 0) {
    const set = balancedAxes(assembly, values, axes);
    if (bagIsFirm && !goesIn(set)) return outOfBag(set, 1);
    return {
      kind: 'axesSet',
      values: set,
      left: axes(set).map((a) => ({ name: a.pivot.name, residual: a.residual, friction: a.friction })),
    };
  }
  const wanted = wantedOf(assembly, values, wants);
  if (!wanted || assembly.pieces.every((p) => !wanted.borne.carries.has(p.body))) return { kind: 'nothingBears' };
  const problem = (conditions: Wanted['firm']): TrimProblem => {
    const plain = trimProblem(assembly, values, wanted.borne, conditions);
    return {
      ...plain,
      ...(also ? { fixed: addSums(plain.fixed, also) } : {}),
      ...(bag && bagIsFirm ? { accepts: (counts, settings) => goesIn(valuesOf(plain, counts, settings)) } : {}),
    };
  };
  const all = [...wanted.firm, ...wanted.wishes];
  const whole = problem(all);
  const found = solveTrim(whole, aim, (part) => tell(part * (wanted.wishes.length > 0 ? 0.5 : 1)));
  if (found.kind === 'solved') return told(found, whole, []);
  if (wanted.wishes.length > 0) {
    const firm = problem(wanted.firm);
    const without = solveTrim(firm, aim, (part) => tell(0.5 + part / 2));
    if (without.kind === 'solved') {
      const eased = nearest(wanted);
      const [best, of] = eased ?? [without, firm];
      const [first] = best.best;
      return told(
        best,
        of,
        wanted.wishes.filter((w) => w.slack(first!.settled.about) < 0).map((w) => w.id),
      );
    }
    return impossible(without, firm);
  }
  return impossible(found, whole);

  /** What is firm, with as much of a wish as can be had: found by halving. Null where no wish can ask less. */
  function nearest({ firm, wishes }: Wanted): readonly [Extract<Solved, { kind: 'solved' }>, TrimProblem] | null {
    const wish = wishes.find((w) => w.eased);
    if (!wish) return null;
    let [none, all] = [0, 1];
    let best: readonly [Extract<Solved, { kind: 'solved' }>, TrimProblem] | null = null;
    for (let turn = 0; turn < EASED_TURNS; turn++) {
      const by = (none + all) / 2;
      const of = problem([...firm, wish.eased!(by)]);
      const found = solveTrim(of, aim);
      if (found.kind === 'solved') [best, all] = [[found, of], by];
      else none = by;
    }
    return best;
  }
  function told(
    solved: Extract<Solved, { kind: 'solved' }>,
    of: TrimProblem,
    unmet: readonly ConditionId[],
  ): TrimOutcome {
    const set = solved.best.map((f) => ({
      values: valuesOf(of, f.counts, f.settled.settings),
      added: f.added,
      slack: f.settled.slack,
      moves: f.moves,
    }));
    // Of ways as good, one that goes in the bag comes first.
    const ties = bag ? [...set].sort((a, b) => Number(goesIn(b.values)) - Number(goesIn(a.values))) : set;
    const [first] = ties as [SetUpFound];
    const inBag = goesIn(first.values);
    return {
      kind: 'solved',
      values: first.values,
      addedMass: first.added,
      cost: solved.best[0]!.cost,
      next: solved.next,
      gap: solved.gap,
      combinations: solved.combinations,
      looked: solved.looked,
      unmet: inBag ? unmet : [...unmet, 'bag'],
      ties,
    };
  }
  /** It balances, but not as something that goes in the bag, in none of the ways that were packed. */
  function outOfBag(nearest: AdjusterValues, combinations: number): TrimOutcome {
    return { kind: 'impossible', nearest, failing: 'bag', beyond: null, combinations, proven: false };
  }
  function impossible(none: Extract<Solved, { kind: 'none' }>, of: TrimProblem): TrimOutcome {
    if (none.refused)
      return outOfBag(valuesOf(of, none.refused.counts, none.refused.settled.settings), none.combinations);
    return {
      kind: 'impossible',
      nearest: none.nearest ? valuesOf(of, none.nearest.counts, none.nearest.settled.settings) : values,
      // With washers enough it could be done: then it is the bin that is in the way.
      ...(of.atHand && solveTrim(anyNumber(of)).kind === 'solved'
        ? { failing: 'bin' as const, beyond: null }
        : { failing: none.nearest?.settled.tightest ?? null, beyond: none.nearest?.settled.beyond ?? null }),
      combinations: none.combinations,
      proven: none.proven,
    };
  }
}

/** The same with washers enough. */
const anyNumber = (problem: TrimProblem): TrimProblem => ({ ...problem, atHand: null });

export function valuesOf(
  problem: Pick<TrimProblem, 'movers' | 'stacks'>,
  counts: readonly number[],
  settings: readonly number[],
): AdjusterValues {
  return {
    ...Object.fromEntries(problem.movers.map((m, i) => [m.id, settings[i]! + 0])),
    ...Object.fromEntries(problem.stacks.map((s, i) => [s.id, s.least + counts[i]!])),
  };
}
