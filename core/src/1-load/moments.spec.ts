import * as fc from 'fast-check';
import { holds } from '../testing/holds';
import { add, multiply, rotationAbout, transform, transpose, unit, type Mat3, type Vec3 } from '../0-base';
import {
  addSums,
  flatBody,
  inertiaAbout,
  inertiaAboutMassCentre,
  massCentre,
  moveSums,
  NO_SUMS,
  shifted,
  solidOf,
  sumsOf,
  type FlatBody,
  type RigidPiece,
} from '.';

const number = (size: number) => fc.double({ min: -size, max: size, noNaN: true });
const place = fc.tuple(number(0.4), number(0.4), number(0.4)) as fc.Arbitrary<[number, number, number]>;
const positive = fc.double({ min: 0.005, max: 0.3, noNaN: true });
const body = fc
  .tuple(
    place,
    fc.tuple(positive, positive, positive),
    fc.double({ min: 0.01, max: 3, noNaN: true }),
    fc.tuple(place, number(3)),
  )
  .map(([at, size, mass, [axis, angle]]): FlatBody => {
    const turn = Math.hypot(...axis) > 0.05 ? rotationAbout(unit(axis), angle) : rotationAbout([0, 0, 1], angle);
    return flatBody({
      id: 'b',
      name: 'b',
      owner: 'b',
      shape: { kind: 'box', size: size as Vec3 },
      at,
      rotation: turn,
      mass: { value: mass },
    });
  });
const rigOf = fc.array(body, { minLength: 1, maxLength: 6 });
const close = (a: Mat3, b: Mat3, scale: number): boolean =>
  a.flat().every((x, i) => Math.abs(x - b.flat()[i]!) <= 1e-12 * scale + 1e-15);
const sizeOf = (m: Mat3): number => Math.max(...m.flat().map(Math.abs));

describe('moments', () => {
  it('of a hand-worked pair: two point masses a metre apart', () => {
    const two: RigidPiece[] = [
      [0, 0, 0],
      [1, 0, 0],
    ].map((centre) => ({
      mass: 1,
      centre: centre as unknown as Vec3,
      inertia: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
    }));
    const sums = sumsOf(two);
    expect(massCentre(sums)).toEqual([0.5, 0, 0]);
    expect(inertiaAboutMassCentre(sums)[2][2]).toBeCloseTo(0.5, 15);
    expect(inertiaAbout(sums, [0, 0, 0])[1][1]).toBeCloseTo(1, 15);
  });

  it('do not depend on where the axes are or how they are turned', () => {
    holds(
      fc.property(rigOf, place, place, number(3), (bodies, by, axis, angle) => {
        const turn = Math.hypot(...axis) > 0.05 ? rotationAbout(unit(axis), angle) : rotationAbout([1, 0, 0], angle);
        const before = sumsOf(bodies);
        const moved = sumsOf(
          bodies.map((b) => ({
            ...b,
            centre: add(transform(turn, b.centre), by),
            rotation: multiply(turn, b.rotation),
          })),
        );
        const own = inertiaAboutMassCentre(before);
        const expected = multiply(multiply(turn, own), transpose(turn));
        const centre = add(transform(turn, massCentre(before)), by);
        return (
          close(inertiaAboutMassCentre(moved), expected, 10 * sizeOf(inertiaAbout(moved, [0, 0, 0]))) &&
          massCentre(moved).every((c, i) => Math.abs(c - centre[i]!) < 1e-12)
        );
      }),
      { seed: 3, numRuns: 200 },
    );
  });

  it('are the same for a body and for its two halves', () => {
    holds(
      fc.property(
        fc.tuple(positive, positive, positive),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (size, part) => {
          const [a, b, c] = size;
          const whole = flatBody({
            id: 'w',
            name: 'w',
            owner: 'w',
            shape: { kind: 'box', size: [a, b, c] },
            at: [0, 0, 0],
            density: 1000,
          });
          const left = flatBody({
            id: 'l',
            name: 'l',
            owner: 'l',
            shape: { kind: 'box', size: [a * part, b, c] },
            at: [(a * part - a) / 2, 0, 0],
            density: 1000,
          });
          const right = flatBody({
            id: 'r',
            name: 'r',
            owner: 'r',
            shape: { kind: 'box', size: [a * (1 - part), b, c] },
            at: [(a * part) / 2, 0, 0],
            density: 1000,
          });
          return close(
            inertiaAboutMassCentre(sumsOf([left, right])),
            inertiaAboutMassCentre(sumsOf([whole])),
            sizeOf(inertiaAboutMassCentre(sumsOf([whole]))) * 10,
          );
        },
      ),
      { seed: 4 },
    );
  });

  it('move with their matter without visiting it again, and add in any order', () => {
    holds(
      fc.property(rigOf, place, (bodies, by) => {
        const quick = moveSums(sumsOf(bodies), by);
        const slow = sumsOf(bodies.map((b) => shifted(b, by)));
        const reversed = sumsOf([...bodies].reverse());
        return (
          close(quick.inertia, slow.inertia, 10 * (1 + sizeOf(slow.inertia))) &&
          close(reversed.inertia, sumsOf(bodies).inertia, 10 * (1 + sizeOf(reversed.inertia)))
        );
      }),
      { seed: 5, numRuns: 150 },
    );
    expect(moveSums(NO_SUMS, [1, 2, 3])).toEqual(NO_SUMS);
    expect(addSums(NO_SUMS, NO_SUMS).mass).toBe(0);
  });

  it('have no centre where there is no mass', () => {
    expect(() => massCentre(NO_SUMS)).toThrowError(RangeError);
  });
});

