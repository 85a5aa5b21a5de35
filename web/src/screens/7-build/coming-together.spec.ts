import type { Coming } from '@tide-pebble/core/making';
import { benchAt } from '../../testing/bench';
import { offsetsAt } from './coming-together';

const { pieces } = benchAt({}).judged.evaluation;
const owner = pieces.find((p) => !p.isLoad)!.flat.owner;
const other = pieces.find((p) => !p.isLoad && p.flat.owner !== owner)!.flat.owner;
const down = { way: [0, 0, -1], by: Infinity } as const;

describe('pieces that come together', () => {
  it('stand off along their way at first, come one after the other, and are home at the end', () => {
    const comes: readonly Coming[] = [
      { pieces: [owner], legs: [down] },
      { pieces: [other], legs: [down] },
    ];
    const [first, second] = [owner, other].map((o) => (t: number) => offsetsAt(comes, pieces, t).get(o)?.[2] ?? 0);
    expect(first!(0)).toBeGreaterThan(0.01);
    // What comes later by the same way stands further out.
    expect(second!(0)).toBeGreaterThan(first!(0) + 0.01);
    expect(first!(0.5)).toBe(0);
    expect(second!(0.5)).toBeCloseTo(second!(0), 9);
    expect(offsetsAt(comes, pieces, 1).size).toBe(0);
  });
  it('turn aside where their way does', () => {
    const comes: readonly Coming[] = [
      {
        pieces: [owner],
        legs: [
          { way: [1, 0, 0], by: Infinity },
          { way: [0, 0, 1], by: 0.05 },
        ],
      },
    ];
    const [x, , z] = offsetsAt(comes, pieces, 0).get(owner)!;
    expect([x < -0.01, z]).toEqual([true, -0.05]);
    const half = offsetsAt(comes, pieces, 0.5).get(owner)!;
    expect(half[0]).toBeCloseTo(0, 9);
    expect(half[2]).toBeCloseTo(-0.05, 9);
  });
});
