/**
 * What to move so that a pan does not lean: both products of inertia about the pivot to zero at once, with the rig level
 * as before, and with the strips and rods counted that carry weights to their new places; the best that reach and travel allow.
 */
import { add, addMatrix, scale, solveDefinite, type Change } from '../../0-base';
import { addSums, NO_SUMS, type Sums } from '../../1-load';
import { dropOnJoint } from '../trim/conditions';
import { panRigOf, smallLean } from './panReading';
import { panWays, type PanInput, type PanMove, type PanWay } from './panWays';

export interface PanPlan {
  readonly moves: readonly PanMove[];
  /** Which lean, and what part of it: one, or less where nothing may be moved so far. */
  readonly takes: 'both' | 'nose' | 'sides';
  readonly takesAway: number;
  /** From level in pitch, s; null where it would turn over. */
  readonly dropPitch: number | null;
  readonly changes: readonly Change[];
}

/** Less than a hand sets by eye, m. */
const LEAST = 5e-4;
/** A lean under a third of a degree in a usual pan, 45° a second, is not seen. */
const SEEN = 0.006;
const SEEN_AT = Math.PI / 4;
/** Ways of moving looked at, those that do most first; all pairs and threes of them are tried, and fours of fewer. */
const LOOKED_AT = 18;
const LOOKED_AT_BY_FOURS = 12;
const AT_MOST = 4;
/** Of those, so many are worked out with what carries the weights. */
const WORKED_OUT = 40;
const PLANS = 3;
/** A tenth taken away, or it is not worth a move. */
const WORTHWHILE = 0.1;
/** Newton's steps, and where they end: m. */
const STEPS = 12;
const CLOSE = 1e-9;
/** For how a way's sums change at a place, m. */
const APART = 1e-5;
/** Nothing of a sum, kg m or kg m². */
const NOUGHT = 1e-9;

/** Sums that must change by so much: products that lean, and first moments, which must not change at all. */
interface Goal {
  readonly of: (sums: Sums) => number;
  readonly slope: (way: PanWay) => number;
  readonly target: number;
}

/**
 * First what keeps the height of the mass centre too, and so about its drop; then the fewest and smallest moves. Where nothing
 * takes away both leans, what takes away the larger and leaves the other. Empty where nothing is seen to lean. For a worker: some tenths of a second.
 */
export function panPlans(input: PanInput): readonly PanPlan[] {
  const rig = panRigOf(input.hung);
  const lean = smallLean(rig, SEEN_AT);
  const seen = [Math.abs(lean.noseUp) > SEEN, Math.abs(lean.leftUp) > SEEN] as const;
  if (!seen[0] && !seen[1]) return [];
  const ways = panWays(input);
  const product = (i: 0 | 1, away: boolean): Goal => ({
    of: (s) => s.inertia[i][2],
    slope: (w) => (i === 0 ? w.xz : w.yz),
    target: away ? -rig.inertia[i][2] : 0,
  });
  const level = ([0, 1] as const).map((i): Goal => ({ of: (s) => s.first[i], slope: (w) => w.first[i], target: 0 }));
  const height: Goal = { of: (s) => s.first[2] - rig.fromPivot[2] * s.mass, slope: (w) => w.first[2], target: 0 };
  const goals = (which: readonly [boolean, boolean]): readonly Goal[] => [
    product(0, which[0]),
    product(1, which[1]),
    ...level,
  ];
  const plan = ({ set, by, part, sums }: Worked, takes: PanPlan['takes']): PanPlan => {
    const moves = set.map((w, i) => w.move(by[i]!));
    const about = {
      mass: rig.mass + sums.mass,
      first: add(scale(rig.fromPivot, rig.mass), sums.first),
      inertia: addMatrix(rig.inertia, sums.inertia),
    };
    return {
      moves,
      takes,
      takesAway: part,
      dropPitch: about.first[2] < 0 ? dropOnJoint(input.hung.pivot, about) : null,
      changes: moves.flatMap((m) => m.changes),
    };
  };
  const both = seen[0] && seen[1];
  const kept = search(ways, seen, [...goals(seen), height]).filter((f) => f.part === 1);
  const found = search(ways, seen, goals(seen));
  const plans = [...kept.slice(0, 1), ...found]
    .map((f) => plan(f, both ? 'both' : seen[0] ? 'nose' : 'sides'))
    .filter(different)
    .slice(0, PLANS);
  if (plans.length > 0 || !both) return plans;
  const larger = Math.abs(lean.noseUp) >= Math.abs(lean.leftUp);
  const one = [larger, !larger] as const;
  return search(ways, one, goals(one))
    .map((f) => plan(f, larger ? 'nose' : 'sides'))
    .filter(different)
    .slice(0, PLANS);
}

