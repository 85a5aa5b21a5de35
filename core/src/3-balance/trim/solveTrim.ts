/** The best set-up of a trim problem by one aim, with its proof: nothing that could beat it was left out. */
import { USUAL_PAN } from '../pan/usualPan';
import { addedBy, riding, stackMass, sumsAbout, withCounts, type TrimProblem } from './trimProblem';
import { leanInPan } from './conditions';
import { combinationsOf, countsOf, searchCounts, type Candidates } from './searchCounts';
import { BOXES_IN_ALL, MET, rolesOf, settle, type Effort, type Roles, type Settled } from './settle';
import type { Sums } from '../../1-load';

export type Aim = 'lightest' | 'calmest' | 'fewestMoves' | 'steadiestPan';
export interface Found {
  /** Washers on each stack, in the problem's order. */
  readonly counts: readonly number[];
  readonly settled: Settled;
  readonly added: number;
  /** Settings and counts that differ from now. */
  readonly moves: number;
  /** What the aim makes least. */
  readonly cost: number;
}
export type Solved =
  | {
      readonly kind: 'solved';
      /** The best, and others that are as good, the one with most to spare first. */
      readonly best: readonly Found[];
      /** Cost of the next that is worse; null when none was found or it was not looked for. */
      readonly next: number | null;
      /** Null: proven. Else how much better another could be at most, and how many of how many were looked at; all of them where only the heights between those tried are open. */
      readonly gap: { readonly atMost: number; readonly looked: number; readonly of: number } | null;
      readonly combinations: number;
      readonly looked: number;
    }
  | {
      readonly kind: 'none';
      readonly nearest: Found | null;
      /** Met all conditions and was not accepted. */ readonly refused: Found | null;
      readonly combinations: number;
      readonly looked: number;
      readonly proven: boolean;
    };

/** Set-ups settled at most; each is some microseconds. */
const LOOKED_AT_MOST = 60_000;
/** Set-ups refused, each after some milliseconds of packing, before it gives up. */
const REFUSED_AT_MOST = 150;
/** Equal costs, as a part of them. */
const TIE = 1e-9;
const TIES_AT_MOST = 60;
/** Washers differ by more than this, kg: a portion this small is one mass. */
const LEAST_PORTION = 1e-7;

/** `lookedAtMost`: set-ups settled before it gives up and says so. */
export function solveTrim(
  problem: TrimProblem,
  aim: Aim = 'lightest',
  tell: (part: number) => void = () => undefined,
  lookedAtMost = LOOKED_AT_MOST,
): Solved {
  const roles = rolesOf(problem);
  const combinations = combinationsOf(problem);
  const effort: Effort = { boxes: BOXES_IN_ALL };
  return aim === 'lightest'
    ? lightest(problem, roles, combinations, effort, tell, lookedAtMost)
    : byAim(problem, roles, aim, combinations, effort, tell, lookedAtMost);
}

/** By rising mass, in ever larger portions: the first that meets all is the lightest. */
function lightest(
  problem: TrimProblem,
  roles: Roles,
  combinations: number,
  effort: Effort,
  tell: (part: number) => void,
  lookedAtMost: number,
): Solved {
  const least = problem.stacks.reduce((m, s) => m + Math.min(...s.byCount.map((_, n) => stackMass(s, n))), 0);
  const most = problem.stacks.reduce((m, s) => m + Math.max(...s.byCount.map((_, n) => stackMass(s, n))), 0);
  const best: Found[] = [];
  let nearest: Found | null = null;
  // The lightest way that was given up with places between those tried left open.
  let open = Infinity;
  const refused: Found[] = [];
  let [looked, next, over]: [number, number | null, number] = [0, null, -Infinity];
  let portion = Math.max((most - least) / 16, 1e-6);
  let to = least + portion;
  while (over < most) {
    const found = searchCounts(problem, [over, Math.min(to, most)]);
    const from = Math.max(over, least);
    if (!found.whole && to - from > LEAST_PORTION) {
      // More than a list holds: the same masses in smaller portions, so that none is passed over.
      to = from + (portion = (to - from) / 8);
      continue;
    }
    for (const k of byMass(found)) {
      const mass = found.mass[k]!;
      if (best.length > 0 && mass > best[0]!.cost * (1 + TIE) + 1e-12 && next !== null) break;
      if (!found.whole) return unproven(best, nearest, refused, mass, looked, found.count, combinations);
      if (looked >= lookedAtMost || refused.length >= REFUSED_AT_MOST)
        return best.length > 0
          ? solved()
          : { kind: 'none', nearest, refused: refused[0] ?? null, combinations, looked, proven: false };
      looked++;
      const one = foundAt(problem, roles, countsOf(problem, found.code[k]!), 'lightest', effort);
      if (one.settled.slack < MET) {
        if (!one.settled.sure) open = Math.min(open, mass);
        if (!nearest || one.settled.slack > nearest.settled.slack) nearest = one;
      } else if (!isAccepted(problem, one)) {
        // Set otherwise, it might be.
        open = Math.min(open, mass);
        refused.push(one);
      } else if (best.length === 0 || mass <= best[0]!.cost * (1 + TIE) + 1e-12) {
        if (best.length < TIES_AT_MOST) best.push(one);
      } else next ??= mass;
    }
    over = to;
    tell(Math.min(1, (to - least) / (most - least || 1)));
    if (best.length > 0 && (next !== null || over >= most)) break;
    to += portion *= 2;
  }
  if (best.length === 0)
    return {
      kind: 'none',
      nearest: nearest ?? nearestOf(problem, roles),
      refused: refused[0] ?? null,
      combinations,
      looked,
      proven: open === Infinity,
    };
  return solved();

  // Every lighter way was looked at before: what is found is proven, whether or not the next worse is known.
  function solved(): Solved {
    const gap = best[0]!.cost - open;
    return {
      kind: 'solved',
      best: withMostToSpareFirst(best),
      next,
      gap: gap > 0 ? { atMost: gap, looked, of: looked } : null,
      combinations,
      looked,
    };
  }
}

