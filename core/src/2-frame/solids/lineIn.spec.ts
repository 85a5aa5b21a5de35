import * as fc from 'fast-check';
import { alignZ, transform, transpose, unit, type Vec3 } from '../../0-base';
import type { Shape } from '../../model';
import { holds } from '../../testing/holds';
import { latticeAlong } from './columns';
import { LineIn } from './lineIn';
import { spansThrough } from './spansThrough';

const side = fc.integer({ min: 1, max: 40 }).map((n) => n / 1000);
const place = fc.integer({ min: -30, max: 30 }).map((n) => n / 1000 + 1e-5);
const shapes: fc.Arbitrary<Shape> = fc.oneof(
  fc.tuple(side, side, side).map((size): Shape => ({ kind: 'box', size })),
  fc.tuple(side, side, side).map(([x, y, z]): Shape => ({ kind: 'box', size: [x, y, z], bore: [y / 2, z / 3] })),
  fc.tuple(side, side).map(([r, length]): Shape => ({ kind: 'tube', outerRadius: r, innerRadius: 0, length })),
  fc.tuple(side, side).map(([r, length]): Shape => ({ kind: 'tube', outerRadius: r, innerRadius: 0.6 * r, length })),
);

describe('lines within a box or a round', () => {
  it('run where the plain way says', () => {
    let met = 0;
    holds(
      fc.property(
        shapes,
        fc.tuple(place, place, place),
        fc.tuple(place, place, place),
        place,
        place,
        (shape, at, turn, u, v) => {
          const { axis, frame } = latticeAlong([turn[1], 0.02, turn[2]]);
          const rotation = alignZ(unit(turn as Vec3));
          const line = LineIn.of({ shape, at, rotation }, frame)!;
          const inwards = transpose(rotation);
          const point = transform(
            inwards,
            [0, 1, 2].map((i) => frame[0][i]! * u + frame[1][i]! * v - at[i]!) as unknown as Vec3,
          );
          const plain = spansThrough(point, transform(inwards, axis), { shape });
          met += plain.length;
          expect(line.at(u, v)).toBe(plain.length > 0);
          expect(line.count).toBe(plain.length);
          plain.forEach(([from, to], k) => {
            expect(line.from[k]).toBeCloseTo(from, 12);
            expect(line.to[k]).toBeCloseTo(to, 12);
          });
        },
      ),
      { seed: 61, numRuns: 600 },
    );
    expect(met).toBeGreaterThan(100);
  });

  it('are not for what is sawn to an outline, or has no such shape', () => {
    const flat = { at: [0, 0, 0] as const, rotation: alignZ([0, 0, 1]) };
    const { frame } = latticeAlong([0, 0, 1]);
    expect(LineIn.of({ ...flat, shape: { kind: 'point' } }, frame)).toBeNull();
    const box: Shape = { kind: 'box', size: [0.1, 0.1, 0.01] };
    expect(
      LineIn.of(
        {
          ...flat,
          shape: box,
          outline: [
            [0, 0],
            [0.05, 0],
            [0, 0.05],
          ],
        },
        frame,
      ),
    ).toBeNull();
  });
});