/** What takes all of it away, the shortest moves first, of the fewest things that can; else the one that takes away most. */
function search(all: readonly PanWay[], seen: readonly [boolean, boolean], goals: readonly Goal[]): readonly Worked[] {
  const does = (w: PanWay): number =>
    Math.max(seen[0] ? Math.abs(w.xz) : 0, seen[1] ? Math.abs(w.yz) : 0) + 0.05 * Math.hypot(w.first[0], w.first[1]);
  const ways = [...all].sort((a, b) => does(b) - does(a)).slice(0, LOOKED_AT);
  const found: Worked[] = [];
  for (let size = 1; size <= AT_MOST && !found.some((f) => f.part === 1); size++) {
    const sets = setsOf(size === AT_MOST ? ways.slice(0, LOOKED_AT_BY_FOURS) : ways, size).flatMap((set) =>
      straight(set, goals),
    );
    for (const { set, by } of sets.sort((a, b) => b.part - a.part || a.most - b.most).slice(0, WORKED_OUT)) {
      const worked = workedOut(set, by, goals);
      if (worked) found.push(worked);
    }
  }
  const whole = found.filter((f) => f.part === 1).sort((a, b) => a.most - b.most);
  return whole.length > 0 ? whole : found.sort((a, b) => worth(b) - worth(a)).slice(0, 1);
}

interface Tried {
  readonly set: readonly PanWay[];
  readonly by: readonly number[];
  readonly part: number;
  /** The longest of its moves, m. */
  readonly most: number;
}
interface Worked extends Tried {
  readonly sums: Sums;
}

/** One more thing to move is worth it for a tenth more taken away. */
const worth = ({ part, set }: Worked): number => part - 0.1 * set.length;
/** Not three plans with the same things. */
const different = (plan: PanPlan, i: number, all: readonly PanPlan[]): boolean =>
  all.slice(0, i).every((o) => o.moves.some((m) => !plan.moves.some((n) => n.id === m.id)));
const longest = (by: readonly number[]): number => Math.max(...by.map(Math.abs));
/** How much of it the ranges allow, from zero to one. */
const partOf = (set: readonly PanWay[], by: readonly number[]): number =>
  set.reduce((least, w, i) => Math.min(least, Math.max(0, w.range[by[i]! > 0 ? 1 : 0] / by[i]!)), 1);

/** As if nothing had to carry the weights: which ways go together at all, and how far about. */
function straight(set: readonly PanWay[], goals: readonly Goal[]): readonly Tried[] {
  if (new Set(set.map((w) => w.id)).size < set.length || set.some((w) => set.some((o) => w.rides.includes(o.id))))
    return [];
  const rows = goals
    .map((g) => ({ row: set.map(g.slope), target: g.target }))
    .filter(({ row, target }) => target !== 0 || row.some((x) => Math.abs(x) > NOUGHT));
  const by = solve(rows, set.length);
  if (!by || by.some((u) => Math.abs(u) < LEAST)) return [];
  const part = partOf(set, by);
  return part > WORTHWHILE / 2 ? [{ set, by, part, most: longest(by) }] : [];
}

