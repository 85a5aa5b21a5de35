/** Exact volume, centroid and inertia of the model's shapes at unit density; the first link from a shape to a rig's numbers. */
import { addMatrix, NO_INERTIA, scaleMatrix, ZERO, type Mat3, type Vec3 } from '../0-base';
import type { Shape } from '../model';
import { meshSolid } from './meshSolid';
import type { Solid } from './unitSolid';

/** Exact closed forms (no facets). A point has no volume. A mesh must be closed and outward, else this throws MeshFault. */
export function solidOf(shape: Shape): Solid {
  switch (shape.kind) {
    case 'box':
      return shape.bore ? lessBore(box(...shape.size), box(shape.size[0], ...shape.bore)) : box(...shape.size);
    case 'tube':
      return tube(shape.outerRadius, shape.innerRadius, shape.length);
    case 'arcBar':
      return arcBar(shape.midRadius, shape.thickness, shape.width, shape.angle);
    case 'mesh':
      return meshSolid(shape.vertices, shape.triangles);
    case 'point':
      return { volume: 0, centroid: ZERO, inertia: NO_INERTIA };
  }
}

const diagonal = (x: number, y: number, z: number): Mat3 => [
  [x, 0, 0],
  [0, y, 0],
  [0, 0, z],
];

function box(a: number, b: number, c: number): Solid {
  const volume = a * b * c;
  const k = volume / 12;
  return { volume, centroid: ZERO, inertia: diagonal(k * (b * b + c * c), k * (a * a + c * c), k * (a * a + b * b)) };
}

/** Both are centred, so what the bore takes away is taken from the same point. */
const lessBore = (whole: Solid, bore: Solid): Solid => ({
  volume: whole.volume - bore.volume,
  centroid: ZERO,
  inertia: addMatrix(whole.inertia, scaleMatrix(bore.inertia, -1)),
});

function tube(outer: number, inner: number, length: number): Solid {
  const volume = Math.PI * (outer * outer - inner * inner) * length;
  const squares = outer * outer + inner * inner;
  const across = (volume * (3 * squares + length * length)) / 12;
  return { volume, centroid: ZERO, inertia: diagonal(across, across, (volume * squares) / 2) };
}

/**
 * Annular sector a ≤ r ≤ b, 0 ≤ θ ≤ angle, |z| ≤ width/2, exact section.
 * Area moments: ∫dA = (b²-a²)α/2; ∫r dA along the bisector = (b³-a³)(2/3) sin(α/2);
 * ∫x² dA, ∫y² dA, ∫xy dA use q = (b⁴-a⁴)/4 and the sector's angle integrals.
 */
function arcBar(midRadius: number, thickness: number, width: number, angle: number): Solid {
  const a = midRadius - thickness / 2;
  const b = midRadius + thickness / 2;
  const area = ((b * b - a * a) * angle) / 2;
  const volume = area * width;
  const toCentroid = ((((b ** 3 - a ** 3) * 2) / 3) * Math.sin(angle / 2)) / area;
  const centroid: Vec3 = [toCentroid * Math.cos(angle / 2), toCentroid * Math.sin(angle / 2), 0];
  const q = (b ** 4 - a ** 4) / 4;
  const sumXX = width * q * (angle / 2 + Math.sin(2 * angle) / 4) - volume * centroid[0] ** 2;
  const sumYY = width * q * (angle / 2 - Math.sin(2 * angle) / 4) - volume * centroid[1] ** 2;
  const sumXY = (width * q * Math.sin(angle) ** 2) / 2 - volume * centroid[0] * centroid[1];
  const sumZZ = (volume * width * width) / 12;
  return {
    volume,
    centroid,
    inertia: [
      [sumYY + sumZZ, -sumXY, 0],
      [-sumXY, sumXX + sumZZ, 0],
      [0, 0, sumXX + sumYY],
    ],
  };
}
