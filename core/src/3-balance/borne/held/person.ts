/** A simple person of the maker's stature with a rig in the hand: where shoulder, elbow and eye are in a pose, and whether it can be reached. */
import { add, dot, length, scale, subtract, unit, type Vec3 } from '../../../0-base';
import type { Contact, Hands, Pose } from '../../../model';

/** Lengths as parts of stature (Drillis and Contini 1966); people differ by a twentieth each way. */
const OF_STATURE = {
  upperArm: 0.186,
  forearm: 0.146,
  toGrip: 0.05,
  shoulderHeight: 0.818,
  eyeHeight: 0.936,
  hipHeight: 0.53,
  headRadius: 0.06,
  halfShoulders: 0.12,
  neck: 0.87,
};
const USUAL_STATURE = 1.72;
/** An arm is hardly ever held quite straight. */
const STRAIGHT = 0.985;
/** Weight of forearm and hand, and where it acts from the elbow, as parts of body-neutral figures: 15 N at 0.43 of forearm and hand. */
const FOREARM = { weight: 15, centre: 0.43 };

export interface Stance {
  readonly kind: 'reaches';
  /** Rig axes, m. */
  readonly shoulder: Vec3;
  readonly elbow: Vec3;
  readonly hand: Vec3;
  readonly hip: Vec3;
  readonly neck: Vec3;
  readonly eye: Vec3;
  readonly head: { readonly centre: Vec3; readonly radius: number };
}
const NOWHERE = { onShoulder: null, ground: null };
export type StanceOutcome = Stance | { readonly kind: 'outOfReach'; readonly reach: number; readonly asked: number };

/** Of whoever stands upright, above the ground, m. */
export const shoulderHeightOf = (hands: Hands): number => OF_STATURE.shoulderHeight * statureOf(hands);
export const statureOf = (hands: Hands): number => hands.stature ?? USUAL_STATURE;
/** From shoulder to the middle of a closed hand, m. */
export const reachOfArm = (hands: Hands): number =>
  (OF_STATURE.upperArm + OF_STATURE.forearm + OF_STATURE.toGrip) * statureOf(hands);

/**
 * Who holds `hand` (m, rig axes) with the arm out by the pose's own distance, or with the shoulder under a contact that rests
 * on it. They stand behind the rig and look along the lens; before it where the lens looks back at them. Where the rig stands
 * on the ground (its height, m) so do they: they kneel for a hand that is low, and do not grow for one that is high.
 */
export function stanceOf(
  pose: Pose,
  hand: Vec3,
  hands: Hands,
  { onShoulder, ground }: { readonly onShoulder: Vec3 | null; readonly ground: number | null } = NOWHERE,
): StanceOutcome {
  const stature = statureOf(hands);
  const reach = reachOfArm(hands);
  const ahead = pose.facesHolder ? -1 : 1;
  const side = hands.leftHanded ? 1 : -1;
  const arm = pose.arm ?? hands.armClose;
  if (onShoulder === null && arm > reach) return { kind: 'outOfReach', reach, asked: arm };
  // A hand that hangs carries low; one held out is about at the height that leaves the arm a little bent.
  const drop = Math.sqrt(Math.max(0, (STRAIGHT * reach) ** 2 - arm ** 2));
  const high = hand[2] + (pose.facesHolder ? 0.25 : 0.9) * drop;
  const standing = ground === null ? Infinity : ground + shoulderHeightOf(hands);
  const shoulder: Vec3 = onShoulder ?? [hand[0] - ahead * arm, hand[1], Math.min(high, standing)];
  const asked = length(subtract(hand, shoulder));
  if (asked > reach) return { kind: 'outOfReach', reach, asked };
  const [upper, fore] = [OF_STATURE.upperArm * stature, (OF_STATURE.forearm + OF_STATURE.toGrip) * stature];
  const elbow = jointBetween(shoulder, hand, upper, fore, [-0.4 * ahead, side * 0.3, -1]);
  const middle: Vec3 = [shoulder[0], shoulder[1] - side * OF_STATURE.halfShoulders * stature, shoulder[2]];
  const up = (part: number): Vec3 => [middle[0], middle[1], shoulder[2] + (part - OF_STATURE.shoulderHeight) * stature];
  const centre = add(up(OF_STATURE.eyeHeight), [0.02 * ahead, 0, 0]);
  return {
    kind: 'reaches',
    shoulder,
    elbow,
    hand,
    hip: up(OF_STATURE.hipHeight),
    neck: up(OF_STATURE.neck),
    eye: add(centre, [OF_STATURE.headRadius * stature * ahead, 0, 0]),
    head: { centre, radius: OF_STATURE.headRadius * stature },
  };
}

/** The eye of whoever has a thing standing on the shoulder at `foot` (m, rig axes), looking along the lens. */
export function eyeOverShoulder(foot: Vec3, hands: Hands): Vec3 {
  const stature = statureOf(hands);
  const side = hands.leftHanded ? 1 : -1;
  return [
    foot[0] + 0.02 + OF_STATURE.headRadius * stature,
    foot[1] - side * OF_STATURE.halfShoulders * stature,
    foot[2] + (OF_STATURE.eyeHeight - OF_STATURE.shoulderHeight) * stature,
  ];
}

/** Moment at the elbow, N m, of a weight (N) in the hand, forearm and hand with it: level distances count. */
export function elbowMoment({ elbow, hand }: Stance, weight: number): number {
  const out = Math.hypot(hand[0] - elbow[0], hand[1] - elbow[1]);
  return Math.abs(weight) * out + FOREARM.weight * FOREARM.centre * out;
}

/** Where two links of these lengths bend between their ends, towards `bend`; straight where they only just reach. */
function jointBetween(from: Vec3, to: Vec3, first: number, second: number, bend: Vec3): Vec3 {
  const run = subtract(to, from);
  const far = Math.min(length(run), first + second);
  if (far < 1e-9) return add(from, scale(unit(bend), first));
  const along = unit(run);
  const out = (first * first - second * second + far * far) / (2 * far);
  const off = Math.sqrt(Math.max(0, first * first - out * out));
  const square = subtract(bend, scale(along, dot(bend, along)));
  return add(add(from, scale(along, out)), length(square) > 1e-9 ? scale(unit(square), off) : [0, 0, -off]);
}

/** The contact on whose shoulder a pose rests, if it does. */
export const shoulderOf = (pose: Pose, contacts: readonly Contact[]): Contact | null =>
  contacts.find((c) => c.kind === 'shoulder' && pose.contacts.includes(c.id)) ?? null;
