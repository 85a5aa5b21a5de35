/** Problems of the trim made by chance, and answers to them by trying everything. */
import * as fc from 'fast-check';
import { sumsOf, type Sums } from '../1-load';
import type { Found, TrimProblem } from '../3-balance/bench';
import { drop, level, upright, type Condition } from '../3-balance/trim/conditions';
import { slackOf } from '../3-balance/trim/settle';
import { solveTrim } from '../3-balance/trim/solveTrim';
import { addedBy, sumsAbout, withCounts } from '../3-balance/trim/trimProblem';
import type { Wants } from '../model';
import { wants } from './rigs';

/** A compact mass whose inertia about any axis is that of `size` m as its radius of gyration, unless it is given another. */
const lumpOf =
  (usual: number) =>
  (mass: number, at: readonly [number, number, number], size = usual): Sums => {
    const own = mass * size ** 2;
    return sumsOf([
      {
        mass,
        centre: at,
        inertia: [
          [own, 0, 0],
          [0, own, 0],
          [0, 0, own],
        ],
      },
    ]);
  };

export const withWants = (more: Partial<Wants>): Wants => ({ ...wants, massAtMost: 9, calmAtLeast: 0, ...more });

/** Problems of a few bolts, a camera on one slide or two, and a drop window that may or may not be had. */
export const problems = fc
  .record({
    rooms: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 3 }),
    places: fc.array(fc.integer({ min: -150, max: 150 }), { minLength: 9, maxLength: 9 }),
    grams: fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 3, maxLength: 3 }),
    off: fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -10, max: 10 })),
    middle: fc.integer({ min: 8, max: 25 }),
    half: fc.integer({ min: 1, max: 6 }),
    slides: fc.integer({ min: 0, max: 2 }),
    level: fc.integer({ min: 1, max: 6 }),
  })
  .map(({ rooms, places, grams, off, middle, half, slides, level: degrees }): TrimProblem => {
    const lump = lumpOf(0.05);
    const camera = lump(0.9, [off[0] / 1000, off[1] / 1000, 0.08]);
    const movers = (
      [
        [1, 0, 0],
        [0, 1, 0],
      ] as const
    )
      .slice(0, slides)
      .map((axis, i) => ({ id: `s${i}`, axis, range: [-0.012, 0.015] as const, step: 0, now: 0 }));
    const within = (degrees * Math.PI) / 180;
    const conditions: readonly Condition[] = [
      upright,
      level('foreAft', within),
      level('sideways', within),
      drop('pitch', [(middle - half) / 10, (middle + half) / 10], within),
    ];
    return {
      movers,
      conditions,
      support: [0, 0, 0],
      supportMovedBy: [],
      groups: slides === 0 ? [] : [{ movedBy: movers.map((_, i) => i), sums: camera }],
      fixed:
        slides === 0
          ? sumsOf([
              {
                mass: 0.9,
                centre: [off[0] / 1000, off[1] / 1000, 0.08],
                inertia: [
                  [0.002, 0, 0],
                  [0, 0.002, 0],
                  [0, 0, 0.002],
                ],
              },
              {
                mass: 0.25,
                centre: [0, 0, -0.2],
                inertia: [
                  [0.003, 0, 0],
                  [0, 0.003, 0],
                  [0, 0, 0.0001],
                ],
              },
            ])
          : lump(0.25, [0, 0, -0.2], 0.1),
      stacks: rooms.map((most, i) => ({
        id: `c${i}`,
        least: 0,
        now: 0,
        byCount: Array.from({ length: most + 1 }, (_, n) =>
          n === 0
            ? sumsOf([])
            : lump(
                (n * grams[i]!) / 1000,
                [
                  places[3 * i]! / 1000,
                  places[3 * i + 1]! / 2000,
                  -0.3 - Math.abs(places[3 * i + 2]!) / 1500 - 0.0015 * n,
                ],
                0.01,
              ),
        ),
      })),
    };
  });

/** The slow way: every count, every slide walked in fine steps, every condition asked. */
export function byTryingAll(problem: TrimProblem): number | null {
  const ticks = Array.from({ length: 28 }, (_, i) => -0.012 + i * 0.001);
  const places =
    problem.movers.length === 0
      ? [[]]
      : problem.movers.length === 1
        ? ticks.map((t) => [t])
        : ticks.flatMap((t) => ticks.map((u) => [t, u]));
  return everyCount(problem, (counts) => {
    const still = withCounts(problem, counts);
    return places.some((s) => slackOf(problem.conditions, sumsAbout(problem, still, s)).slack >= 0);
  });
}
/** Least mass of washers of all counts that do, in no clever order; null for none. */
export function everyCount(problem: TrimProblem, does: (counts: readonly number[]) => boolean): number | null {
  let best: number | null = null;
  const visit = (counts: number[]): void => {
    if (counts.length < problem.stacks.length) {
      for (let n = 0; n < problem.stacks[counts.length]!.byCount.length; n++) visit([...counts, n]);
      return;
    }
    const added = addedBy(problem, counts);
    if ((best === null || added < best - 1e-12) && does(counts)) best = added;
  };
  visit([]);
  return best;
}
export const leastOf = (problem: TrimProblem): Found | null => {
  const found = solveTrim(problem);
  return found.kind === 'solved' ? found.best[0]! : null;
};

