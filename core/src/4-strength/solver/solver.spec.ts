import * as fc from 'fast-check';
import { EigenvalueDecomposition, inverse, Matrix } from 'ml-matrix';
import { evenDraws } from '../../0-base';
import { holds } from '../../testing/holds';
import { lowestModes } from './lowestModes';
import { narrowOrder } from './ordering';
import { addTo, factored, nullVector, skyline, solve, times, type Skyline } from './skyline';
import { tridiagonalEigen } from './tridiagonal';

/** A definite matrix of this size and reach, and the same as a full one. */
function banded(size: number, reach: number, seed: number, like?: Skyline): { sky: Skyline; full: Matrix } {
  const draw = evenDraws(seed);
  const first =
    like?.first ?? Int32Array.from({ length: size }, (_, i) => Math.max(0, i - Math.floor(draw() * reach) - 1));
  const sky = skyline(first);
  const full = Matrix.zeros(size, size);
  for (let i = 0; i < size; i++)
    for (let j = first[i]!; j <= i; j++) {
      const value = i === j ? 4 * reach + draw() : draw() - 0.5;
      addTo(sky, i, j, value);
      full.set(i, j, value);
      full.set(j, i, value);
    }
  return { sky, full };
}

describe('skyline', () => {
  it('solves and multiplies as a full matrix does', () => {
    holds(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 9 }), fc.nat(9999), (n, reach, seed) => {
        const { sky, full } = banded(n, reach, seed);
        const x = Float64Array.from({ length: n }, (_, i) => Math.sin(i + seed));
        const b = full.mmul(Matrix.columnVector([...x])).to1DArray();
        times(sky, x).forEach((v, i) => expect(v).toBeCloseTo(b[i]!, 10));
        solve(factored(sky), Float64Array.from(b)).forEach((v, i) => expect(v).toBeCloseTo(x[i]!, 10));
      }),
      { seed: 51 },
    );
  });

  it('counts the eigenvalues under a shift', () => {
    const { sky, full } = banded(20, 5, 3);
    const unit = skyline(sky.first);
    for (let i = 0; i < 20; i++) addTo(unit, i, i, 1);
    const values = new EigenvalueDecomposition(full, { assumeSymmetric: true }).realEigenvalues;
    for (const shift of [15, 19.5, 20, 20.4, 23])
      expect(factored(sky, unit, -shift).negative).toBe(values.filter((v) => v < shift).length);
  });

  it('names the row where it is singular, and what motion costs nothing', () => {
    const first = Int32Array.from([0, 0, 1]);
    const chain = skyline(first);
    // Two springs in a row, held nowhere.
    for (const [i, j, v] of [
      [0, 0, 3],
      [1, 0, -3],
      [1, 1, 5],
      [2, 1, -2],
      [2, 2, 2],
    ] as const)
      addTo(chain, i, j, v);
    const factors = factored(chain);
    expect(factors.nil).toEqual([2]);
    expect([...nullVector(factors, 2)]).toEqual([1, 1, 1]);
  });
});

describe('tridiagonal', () => {
  it('has 2 - 2 cos(k π/(n+1)) of the second difference', () => {
    const n = 9;
    const { values, vectors } = tridiagonalEigen(new Array<number>(n).fill(2), new Array<number>(n - 1).fill(-1));
    const sorted = [...values].sort((a, b) => a - b);
    sorted.forEach((v, k) => expect(v).toBeCloseTo(2 - 2 * Math.cos(((k + 1) * Math.PI) / (n + 1)), 12));
    const column = (j: number): number[] => Array.from({ length: n }, (_, i) => vectors[i * n + j]!);
    expect(column(0).reduce((s, x, i) => s + x * column(3)[i]!, 0)).toBeCloseTo(0, 12);
  });
});

describe('an order that keeps neighbours close', () => {
  it('walks a ring of twenty with no reach over two, wherever it is cut', () => {
    const ring = Array.from({ length: 20 }, (_, i) => [(i + 7) % 20, (i + 13) % 20]);
    const order = narrowOrder(ring);
    const place = new Map(order.map((node, i) => [node, i]));
    expect([...order].sort((a, b) => a - b)).toEqual(ring.map((_, i) => i));
    for (const [i, list] of ring.entries())
      for (const j of list) expect(Math.abs(place.get(i)! - place.get(j)!)).toBeLessThanOrEqual(2);
  });
});

describe('the lowest modes', () => {
  it('are a dense solver’s, to its own exactness', () => {
    for (const seed of [1, 2, 3]) {
      const k = banded(60, 8, seed);
      const m = banded(60, 8, seed + 10, k.sky);
      const dense = new EigenvalueDecomposition(inverse(m.full).mmul(k.full)).realEigenvalues.sort((a, b) => a - b);
      const found = lowestModes(k.sky, m.sky, 5)!;
      expect(found.proven).toBeTrue();
      found.values.forEach((v, i) => expect(v / dense[i]!).toBeCloseTo(1, 9));
    }
  });

  it('of five equal ones all five are found', () => {
    const first = Int32Array.from({ length: 12 }, (_, i) => i);
    const [k, m] = [skyline(first), skyline(first)];
    for (let i = 0; i < 12; i++) {
      addTo(k, i, i, i < 5 ? 7 : 7 + i);
      addTo(m, i, i, 1);
    }
    const { values, proven } = lowestModes(k, m, 6)!;
    expect(proven).toBeTrue();
    expect(values.slice(0, 5).every((v) => Math.abs(v - 7) < 1e-9)).toBeTrue();
    expect(values[5]).toBeCloseTo(12, 9);
  });

  it('a motion with neither stiffness nor mass is refused', () => {
    const first = Int32Array.from([0, 1]);
    const [k, m] = [skyline(first), skyline(first)];
    addTo(k, 0, 0, 1);
    addTo(m, 0, 0, 1);
    expect(lowestModes(k, m, 1)).toBeNull();
  });
});
