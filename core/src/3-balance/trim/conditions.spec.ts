import * as fc from 'fast-check';
import { DEGREE } from '../../0-base';
import { moveSums, sumsOf, type Sums } from '../../1-load';
import { holds } from '../../testing/holds';
import {
  calm,
  drop,
  dropOf,
  leanInPan,
  leastOver,
  level,
  massAtMost,
  overSupport,
  upright,
  valueOf,
  withMovingSupport,
  wrist,
  type Bound,
  type Condition,
} from './conditions';

/** A body of some kilograms, its mass centre somewhere about the support, with inertias that a real body can have. */
const bodies = fc
  .record({
    mass: fc.integer({ min: 3, max: 60 }),
    x: fc.integer({ min: -40, max: 40 }),
    y: fc.integer({ min: -40, max: 40 }),
    z: fc.integer({ min: -80, max: 20 }),
    long: fc.integer({ min: 5, max: 40 }),
    wide: fc.integer({ min: 2, max: 30 }),
    high: fc.integer({ min: 5, max: 40 }),
  })
  .map(({ mass, x, y, z, long, wide, high }): Sums => {
    const [m, l, w, h] = [mass / 10, long / 100, wide / 100, high / 100];
    return sumsOf([
      {
        mass: m,
        centre: [x / 1000, y / 1000, z / 1000],
        inertia: [
          [(m * (w * w + h * h)) / 12, 0, 0],
          [0, (m * (l * l + h * h)) / 12, 0],
          [0, 0, (m * (l * l + w * w)) / 12],
        ],
      },
    ]);
  });
const conditions: Readonly<Record<string, Condition>> = {
  upright,
  'level fore and aft': level('foreAft', 4 * DEGREE),
  'level sideways': level('sideways', 20 * DEGREE),
  mass: massAtMost('mass', 3, 0.4),
  added: massAtMost('added', 2, 0),
  'calm in roll': calm('roll', 0.01),
  'calm in pitch': calm('pitch', 0.02),
  'calm in pan': calm('pan', 0.02),
  'nose in the wrist': wrist('nose', 0.3),
  'sides in the wrist': wrist('sides', 0.3),
  'over a shoulder': overSupport([-0.01, 0.045]),
};
const small = fc.integer({ min: -30, max: 30 }).map((mm) => mm / 1000);

describe('a condition of a set-up', () => {
  it('that is met keeps every bound of its own', () => {
    const met: Record<string, number> = {};
    holds(
      fc.property(bodies, (about) => {
        for (const [name, condition] of Object.entries(conditions)) {
          if (condition.slack(about) < 0) continue;
          met[name] = (met[name] ?? 0) + 1;
          for (const b of condition.bounds)
            expect(b.constant + valueOf(b, about))
              .withContext(name)
              .toBeLessThanOrEqual(1e-9);
        }
      }),
      { seed: 31, numRuns: 300 },
    );
    for (const name of Object.keys(conditions))
      expect(met[name] ?? 0)
        .withContext(name)
        .toBeGreaterThan(5);
  });
  it('of level and mass is met exactly where its bounds are kept, for what hangs', () => {
    holds(
      fc.property(bodies, (about) => {
        if (about.first[2] >= 0) return;
        for (const name of [
          'level fore and aft',
          'level sideways',
          'mass',
          'added',
          'nose in the wrist',
          'over a shoulder',
          'calm in roll',
        ]) {
          const { slack, bounds } = conditions[name]!;
          const most = Math.max(...bounds.map((b) => b.constant + valueOf(b, about)));
          if (Math.abs(most) > 1e-9)
            expect(slack(about) >= 0)
              .withContext(name)
              .toBe(most < 0);
        }
      }),
      { seed: 32, numRuns: 300 },
    );
  });
  it('of the drop keeps its bounds wherever level is kept too', () => {
    let met = 0;
    const within = 25 * DEGREE;
    holds(
      fc.property(bodies, fc.constantFrom('pitch' as const, 'roll' as const), (about, axis) => {
        const [time, ahead, aside] = [
          drop(axis, [0.3, 1.2], within),
          level('foreAft', within),
          level('sideways', within),
        ];
        if (Math.min(time.slack(about), ahead.slack(about), aside.slack(about)) < 0) return;
        met++;
        expect(dropOf(axis, about)).toBeGreaterThanOrEqual(0.3);
        expect(dropOf(axis, about)).toBeLessThanOrEqual(1.2);
        for (const b of time.bounds) expect(b.constant + valueOf(b, about)).toBeLessThanOrEqual(1e-9);
      }),
      { seed: 33, numRuns: 4000 },
    );
    expect(met).toBeGreaterThan(20);
  });
});

