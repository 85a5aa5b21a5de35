/** A frame at rest under its loads: how far everything has moved, what its supports bear, and what passes through each member. */
import { add, cross, length, scale, subtract, transform, ZERO, type Vec3 } from '../../0-base';
import { factored, nullVector, solve, type Factors } from '../solver/skyline';
import { applied } from '../solver/small';
import type { FrameLoad } from './frameModel';
import type { Element, FrameSystem } from './frameSystem';

export interface Moved {
  readonly displacement: Vec3;
  /** Right-handed about x y z, rad; small. */
  readonly rotation: Vec3;
}
/** What the part ahead of a cut puts on the part behind it, member's own axes: tension, shears, twist, bending about y and z. */
export interface Through {
  readonly member: number;
  /** m from the member's start, along it. */
  readonly along: number;
  readonly at: Vec3;
  readonly force: Vec3;
  readonly moment: Vec3;
}
export interface SpringMoment {
  readonly member: number;
  readonly end: 'from' | 'to';
  readonly along: Vec3;
  readonly about: Vec3;
}
export type FrameOutcome =
  | { readonly kind: 'solved'; readonly answer: FrameAnswer }
  /** It moves without bending anything: how every node goes. */
  | { readonly kind: 'mechanism'; readonly motion: Motion };
export type Motion = (node: string) => Moved;
export interface FrameAnswer {
  /** By unknown, held ones nought. */
  readonly moved: Float64Array;
  readonly at: Motion;
  /** What the support does to the frame, at its node. */
  readonly reactionAt: (node: string) => { readonly force: Vec3; readonly moment: Vec3 };
  /** What each member's sprung end puts on its node, member's own axes, N and N m. */
  readonly springs: () => readonly SpringMoment[];
  /** Cuts through a member: at both ends of each piece and so many places between. */
  readonly through: (placesBetween: number) => readonly Through[];
}

/** Field in m/s², on all that has mass; the model's own loads are added, or `loads` in their place. `factors` of its stiffness, when they are known. */
export function frameAtRest(
  system: FrameSystem,
  field: Vec3,
  factors: Factors = factored(system.stiffness),
  loads: readonly FrameLoad[] = system.model.loads,
): FrameOutcome {
  const nil = factors.nil[0];
  if (nil !== undefined)
    return { kind: 'mechanism', motion: motionOf(system, spreadOut(system, nullVector(factors, nil))) };
  const load = loadsOf(system, field, loads);
  const right = new Float64Array(system.stiffness.size);
  system.row.forEach((r, u) => r >= 0 && (right[r] = load[u]!));
  const moved = spreadOut(system, solve(factors, right));
  return {
    kind: 'solved',
    answer: {
      moved,
      at: motionOf(system, moved),
      reactionAt: reactions(system, moved, load),
      springs: () => springsOf(system, moved, field),
      through: (places) =>
        system.elements.flatMap((e) => (e.beam ? cuts(system, e, e.beam, moved, field, places) : [])),
    },
  };
}

/** A vector over the free rows as one over all unknowns. */
export function spreadOut({ row, count }: Pick<FrameSystem, 'row' | 'count'>, free: Float64Array): Float64Array {
  const all = new Float64Array(count);
  row.forEach((r, u) => r >= 0 && (all[u] = free[r]!));
  return all;
}

export const motionOf =
  ({ unknownOf }: FrameSystem, moved: Float64Array): Motion =>
  (node) => {
    const u = unknownOf.get(node)!;
    const of = (i: number): Vec3 => [moved[u + i]!, moved[u + i + 1]!, moved[u + i + 2]!];
    return { displacement: of(0), rotation: of(3) };
  };

/** By unknown: weights in the field, and loads at nodes. */
function loadsOf({ elements, unknownOf, count }: FrameSystem, field: Vec3, loads: readonly FrameLoad[]): Float64Array {
  const load = new Float64Array(count);
  for (const { unknowns, weight } of elements) {
    if (!weight) continue;
    const own = applied(weight, field, unknowns.length, 3);
    unknowns.forEach((u, i) => (load[u]! += own[i]!));
  }
  for (const { node, force, moment } of loads) {
    const u = unknownOf.get(node)!;
    [...force, ...moment].forEach((x, i) => (load[u + i]! += x));
  }
  return load;
}

