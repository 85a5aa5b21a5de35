import fc from 'fast-check';
import { NO_SUMS, type Sums } from '../../1-load';
import { holds } from '../../testing/holds';
import { likeliest, type Read } from './likeliest';

const mass = (m: number): Sums => ({ ...NO_SUMS, mass: m });
/** A scale under a body of `typed`, of which two things are unsure by so much each. */
const weighed = (typed: number, seen: number, spread: number, changes: readonly number[]): Read => ({
  base: mass(typed),
  changes: changes.map(mass),
  value: (s) => s.mass - seen,
  spread: () => spread,
});
const far = fc.double({ min: -3, max: 3, noNaN: true });
const size = fc.double({ min: 0.05, max: 2, noNaN: true });

describe('the likeliest figures', () => {
  it('of one reading: moved by its share of what was read, in parts of the variances', () => {
    holds(
      fc.property(far, size, size, size, (miss, a, b, spread) => {
        const { off, covariance } = likeliest([weighed(10, 10 + miss, spread, [a, b])], []);
        const whole = a ** 2 + b ** 2 + spread ** 2;
        // Textbook: gain = P Jᵀ / (J P Jᵀ + R), and what is left P - gain J P.
        expect(off[0]).toBeCloseTo((a * miss) / whole, 9);
        expect(off[1]).toBeCloseTo((b * miss) / whole, 9);
        expect(covariance[0]![0]).toBeCloseTo(1 - a ** 2 / whole, 9);
        expect(covariance[0]![1]).toBeCloseTo((-a * b) / whole, 9);
        return true;
      }),
      { seed: 11 },
    );
  });
  it('two readings are as their weighted mean, and their order is nothing', () => {
    holds(
      fc.property(far, far, size, size, (first, second, one, two) => {
        const [a, b] = [weighed(10, 10 + first, one, [1]), weighed(10, 10 + second, two, [1])];
        const [w, v] = [1 / one ** 2, 1 / two ** 2];
        const together = weighed(10, 10 + (w * first + v * second) / (w + v), Math.sqrt(1 / (w + v)), [1]);
        const [both, turned, mean] = [likeliest([a, b], []), likeliest([b, a], []), likeliest([together], [])];
        return (
          Math.abs(both.off[0]! - mean.off[0]!) < 1e-9 &&
          Math.abs(both.off[0]! - turned.off[0]!) < 1e-9 &&
          Math.abs(both.covariance[0]![0]! - mean.covariance[0]![0]!) < 1e-9
        );
      }),
      { seed: 12 },
    );
  });
  it('counts how unlikely a reading is as the normal law does', () => {
    const unlikely = (miss: number): number => likeliest([weighed(10, 10 + miss, 0.3, [0.4])], []).unlikely;
    const variance = 0.3 ** 2 + 0.4 ** 2;
    expect(unlikely(0)).toBeCloseTo(Math.log(variance), 9);
    expect(unlikely(1) - unlikely(0)).toBeCloseTo(1 / variance, 9);
  });
  it('takes a figure for wrong only where its own spread cannot tell what was read', () => {
    const ways = [
      { which: [0], wider: 20 },
      { which: [1], wider: 20 },
    ];
    const near = likeliest([weighed(10, 10.1, 0.05, [0.1, 0.01])], ways);
    expect(near.wrong).toBeNull();
    const wide = likeliest([weighed(10, 11, 0.05, [0.1, 0.01])], ways);
    expect(wide.wrong).toBe(0);
    expect(wide.off[0]).toBeCloseTo(10, 0);
    // The other can be off by a fifth at most: not by one.
    expect(Math.abs(wide.off[1]!)).toBeLessThan(1);
  });
  it('of two that could be wrong, the one whose error all readings share', () => {
    const read = (seen: number, changes: readonly number[]): Read => weighed(10, seen, 0.05, changes);
    const { wrong, off } = likeliest(
      [read(11, [0.1, 0.1]), read(10, [0, 0.1])],
      [
        { which: [0], wider: 20 },
        { which: [1], wider: 20 },
      ],
    );
    expect(wrong).toBe(0);
    expect(off[0]).toBeCloseTo(10, 0);
    expect(Math.abs(off[1]!)).toBeLessThan(0.5);
  });
  it('without readings has nothing to say', () => {
    expect(likeliest([], []).off).toEqual([]);
  });
});
