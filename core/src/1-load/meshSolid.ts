/** Volume, centroid and inertia of a closed triangle mesh; refuses one that is open or inside out and says where. */
import { addMatrix, type Mat3, type Vec3, cross, dot, scale, add, subtract, ZERO } from '../0-base';
import type { Solid } from './unitSolid';

export class MeshFault extends Error {
  constructor(
    readonly kind: 'open' | 'insideOut' | 'badIndex' | 'empty',
    message: string,
    readonly at: Vec3 | null,
  ) {
    super(message);
  }
}

/** Signed tetrahedra from the first vertex (which keeps the sums small). Exact for the facets given. */
export function meshSolid(vertices: readonly Vec3[], triangles: readonly Vec3[]): Solid {
  if (triangles.length === 0) throw new MeshFault('empty', 'The mesh has no triangles.', null);
  checkClosed(vertices, triangles);
  const origin = vertices[triangles[0]![0]]!;
  let volume = 0;
  let first: Vec3 = ZERO;
  let second: Mat3 = [ZERO, ZERO, ZERO];
  for (const [i, j, k] of triangles) {
    const [a, b, c] = [subtract(vertices[i]!, origin), subtract(vertices[j]!, origin), subtract(vertices[k]!, origin)];
    const v = dot(a, cross(b, c)) / 6;
    const sum = add(add(a, b), c);
    volume += v;
    first = add(first, scale(sum, v / 4));
    // ∫ x xᵀ over a tetrahedron with one corner at the origin: V/20 (aaᵀ + bbᵀ + ccᵀ + s sᵀ), s = a + b + c.
    second = [a, b, c, sum].reduce((m, p) => addMatrix(m, outer(p, v / 20)), second);
  }
  if (!(volume > 0))
    throw new MeshFault(
      'insideOut',
      'The mesh is inside out: its triangles face inwards. Flip them and try again.',
      origin,
    );
  const centre = scale(first, 1 / volume);
  const about = addMatrix(second, outer(centre, -volume));
  const trace = about[0][0] + about[1][1] + about[2][2];
  const inertia: Mat3 = [
    [trace - about[0][0], -about[0][1], -about[0][2]],
    [-about[1][0], trace - about[1][1], -about[1][2]],
    [-about[2][0], -about[2][1], trace - about[2][2]],
  ];
  return { volume, centroid: add(centre, origin), inertia };
}

const outer = (p: Vec3, k: number): Mat3 => [scale(p, p[0] * k), scale(p, p[1] * k), scale(p, p[2] * k)];

/** Every directed edge must be met once by its reverse; vertices at the same place count as one. */
function checkClosed(vertices: readonly Vec3[], triangles: readonly Vec3[]): void {
  const places = new Map<string, number>();
  const merged = vertices.map((v, i) => {
    const key = v.join(' ');
    if (!places.has(key)) places.set(key, i);
    return places.get(key)!;
  });
  const edges = new Map<string, number>();
  for (const corners of triangles) {
    for (let e = 0; e < 3; e++) {
      const [from, to] = [merged[corners[e]!], merged[corners[(e + 1) % 3]!]];
      if (from === undefined || to === undefined)
        throw new MeshFault(
          'badIndex',
          `A triangle names vertex ${corners[e]}, but there are only ${vertices.length}.`,
          null,
        );
      edges.set(`${from} ${to}`, (edges.get(`${from} ${to}`) ?? 0) + 1);
    }
  }
  for (const [edge, count] of edges) {
    const [from, to] = edge.split(' ');
    if ((edges.get(`${to} ${from}`) ?? 0) !== count) {
      const at = vertices[Number(from)]!;
      throw new MeshFault(
        'open',
        `The mesh is open, or a triangle is turned the wrong way, at ${at.map((x) => x.toFixed(4)).join(', ')} m.`,
        at,
      );
    }
  }
}

/** The volume of a mesh that can be weighed (m³), or why it cannot and where: for files that people bring. */
export function meshFault(
  vertices: readonly Vec3[],
  triangles: readonly Vec3[],
): { readonly volume: number } | { readonly reason: string; readonly at: Vec3 | null } {
  try {
    return { volume: meshSolid(vertices, triangles).volume };
  } catch (error) {
    if (error instanceof MeshFault) return { reason: error.message, at: error.at };
    throw error;
  }
}
