import * as fc from 'fast-check';
import { STANDARD_GRAVITY } from '../../../0-base';
import { massCentre, moveSums, sumsOf } from '../../../1-load';
import { bentBarAssembly, wants } from '../../../testing/rigs';
import { holds } from '../../../testing/holds';
import { aboutAxis, dropTime, evaluate, FROM_LEVEL, poolOf, quickBalance } from '../..';
import { trim } from '../../bench';
import { DROP_K, dropFactor, dropFromLevel, FRICTION_SLOPE, STOPS_FROM } from './dropFactor';
import { atPin, drop, level, upright, valueOf } from '../../trim/conditions';

describe('a drop with friction', () => {
  it('is the integrated one, to a part in a thousand million, and none from 2/π on', () => {
    holds(
      fc.property(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 5, max: 400 }), (parts, milli) => {
        const [inertia, mass, distance, part] = [0.03, 2, milli / 1e5, parts / 1000];
        const righting = mass * STANDARD_GRAVITY * distance;
        const walked = dropTime({ mass, inertia, distance, releaseAngle: FROM_LEVEL }, { dry: part * righting });
        return (
          walked.kind === 'falls' &&
          Math.abs(dropFromLevel(inertia, righting, part * righting) / walked.time - 1) < 1e-9
        );
      }),
      { seed: 19 },
    );
    expect(dropFactor(0)).toBe(DROP_K);
    expect(dropFactor(STOPS_FROM)).toBe(Infinity);
    expect(
      dropTime(
        { mass: 1, inertia: 0.01, distance: 0.002, releaseAngle: FROM_LEVEL },
        { dry: 0.64 * STANDARD_GRAVITY * 0.002 },
      ).kind,
    ).toBe('stops');
  });
  it('never falls below the line that a search leaves set-ups out by', () => {
    for (let part = 0.001; part < STOPS_FROM; part += 0.001)
      expect((1 / DROP_K ** 2 - 1 / dropFactor(part) ** 2) / part).toBeLessThanOrEqual(FRICTION_SLOPE);
  });
  it('keeps every set-up that meets a drop within its bounds, with friction and with pins apart', () => {
    let met = 0;
    holds(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 80 }),
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: -3, max: 3 }),
        fc.integer({ min: 0, max: 30 }),
        (under, size, friction, off, apart) => {
          const depth = apart / 1000;
          const sums = sumsOf([
            {
              mass: 2,
              centre: [off / 1e5, 0, -depth - under / 1e4],
              inertia: [
                [size / 1000, 0, 0],
                [0, size / 1000, 0],
                [0, 0, size / 1000],
              ],
            },
          ]);
          return [
            upright,
            level('foreAft', 0.05),
            drop('pitch', [1.2, 2.6], 0.05, friction / 1000),
            drop('roll', [1.2, 2.6], 0.05, friction / 1000),
          ]
            .map((c) => atPin(c, depth))
            .every((c) => {
              if (c.slack(sums) < 0) return true;
              met++;
              return c.bounds.every((b) => b.constant + valueOf(b, sums) <= 1e-9);
            });
        },
      ),
      { seed: 20, numRuns: 2000 },
    );
    expect(met).toBeGreaterThan(800);
  });
});

describe('a joint whose pins lie apart', () => {
  const rigWith = (spacing: number, friction: number, upperAxis: 'x' | 'y' = 'x') => {
    const assembly = bentBarAssembly();
    const pivots = assembly.rig.pivots.map((p) =>
      p.kind === 'universal'
        ? { ...p, pins: { upperAxis, spacing }, ...(friction > 0 ? { frictionTorque: { value: friction } } : {}) }
        : p,
    );
    return { ...assembly, rig: { ...assembly.rig, pivots } };
  };
  it('drops about each pin by itself: the lower one is nearer the mass centre, and slower', () => {
    const found = trim(rigWith(0, 0), {}, { ...wants, massAtMost: 9, calmAtLeast: 0 });
    if (found.kind !== 'solved') return fail(found.kind);
    const [plain, apart] = [
      evaluate(rigWith(0, 0), found.values).hung!,
      evaluate(rigWith(0.0004, 0), found.values).hung!,
    ];
    const by = (axis: 'pitch' | 'roll', depth: number): number => {
      const pin = [apart.pivotAt[0], apart.pivotAt[1], apart.pivotAt[2] - depth] as const;
      const { inertia, distance } = aboutAxis(apart.sums, pin, axis);
      return dropFromLevel(
        inertia,
        apart.sums.mass * STANDARD_GRAVITY * distance,
        apart.pivot.frictionTorque?.value ?? 0,
      );
    };
    if (apart.pitch.drop.kind !== 'falls' || plain.pitch.drop.kind !== 'falls' || apart.roll.drop.kind !== 'falls')
      return fail('it hangs');
    // The stepped drop is within 1e-9 of itself.
    expect(Math.abs(apart.pitch.drop.time / by('pitch', 0.0004) - 1)).toBeLessThan(1e-9);
    expect(Math.abs(apart.roll.drop.time / by('roll', 0) - 1)).toBeLessThan(1e-9);
    expect(apart.pitch.drop.time).toBeGreaterThan(plain.pitch.drop.time);
  });
  it('is read the same by the quick way, and trimmed for the drop its maker then finds, friction and all', () => {
    for (const [spacing, friction, upper] of [
      [0, 0.004, 'x'],
      [0.006, 0, 'x'],
      [0.0008, 0.003, 'y'],
      [0.004, 0.006, 'x'],
    ] as const) {
      const assembly = rigWith(spacing, friction, upper);
      const wanted = { ...wants, dropTime: [2.0, 2.6] as const, massAtMost: 9, calmAtLeast: 0 };
      const found = trim(assembly, {}, wanted);
      if (found.kind !== 'solved') {
        fail(`${spacing} ${friction}: ${found.kind}`);
        continue;
      }
      const { hung } = evaluate(assembly, found.values);
      const quick = quickBalance(assembly)!.at(found.values);
      if (hung?.pitch.drop.kind !== 'falls') {
        fail('it hangs');
        continue;
      }
      expect(hung.pitch.drop.time)
        .withContext(`${spacing} ${friction}`)
        .toBeGreaterThanOrEqual(2.0 - 1e-6);
      expect(hung.pitch.drop.time)
        .withContext(`${spacing} ${friction}`)
        .toBeLessThanOrEqual(2.6 + 1e-6);
      expect(quick.dropPitch!).toBeCloseTo(hung.pitch.drop.time, 7);
      expect(quick.noseDown!).toBeCloseTo(hung.hang.rest!.noseDown, 12);
      // The pool it is drawn in holds it.
      const [least, most] = poolOf(hung, wanted)!.under;
      expect(hung.hang.bottomHeaviness).toBeGreaterThan(least - 1e-5);
      expect(hung.hang.bottomHeaviness).toBeLessThan(most + 1e-5);
    }
  });
  it('moves nothing but the place of the sums: a pin at depth zero is none', () => {
    const sums = sumsOf([
      {
        mass: 1,
        centre: [0, 0, -0.01],
        inertia: [
          [0.01, 0, 0],
          [0, 0.01, 0],
          [0, 0, 0.01],
        ],
      },
    ]);
    expect(atPin(upright, 0)).toBe(upright);
    expect(massCentre(moveSums(sums, [0, 0, 0.004]))[2]).toBeCloseTo(-0.006, 12);
  });
});
