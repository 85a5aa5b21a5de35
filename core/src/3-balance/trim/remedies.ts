/** What would make an impossible trim possible: of each kind of limit the smallest change that does, found by trying. */
import { figure, say, type Change, type Phrase } from '../../0-base';
import { addSums, NO_SUMS, type Sums } from '../../1-load';
import { stackSums, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Wants } from '../../model';
import { supportOf } from '../borne/support';
import { leastThat, type Stretch } from './leastThat';
import { movedAssembly, type Move } from './movedAssembly';
import { solveTrim } from './solveTrim';
import { trimProblem, type StackChoice, type TrimProblem } from './trimProblem';
import { wristAtMost } from '../borne/held/wantsOfHands';
import { wantedOf, type Wanted } from './wantedOf';

export interface Remedy {
  readonly label: Phrase;
  /** Can be applied in one click, by changes and wants; false where something of it must be bought or sawn. */
  readonly whole: boolean;
  readonly changes: readonly Change[];
  /** A want let out that far. */
  readonly wants: Partial<Wants> | null;
}

/** One thing that stands in the way, let out by an amount. What it changes of rig and wants is what it tells. */
interface Limit extends Stretch {
  readonly rank: 0 | 1 | 2;
  /** Of what is only told, for no click does it: what it would be worth. */
  readonly by?: (problem: TrimProblem, amount: number) => TrimProblem;
  readonly told: (amount: number) => Told;
}
interface Told {
  readonly label: Phrase;
  readonly changes: readonly Move[];
  readonly wants: Partial<Wants> | null;
}
type LetOut = readonly [Limit, number];

const MOST_PAIRS = 4;
/** One try of some hundred: a way hidden behind more than these is not looked for. */
const LOOKED_A_TRY = 250;

/** Each limit alone; where none is enough, two together. On the rig with one click first, then what is bought or sawn, then what is given up. */
export function remedies(
  assembly: Assembly,
  values: AdjusterValues,
  wants: Wants,
  wanted: Wanted,
  tell: (part: number) => void,
): readonly Remedy[] {
  const base = trimProblem(assembly, values, wanted.borne, wanted.firm);
  const limits = limitsOf(assembly, wants, wanted, base);
  const possible = (...out: readonly LetOut[]): boolean => {
    const problem = problemWith(assembly, values, wants, out);
    return problem !== null && solveTrim(problem, 'lightest', undefined, LOOKED_A_TRY).kind === 'solved';
  };
  const alone = limits.flatMap((limit, i) => {
    tell((0.4 * i) / limits.length);
    const amount = leastThat(limit, (d) => possible([limit, d]));
    return amount === null ? [] : [{ rank: limit.rank, remedy: { ...limit.told(amount), whole: limit.rank !== 1 } }];
  });
  if (alone.length > 0) return alone.sort((a, b) => a.rank - b.rank).map((r) => r.remedy);
  const pairs: { readonly rank: number; readonly remedy: Remedy }[] = [];
  const all = limits
    .flatMap((one, i) => limits.slice(i + 1).map((other) => [one, other] as const))
    .sort((a, b) => a[0].rank + a[1].rank - b[0].rank - b[1].rank);
  for (const [i, [one, other]] of all.entries()) {
    tell(0.4 + (0.6 * i) / all.length);
    if (pairs.length >= MOST_PAIRS) break;
    if (!possible([one, one.most], [other, other.most])) continue;
    const second = leastThat(other, (d) => possible([one, one.most], [other, d]));
    const first = second === null ? null : leastThat(one, (d) => possible([one, d], [other, second]));
    if (first === null || second === null) continue;
    const [a, b] = [one.told(first), other.told(second)];
    pairs.push({
      rank: one.rank + other.rank,
      remedy: {
        whole: one.rank !== 1 && other.rank !== 1,
        label: [...a.label, ' And: ', ...b.label],
        changes: [...a.changes, ...b.changes],
        wants: a.wants || b.wants ? { ...a.wants, ...b.wants } : null,
      },
    });
  }
  return pairs.map((p) => p.remedy);
}

/** What a trim would have to solve with these let out; null where the rig would not hold together. */
function problemWith(
  assembly: Assembly,
  values: AdjusterValues,
  wants: Wants,
  out: readonly LetOut[],
): TrimProblem | null {
  const told = out.map(([limit, amount]) => limit.told(amount));
  const moves = told.flatMap((t) => t.changes);
  const on = moves.length === 0 ? assembly : movedAssembly(assembly, moves);
  const wanted =
    on &&
    wantedOf(
      on,
      values,
      told.reduce<Wants>((w, t) => ({ ...w, ...t.wants }), wants),
    );
  if (!on || !wanted) return null;
  return out.reduce(
    (problem, [limit, amount]) => limit.by?.(problem, amount) ?? problem,
    trimProblem(on, values, wanted.borne, wanted.firm),
  );
}