/** What is left over between what bends and what loads: it comes from outside. Springs to the ground are outside too. */
function reactions(
  { elements, unknownOf }: FrameSystem,
  moved: Float64Array,
  load: Float64Array,
): FrameAnswer['reactionAt'] {
  const left = Float64Array.from(load, (x) => -x);
  for (const { unknowns, stiffness, toGround } of elements) {
    if (!stiffness || toGround) continue;
    const n = unknowns.length;
    const own = applied(
      stiffness,
      unknowns.map((u) => moved[u]!),
      n,
      n,
    );
    unknowns.forEach((u, i) => (left[u]! += own[i]!));
  }
  return (node) => {
    const u = unknownOf.get(node)!;
    return { force: [left[u]!, left[u + 1]!, left[u + 2]!], moment: [left[u + 3]!, left[u + 4]!, left[u + 5]!] };
  };
}

/** The six forces on each end of a beam, rig axes: as its nodes act on it. */
function endForces(
  { unknowns }: Element,
  { piece, ends }: NonNullable<Element['beam']>,
  moved: Float64Array,
  field: Vec3,
): Float64Array {
  const own = applied(
    ends,
    unknowns.map((u) => moved[u]!),
    12,
    unknowns.length,
  );
  const weight = applied(piece.weight, field, 12, 3);
  return applied(piece.stiffness, own, 12, 12).map((f, i) => f - weight[i]!);
}

function springsOf(system: FrameSystem, moved: Float64Array, field: Vec3): readonly SpringMoment[] {
  const { elements } = system;
  return system.springs.map(({ member, end, axes, element }) => {
    const one = elements[element]!;
    const f = endForces(one, one.beam!, moved, field);
    const of = (i: number): Vec3 => scale(transform(axes, [f[i]!, f[i + 1]!, f[i + 2]!]), -1);
    const first = end === 'from' ? 0 : 6;
    return { member, end, along: of(first), about: of(first + 3) };
  });
}

/** From the forces on a piece's start, all that follows along it by balance alone. */
function cuts(
  system: FrameSystem,
  element: Element,
  beam: NonNullable<Element['beam']>,
  moved: Float64Array,
  field: Vec3,
  places: number,
): readonly Through[] {
  const f = endForces(element, beam, moved, field);
  const startForce: Vec3 = [f[0]!, f[1]!, f[2]!];
  const startMoment: Vec3 = [f[3]!, f[4]!, f[5]!];
  const { member, piece } = beam;
  const { section, material } = system.model.members[member]!;
  const perMetre = scale(field, material.density * section.area);
  const origin = piece.points[0]!;
  const found: Through[] = [];
  let along = piece.startsAt;
  /** Weight behind the cut, and its moment about the piece's start. */
  let behind: Vec3 = ZERO;
  let turning: Vec3 = ZERO;
  piece.axes.forEach((axes, i) => {
    const [from, to] = [piece.points[i]!, piece.points[i + 1]!];
    const step = subtract(to, from);
    const size = length(step);
    const stations = piece.axes.length > 1 ? 1 : places + 1;
    for (let s = i === 0 ? 0 : 1; s <= stations; s++) {
      const part = s / stations;
      const at = add(from, scale(step, part));
      const here = scale(perMetre, size * part);
      const force = add(startForce, add(behind, here));
      const about = add(turning, cross(subtract(add(from, scale(step, part / 2)), origin), here));
      // Moments of all that lies behind, about the cut.
      const moment = subtract(add(startMoment, about), cross(subtract(at, origin), force));
      found.push({
        member,
        along: along + size * part,
        at,
        force: scale(transform(axes, force), -1),
        moment: scale(transform(axes, moment), -1),
      });
    }
    const whole = scale(perMetre, size);
    turning = add(turning, cross(subtract(add(from, scale(step, 0.5)), origin), whole));
    behind = add(behind, whole);
    along += size;
  });
  return found;
}
