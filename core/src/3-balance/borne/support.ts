/** What a rig is borne by: the universal joint it hangs on, the hands of a pose, or the shoulder it rests on. Every readout starts from here. */
import type { Vec3 } from '../../0-base';
import { bodiesBeyond, contactAt, pivotAt } from '../../2-frame';
import type { Contact, Pivot, Pose, Rig } from '../../model';

export type Support =
  | { readonly kind: 'pivot'; readonly pivot: Pivot; readonly carries: ReadonlySet<string> }
  /** A pole on its hinge: what swings there, whoever stands under it. */
  | { readonly kind: 'hinge'; readonly pivot: Pivot; readonly carries: ReadonlySet<string> }
  | {
      readonly kind: 'hands';
      readonly pose: Pose;
      readonly hands: readonly Contact[];
      readonly carries: ReadonlySet<string>;
    };

/**
 * What hangs finds its own level, so near enough is good enough. Held, worn, or on a pole's hinge, whatever it is off is felt
 * or seen as such: slides are set to zero and not to a limit, for nothing is won by stopping there.
 */
export const setToZero = (rig: Rig): boolean => {
  const support = supportOf(rig);
  return support !== null && support.kind !== 'pivot';
};

/** Null when it neither hangs nor is held. A pose counts when it has hands and nothing else bears. */
export function supportOf(rig: Rig): Support | null {
  const pivot = rig.pivots.find((p) => p.kind === 'universal');
  if (pivot) return { kind: 'pivot', pivot, carries: bodiesBeyond(rig, pivot) };
  const pole = poleHinge(rig);
  if (pole) return { kind: 'hinge', pivot: pole.hinge, carries: bodiesBeyond(rig, pole.hinge) };
  const carries = new Set(rig.bodies.map((b) => b.id));
  const [held] = heldPoses(rig);
  const [worn] = wornPoses(rig);
  // Of both kinds the pose that stands first in the rig is the usual one.
  const first =
    worn && (!held || rig.poses.indexOf(worn.pose) < rig.poses.indexOf(held.pose))
      ? { pose: worn.pose, hands: [worn.bearing.find((c) => c.kind === 'shoulder') ?? worn.bearing[0]!] }
      : held;
  return first ? { kind: 'hands', ...first, carries } : null;
}

/** Axes that turn freely, innermost first; clamped ones stand as they are set. */
export function freeAxes(rig: Rig): readonly Pivot[] {
  return rig.pivots
    .filter((p) => p.kind !== 'universal' && !p.clamped)
    .sort((a, b) => bodiesBeyond(rig, a).size - bodiesBeyond(rig, b).size);
}

/** A free hinge that stands on a free swivel, and nothing else: a pole that droops and spins. */
export function poleHinge(rig: Rig): { readonly hinge: Pivot; readonly swivel: Pivot } | null {
  const [hinge, swivel, ...more] = freeAxes(rig);
  return hinge?.kind === 'hinge' && swivel?.kind === 'swivel' && more.length === 0 ? { hinge, swivel } : null;
}

/** Poses in which shoulder, chest, the ground or more than two hands bear: what each carries is an estimate. */
export function wornPoses(rig: Rig): readonly { readonly pose: Pose; readonly bearing: readonly Contact[] }[] {
  const contacts = new Map(rig.contacts.map((c) => [c.id, c]));
  return rig.poses.flatMap((pose) => {
    const bearing = pose.contacts.flatMap((id) => contacts.get(id) ?? []);
    return bearing.some((c) => c.kind === 'shoulder' || c.kind === 'chest' || c.kind === 'ground') ||
      bearing.filter((c) => c.kind === 'hand').length > 2
      ? [{ pose, bearing }]
      : [];
  });
}

export function heldPoses(rig: Rig): readonly { readonly pose: Pose; readonly hands: readonly Contact[] }[] {
  const contacts = new Map(rig.contacts.map((c) => [c.id, c]));
  return rig.poses.flatMap((pose) => {
    const bearing = pose.contacts.map((id) => contacts.get(id));
    return bearing.length > 0 && bearing.length <= 2 && bearing.every((c) => c?.kind === 'hand')
      ? [{ pose, hands: bearing as Contact[] }]
      : [];
  });
}

/** The pivot, the hand, or half way between two hands; m, rig axes, with the adjusters set. */
export function supportAt(rig: Rig, support: Support, values: readonly number[]): Vec3 {
  if (support.kind !== 'hands') return pivotAt(rig, support.pivot, values);
  const places = support.hands.map((h) => contactAt(rig, h, values));
  return [0, 1, 2].map((i) => places.reduce((sum, p) => sum + p[i]!, 0) / places.length) as unknown as Vec3;
}
