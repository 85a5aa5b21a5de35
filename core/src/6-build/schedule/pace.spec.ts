import fc from 'fast-check';
import { minutesOf, paceOf, type Took } from '..';

describe('a maker’s own pace', () => {
  it('is learned by kind of work, a single odd step counted half', () => {
    const pace = paceOf([
      ['drill:a/hole/1', { minutes: 16, reckoned: 4 }],
      ['cut:b', { minutes: 12, reckoned: 6 }],
      ['cut:c', { minutes: 24, reckoned: 12 }],
      ['cut:d', { minutes: 0, reckoned: 6 }],
    ]);
    expect(pace.get('drill')).toEqual({ factor: 2, from: 1 });
    expect(pace.get('cut')!.factor).toBeCloseTo(2 ** (2 / 3), 12);
    expect(pace.get('cut')!.from).toBe(2);
    expect(pace.has('bend')).toBeFalse();
  });

  it('comes to what was typed as more of it is, and never past it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), fc.integer({ min: 1, max: 40 }), (times, n) => {
        const took = Array.from({ length: n }, (_, i): [string, Took] => [
          `cut:${i}`,
          { minutes: 6 * times, reckoned: 6 },
        ]);
        const { factor } = paceOf(took).get('cut')!;
        expect(Math.abs(Math.log(factor))).toBeLessThanOrEqual(Math.abs(Math.log(times)) + 1e-12);
        expect(Math.log(factor)).toBeCloseTo((Math.log(times) * n) / (n + 1), 9);
      }),
      { seed: 27 },
    );
  });

  it('gives way to what was typed for the very step', () => {
    const pace = paceOf([['drill:a', { minutes: 16, reckoned: 4 }]]);
    expect(minutesOf({ id: 'drill:b', minutes: 3 }, {}, pace)).toBe(6);
    expect(minutesOf({ id: 'drill:b', minutes: 3 }, { 'drill:b': { minutes: 7, reckoned: 3 } }, pace)).toBe(7);
    expect(minutesOf({ id: 'bend:b', minutes: 3 }, {}, pace)).toBe(3);
  });
});
