/** How much tighter the former must be, because a bent bar opens again when let go. */
import { rootBetween } from '../../0-base';

export type SpringBack =
  | {
      readonly kind: 'solved';
      readonly formerRadius: number;
      readonly overbendAngle: number;
      readonly radiusAtWhichItNeverYields: number;
    }
  | { readonly kind: 'noSolution'; readonly reason: string };

/**
 * Radii at mid-thickness (m). Solves Ri/Rf = 4x³ - 3x + 1, x = Ri·Y/(E·t), for the former's radius Ri that leaves the
 * wanted radius Rf; the angle is bent further in the same ratio. Elastic and perfectly plastic; holds for x ≤ 0.5, where
 * the bar begins to yield. Source: docs/sources.md, Bends (the usual plane-bending result).
 */
export function springBack(wanted: {
  radius: number;
  angle: number;
  thickness: number;
  stiffness: number;
  yield: number;
}): SpringBack {
  const perRadius = wanted.yield / (wanted.stiffness * wanted.thickness);
  if (!(wanted.radius > 0) || !(perRadius > 0))
    return { kind: 'noSolution', reason: 'radius, thickness, stiffness and yield must all be above zero' };
  const never = 0.5 / perRadius;
  const openness = (former: number): number => {
    const x = former * perRadius;
    return 4 * x ** 3 - 3 * x + 1;
  };
  const formerRadius = rootBetween((former) => former - wanted.radius * openness(former), 0, never);
  return {
    kind: 'solved',
    formerRadius,
    overbendAngle: (wanted.angle * wanted.radius) / formerRadius,
    radiusAtWhichItNeverYields: never,
  };
}
