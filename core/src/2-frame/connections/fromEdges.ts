/** Where a hole lies in a plate or through the side of a round: how far inwards from edges, each told by the way it lies in the rig. */
import {
  dot,
  IDENTITY,
  rotationOf,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { EDGES, type Edge, type Part } from '../../model';

export interface FromEdge {
  /** The lower of the two that lie opposite. */
  readonly edge: Edge;
  /** m */
  readonly off: number;
  /** From that edge towards its opposite, of length one. */
  readonly inwards: Vec3;
}

/** `lengths`: all that is of the same piece, a lug or a flange too. Two of a plate; one of a round drilled through its side; else none. */
export function fromEdges(
  { shape, at, turn }: Part,
  lengths: readonly Part[],
  hole: Vec3,
  axis: Vec3,
): readonly FromEdge[] {
  const own = axesOf(turn ? rotationOf(turn) : IDENTITY);
  const through = (way: Vec3): number => Math.abs(dot(way, unit(axis)));
  if (shape.kind === 'box') {
    const square = own.filter((way) => way !== own.reduce((best, a) => (through(a) > through(best) ? a : best)));
    return square.map((way) => {
      const inwards = inwardsAlong(way);
      return {
        ...inwards,
        off: dot(hole, inwards.inwards) - Math.min(...lengths.map((l) => lowest(l, inwards.inwards))),
      };
    });
  }
  if (shape.kind !== 'tube' || through(own[2]) > END_ON) return [];
  const inwards = inwardsAlong(own[2]);
  return [{ ...inwards, off: dot(subtract(hole, at), inwards.inwards) + shape.length / 2 }];
}
/** A hole nearer to a round's own axis than this (cosine) goes into its end. */
const END_ON = 0.9;

const axesOf = (rotation: Mat3): readonly [Vec3, Vec3, Vec3] => {
  const column = (k: 0 | 1 | 2): Vec3 => [rotation[0][k], rotation[1][k], rotation[2][k]];
  return [column(0), column(1), column(2)];
};
function inwardsAlong(way: Vec3): Pick<FromEdge, 'edge' | 'inwards'> {
  const k = largest(way);
  return { edge: EDGES[k], inwards: scale(way, Math.sign(way[k]) || 1) };
}

/** The rig axis that a way is nearest to. */
export const largest = (v: Vec3): 0 | 1 | 2 =>
  ([0, 1, 2] as const).reduce((best, i) => (Math.abs(v[i]) > Math.abs(v[best]) ? i : best), 0 as 0 | 1 | 2);

/** Where a part begins along a direction, m. */
function lowest({ shape, at, turn }: Part, way: Vec3): number {
  if (shape.kind !== 'box') return Infinity;
  const local = transform(transpose(turn ? rotationOf(turn) : IDENTITY), way);
  return dot(at, way) - local.reduce((sum, x, k) => sum + (Math.abs(x) * shape.size[k as 0]!) / 2, 0);
}
