import * as fc from 'fast-check';
import { add, cross, scale, subtract, unit, ZERO, type Vec3 } from '../../../0-base';
import { holds } from '../../../testing/holds';
import { contactLoads, type Push } from './contactLoads';

describe('contacts with a force from outside', () => {
  it('balance it with the weight, force by force and moment by moment', () => {
    const tenths = (): fc.Arbitrary<number> => fc.integer({ min: -20, max: 20 });
    let held = 0;
    holds(
      fc.property(
        fc.tuple(tenths(), tenths(), tenths()),
        fc.tuple(tenths(), tenths(), tenths()),
        fc.integer({ min: 10, max: 60 }),
        (f, p, weight) => {
          const [force, point]: [Vec3, Vec3] = [scale(f, 0.1), scale(p, 0.02)];
          const centre: Vec3 = [0.02, 0, 0.1];
          // Feet at four corners that push up and each way level.
          const pushes = (
            [
              [0.2, 0.15, 0],
              [0.2, -0.15, 0],
              [-0.2, 0.15, 0],
              [-0.2, -0.15, 0],
            ] as const
          ).flatMap((at): Push[] =>
            (
              [
                [0, 0, 1],
                [1, 0, 1],
                [-1, 0, 1],
                [0, 1, 1],
                [0, -1, 1],
              ] as const
            ).map((direction) => ({ point: at, direction })),
          );
          const outcome = contactLoads(weight, centre, pushes, [{ force, point }]);
          if (outcome.kind !== 'held') return true;
          held++;
          const each = outcome.forces.map((size, i) => ({
            at: pushes[i]!.point,
            push: scale(unit(pushes[i]!.direction), size),
          }));
          const all = [...each, { at: centre, push: [0, 0, -weight] as Vec3 }, { at: point, push: force }];
          const sum = all.reduce<Vec3>((s, e) => add(s, e.push), ZERO);
          const moment = all.reduce<Vec3>((s, e) => add(s, cross(subtract(e.at, centre), e.push)), ZERO);
          return [...sum, ...moment].every((x) => Math.abs(x) < 1e-7 * weight);
        },
      ),
      { seed: 25, numRuns: 200 },
    );
    expect(held).toBeGreaterThan(120);
  });
});