const byMass = (found: Candidates): Uint32Array =>
  Uint32Array.from({ length: found.count }, (_, i) => i).sort((a, b) => found.mass[a]! - found.mass[b]!);

const isAccepted = ({ accepts }: TrimProblem, { counts, settled }: Found): boolean =>
  !accepts || accepts(counts, settled.settings);

function unproven(
  best: readonly Found[],
  nearest: Found | null,
  refused: readonly Found[],
  lower: number,
  looked: number,
  of: number,
  combinations: number,
): Solved {
  if (best.length === 0)
    return { kind: 'none', nearest, refused: refused[0] ?? null, combinations, looked, proven: false };
  return {
    kind: 'solved',
    best: withMostToSpareFirst(best),
    next: null,
    gap: { atMost: Math.max(0, best[0]!.cost - lower), looked, of },
    combinations,
    looked,
  };
}

/** Any other aim: each candidate has a cost it cannot beat; in that order, until the best found beats all that are left. */
function byAim(
  problem: TrimProblem,
  roles: Roles,
  aim: Exclude<Aim, 'lightest'>,
  combinations: number,
  effort: Effort,
  tell: (part: number) => void,
  lookedAtMost: number,
): Solved {
  const found = searchCounts(problem, [-Infinity, Infinity]);
  const floor = Float64Array.from({ length: found.count }, (_, k) =>
    floorOf(problem, countsOf(problem, found.code[k]!), aim),
  );
  const order = Uint32Array.from({ length: found.count }, (_, i) => i).sort(
    (a, b) => floor[a]! - floor[b]! || found.mass[a]! - found.mass[b]!,
  );
  let best: Found[] = [];
  let nearest: Found | null = null;
  let looked = 0;
  // The least that a way looked at, and not ruled out, could cost at another place of its slides.
  let open = Infinity;
  const refused: Found[] = [];
  for (const k of order) {
    if (best.length > 0 && floor[k]! > best[0]!.cost + TIE * Math.abs(best[0]!.cost)) break;
    if (looked >= lookedAtMost || refused.length >= REFUSED_AT_MOST)
      return best.length === 0
        ? { kind: 'none', nearest, refused: refused[0] ?? null, combinations, looked, proven: false }
        : solved(Math.min(open, floor[k]!), found.count);
    if (++looked % 16 === 0) tell(looked / Math.min(found.count, lookedAtMost));
    const one = foundAt(problem, roles, countsOf(problem, found.code[k]!), aim, effort);
    // Of moves a way is settled with the fewest; of calm and lean only at the places tried.
    if (one.settled.slack >= MET ? aim !== 'fewestMoves' || !one.settled.sure : !one.settled.sure)
      open = Math.min(open, floor[k]!);
    if (one.settled.slack < MET) {
      if (!nearest || one.settled.slack > nearest.settled.slack) nearest = one;
    } else if (!isAccepted(problem, one)) {
      open = Math.min(open, floor[k]!);
      refused.push(one);
    } else if (best.length === 0 || one.cost < best[0]!.cost - TIE * Math.abs(best[0]!.cost)) best = [one];
    else if (one.cost <= best[0]!.cost + TIE * Math.abs(best[0]!.cost) && best.length < TIES_AT_MOST) best.push(one);
  }
  if (best.length === 0)
    return {
      kind: 'none',
      nearest: nearest ?? nearestOf(problem, roles),
      refused: refused[0] ?? null,
      combinations,
      looked,
      proven: found.whole && open === Infinity,
    };
  return solved(found.whole ? open : -Infinity, looked);

  function solved(least: number, of: number): Solved {
    const atMost = best[0]!.cost - least;
    return {
      kind: 'solved',
      best: withMostToSpareFirst(best),
      next: null,
      gap: atMost > TIE * Math.abs(best[0]!.cost) ? { atMost, looked, of } : null,
      combinations,
      looked,
    };
  }
}