function limitsOf(assembly: Assembly, wants: Wants, wanted: Wanted, base: TrimProblem): readonly Limit[] {
  const at = lowestStacks(assembly, base, wanted);
  const support = supportOf(assembly.rig);
  const hangs = wanted.kind === 'hangs' && support?.kind === 'pivot' ? support.pivot : null;
  const [least, most] = wants.dropTime;
  return [
    ...(at.length === 0
      ? []
      : [
          {
            first: 0.002,
            most: 0.3,
            step: 0.001,
            rank: 0,
            told: (d) => ({
              label: say`Lowest weights ${figure('length', d, 0)} further down.`,
              changes: at.map((id): Move => ({ kind: 'move', id, by: [0, 0, -d] })),
              wants: null,
            }),
          } satisfies Limit,
        ]),
    ...(hangs
      ? ([1, -1] as const).map((way): Limit => ({
          first: 0.0005,
          most: 0.06,
          step: 0.0005,
          rank: 0,
          told: (d) => ({
            label: say`Pivot ${figure('length', d, 1)} ${way > 0 ? 'higher' : 'lower'}.`,
            changes: [{ kind: 'move', id: hangs.id, by: [0, 0, way * d] }],
            wants: null,
          }),
        }))
      : []),
    ...base.movers.map((m, i): Limit => ({
      first: 0.001,
      most: 0.2,
      step: 0.001,
      rank: 1,
      by: (p, d) => ({
        ...p,
        movers: p.movers.map((o, k) => (k === i ? { ...o, range: [o.range[0] - d, o.range[1] + d] as const } : o)),
      }),
      told: (d) => ({
        label: say`${figure('length', d, 0)} more travel of the ${lower(nameOf(assembly, m.id))}, each way.`,
        changes: [],
        wants: null,
      }),
    })),
    ...base.stacks.map((s): Limit => ({
      first: 1,
      most: 24,
      step: 1,
      rank: 1,
      by: (p, n) => ({ ...p, stacks: p.stacks.map((o) => (o.id === s.id ? longer(assembly, o, Math.round(n)) : o)) }),
      told: (n) => ({
        label:
          n === 1
            ? say`Room for one more washer on the bolt of “${nameOf(assembly, s.id)}”.`
            : say`Room for ${figure('count', n)} more washers on the bolt of “${nameOf(assembly, s.id)}”.`,
        changes: [],
        wants: null,
      }),
    })),
    ...(hangs
      ? [
          ...(
            [
              [0, 1],
              [1, 0],
            ] as const
          ).map(([shorter, longer_]): Limit => {
            const dropTime = (d: number): readonly [number, number] => [
              plain(Math.max(0.1, least - shorter * d)),
              plain(most + longer_ * d),
            ];
            return {
              first: 0.05,
              most: 6,
              step: 0.05,
              rank: 2,
              told: (d) => ({
                label: say`Want a drop of ${figure('time', dropTime(d)[0], 2)} to ${figure('time', dropTime(d)[1], 2)}.`,
                changes: [],
                wants: { dropTime: dropTime(d) },
              }),
            };
          }),
          {
            first: 0.002,
            most: 0.35,
            step: 0.001,
            rank: 2,
            told: (d) => ({
              label: say`Be content with level within ${figure('angle', wants.levelWithin + d)}.`,
              changes: [],
              wants: { levelWithin: plain(wants.levelWithin + d) },
            }),
          } satisfies Limit,
        ]
      : []),
    ...(wanted.kind === 'held'
      ? [
          {
            first: 0.1,
            most: 20,
            step: 0.1,
            rank: 2,
            told: (d) => ({
              label: say`Let the wrist carry ${figure('torque', wristAtMost(wants) + d, 1)}.`,
              changes: [],
              wants: { wristAtMost: plain(wristAtMost(wants) + d) },
            }),
          } satisfies Limit,
        ]
      : []),
  ];
}

const nameOf = ({ rig }: Assembly, id: string): string => rig.adjusters.find((a) => a.id === id)?.name ?? id;
/** Without the dust of adding. */
const plain = (value: number): number => Number(value.toPrecision(10));
const lower = (name: string): string => `${name[0]!.toLowerCase()}${name.slice(1)}`;

/** Bolts that hang within a finger's breadth of the lowest of all; none where a trim counts nothing on them. */
function lowestStacks(assembly: Assembly, problem: TrimProblem, { borne }: Wanted): readonly string[] {
  const stacks = assembly.stacks.filter((s) => borne.carries.has(s.body) && s.countedBy !== null);
  const foot = Math.min(...stacks.map((s) => s.station.seat[2]));
  const low = stacks.filter((s) => s.station.seat[2] - foot < 0.01);
  const known = new Set(problem.stacks.map((s) => s.id));
  return low.some((s) => known.has(assembly.rig.adjusters[s.countedBy!]!.id)) ? low.map((s) => s.station.id) : [];
}

function longer(assembly: Assembly, stack: StackChoice, by: number): StackChoice {
  const adjuster = assembly.rig.adjusters.findIndex((a) => a.id === stack.id);
  const places = assembly.stacks.filter((s) => s.countedBy === adjuster);
  const most = stack.least + stack.byCount.length - 1;
  const more = (of: typeof places): readonly Sums[] =>
    Array.from({ length: by }, (_, n) => of.reduce((sum, p) => addSums(sum, stackSums(p, most + n + 1)), NO_SUMS));
  // A bolt that a mover carries is its own; the others of the count stand still together.
  const riders = places.filter((p) => p.movedBy.length > 0);
  return {
    ...stack,
    byCount: [...stack.byCount, ...more(places.filter((p) => p.movedBy.length === 0))],
    rides: (stack.rides ?? []).map((r, i) => ({ ...r, byCount: [...r.byCount, ...more(riders.slice(i, i + 1))] })),
  };
}
