import * as fc from 'fast-check';
import { alignZ, IDENTITY, unit, type Mat3, type Vec3 } from '../../0-base';
import { flatBody, solidOf } from '../../1-load';
import type { Shape } from '../../model';
import { holds } from '../../testing/holds';
import { columnsOf, latticeAlong, PITCH } from './columns';
import type { PieceShape } from './pieceShapes';
import { runsOf } from './runs';
import { spansThrough } from './spansThrough';

const piece = (
  shape: Shape,
  at: Vec3 = [0, 0, 0],
  rotation: Mat3 = IDENTITY,
  more: Partial<PieceShape> = {},
): PieceShape => ({
  id: 'p',
  name: 'p',
  flats: [flatBody({ id: 'p', name: 'p', owner: 'p', shape, at, rotation, density: 1000 })],
  holes: [],
  mitres: [],
  ...more,
});
/** By the lines through it, m³. */
const volume = (of: PieceShape, way: Vec3): number => {
  const { from, to } = columnsOf([of], latticeAlong(way));
  return from.reduce((sum, start, i) => sum + (to[i]! - start), 0) * PITCH ** 2;
};
const mm = (least: number, most: number): fc.Arbitrary<number> =>
  fc.double({ min: least / 1000, max: most / 1000, noNaN: true });
const way: fc.Arbitrary<Vec3> = fc
  .tuple(mm(-1000, 1000), mm(-1000, 1000), mm(100, 1000))
  .map((v) => unit(v as unknown as Vec3));
const TETRAHEDRON: Shape = {
  kind: 'mesh',
  vertices: [
    [0, 0, 0],
    [0.05, 0, 0],
    [0, 0.05, 0],
    [0, 0, 0.05],
  ],
  triangles: [
    [0, 2, 1],
    [0, 1, 3],
    [0, 3, 2],
    [1, 2, 3],
  ],
};
const shapes: fc.Arbitrary<Shape> = fc.oneof(
  fc.tuple(mm(20, 60), mm(20, 60), mm(20, 60)).map((size): Shape => ({ kind: 'box', size })),
  fc
    .tuple(mm(15, 30), mm(0, 10), mm(20, 60))
    .map(([outerRadius, innerRadius, length]): Shape => ({ kind: 'tube', outerRadius, innerRadius, length })),
  fc
    .tuple(mm(40, 60), mm(15, 25), fc.double({ min: 0.5, max: 6, noNaN: true }))
    .map(([midRadius, thickness, angle]): Shape => ({ kind: 'arcBar', midRadius, thickness, width: 0.03, angle })),
  fc.constant<Shape>({ kind: 'box', size: [0.06, 0.04, 0.04], bore: [0.02, 0.03] }),
  fc.constant(TETRAHEDRON),
);

describe('lines through a piece', () => {
  it('make up its volume, whatever it is and from wherever they come', () => {
    holds(
      fc.property(shapes, way, way, (shape, turned, along) => {
        const found = volume(piece(shape, [0.1, -0.2, 0.3], alignZ(turned)), along);
        return Math.abs(found / solidOf(shape).volume - 1) < 0.08;
      }),
      { seed: 31, numRuns: 120 },
    );
  });

  it('leave out what is bored, drilled and mitred', () => {
    const block: Shape = { kind: 'box', size: [0.04, 0.04, 0.04] };
    const drilled = piece(block, [0, 0, 0], IDENTITY, {
      holes: [{ at: [0, 0, 0.02], way: [0, 0, -1], diameter: 0.02, depth: 0.04 }],
    });
    const less = 1 - (Math.PI * 0.01 ** 2) / 0.04 ** 2;
    for (const along of [
      [0, 0, 1],
      [1, 0, 0],
      [0.6, 0.8, 0],
    ] as const)
      expect(volume(drilled, along) / 0.04 ** 3)
        .withContext(along.join())
        .toBeCloseTo(less, 1);
    const mitred = piece(block, [0, 0, 0], IDENTITY, { mitres: [{ normal: unit([1, 0, 1]), at: [0, 0, 0] }] });
    for (const along of [
      [0, 0, 1],
      [1, 0, 0],
      [0, 1, 0],
    ] as const)
      expect(volume(mitred, along) / 0.04 ** 3)
        .withContext(along.join())
        .toBeCloseTo(0.5, 1);
  });

  it('know a sawn outline from its blank', () => {
    // A frame: square with a notch taken from one side.
    const outline = [
      [-0.02, -0.02],
      [0.02, -0.02],
      [0.02, 0.02],
      [0.01, 0.02],
      [0.01, 0],
      [-0.01, 0],
      [-0.01, 0.02],
      [-0.02, 0.02],
    ] as const;
    const flat = { shape: { kind: 'box', size: [0.04, 0.04, 0.006] } as const, outline };
    expect(spansThrough([0, 0.01, -1], [0, 0, 1], flat)).toEqual([]);
    expect(spansThrough([0, -0.01, -1], [0, 0, 1], flat)).toHaveSize(1);
    // Across the notch it is met twice.
    const twice = spansThrough([-1, 0.013, 0], [1, 0, 0], flat);
    expect(twice.map((s) => s.map((x) => Math.round((x - 1) * 1e6) / 1e6))).toEqual([
      [-0.02, -0.01],
      [0.01, 0.02],
    ]);
  });
});

describe('how far a piece is free', () => {
  const box = (at: Vec3): PieceShape => piece({ kind: 'box', size: [0.02, 0.02, 0.02] }, at);
  it('is the gap to what is ahead of it, and endless where nothing is', () => {
    const { run, within } = runsOf(
      columnsOf([box([0, 0, 0]), box([0.05, 0, 0]), box([0, 0.05, 0])], latticeAlong([1, 0, 0])),
    );
    expect(run(0, 1)).toBeCloseTo(0.03, 12);
    expect([run(1, 0), run(0, 2), run(2, 0)]).toEqual([Infinity, Infinity, Infinity]);
    expect(within(0, 1)).toBeFalse();
  });
  it('in a bore is endless along it, and nothing across', () => {
    const ring = piece({ kind: 'tube', outerRadius: 0.02, innerRadius: 0.01, length: 0.03 });
    const rod = piece({ kind: 'tube', outerRadius: 0.0099, innerRadius: 0, length: 0.05 });
    const along = runsOf(columnsOf([ring, rod], latticeAlong([0, 0, 1])));
    expect([along.run(1, 0), along.run(0, 1)]).toEqual([Infinity, Infinity]);
    const across = runsOf(columnsOf([ring, rod], latticeAlong([1, 0, 0])));
    expect(across.run(1, 0)).toBeLessThan(0.0015);
  });
  it('is none inside another', () => {
    const { within, run } = runsOf(columnsOf([box([0, 0, 0]), box([0.015, 0, 0])], latticeAlong([1, 0, 0])));
    expect(within(0, 1)).toBeTrue();
    expect(run(1, 0)).toBe(Infinity);
  });
});
