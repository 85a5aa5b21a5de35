/** One rail, many loadouts: where the rail must stand to bring each one level, and whether its travel reaches. */
import { addScaled, dot, rootBetween, subtract, unit, type Vec3 } from '../../0-base';
import { addSums, massCentre, type Sums } from '../../1-load';

export interface RailInput {
  readonly pivot: Vec3;
  /** All that hangs at the pivot and that the rail does not move. */
  readonly base: Sums;
  /** Unit direction of the rail, and its travel from the place its load is given in, m. */
  readonly direction: Vec3;
  readonly range: readonly [number, number];
  /** A lean (rad) that is good enough; null when only level will do. */
  readonly leanAllowed: number | null;
  readonly loadouts: readonly { readonly id: string; readonly onRail: Sums; readonly alsoFixed?: Sums }[];
}
export interface RailPlace {
  readonly id: string;
  /** m along the rail; null when no place on it brings the load level. */
  readonly position: number | null;
  readonly withinRange: boolean;
  /** How far the mass centre lies below the pivot there, m; below zero it is top-heavy, so it will not rest there. */
  readonly bottomHeaviness: number | null;
  /** Least and most place that hangs within the lean allowed; null when none was given or none does. */
  readonly withinLean: readonly [number, number] | null;
}
export interface RailCover {
  readonly places: readonly RailPlace[];
  readonly from: number | null;
  readonly to: number | null;
  readonly travelNeeded: number | null;
  readonly allWithinRange: boolean;
  /** One fixed place within the lean allowed for all; null when there is none. */
  readonly fixed: readonly [number, number] | null;
}

/** A rail within this of upright (its level part, of one) brings nothing level. */
const LEAST_LEVEL_PART = 1e-6;

/**
 * Level along the rail: the mass centre below the pivot as seen square to the rail, Σ m (c + s u - P)·e = 0 with e the
 * rail's direction laid level. In s this is linear, whatever the rail's slope. The lean is atan2(d·e, -d.z).
 */
export function railCover(input: RailInput): RailCover {
  const { direction, range, leanAllowed } = input;
  const flat: Vec3 = [direction[0], direction[1], 0];
  const level = Math.hypot(flat[0], flat[1]) > LEAST_LEVEL_PART ? unit(flat) : null;
  const places = input.loadouts.map(({ id, onRail, alsoFixed }): RailPlace => {
    const fixed = alsoFixed ? addSums(input.base, alsoFixed) : input.base;
    const mass = fixed.mass + onRail.mass;
    if (!level || !(onRail.mass > 0))
      return { id, position: null, withinRange: false, bottomHeaviness: null, withinLean: null };
    const whole = addSums(fixed, onRail);
    const at = (s: number): Vec3 =>
      subtract(addScaled(massCentre(whole), direction, (s * onRail.mass) / mass), input.pivot);
    const position = -dot(at(0), level) / ((onRail.mass / mass) * dot(direction, level));
    return {
      id,
      position,
      withinRange: position >= range[0] && position <= range[1],
      bottomHeaviness: -at(position)[2],
      withinLean: leanAllowed === null ? null : within(at, level, position, leanAllowed, mass / onRail.mass),
    };
  });
  const positions = places.flatMap((p) => (p.position === null ? [] : [p.position]));
  const [from, to] = positions.length > 0 ? [Math.min(...positions), Math.max(...positions)] : [null, null];
  return {
    places,
    from,
    to,
    travelNeeded: from === null || to === null ? null : to - from,
    allWithinRange: places.length > 0 && places.every((p) => p.withinRange),
    fixed: fixedPlace(places),
  };
}

/** Both ends of the run about `position` where it leans no more than `lean`; null when it turns over there already. */
function within(
  at: (s: number) => Vec3,
  level: Vec3,
  position: number,
  lean: number,
  perMove: number,
): readonly [number, number] | null {
  if (!(at(position)[2] < 0)) return null;
  const off = (s: number): number => Math.abs(Math.atan2(dot(at(s), level), -at(s)[2])) - lean;
  const end = (way: 1 | -1): number => {
    let step = Math.max(1e-6, -at(position)[2] * Math.tan(Math.min(lean, 1)) * perMove);
    // A rail that climbs as it goes out may never reach that lean: then a metre is as good as no end.
    while (step < 1 && off(position + way * step) < 0) step *= 2;
    return off(position + way * step) <= 0 ? position + way * step : rootBetween(off, position, position + way * step);
  };
  return [end(-1), end(1)];
}

function fixedPlace(places: readonly RailPlace[]): readonly [number, number] | null {
  if (places.length === 0 || places.some((p) => p.withinLean === null)) return null;
  const from = Math.max(...places.map((p) => p.withinLean![0]));
  const to = Math.min(...places.map((p) => p.withinLean![1]));
  return from <= to ? [from, to] : null;
}
