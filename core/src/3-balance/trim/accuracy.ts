/**
 * What must be accurate: how far each figure of the build may be off before the slides and threads can no longer mend it
 * with the washers as they are; alone, and all together by chance. To first order in each figure about the set-up.
 */
import { normalDraws } from '../../0-base';
import { addScaledSums, moveSums, type Sums } from '../../1-load';
import { MET, rolesOf, settle } from './settle';
import type { TrimProblem } from './trimProblem';
import type { ConditionId } from './conditions';

/** A figure that may be off: by one `unit` of it the sums about the support change by `change`. */
export interface Unsure {
  readonly id: string;
  readonly name: string;
  readonly kind: 'length' | 'angle' | 'mass';
  /** One of its standard uncertainty as built, in its own unit (m, rad, kg): how well a maker keeps to it. */
  readonly spread: number;
  /** Further than this is another rig, same unit. */
  readonly most: number;
  /** Per m, rad or kg. */
  readonly change: Sums;
}
export interface Leeway {
  readonly id: string;
  readonly name: string;
  readonly kind: Unsure['kind'];
  readonly spread: number;
  /** Smaller and larger by this much can still be trimmed; null: it does not matter within `most`. */
  readonly less: number | null;
  readonly more: number | null;
  /** What fails first. */
  readonly fails: ConditionId | null;
  /** Spreads that go into the tighter side: under two it must be kept to with care. */
  readonly spreads: number;
}
export interface Chance {
  readonly builds: number;
  /** Part of all builds that the adjusters bring into the pool with the washers as they are. */
  readonly part: number;
  /** One standard uncertainty of that part, from how many were drawn. */
  readonly uncertain: number;
}
export interface Accuracy {
  readonly leeway: readonly Leeway[];
  readonly chance: Chance;
  /** With this much more travel each way on one of the movers, m. */
  readonly withMore: readonly { readonly mover: string; readonly by: number; readonly part: number }[];
}

const HALVINGS = 18;
const MORE_TRAVEL = [0.005, 0.01];
const TOLD_EVERY = 250;
const RETRIED = 500;

/** The problem with its support at the origin: changes about the support then simply add. */
export function aboutSupport(problem: TrimProblem): TrimProblem {
  const back = [-problem.support[0], -problem.support[1], -problem.support[2]] as const;
  const moved = (s: Sums): Sums => moveSums(s, back);
  return { ...problem, support: [0, 0, 0], fixed: moved(problem.fixed), groups: problem.groups.map((g) => ({ ...g, sums: moved(g.sums) })), stacks: problem.stacks.map((s) => ({ ...s, byCount: s.byCount.map(moved), rides: (s.rides ?? []).map((r) => ({ ...r, byCount: r.byCount.map(moved) })) })) };
}

/** `still`: washers on, about the support; the problem from `aboutSupport`. */
export function accuracy(stepped: TrimProblem, still: Sums, unsure: readonly Unsure[], { seed, builds, tell = () => undefined }: { readonly seed: number; readonly builds: number; readonly tell?: (part: number) => void }): Accuracy {
  // Whether travel is enough is asked, not whether a step is fine enough: settings between steps count.
  const problem: TrimProblem = { ...stepped, movers: stepped.movers.map((m) => ({ ...m, step: 0 })) };
  const roles = rolesOf(problem);
  const trimmed = (of: TrimProblem, sums: Sums): boolean => sums.mass > 0 && settle(of, roles, sums).slack >= MET;
  const leeway = unsure.map((u): Leeway => {
    const off = (by: number): Sums => addScaledSums(still, u.change, by);
    const side = (way: 1 | -1): number | null => {
      if (trimmed(problem, off(way * u.most))) return null;
      if (!trimmed(problem, still)) return 0;
      let [works, fails] = [0, u.most];
      for (let i = 0; i < HALVINGS; i++) {
        const middle = (works + fails) / 2;
        if (trimmed(problem, off(way * middle))) works = middle;
        else fails = middle;
      }
      return works;
    };
    const [less, more] = [side(-1), side(1)];
    const tight = Math.min(less ?? Infinity, more ?? Infinity);
    const beyond = tight === Infinity ? null : settle(problem, roles, off((tight === less ? -1 : 1) * (tight * 1.02 + u.most * 1e-4)));
    return { id: u.id, name: u.name, kind: u.kind, spread: u.spread, less, more, fails: beyond?.tightest ?? null, spreads: u.spread > 0 ? tight / u.spread : Infinity };
  });
  const draws = drawnSums(still, unsure, seed, builds);
  let good = 0;
  const failing: Sums[] = [];
  draws.forEach((sums, n) => {
    if (trimmed(problem, sums)) good++;
    else failing.push(sums);
    if (n % TOLD_EVERY === 0) tell((0.7 * n) / builds);
  });
  const part = good / builds;
  const used = [...roles.foreAft, ...roles.sideways, ...roles.height];
  const withMore = used.flatMap((i, k) => MORE_TRAVEL.map((by, j) => {
    tell(0.7 + (0.3 * (2 * k + j)) / (2 * used.length));
    const wider = { ...problem, movers: problem.movers.map((m, n) => (n === i ? { ...m, range: [m.range[0] - by, m.range[1] + by] as const } : m)) };
    // More travel never harms: only what failed is tried again, and of many a share stands for all.
    const tried = failing.slice(0, RETRIED);
    const mended = tried.length === 0 ? 0 : tried.filter((sums) => trimmed(wider, sums)).length / tried.length;
    return { mover: problem.movers[i]!.id, by, part: (good + mended * failing.length) / builds };
  }));
  return { leeway: leeway.sort((a, b) => a.spreads - b.spreads), chance: { builds, part, uncertain: Math.sqrt((part * (1 - part)) / builds) }, withMore };
}

/** Builds drawn by chance, every figure off by its own spread, independent of the others. */
function drawnSums(still: Sums, unsure: readonly Unsure[], seed: number, builds: number): readonly Sums[] {
  const draw = normalDraws(seed);
  return Array.from({ length: builds }, () => unsure.reduce((sum, u) => addScaledSums(sum, u.change, u.spread * draw()), still));
}
