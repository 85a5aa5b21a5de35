/** What a shape weighs for one unit of density, and where. */
import type { Mat3, Vec3 } from '../0-base';

/** Volume (m³), centroid (m, shape's own frame) and inertia about the centroid per density (m⁵, own axes). */
export interface Solid {
  readonly volume: number;
  readonly centroid: Vec3;
  readonly inertia: Mat3;
}