/** With what carries them; where the ranges do not allow all of it, as much of it as they do. */
function workedOut(set: readonly PanWay[], from: readonly number[], goals: readonly Goal[]): Worked | null {
  let part = 1;
  let start = from;
  for (let i = 0; i < 6; i++) {
    const by = reached(
      set,
      start,
      goals.map((g) => ({ ...g, target: part * g.target })),
    );
    if (!by) {
      // A move so short that a strip cannot make it may do as part of a longer way; one out of reach as a shorter.
      const allowed = partOf(set, start);
      if (i > 0 || allowed === 1) return null;
      part = allowed;
      start = start.map((u) => u * allowed);
      continue;
    }
    const allowed = partOf(set, by);
    if (allowed >= 1 - 1e-9)
      return by.some((u) => Math.abs(u) < LEAST) || part < WORTHWHILE
        ? null
        : { set, by, part, most: longest(by), sums: sumsAt(set, by)! };
    part *= allowed * 0.999;
    start = by.map((u) => u * allowed);
  }
  return null;
}

function sumsAt(set: readonly PanWay[], by: readonly number[]): Sums | null {
  return set.reduce<Sums | null>((sum, way, i) => {
    const change = sum && way.change(by[i]!);
    return change && addSums(sum, change);
  }, NO_SUMS);
}

/** Newton's method on the goals, of more ways than goals by the least change; null where it goes nowhere or a way cannot be put there. */
function reached(set: readonly PanWay[], from: readonly number[], goals: readonly Goal[]): readonly number[] | null {
  let by = from;
  for (let i = 0; i < STEPS; i++) {
    const here = set.map((way, k) => way.change(by[k]!));
    const there = set.map((way, k) => way.change(by[k]! + APART));
    if (!here.every((s) => s !== null) || !there.every((s) => s !== null)) return null;
    const total = here.reduce(addSums, NO_SUMS);
    const rows = goals.map((g) => ({
      row: set.map((_, k) => (g.of(there[k]!) - g.of(here[k]!)) / APART),
      target: g.target - g.of(total),
      wanted: g.target,
    }));
    const step = solve(
      rows.filter(({ row, target }) => Math.abs(target) > NOUGHT || row.some((x) => Math.abs(x) > 1e-6)),
      set.length,
    );
    if (!step) return null;
    by = by.map((u, k) => u + step[k]!);
    if (longest(step) < CLOSE) return by;
  }
  return null;
}

function setsOf<T>(all: readonly T[], size: number): readonly (readonly T[])[] {
  if (size === 0) return [[]];
  return all.flatMap((first, i) => setsOf(all.slice(i + 1), size - 1).map((rest) => [first, ...rest]));
}

/** Of all that meet the rows the one of least size, by the normal equations of the rows brought to one size; null where there are more rows than things to move, or they do not stand apart. */
function solve(
  rows: readonly { readonly row: readonly number[]; readonly target: number }[],
  size: number,
): readonly number[] | null {
  if (rows.length === 0 || rows.length > size || rows.some(({ row }) => row.every((x) => Math.abs(x) <= NOUGHT)))
    return null;
  const unit = rows.map(({ row, target }) => {
    const long = Math.hypot(...row);
    return { row: row.map((x) => x / long), target: target / long };
  });
  const gram = unit.map((a) => unit.map((b) => a.row.reduce((sum, x, i) => sum + x * b.row[i]!, 0)));
  const weights = solveDefinite(
    gram,
    unit.map((u) => u.target),
  );
  const by = unit[0]!.row.map((_, i) => unit.reduce((sum, u, k) => sum + weights[k]! * u.row[i]!, 0));
  const largest = Math.max(...unit.map((u) => Math.abs(u.target)));
  return by.every(Number.isFinite) &&
    unit.every((u) => Math.abs(u.row.reduce((sum, x, i) => sum + x * by[i]!, 0) - u.target) <= 1e-6 * largest)
    ? by
    : null;
}
