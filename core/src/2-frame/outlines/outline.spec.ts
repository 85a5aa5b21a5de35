import * as fc from 'fast-check';
import { alignZ, IDENTITY, rotationAbout, unit } from '../../0-base';
import { flatBody } from '../../1-load';
import { holds } from '../../testing/holds';
import { nearness, outline, project, type Point2, type View } from '..';

const VIEWS: readonly View[] = ['side', 'front', 'top'];
/** Shoelace: positive when counter-clockwise. */
const area = (points: readonly Point2[]): number =>
  points.reduce(
    (sum, [x, y], i) => sum + x * points[(i + 1) % points.length]![1] - points[(i + 1) % points.length]![0] * y,
    0,
  ) / 2;
const widthOf = (points: readonly Point2[], axis: 0 | 1): number =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));

describe('an outline', () => {
  it('of a square-on box is its sides', () => {
    const box = { shape: { kind: 'box', size: [0.3, 0.2, 0.1] }, at: [0, 0, 0], rotation: IDENTITY } as const;
    expect(area(outline(box, 'side'))).toBeCloseTo(0.03, 12);
    expect(area(outline(box, 'front'))).toBeCloseTo(0.02, 12);
    expect(area(outline(box, 'top'))).toBeCloseTo(0.06, 12);
  });
  it('of a tube seen from its end is round, from the side a rectangle', () => {
    const tube = {
      shape: { kind: 'tube', outerRadius: 0.02, innerRadius: 0, length: 0.1 },
      at: [0, 0, 0],
      rotation: alignZ([1, 0, 0]),
    } as const;
    expect(area(outline(tube, 'front')) / (Math.PI * 0.02 ** 2)).toBeGreaterThan(0.98);
    expect(area(outline(tube, 'side'))).toBeCloseTo(0.004, 5);
  });
  it('of a bent bar keeps its hollow in the plane of the bend', () => {
    const arc = {
      shape: { kind: 'arcBar', midRadius: 0.1, thickness: 0.006, width: 0.03, angle: Math.PI },
      at: [0, 0, 0],
      rotation: alignZ([0, 1, 0], [1, 0, 0]),
    } as const;
    expect(Math.abs(area(outline(arc, 'side'))) / (Math.PI * 0.1 * 0.006)).toBeCloseTo(1, 2);
    expect(widthOf(outline(arc, 'front'), 0)).toBeCloseTo(0.03, 9);
  });
  it('holds the projection of the mass centre of any solid, however turned', () => {
    holds(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.constantFrom(...VIEWS),
        (angle, length, view) => {
          const body = flatBody({
            id: 'b',
            name: 'b',
            owner: 'b',
            shape: { kind: 'tube', outerRadius: 0.02, innerRadius: 0, length },
            at: [0.1, -0.2, 0.3],
            rotation: rotationAbout(unit([1, 2, 3]), angle),
            density: 1000,
          });
          const points = outline(body, view);
          const [u, v] = project(body.centre, view);
          return points.every(([x, y], i) => {
            const [nx, ny] = points[(i + 1) % points.length]!;
            return (nx - x) * (v - y) - (ny - y) * (u - x) > -1e-12;
          });
        },
      ),
      { seed: 51 },
    );
  });
  it('tells which of two lies nearer the onlooker', () => {
    expect(nearness([0, -1, 0], 'side')).toBeGreaterThan(nearness([0, 1, 0], 'side'));
    expect(nearness([1, 0, 0], 'front')).toBeGreaterThan(nearness([0, 0, 0], 'front'));
    expect(nearness([0, 0, 1], 'top')).toBeGreaterThan(nearness([0, 0, 0], 'top'));
  });
  it('of a point or a mesh is what there is', () => {
    expect(outline({ shape: { kind: 'point' }, at: [1, 2, 3], rotation: IDENTITY }, 'side')).toEqual([[1, 3]]);
    expect(
      outline(
        {
          shape: {
            kind: 'mesh',
            vertices: [
              [0, 0, 0],
              [1, 0, 0],
              [0, 0, 1],
            ],
            triangles: [],
          },
          at: [0, 0, 0],
          rotation: IDENTITY,
        },
        'side',
      ).length,
    ).toBe(3);
  });
});