describe('a bound', () => {
  const bound = fc.constantFrom<Bound>(
    ...Object.values(conditions).flatMap((c) => c.bounds),
    ...drop('pitch', [1, 2], 0.05).bounds,
  );
  it('over a box of shifts is the least of all places in it, and is had in one of them', () => {
    const box = fc.tuple(small, small, small, small, small, small);
    holds(
      fc.property(bound, bodies, box, (b, sums, ends) => {
        const [low, high] = [
          [0, 1, 2].map((i) => Math.min(ends[i]!, ends[i + 3]!)),
          [0, 1, 2].map((i) => Math.max(ends[i]!, ends[i + 3]!)),
        ];
        const least = leastOver(b, sums, low, high);
        const places = [0, 1, 2].map((i) =>
          Array.from({ length: 9 }, (_, n) => low[i]! + ((high[i]! - low[i]!) * n) / 8),
        );
        let found = Infinity;
        for (const x of places[0]!)
          for (const y of places[1]!)
            for (const z of places[2]!) found = Math.min(found, valueOf(b, moveSums(sums, [x, y, z])));
        expect(least).toBeLessThanOrEqual(found + 1e-12);
        // Straight or a bowl along each way: a grid of eighths is off by a little of the bowl's rise at most.
        expect(found - least).toBeLessThan(1e-3 * Math.max(1, Math.abs(found)));
      }),
      { seed: 34, numRuns: 150 },
    );
  });
  it('with a support that moves is no stronger than the bound at any place of it', () => {
    holds(
      fc.property(
        bound,
        bodies,
        fc.integer({ min: 0, max: 20 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (b, about, drops, part) => {
          // From the highest the support goes, down to so far below: what hangs there hangs with it highest too.
          const range: readonly [number, number] = [-drops / 1000, 0];
          const weaker = withMovingSupport(b, [0, 0, 1], range);
          if (!weaker || about.first[2] >= 0) return;
          const moved = moveSums(about, [0, 0, -(range[0] + (range[1] - range[0]) * part)]);
          if (moved.first[2] >= 0) return;
          expect(valueOf(weaker, about)).toBeLessThanOrEqual(valueOf(b, moved) + 1e-12);
        },
      ),
      { seed: 35, numRuns: 600 },
    );
  });
  it('of inertia with a support that moves aside is left out, not guessed', () => {
    expect(withMovingSupport(calm('pitch', 0.01).bounds[0]!, [1, 0, 0], [-0.01, 0.01])).toBeNull();
  });
});

describe('the lean in a pan', () => {
  it('is zero for a body that is even all round, grows with the rate, and is none where it does not hang', () => {
    const even = sumsOf([
      {
        mass: 1,
        centre: [0, 0, -0.02],
        inertia: [
          [0.02, 0, 0],
          [0, 0.02, 0],
          [0, 0, 0.01],
        ],
      },
    ]);
    expect(leanInPan(even, 1)).toBeCloseTo(0, 9);
    const lopsided = sumsOf([
      {
        mass: 1,
        centre: [0, 0, -0.02],
        inertia: [
          [0.02, 0, 0.003],
          [0, 0.02, 0],
          [0.003, 0, 0.01],
        ],
      },
    ]);
    expect(leanInPan(lopsided, 0.2)).toBeGreaterThan(0);
    expect(leanInPan(lopsided, 0.8)).toBeGreaterThan(leanInPan(lopsided, 0.2));
    expect(leanInPan(moveSums(even, [0, 0, 0.05]), 1)).toBe(Infinity);
  });
});
