/** A rig worn: on shoulder and chest and in the hands at once, each only pushing; what each bears in a pose, and for how long. */
import { dot, IDENTITY, rotationOf, STANDARD_GRAVITY, transform, type Vec3 } from '../../../0-base';
import { massCentre, type Sums } from '../../../1-load';
import { contactAt } from '../../../2-frame';
import type { Contact, Hands, Pose, Rig } from '../../../model';
import { wornPoses } from '../support';
import { contactLoads, type Push } from './contactLoads';
import { firstToTire, type Endurance } from '../held/endurance';
import type { HeldHand, HeldPose } from '../held/held';
import type { Bearing } from './bearing';
import { shoulderMoment, shoulderStrength } from '../held/shoulder';

/** What is borne for a while without pain, N: rough, from carrying straps and hand tools; one's own limit goes over it. */
const COMFORT: Readonly<Record<Contact['kind'], number>> = {
  hand: 30,
  shoulder: 80,
  chest: 40,
  helmet: 25,
  ground: 1e4,
};
/** A hand can push for a moment with about this many times what a wrist turns with, N for N m. */
const PUSH_TO_WRIST = 18;

export const comfortOf = (contact: Contact): number => contact.comfortLimit ?? COMFORT[contact.kind];

export function wornIn(rig: Rig, values: readonly number[], sums: Sums, hands: Hands): readonly HeldPose[] {
  return wornPoses(rig).map(({ pose, bearing }) =>
    wornPose(
      pose,
      bearing.map((contact) => ({ contact, at: contactAt(rig, contact, values) })),
      sums,
      hands,
    ),
  );
}

function wornPose(
  pose: Pose,
  places: readonly { readonly contact: Contact; readonly at: Vec3 }[],
  sums: Sums,
  hands: Hands,
): HeldPose {
  const attitude = pose.turn ? rotationOf(pose.turn) : IDENTITY;
  const level = (p: Vec3): Vec3 => transform(attitude, p);
  // Directions are the person's, who stands upright however the rig is turned; places are the rig's.
  const pushes = places.flatMap(({ contact, at }, owner) =>
    [contact.direction, ...(contact.also ?? [])].map((direction) => ({
      owner,
      push: { point: level(at), direction, comfortLimit: comfortOf(contact) } satisfies Push,
    })),
  );
  const outcome = contactLoads(
    sums.mass * STANDARD_GRAVITY,
    level(massCentre(sums)),
    pushes.map((p) => p.push),
  );
  const bears =
    outcome.kind === 'cannotHold'
      ? []
      : places.map(({ contact, at }, owner): Bearing => {
          const force = pushes.reduce<Vec3>(
            (sum, p, i) =>
              p.owner === owner
                ? [
                    sum[0] + p.push.direction[0] * outcome.forces[i]!,
                    sum[1] + p.push.direction[1] * outcome.forces[i]!,
                    sum[2] + p.push.direction[2] * outcome.forces[i]!,
                  ]
                : sum,
            [0, 0, 0],
          );
          const size = Math.hypot(...force);
          return { contact, at, force, size, share: size / comfortOf(contact) };
        });
  const inHand = bears.filter((b) => b.contact.kind === 'hand');
  const pushShare = Math.max(0, ...inHand.map((b) => b.size / (PUSH_TO_WRIST * hands.wristStrength)));
  const shoulder =
    pose.arm === undefined || inHand.length === 0
      ? null
      : Math.max(...inHand.map((b) => shoulderMoment(Math.max(0, dot(b.force, [0, 0, 1])), pose.arm!)));
  const armShare = shoulder === null ? 0 : shoulder / shoulderStrength(hands);
  const padShare = Math.max(0, ...bears.filter((b) => b.contact.kind !== 'hand').map((b) => b.share / PAD_STRENGTH));
  const { holds, tires } = firstToTire([
    { tires: 'pad', share: padShare },
    { tires: 'shoulder', share: armShare },
    { tires: 'wrist', share: pushShare },
  ]);
  return {
    pose,
    hands: inHand.map(({ contact, at, force }): HeldHand => ({
      contact,
      at,
      up: force[2],
      noseDown: 0,
      leftSideDown: 0,
    })),
    shoulder,
    holds: outcome.kind === 'cannotHold' ? NOT_AT_ALL : holds,
    tires,
    bears,
    falls:
      outcome.kind === 'cannotHold' ? { noseDown: outcome.leftTorque[1], leftSideDown: -outcome.leftTorque[0] } : null,
  };
}

/** Comfort is a fifth of what skin and muscle bear for a moment: taken so that a comfortable pad lasts a quarter of an hour. */
const PAD_STRENGTH = 6.5;
const NOT_AT_ALL: Endurance = { kind: 'tooMuch', share: 1 };