/** Two heights, the joint's thread and a weight on a post, and drop times in pitch and roll that want both of them. */
export const twoHeights = fc
  .record({
    pitch: fc.integer({ min: 20, max: 45 }),
    roll: fc.integer({ min: 20, max: 45 }),
    half: fc.integer({ min: 1, max: 3 }),
    grams: fc.integer({ min: 80, max: 500 }),
    wide: fc.integer({ min: 20, max: 160 }),
    low: fc.integer({ min: 5, max: 40 }),
  })
  .map(({ pitch, roll, half, grams, wide, low }): TrimProblem => {
    const bar = (mass: number, z: number, long: number): Sums =>
      sumsOf([
        {
          mass,
          centre: [0, 0, z],
          inertia: [
            [0.002, 0, 0],
            [0, (mass * long ** 2) / 12 + 0.002, 0],
            [0, 0, 0.002],
          ],
        },
      ]);
    const window = (middle: number): [number, number] => [(middle - half) / 100, (middle + half) / 100];
    return {
      movers: [
        { id: 'thread', axis: [0, 0, 1], range: [0, 0.012], step: 0.0005, now: 0 },
        { id: 'post', axis: [0, 0, 1], range: [-0.12, 0.12], step: 0.002, now: 0 },
      ],
      groups: [{ movedBy: [1], sums: bar(grams / 1000, -0.15, wide / 1000) }],
      stacks: [],
      fixed: bar(1.2, -low / 1000, 0.2),
      support: [0, 0, 0],
      supportMovedBy: [0],
      conditions: [upright, drop('pitch', window(pitch), 0.01), drop('roll', window(roll), 0.01)],
    };
  });

/** A camera and one or two things beside it, each on a slide of its own along the lens: how far apart they stand sets the inertia, and so the drop. */
export const severalSlides = fc
  .record({
    more: fc.integer({ min: 1, max: 2 }),
    grams: fc.array(fc.integer({ min: 60, max: 500 }), { minLength: 2, maxLength: 2 }),
    middle: fc.integer({ min: 8, max: 24 }),
    half: fc.integer({ min: 1, max: 4 }),
    room: fc.integer({ min: 2, max: 8 }),
    washer: fc.integer({ min: 10, max: 60 }),
    off: fc.integer({ min: -25, max: 25 }),
    now: fc.integer({ min: -4, max: 4 }),
  })
  .map(({ more, grams, middle, half, room, washer, off, now }): TrimProblem => {
    const lump = lumpOf(0.03);
    const within = (3 * Math.PI) / 180;
    return {
      movers: [
        { id: 'camera', axis: [1, 0, 0], range: [-0.06, 0.06], step: 0.004, now: 0 },
        ...Array.from({ length: more }, (_, i) => ({
          id: `slide ${i}`,
          axis: [1, 0, 0] as const,
          range: [-0.16, 0.16] as const,
          step: 0.02,
          now: now * 0.02,
        })),
      ],
      groups: [
        { movedBy: [0], sums: lump(0.8, [off / 1000, 0, 0.06]) },
        ...Array.from({ length: more }, (_, i) => ({ movedBy: [i + 1], sums: lump(grams[i]! / 1000, [0, 0, -0.05]) })),
      ],
      stacks: [
        {
          id: 'foot',
          least: 0,
          now: 0,
          byCount: Array.from({ length: room + 1 }, (_, n) =>
            n === 0 ? sumsOf([]) : lump((n * washer) / 1000, [0, 0, -0.32], 0.01),
          ),
        },
      ],
      fixed: lump(0.25, [0, 0, -0.2], 0.1),
      support: [0, 0, 0],
      supportMovedBy: [],
      conditions: [
        upright,
        level('foreAft', within),
        drop('pitch', [(middle - half) / 10, (middle + half) / 10], within),
      ],
    };
  });
/** The slow way with steps: every count, every step of every slide. */
export function byTryingSteps(problem: TrimProblem): number | null {
  const steps = problem.movers.map(({ range, step }) =>
    Array.from({ length: Math.round((range[1] - range[0]) / step) + 1 }, (_, n) => range[0] + n * step),
  );
  const places = steps.reduce<number[][]>((all, list) => all.flatMap((t) => list.map((v) => [...t, v])), [[]]);
  return everyCount(problem, (counts) => {
    const still = withCounts(problem, counts);
    return places.some((s) => slackOf(problem.conditions, sumsAbout(problem, still, s)).slack >= 1e-9);
  });
}
