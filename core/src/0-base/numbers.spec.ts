import * as fc from 'fast-check';
import { holds } from '../testing/holds';
import {
  alignZ,
  ellipticK,
  leastBetween,
  length,
  materialOf,
  multiply,
  quaternionAbout,
  quaternionOf,
  rootBetween,
  rotationAbout,
  rotationOf,
  symmetricEigenvalues,
  transform,
  transpose,
  unit,
  type Vec3,
} from '.';

const direction = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
  )
  .filter((v) => Math.hypot(...v) > 0.1) as fc.Arbitrary<[number, number, number]>;
const off = (a: readonly (readonly number[])[], b: readonly (readonly number[])[]): number =>
  Math.max(...a.flat().map((x, i) => Math.abs(x - b.flat()[i]!)));

describe('rotations', () => {
  it('agree between axis-angle, quaternion and matrix', () => {
    holds(
      fc.property(direction, fc.double({ min: -3.1, max: 3.1, noNaN: true }), (axis, angle) => {
        const m = rotationAbout(unit(axis), angle);
        return (
          off(m, rotationOf(quaternionAbout(axis, angle))) < 1e-12 &&
          off(m, rotationOf(quaternionOf(m))) < 1e-12 &&
          off(multiply(m, transpose(m)), [
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ]) < 1e-12
        );
      }),
      { seed: 1 },
    );
  });
  it('lay local z along any direction', () => {
    holds(
      fc.property(direction, (d) => {
        const z = transform(alignZ(d), [0, 0, 1]);
        return length([z[0] - unit(d)[0], z[1] - unit(d)[1], z[2] - unit(d)[2]]) < 1e-12;
      }),
      { seed: 2 },
    );
    expect(transform(alignZ([1, 0, 0]), [0, 0, 1])).toEqual([1, 0, 0] as Vec3);
  });
  it('refuse a direction that is none', () => {
    expect(() => unit([0, 0, 0])).toThrowError(RangeError);
    expect(() => rotationOf([0, 0, 0, 0])).toThrowError(RangeError);
  });
});

describe('numbers', () => {
  it('finds roots and minima', () => {
    expect(rootBetween((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 14);
    expect(rootBetween((x) => x, 0, 1)).toBe(0);
    expect(() => rootBetween((x) => x * x + 1, -1, 1)).toThrowError(RangeError);
    // A straight line is met at once, however wide the bracket.
    let asked = 0;
    expect(rootBetween((x) => (asked++, 3 * x - 0.3), -1e3, 1e3, 1e-6)).toBeCloseTo(0.1, 6);
    expect(asked).toBeLessThan(6);
    expect(leastBetween((x) => (x - 0.3) ** 2, 0, 1)).toBeCloseTo(0.3, 7);
  });
  it('finds a change of sign within what is asked, in flat, steep and broken curves', () => {
    const curve = fc.tuple(
      fc.double({ min: -0.95, max: 0.95, noNaN: true }),
      fc.integer({ min: 0, max: 3 }),
      fc.double({ min: 0, max: 0.1, noNaN: true }),
    );
    holds(
      fc.property(curve, ([root, kind, within]) => {
        const f = (x: number): number =>
          [(x - root) ** 3, Math.atan(1e4 * (x - root)), x < root ? -1 : 1e9, Math.expm1(40 * (x - root))][kind]!;
        const found = rootBetween(f, -1, 1, within);
        return f(Math.max(-1, found - within - 1e-5)) <= 0 && f(Math.min(1, found + within + 1e-5)) >= 0;
      }),
      { seed: 7, numRuns: 400 },
    );
  });
  it('knows the elliptic integral', () => {
    expect(ellipticK(0)).toBeCloseTo(Math.PI / 2, 14);
    expect(ellipticK(Math.SQRT1_2)).toBeCloseTo(1.8540746773013719, 14);
    expect(ellipticK(1)).toBe(Infinity);
    expect(() => ellipticK(1.1)).toThrowError(RangeError);
  });
  it('finds the eigenvalues of a turned diagonal', () => {
    const r = rotationAbout(unit([1, 2, -0.5]), 0.7);
    const turned = multiply(
      multiply(r, [
        [3, 0, 0],
        [0, 1, 0],
        [0, 0, 2],
      ]),
      transpose(r),
    );
    symmetricEigenvalues(turned).forEach((v, i) => expect(v).toBeCloseTo(i + 1, 12));
  });
  it('looks up materials in the rig first', () => {
    const own = { steel: { ...materialOf('brass')!, name: 'odd steel' } };
    expect(materialOf('steel', own)!.name).toBe('odd steel');
    expect(materialOf('moonrock')).toBeNull();
  });
});
