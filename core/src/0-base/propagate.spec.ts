import * as fc from 'fast-check';
import { propagate, quaternionOfTurns, rotationAbout, rotationOf, turnsOfRotation } from '.';
import { holds } from '../testing/holds';

describe('propagating spreads', () => {
  it('of a sum and a product, by hand', () => {
    const found = propagate(
      [
        { name: 'a', value: 3, spread: 0.3 },
        { name: 'b', value: 4, spread: 0.4 },
      ],
      [],
      ([a, b]) => [a! + b!, a! * b!],
    );
    expect(found.values).toEqual([7, 12]);
    expect(found.spreads[0]).toBeCloseTo(0.5, 10);
    expect(found.spreads[1]).toBeCloseTo(Math.hypot(4 * 0.3, 3 * 0.4), 10);
    expect(found.largest).toEqual(['b', 'a']);
  });
  it('of figures that vary together: twice one figure, not two', () => {
    const figures = [
      { name: 'a', value: 1, spread: 0.1 },
      { name: 'b', value: 1, spread: 0.1 },
    ];
    const sum = (coefficient: number): number =>
      propagate(figures, [{ between: ['a', 'b'], coefficient }], ([a, b]) => [a! + b!]).spreads[0]!;
    expect(sum(1)).toBeCloseTo(0.2, 10);
    expect(sum(0)).toBeCloseTo(0.1 * Math.SQRT2, 10);
    expect(sum(-1)).toBeCloseTo(0, 7);
  });
  it('refuses a correlation with nobody, or beyond one', () => {
    const figures = [{ name: 'a', value: 1, spread: 0.1 }];
    expect(() => propagate(figures, [{ between: ['a', 'z'], coefficient: 0.5 }], ([a]) => [a!])).toThrowError(
      RangeError,
    );
    expect(() => propagate(figures, [{ between: ['a', 'a'], coefficient: 2 }], ([a]) => [a!])).toThrowError(RangeError);
  });
  it('has no largest where nothing is uncertain', () => {
    expect(propagate([{ name: 'a', value: 1, spread: 0 }], [], ([a]) => [a!])).toEqual({
      values: [1],
      spreads: [0],
      largest: [null],
    });
  });
  it('is exact for any linear function', () => {
    const number = fc.double({ min: -10, max: 10, noNaN: true });
    const spread = fc.double({ min: 0.001, max: 2, noNaN: true });
    holds(
      fc.property(fc.array(fc.tuple(number, spread, number), { minLength: 1, maxLength: 6 }), (terms) => {
        const found = propagate(
          terms.map(([value, s], i) => ({ name: `${i}`, value, spread: s })),
          [],
          (v) => [terms.reduce((sum, [, , k], i) => sum + k * v[i]!, 0)],
        );
        const expected = Math.hypot(...terms.map(([, s, k]) => s * k));
        return Math.abs(found.spreads[0]! - expected) <= 1e-9 + 1e-7 * expected;
      }),
      { seed: 301 },
    );
  });
});

describe('turns as a maker says them', () => {
  it('go to a rotation and back', () => {
    const angle = fc.double({ min: -3.1, max: 3.1, noNaN: true });
    const lean = fc.double({ min: -1.5, max: 1.5, noNaN: true });
    holds(
      fc.property(angle, lean, angle, (toTheLeft, noseDown, leftSideDown) => {
        const back = turnsOfRotation(quaternionOfTurns({ toTheLeft, noseDown, leftSideDown }));
        return (
          Math.abs(back.toTheLeft - toTheLeft) < 1e-9 &&
          Math.abs(back.noseDown - noseDown) < 1e-9 &&
          Math.abs(back.leftSideDown - leftSideDown) < 1e-9
        );
      }),
      { seed: 302 },
    );
  });
  it('are right-handed: left turns the lens to the left, nose down lowers it', () => {
    expect(rotationOf(quaternionOfTurns({ toTheLeft: Math.PI / 2, noseDown: 0, leftSideDown: 0 }))[1][0]).toBeCloseTo(
      1,
      12,
    );
    expect(rotationOf(quaternionOfTurns({ toTheLeft: 0, noseDown: 0.3, leftSideDown: 0 }))[2][0]).toBeCloseTo(
      -Math.sin(0.3),
      12,
    );
    expect(rotationOf(quaternionOfTurns({ toTheLeft: 0, noseDown: 0, leftSideDown: 0.3 }))[2][1]).toBeCloseTo(
      -Math.sin(0.3),
      12,
    );
  });
  it('straight down are told as turning, and still give the same rotation', () => {
    const q = quaternionOfTurns({ toTheLeft: 0.7, noseDown: Math.PI / 2, leftSideDown: 0.2 });
    const again = rotationOf(quaternionOfTurns(turnsOfRotation(q)));
    rotationOf(q).forEach((row, i) => row.forEach((x, j) => expect(again[i]![j]!).toBeCloseTo(x, 7)));
    expect(rotationAbout([0, 0, 1], 0)[0][0]).toBe(1);
  });
});
