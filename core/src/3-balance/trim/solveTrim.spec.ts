import * as fc from 'fast-check';
import { rotationAbout, transform } from '../../0-base';
import { bentBarAssembly, kit, loadout, wants } from '../../testing/rigs';
import { holds } from '../../testing/holds';
import { bigTrim } from '../../testing/bigTrim';
import { addSums, placeLoad, sumsOf, type Sums } from '../../1-load';
import { assemble, familyById, USUAL_HANDS } from '../../2-frame';
import { quickBalance } from '..';
import { solveTrim, trim, type TrimProblem } from '../bench';
import { drop, dropOf, level, upright, type Condition } from './conditions';
import { rolesOf, settle, slackOf } from './settle';
import { foundAt } from './solveTrim';
import { addedBy, riding, sumsAbout, trimProblem, withCounts } from './trimProblem';
import { wantedOf } from './wantedOf';
import {
  byTryingAll,
  byTryingSteps,
  everyCount,
  leastOf,
  problems,
  severalSlides,
  twoHeights,
  withWants,
} from '../../testing/trimProblems';

describe('the solver', () => {
  it('finds two heights together wherever any pair of their steps will do, and says none only where none does', () => {
    let [some, none] = [0, 0];
    holds(
      fc.property(twoHeights, (problem) => {
        const steps = problem.movers.map(({ range, step }) =>
          Array.from({ length: Math.round((range[1] - range[0]) / step) + 1 }, (_, n) => range[0] + n * step),
        ) as [number[], number[]];
        const best = Math.max(
          ...steps[0].flatMap((a) =>
            steps[1].map((b) => slackOf(problem.conditions, sumsAbout(problem, problem.fixed, [a, b])).slack),
          ),
        );
        const found = solveTrim(problem);
        if (best > 1e-6) some++;
        else none++;
        if (found.kind === 'solved') expect(found.best[0]!.settled.slack).toBeGreaterThanOrEqual(-1e-9);
        // What only touches a limit may go either way by rounding.
        if (best > 1e-6) expect(found.kind).toBe('solved');
        if (found.kind === 'none' && found.proven) expect(best).toBeLessThanOrEqual(1e-6);
      }),
      { seed: 4712, numRuns: 120 },
    );
    expect(Math.min(some, none)).withContext(`${some} and ${none}`).toBeGreaterThan(10);
  });
  it('finds no way calmer than it says there can be', () => {
    holds(
      fc.property(
        problems.filter((p) => p.movers.length > 0),
        fc.integer({ min: 2, max: 9 }),
        (problem, fine) => {
          const found = solveTrim(problem, 'calmest');
          if (found.kind !== 'solved') return;
          const limit = found.best[0]!.cost - (found.gap?.atMost ?? 0);
          const places = problem.movers.map(({ range }) =>
            Array.from({ length: fine }, (_, n) => range[0] + ((range[1] - range[0]) * n) / (fine - 1)),
          );
          everyCount(problem, (counts) => {
            const still = withCounts(problem, counts);
            for (const s of places.reduce<number[][]>((all, p) => all.flatMap((t) => p.map((v) => [...t, v])), [[]])) {
              const about = sumsAbout(problem, still, s);
              if (slackOf(problem.conditions, about).slack >= 0)
                expect(-Math.sqrt(about.inertia[0][0] * about.inertia[1][1])).toBeGreaterThanOrEqual(limit - 1e-9);
            }
            return false;
          });
        },
      ),
      { seed: 4713, numRuns: 25 },
    );
  });
  it('is never beaten by trying everything, and what it gives is met', () => {
    holds(
      fc.property(problems, (problem) => {
        const quick = leastOf(problem);
        const slow = byTryingAll(problem);
        if (quick && slackOf(problem.conditions, quick.settled.about).slack < -1e-9) return false;
        return slow === null || (quick !== null && quick.added <= slow + 1e-9);
      }),
      { seed: 71, numRuns: 150 },
    );
  });

  it('with several slides along one way is never beaten by trying them all, and says proven only where it is', () => {
    let [some, better, proven] = [0, 0, 0];
    holds(
      fc.property(severalSlides, (problem) => {
        const found = solveTrim(problem);
        const slow = byTryingSteps(problem);
        if (slow !== null) some++;
        if (found.kind === 'solved' && found.gap === null) proven++;
        const first = solveTrim({
          ...problem,
          movers: problem.movers.map((m, i) => (i === 0 ? m : { ...m, range: [m.now, m.now] as const })),
        });
        if (found.kind === 'solved' && (first.kind === 'none' || first.best[0]!.added > found.best[0]!.added + 1e-9))
          better++;
        if (found.kind === 'none') return slow === null || !found.proven;
        if (slackOf(problem.conditions, found.best[0]!.settled.about).slack < -1e-9) return false;
        return slow === null || found.best[0]!.added <= slow + 1e-9 || found.gap !== null;
      }),
      { seed: 4716, numRuns: 60 },
    );
    expect(some).toBeGreaterThan(8);
    expect(proven).toBeGreaterThan(some / 2);
    // Where one slide alone would want more washers, or would not do: else nothing was tried.
    expect(better).toBeGreaterThan(3);
  });

  it('takes the lightest that is accepted, and tells of what it refused where none is', () => {
    holds(
      fc.property(problems, fc.integer({ min: 1, max: 3 }), (plain, n) => {
        const accepts = (counts: readonly number[]): boolean => counts.reduce((sum, c) => sum + c, 0) % 3 === n % 3;
        const found = solveTrim({ ...plain, accepts });
        const none = solveTrim({ ...plain, accepts: () => false });
        const free = leastOf(plain);
        if (none.kind !== 'none' || (none.refused !== null) !== (free !== null)) return false;
        // Nothing that met the conditions and was accepted is lighter.
        const roles = rolesOf(plain);
        const slow = everyCount(
          plain,
          (counts) => accepts(counts) && foundAt(plain, roles, counts, 'lightest').settled.slack >= -1e-9,
        );
        return found.kind === 'solved'
          ? accepts(found.best[0]!.counts) && slow !== null && Math.abs(found.best[0]!.added - slow) < 1e-9
          : slow === null;
      }),
      { seed: 4714, numRuns: 60 },
    );
  });

  it('with a pivot on a thread is never beaten by trying every washer at every height', () => {
    holds(
      fc.property(problems, fc.integer({ min: 2, max: 12 }), (plain, travel) => {
        const range = [-travel / 1000, travel / 1000] as const;
        const problem: TrimProblem = {
          ...plain,
          movers: [{ id: 'height', axis: [0, 0, 1], range, step: 0, now: 0 }],
          groups: [],
          fixed: plain.groups.reduce((sum, g) => addSums(sum, g.sums), plain.fixed),
          supportMovedBy: [0],
        };
        const quick = leastOf(problem);
        if (quick && slackOf(problem.conditions, quick.settled.about).slack < -1e-9) return false;
        const slow = everyCount(problem, (counts) =>
          Array.from({ length: 61 }, (_, i) => range[0] + ((range[1] - range[0]) * i) / 60).some(
            (z) => slackOf(problem.conditions, sumsAbout(problem, withCounts(problem, counts), [z])).slack >= 0,
          ),
        );
        return slow === null || (quick !== null && quick.added <= slow + 1e-9);
      }),
      { seed: 75, numRuns: 150 },
    );
  });

  it('finds what hangs only with its pivot raised, and is top-heavy with it in the middle', () => {
    const lump = (mass: number, z: number): Sums =>
      sumsOf([
        {
          mass,
          centre: [0, 0, z],
          inertia: [
            [mass * 1e-3, 0, 0],
            [0, mass * 1e-3, 0],
            [0, 0, mass * 1e-3],
          ],
        },
      ]);
    const bare: TrimProblem = {
      movers: [{ id: 'height', axis: [0, 0, 1], range: [-0.02, 0.02], step: 0, now: 0 }],
      groups: [],
      support: [0, 0, 0],
      supportMovedBy: [0],
      stacks: [{ id: 'foot', least: 0, now: 0, byCount: [sumsOf([])] }],
      fixed: addSums(lump(1, 0.08), lump(0.2, -0.3)),
      conditions: [],
    };
    expect(bare.fixed.first[2]).toBeGreaterThan(0);
    const time = dropOf('pitch', sumsAbout(bare, bare.fixed, [0.01998]));
    const problem: TrimProblem = {
      ...bare,
      conditions: [
        upright,
        level('foreAft', 0.002),
        level('sideways', 0.002),
        drop('pitch', [time * 0.998, time * 1.002], 0.002),
      ],
    };
    expect(leastOf(problem)!.settled.settings[0]).toBeCloseTo(0.01998, 4);
  });

  it('with bolts on clamps that slide is never beaten by trying every washer at every place of the clamps', () => {
    const travels = fc.tuple(fc.integer({ min: 5, max: 40 }), fc.integer({ min: 3, max: 15 }));
    holds(
      fc.property(problems, travels, (plain, [up, ahead]) => {
        // The first bolt's clamp goes up and down, the second's ahead and back; the camera stands still.
        const [fixed, movers] = [
          plain.groups.reduce((sum, g) => addSums(sum, g.sums), plain.fixed),
          (
            [
              [0, 0, 1],
              [1, 0, 0],
            ] as const
          ).map((axis, i) => ({
            id: `clamp-${i}`,
            axis,
            range: [-[up, ahead][i]! / 1000, [up, ahead][i]! / 1000] as const,
            step: 0,
            now: 0,
          })),
        ];
        const problem: TrimProblem = {
          ...plain,
          fixed,
          movers,
          groups: [],
          stacks: plain.stacks.slice(0, 2).map((s, i) => ({
            ...s,
            byCount: s.byCount.map(() => sumsOf([])),
            rides: [{ movedBy: [i], byCount: s.byCount }],
          })),
        };
        const quick = leastOf(problem);
        if (quick && slackOf(problem.conditions, quick.settled.about).slack < -1e-9) return false;
        const places = movers.map(({ range }) =>
          Array.from({ length: 31 }, (_, i) => range[0] + ((range[1] - range[0]) * i) / 30),
        );
        const slow = everyCount(problem, (counts) => {
          const [loaded, still] = [riding(problem, counts), withCounts(problem, counts)];
          return places[0]!.some((z) =>
            places[1]!.some((x) => slackOf(problem.conditions, sumsAbout(loaded, still, [z, x])).slack >= 0),
          );
        });
        return slow === null || (quick !== null && quick.added <= slow + 1e-9);
      }),
      { seed: 76, numRuns: 120 },
    );
  });

  it('shares what may be looked into of further heights among all ways, and leaves open what it did not look into', () => {
    const arm = familyById('balance-arm')!;
    const load = placeLoad(loadout, kit);
    const assembly = assemble(arm.build(arm.size(load, USUAL_HANDS)), load);
    const want = withWants({ dropTime: [4, 5] });
    const wanted = wantedOf(assembly, {}, want)!;
    const problem = trimProblem(assembly, {}, wanted.borne, wanted.firm);
    const roles = rolesOf(problem);
    expect(roles.height.length).toBeGreaterThan(1);
    const effort = { boxes: 5 };
    const open = (counts: readonly number[]) =>
      settle(riding(problem, counts), roles, withCounts(problem, counts), undefined, null, effort);
    const all = problem.stacks.map((s) => s.byCount.length - 1);
    const found = [open(all), open(all.map((n) => n >> 1)), open(all.map(() => 0))];
    expect(effort.boxes).toBe(0);
    for (const { slack, sure } of found) expect(slack >= -1e-9 || !sure).toBeTrue();
    // With as many as it likes the same way is no worse.
    expect(
      settle(riding(problem, all), roles, withCounts(problem, all), undefined, null, { boxes: 1e6 }).slack,
    ).toBeGreaterThanOrEqual(found[0]!.slack);
  });

  it('takes on with the next slide what the first cannot, and leaves it alone where the first will do', () => {
    const lump = (mass: number, at: readonly [number, number, number]): Sums =>
      sumsOf([
        {
          mass,
          centre: at,
          inertia: [
            [mass * 1e-3, 0, 0],
            [0, mass * 1e-3, 0],
            [0, 0, mass * 1e-3],
          ],
        },
      ]);
    const slide = (id: string, travel: number) => ({
      id,
      axis: [1, 0, 0] as const,
      range: [-travel, travel] as const,
      step: 0.0005,
      now: 0,
    });
    const problem = (off: number): TrimProblem => ({
      movers: [slide('stage', 0.02), slide('battery', 0.05)],
      conditions: [upright, level('foreAft', 0.02)],
      support: [0, 0, 0],
      supportMovedBy: [],
      stacks: [],
      fixed: lump(0.5, [0, 0, -0.3]),
      groups: [
        { movedBy: [0], sums: lump(1, [off, 0, 0.05]) },
        { movedBy: [1], sums: lump(0.2, [0, 0, -0.1]) },
      ],
    });
    const settled = (off: number) => leastOf(problem(off))!.settled;
    expect(settled(0.015).settings).toEqual([-0.015, 0]);
    // 28 mm of a kilogram: 20 by the stage, the last 8 by a fifth of it five times as far.
    expect(settled(0.028).settings).toEqual([-0.02, -0.04]);
    expect(leastOf(problem(0.05))).toBeNull();
  });

  it('a list of ways longer than it holds is taken in smaller portions, and passes none over', () => {
    const { stacks, ...rest } = bigTrim();
    // At least so heavy, and nothing else: the lightest lies in the thick of a million others of much the same mass.
    const least = rest.fixed.mass + 1.0005;
    const heavy: Condition = {
      id: 'calmPan',
      slack: ({ mass }) => mass - least,
      bounds: [{ constant: least, mass: -1, first: [0, 0, 0], inertia: [0, 0, 0] }],
    };
    const problem: TrimProblem = { ...rest, movers: [], groups: [], conditions: [heavy], stacks };
    const found = solveTrim(problem, 'lightest');
    if (found.kind !== 'solved') return fail(found.kind);
    expect(found.gap).toBeNull();
    let lightest = Infinity;
    everyCount({ ...problem, stacks: stacks.slice(0, 3) }, (counts) => {
      const others = addedBy(problem, [...counts, 0]);
      const each = addedBy(problem, [0, 0, 0, 1]);
      const last = Math.max(0, Math.ceil((1.0005 - others) / each - 1e-9));
      if (last <= 40) lightest = Math.min(lightest, others + last * each);
      return false;
    });
    expect(found.best[0]!.added).toBeCloseTo(lightest, 9);
  });

  it('finds the same whichever bolt comes first', () => {
    holds(
      fc.property(problems, (problem) => {
        const [one, other] = [leastOf(problem), leastOf({ ...problem, stacks: [...problem.stacks].reverse() })];
        return one === null || other === null ? one === other : Math.abs(one.added - other.added) < 1e-12;
      }),
      { seed: 72, numRuns: 80 },
    );
  });

  it('splitting a body or turning the axes about the vertical changes nothing', () => {
    holds(
      fc.property(problems, fc.integer({ min: 1, max: 9 }), (problem, tenths) => {
        const part = tenths / 10;
        const scaled = (s: Sums, k: number): Sums => ({
          mass: s.mass * k,
          first: [s.first[0] * k, s.first[1] * k, s.first[2] * k],
          inertia: s.inertia.map((r) => r.map((x) => x * k)) as unknown as Sums['inertia'],
        });
        const split: TrimProblem = {
          ...problem,
          groups: problem.groups.flatMap((g) => [
            { ...g, sums: scaled(g.sums, part) },
            { ...g, sums: scaled(g.sums, 1 - part) },
          ]),
        };
        const [one, other] = [leastOf(problem), leastOf(split)];
        return one === null || other === null ? one === other : Math.abs(one.added - other.added) < 1e-12;
      }),
      { seed: 73, numRuns: 60 },
    );
    // A half turn about the vertical swaps front and rear, left and right: same washers.
    const turn = rotationAbout([0, 0, 1], Math.PI);
    holds(
      fc.property(problems, (problem) => {
        const turned = (s: Sums): Sums => ({
          mass: s.mass,
          first: transform(turn, s.first),
          inertia: [
            [s.inertia[0][0], s.inertia[0][1], -s.inertia[0][2]],
            [s.inertia[1][0], s.inertia[1][1], -s.inertia[1][2]],
            [-s.inertia[2][0], -s.inertia[2][1], s.inertia[2][2]],
          ],
        });
        const there: TrimProblem = {
          ...problem,
          movers: problem.movers.map((m) => ({ ...m, axis: transform(turn, m.axis) })),
          fixed: turned(problem.fixed),
          groups: problem.groups.map((g) => ({ ...g, sums: turned(g.sums) })),
          stacks: problem.stacks.map((s) => ({ ...s, byCount: s.byCount.map(turned) })),
        };
        const [one, other] = [leastOf(problem), leastOf(there)];
        return one === null || other === null ? one === other : Math.abs(one.added - other.added) < 1e-12;
      }),
      { seed: 74, numRuns: 60 },
    );
  });

  it('uses a thread that raises the pivot, and tells the stretch of it that will do', () => {
    const assembly = bentBarAssembly();
    const found = trim(assembly, { 'pivot-height': -0.006 }, withWants({}));
    if (found.kind !== 'solved') return fail(found.kind);
    const drop = quickBalance(assembly)!.at(found.values).dropPitch!;
    expect(drop).toBeGreaterThanOrEqual(wants.dropTime[0]);
    expect(drop).toBeLessThanOrEqual(wants.dropTime[1]);
  });

  it('proves four bolts of forty washers and two slides', () => {
    const problem = bigTrim();
    const found = solveTrim(problem);
    expect(found.combinations).toBe(41 ** 4);
    expect(found.kind === 'solved' ? found.gap : found.proven).toEqual(
      found.kind === 'solved' ? null : (true as never),
    );
  });
});