const withMostToSpareFirst = (best: readonly Found[]): readonly Found[] =>
  [...best].sort((a, b) => b.settled.slack - a.settled.slack);

/** Nothing with these counts costs less by this aim. */
function floorOf(problem: TrimProblem, counts: readonly number[], aim: Exclude<Aim, 'lightest'>): number {
  if (aim === 'fewestMoves')
    return counts.reduce((n, c, i) => n + Number(problem.stacks[i]!.least + c !== problem.stacks[i]!.now), 0);
  if (aim === 'steadiestPan') return 0;
  // Each inertia is a square of the slides' places, so it is largest with them at their ends; not both at the same ends.
  const still = withCounts(problem, counts);
  const ends = [0, 1].map((e) => problem.movers.map((m) => m.range[e]!));
  const corners = problem.movers.reduce<number[][]>(
    (all, _, i) =>
      all.flatMap((c) => [
        [...c, ends[0]![i]!],
        [...c, ends[1]![i]!],
      ]),
    [[]],
  );
  const loaded = riding(problem, counts);
  const most = (axis: 0 | 1): number =>
    Math.max(...corners.map((c) => sumsAbout(loaded, still, c).inertia[axis][axis]));
  return -Math.sqrt(most(0) * most(1));
}

/** What tells two places of the same washers apart; null: the one with most to spare will do. */
const COST_OF_PLACE: Readonly<Record<Exclude<Aim, 'fewestMoves'>, ((about: Sums) => number) | null>> = {
  lightest: null,
  calmest: (about) => -calmnessOf(about),
  steadiestPan: (about) => leanInPan(about, USUAL_PAN),
};

/** Of pitch and roll the product's root, kg m²: what resists a nudge either way. */
const calmnessOf = ({ inertia }: Sums): number => Math.sqrt(Math.max(0, inertia[0][0] * inertia[1][1]));

export function foundAt(
  problem: TrimProblem,
  roles: Roles,
  counts: readonly number[],
  aim: Aim,
  effort?: Effort,
): Found {
  const still = withCounts(problem, counts);
  const loaded = riding(problem, counts);
  const settled =
    aim === 'fewestMoves'
      ? withFewestMoved(loaded, roles, still, effort)
      : settle(loaded, roles, still, undefined, COST_OF_PLACE[aim], effort);
  const moves =
    counts.reduce((n, c, i) => n + Number(problem.stacks[i]!.least + c !== problem.stacks[i]!.now), 0) +
    movedOf(problem, settled);
  const added = addedBy(problem, counts);
  const cost =
    aim === 'lightest'
      ? added
      : aim === 'fewestMoves'
        ? moves
        : aim === 'calmest'
          ? -calmnessOf(settled.about)
          : leanInPan(settled.about, USUAL_PAN);
  return { counts, settled, added, moves, cost };
}

const movedOf = ({ movers }: TrimProblem, { settings }: Settled): number =>
  movers.reduce((n, m, i) => n + Number(Math.abs(settings[i]! - m.now) > Math.max(m.step / 2, 1e-9)), 0);

/** As few slides as will do: none, one, then more. */
function withFewestMoved(problem: TrimProblem, roles: Roles, still: Sums, effort?: Effort): Settled {
  const used = [...roles.foreAft, ...roles.sideways, ...roles.height];
  const subsets = Array.from({ length: 1 << used.length }, (_, bits) => used.filter((_u, n) => (bits >> n) & 1)).sort(
    (a, b) => a.length - b.length,
  );
  let last: Settled | null = null;
  let sure = true;
  for (const free of subsets) {
    last = settle(problem, roles, still, (i) => free.includes(i), null, effort);
    if (last.slack >= MET) return { ...last, sure };
    sure &&= last.sure;
  }
  return { ...last!, sure };
}

/** Where no way passes even the bounds: the least bad of full, empty and present counts. */
function nearestOf(problem: TrimProblem, roles: Roles): Found | null {
  const tries = [
    problem.stacks.map((s) => s.byCount.length - 1),
    problem.stacks.map(() => 0),
    problem.stacks.map((s) => Math.min(s.byCount.length - 1, Math.max(0, s.now - s.least))),
  ];
  return tries
    .map((c) => foundAt(problem, roles, c, 'lightest'))
    .reduce<Found | null>((a, b) => (a === null || b.settled.slack > a.settled.slack ? b : a), null);
}
