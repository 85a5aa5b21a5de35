/** A universal joint whose two pins lie a distance apart: each pin levels with its own height. */
import { add, scale, subtract, transform, rotationAbout, transpose, type Vec3 } from '../../../0-base';
import { restWithUp, type Rest } from './hang';

export interface Carried {
  readonly mass: number;
  readonly centre: Vec3;
}
export type TwoPinHang =
  | { readonly state: 'hangs'; readonly upperPinAngle: number; readonly lowerPinAngle: number; readonly rest: Rest }
  | { readonly state: 'topHeavy' };

const AXIS = { x: [1, 0, 0], y: [0, 1, 0] } as const;

/**
 * The upper pin is fixed to the hand along rig x or y, the lower one lies in the link along the other. Angles are
 * right-handed about +x and +y, all data in the pose with both at zero. The lower pin is settled first: tilting the
 * link about the upper pin only scales gravity's part square to the lower one.
 */
export function hangOnTwoPins(
  upper: { axis: 'x' | 'y'; point: Vec3 },
  lower: { axis: 'x' | 'y'; point: Vec3 },
  link: Carried | null,
  rig: Carried,
): TwoPinHang {
  const below = subtract(rig.centre, lower.point);
  if (below[2] >= 0) return { state: 'topHeavy' };
  const lowerPinAngle = plumbAngle(lower.axis, below);
  const lowerTurn = rotationAbout(AXIS[lower.axis], lowerPinAngle);
  const settled = add(lower.point, transform(lowerTurn, below));
  const mass = rig.mass + (link?.mass ?? 0);
  const sum = add(
    scale(subtract(settled, upper.point), rig.mass / mass),
    link ? scale(subtract(link.centre, upper.point), link.mass / mass) : [0, 0, 0],
  );
  if (sum[2] >= 0) return { state: 'topHeavy' };
  const upperPinAngle = plumbAngle(upper.axis, sum);
  const upperTurn = rotationAbout(AXIS[upper.axis], upperPinAngle);
  const up = transform(transpose(lowerTurn), transform(transpose(upperTurn), [0, 0, 1]));
  return { state: 'hangs', upperPinAngle, lowerPinAngle, rest: restWithUp(up) };
}

/** Turn about the axis that brings d straight down. About y nose down is positive; about x left side up is. */
const plumbAngle = (axis: 'x' | 'y', d: Vec3): number =>
  axis === 'y' ? Math.atan2(d[0], -d[2]) : -Math.atan2(d[1], -d[2]);
