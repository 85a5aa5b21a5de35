/**
 * What must be accurate: how far each figure of the build may be off before the slides and threads can no longer mend it
 * with the washers as they are; alone, and all together by chance. To first order in each figure about the set-up.
 */
import { normalDraws, STANDARD_GRAVITY } from '../../0-base';
import { addScaledSums, moveSums, type Sums } from '../../1-load';
import { MET, rolesOf, settle } from './settle';
import type { TrimProblem } from './trimProblem';
import type { ConditionId } from './conditions';

/** A figure that may be off: by one `unit` of it what is to be balanced changes by `change`. */
export interface Unsure<C = Sums> {
  readonly id: string;
  readonly name: string;
  readonly kind: 'length' | 'angle' | 'mass';
  /** One of its standard uncertainty as built, in its own unit (m, rad, kg): how well a maker keeps to it. */
  readonly spread: number;
  /** Further than this is another rig, same unit. */
  readonly most: number;
  /** Per m, rad or kg. */
  readonly change: C;
}
/** What is to be balanced, as sums or offsets that figures add to; and what the adjusters can mend of it. */
export interface Mended<C> {
  readonly still: C;
  plus(state: C, change: C, by: number): C;
  /** `more`: with so much more travel each way on one of the movers, m. */
  mended(state: C, more?: { readonly mover: string; readonly by: number }): boolean;
  fails(state: C): ConditionId | null;
  /** What a change of this size is felt as before anything is set anew: a shift of the mass centre, m, or a torque, N m. */
  felt(change: C, by: number): Felt;
  /** Those whose travel counts. */
  readonly movers: readonly string[];
}
export interface Felt {
  readonly kind: 'length' | 'torque';
  readonly value: number;
}
export interface Leeway {
  readonly id: string;
  readonly name: string;
  readonly kind: Unsure['kind'];
  readonly spread: number;
  /** Off by two of its spreads and nothing set anew. */
  readonly felt: Felt;
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
  return {
    ...problem,
    support: [0, 0, 0],
    fixed: moved(problem.fixed),
    groups: problem.groups.map((g) => ({ ...g, sums: moved(g.sums) })),
    stacks: problem.stacks.map((s) => ({
      ...s,
      byCount: s.byCount.map(moved),
      rides: (s.rides ?? []).map((r) => ({ ...r, byCount: r.byCount.map(moved) })),
    })),
  };
}

/** Of one support. `still`: washers on, about the support; the problem from `aboutSupport`. */
export function mendedBySlides(stepped: TrimProblem, still: Sums, feltAs: Felt['kind'] = 'length'): Mended<Sums> {
  // Whether travel is enough is asked, not whether a step is fine enough: settings between steps count.
  const problem: TrimProblem = { ...stepped, movers: stepped.movers.map((m) => ({ ...m, step: 0 })) };
  const roles = rolesOf(problem);
  const wider = (more?: { readonly mover: string; readonly by: number }): TrimProblem =>
    more
      ? {
          ...problem,
          movers: problem.movers.map((m) =>
            m.id === more.mover ? { ...m, range: [m.range[0] - more.by, m.range[1] + more.by] as const } : m,
          ),
        }
      : problem;
  return {
    still,
    plus: addScaledSums,
    movers: [...roles.foreAft, ...roles.sideways, ...roles.height].map((i) => problem.movers[i]!.id),
    mended: (sums, more) => sums.mass > 0 && settle(wider(more), roles, sums).slack >= MET,
    fails: (sums) => settle(problem, roles, sums).tightest,
    felt: ({ mass, first }, by) => {
      const whole = still.mass + mass * by;
      // A wrist feels what lies beside it; how something hangs goes by the height too.
      const axes = feltAs === 'length' ? [0, 1, 2] : [0, 1];
      const shift = Math.hypot(
        ...axes.map((i) => (still.first[i]! + first[i]! * by) / whole - still.first[i]! / still.mass),
      );
      return feltAs === 'length'
        ? { kind: 'length', value: shift }
        : { kind: 'torque', value: still.mass * STANDARD_GRAVITY * shift };
    },
  };
}

export function accuracy<C>(
  of: Mended<C>,
  unsure: readonly Unsure<C>[],
  {
    seed,
    builds,
    tell = () => undefined,
  }: { readonly seed: number; readonly builds: number; readonly tell?: (part: number) => void },
): Accuracy {
  const leeway = unsure.map((u): Leeway => {
    const off = (by: number): C => of.plus(of.still, u.change, by);
    const side = (way: 1 | -1): number | null => {
      if (of.mended(off(way * u.most))) return null;
      if (!of.mended(of.still)) return 0;
      let [works, fails] = [0, u.most];
      for (let i = 0; i < HALVINGS; i++) {
        const middle = (works + fails) / 2;
        if (of.mended(off(way * middle))) works = middle;
        else fails = middle;
      }
      return works;
    };
    const [less, more] = [side(-1), side(1)];
    const tight = Math.min(less ?? Infinity, more ?? Infinity);
    const fails = tight === Infinity ? null : of.fails(off((tight === less ? -1 : 1) * (tight * 1.02 + u.most * 1e-4)));
    return {
      id: u.id,
      name: u.name,
      kind: u.kind,
      spread: u.spread,
      felt: of.felt(u.change, 2 * u.spread),
      less,
      more,
      fails,
      spreads: u.spread > 0 ? tight / u.spread : Infinity,
    };
  });
  let good = 0;
  const failing: C[] = [];
  drawn(of, unsure, seed, builds).forEach((state, n) => {
    if (of.mended(state)) good++;
    else failing.push(state);
    if (n % TOLD_EVERY === 0) tell((0.7 * n) / builds);
  });
  const part = good / builds;
  const withMore = of.movers.flatMap((mover, k) =>
    MORE_TRAVEL.map((by, j) => {
      tell(0.7 + (0.3 * (2 * k + j)) / (2 * of.movers.length));
      // More travel never harms: only what failed is tried again, and of many a share stands for all.
      const tried = failing.slice(0, RETRIED);
      const mended =
        tried.length === 0 ? 0 : tried.filter((state) => of.mended(state, { mover, by })).length / tried.length;
      return { mover, by, part: (good + mended * failing.length) / builds };
    }),
  );
  return {
    leeway: leeway.sort((a, b) => a.spreads - b.spreads),
    chance: { builds, part, uncertain: Math.sqrt((part * (1 - part)) / builds) },
    withMore,
  };
}

/** Builds drawn by chance, every figure off by its own spread, independent of the others. */
function drawn<C>(of: Mended<C>, unsure: readonly Unsure<C>[], seed: number, builds: number): readonly C[] {
  const draw = normalDraws(seed);
  return Array.from({ length: builds }, () =>
    unsure.reduce((state, u) => of.plus(state, u.change, u.spread * draw()), of.still),
  );
}
