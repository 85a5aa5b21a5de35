/** The model's shapes as triangle meshes of the 3D library: for looking at, and for files. Facets are for drawing only. */
import { transform, type Mat3, type Shape, type Vec3 } from '@tide-pebble/core';
import {
  BoxGeometry,
  BufferGeometry,
  CylinderGeometry,
  ExtrudeGeometry,
  Float32BufferAttribute,
  LatheGeometry,
  Matrix4,
  Path,
  Shape as Outline,
  SphereGeometry,
  Vector2,
  Vector3,
} from 'three';

const ROUND = 40;

/** `sawn`: a strip cut to this outline, in its own flat. */
export function solidGeometry(
  shape: Shape,
  round = ROUND,
  sawn?: readonly (readonly [number, number])[],
): BufferGeometry {
  if (sawn && shape.kind === 'box')
    return new ExtrudeGeometry(new Outline(sawn.map(([x, y]) => new Vector2(x, y))), {
      depth: shape.size[2],
      bevelEnabled: false,
    }).translate(0, 0, -shape.size[2] / 2);
  switch (shape.kind) {
    case 'box':
      return shape.bore ? boredBox(shape.size, shape.bore) : new BoxGeometry(...shape.size);
    case 'tube':
      return tube(shape.outerRadius, shape.innerRadius, shape.length, round);
    case 'arcBar': {
      const [inner, outer] = [shape.midRadius - shape.thickness / 2, shape.midRadius + shape.thickness / 2];
      const ring = new Outline().absarc(0, 0, outer, 0, shape.angle, false).absarc(0, 0, inner, shape.angle, 0, true);
      return new ExtrudeGeometry(ring, { depth: shape.width, bevelEnabled: false, curveSegments: 48 }).translate(
        0,
        0,
        -shape.width / 2,
      );
    }
    case 'mesh': {
      const geometry = new BufferGeometry();
      geometry.setAttribute(
        'position',
        new Float32BufferAttribute(
          shape.triangles.flatMap((t) => t.flatMap((i) => [...shape.vertices[i]!])),
          3,
        ),
      );
      geometry.computeVertexNormals();
      return geometry;
    }
    case 'point':
      return new SphereGeometry(0.004, 12, 8);
  }
}

/** A pipe is open all through; the library turns about y, ours lies along z. */
function tube(outer: number, inner: number, length: number, round: number): BufferGeometry {
  const h = length / 2;
  if (inner <= 0) return new CylinderGeometry(outer, outer, length, round).rotateX(Math.PI / 2);
  const wall = [
    [inner, -h],
    [outer, -h],
    [outer, h],
    [inner, h],
    [inner, -h],
  ].map(([r, z]) => new Vector2(r, z));
  return new LatheGeometry(wall, round).rotateX(Math.PI / 2);
}

function boredBox(
  [length, width, height]: readonly [number, number, number],
  [boreWidth, boreHeight]: readonly [number, number],
): BufferGeometry {
  const corners = (w: number, h: number): Vector2[] => [
    new Vector2(-w / 2, -h / 2),
    new Vector2(w / 2, -h / 2),
    new Vector2(w / 2, h / 2),
    new Vector2(-w / 2, h / 2),
  ];
  const outline = new Outline(corners(width, height));
  outline.holes.push(new Path(corners(boreWidth, boreHeight)));
  // Drawn in the y-z plane and pushed along x.
  return new ExtrudeGeometry(outline, { depth: length, bevelEnabled: false })
    .translate(0, 0, -length / 2)
    .applyMatrix4(new Matrix4().makeBasis(new Vector3(0, 1, 0), new Vector3(0, 0, 1), new Vector3(1, 0, 0)));
}

/** Where a body stands, as the library's matrix. */
export function placement(at: Vec3, rotation: Mat3): Matrix4 {
  const [x, y, z] = [transform(rotation, [1, 0, 0]), transform(rotation, [0, 1, 0]), transform(rotation, [0, 0, 1])];
  return new Matrix4().makeBasis(new Vector3(...x), new Vector3(...y), new Vector3(...z)).setPosition(...at);
}
