import { solidOf, type Shape } from '@tide-pebble/core';
import { Vector3, type BufferGeometry } from 'three';
import { placement, solidGeometry } from './solid-geometry';

/** Of the triangles as they are drawn, m³: positive when they face outward. */
function volumeOf(geometry: BufferGeometry): number {
  const flat = geometry.index ? geometry.toNonIndexed() : geometry;
  const at = flat.getAttribute('position');
  const corner = (i: number): Vector3 => new Vector3(at.getX(i), at.getY(i), at.getZ(i));
  let sum = 0;
  for (let i = 0; i < at.count; i += 3) sum += corner(i).dot(corner(i + 1).cross(corner(i + 2))) / 6;
  return sum;
}
const SHAPES: readonly Shape[] = [
  { kind: 'box', size: [0.2, 0.03, 0.005] },
  { kind: 'box', size: [0.2, 0.03, 0.02], bore: [0.02, 0.012] },
  { kind: 'tube', outerRadius: 0.0125, innerRadius: 0.0105, length: 0.3 },
  { kind: 'tube', outerRadius: 0.004, innerRadius: 0, length: 0.08 },
  { kind: 'arcBar', midRadius: 0.09, thickness: 0.005, width: 0.03, angle: Math.PI },
  {
    kind: 'mesh',
    vertices: [
      [0, 0, 0],
      [0.1, 0, 0],
      [0, 0.1, 0],
      [0, 0, 0.1],
    ],
    triangles: [
      [0, 2, 1],
      [0, 1, 3],
      [0, 3, 2],
      [1, 2, 3],
    ],
  },
];

describe('shapes as they are drawn and written to files', () => {
  for (const shape of SHAPES)
    it(`hold what the exact ${shape.kind} holds, less what facets take off, and face outward`, () => {
      const { volume } = solidOf(shape);
      const drawn = volumeOf(solidGeometry(shape, 400));
      expect(drawn).toBeGreaterThan(0);
      expect(Math.abs(drawn - volume)).toBeLessThan(2e-3 * volume);
    });
  it('stand where the body stands, its axes turned with it', () => {
    const turned = placement(
      [1, 2, 3],
      [
        [0, -1, 0],
        [1, 0, 0],
        [0, 0, 1],
      ],
    );
    expect(new Vector3(1, 0, 0).applyMatrix4(turned).toArray()).toEqual([1, 3, 3]);
  });
});
