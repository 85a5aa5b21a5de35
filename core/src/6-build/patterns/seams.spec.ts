import fc from 'fast-check';
import { seamsOf, type Kept } from './seams';

const lengths = (length: number, seams: readonly number[]): readonly number[] =>
  [0, ...seams].map((from, i) => (seams[i] ?? length) - from);
const hits = (seams: readonly number[], kept: readonly Kept[]): number =>
  seams.reduce((n, s) => n + kept.filter(([a, b]) => s > a && s < b).length, 0);

describe('seams', () => {
  it('part into the fewest lengths, none longer than a sheet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1.2, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (length, most) => {
          const parts = lengths(length, seamsOf(length, most, []));
          expect(Math.max(...parts)).toBeLessThanOrEqual(most + 1e-6);
          expect(Math.min(...parts)).toBeGreaterThan(0);
          // One more than the fewest only where no places on the grid do.
          expect(parts.length).toBeLessThanOrEqual(Math.max(1, Math.ceil(length / most - 1e-9)) + 1);
          expect(parts.length).toBeGreaterThanOrEqual(Math.ceil(length / most - 1e-6));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('cut through as little as any way with as few, tried one by one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 51, max: 75 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 70 }), fc.integer({ min: 1, max: 12 })), { maxLength: 8 }),
        (long, around) => {
          const [length, most] = [long / 1000, 0.025];
          const kept = around.map(([at, wide]): Kept => [(at - wide) / 1000 + 1e-7, (at + wide) / 1000 - 1e-7]);
          const seams = seamsOf(length, most, kept);
          expect(seams.length).toBe(2);
          let least = Infinity;
          for (let a = 1; a < long; a++)
            for (let b = a + 1; b < long; b++) {
              const tried = [a / 1000, b / 1000];
              if (Math.max(...lengths(length, tried)) <= most + 1e-9) least = Math.min(least, hits(tried, kept));
            }
          expect(hits(seams, kept)).toBe(least);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('are even where nothing is in the way, and none where it fits', () => {
    expect(seamsOf(0.6, 0.25, []).map((s) => Math.round(s * 1000))).toEqual([200, 400]);
    expect(seamsOf(0.25, 0.25, [])).toEqual([]);
    expect(() => seamsOf(1, 0, [])).toThrowError(/room/);
  });
});