describe('a measured body', () => {
  const shape = { kind: 'tube', outerRadius: 0.02, innerRadius: 0.01, length: 0.1 } as const;
  it('takes the weighed mass and scales its inertia', () => {
    const reckoned = flatBody({ id: 'a', name: 'a', owner: 'a', shape, at: [0, 0, 0], density: 1000 });
    const weighed = flatBody({
      id: 'a',
      name: 'a',
      owner: 'a',
      shape,
      at: [0, 0, 0],
      density: 1000,
      mass: { value: reckoned.mass * 2 },
    });
    expect(weighed.inertia[0][0]).toBeCloseTo(2 * reckoned.inertia[0][0], 15);
    expect(weighed.massFrom).toBe('measured');
    expect(weighed.density).toBeNull();
  });
  it('keeps its own inertia when only its centre was measured', () => {
    const moved = flatBody({
      id: 'a',
      name: 'a',
      owner: 'a',
      shape,
      at: [0, 0, 0],
      density: 1000,
      centre: [0.01, 0, 0],
    });
    expect(moved.centre).toEqual([0.01, 0, 0]);
    expect(moved.inertia).toEqual(
      flatBody({ id: 'a', name: 'a', owner: 'a', shape, at: [0, 0, 0], density: 1000 }).inertia,
    );
  });
  it('is never invented', () => {
    expect(() => flatBody({ id: 'a', name: 'stone', owner: 'a', shape, at: [0, 0, 0] })).toThrowError(
      /stone has neither/,
    );
    expect(() =>
      flatBody({ id: 'a', name: 'a', owner: 'a', shape: { kind: 'point' }, at: [0, 0, 0], density: 1000 }),
    ).toThrowError(RangeError);
  });
});

describe('solids', () => {
  it('of a thin arc agree with R sin(a/2)/(a/2), and a full ring with a tube', () => {
    const arc = solidOf({ kind: 'arcBar', midRadius: 0.1, thickness: 1e-5, width: 0.02, angle: 2 });
    expect(Math.hypot(...arc.centroid)).toBeCloseTo((0.1 * Math.sin(1)) / 1, 9);
    const ring = solidOf({ kind: 'arcBar', midRadius: 0.1, thickness: 0.02, width: 0.03, angle: 2 * Math.PI });
    const tube = solidOf({ kind: 'tube', outerRadius: 0.11, innerRadius: 0.09, length: 0.03 });
    expect(ring.volume).toBeCloseTo(tube.volume, 15);
    ring.inertia.flat().forEach((x, i) => expect(x).toBeCloseTo(tube.inertia.flat()[i]!, 14));
  });
});
