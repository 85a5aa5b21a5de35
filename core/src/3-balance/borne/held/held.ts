/** A rig held in the hands, pose by pose: what each wrist and shoulder carries, and for how long. */
import { IDENTITY, rotationOf, subtract, transform, type Vec3 } from '../../../0-base';
import { massCentre, type Sums } from '../../../1-load';
import { contactAt } from '../../../2-frame';
import type { Contact, Hands, Pose, Rig } from '../../../model';
import { heldPoses } from '../support';
import { firstToTire, type Endurance, type Tires } from './endurance';
import { handLoad, twoHands } from './handLoad';
import { shoulderMoment, shoulderStrength } from './shoulder';
import type { Bearing } from '../worn/bearing';

export interface HeldHand {
  readonly contact: Contact;
  readonly at: Vec3;
  /** What it holds up, N. */
  readonly up: number;
  /** What tips in it, N m: positive brings the nose, or the left side, down. */
  readonly noseDown: number;
  readonly leftSideDown: number;
}
export interface HeldPose {
  readonly pose: Pose;
  readonly hands: readonly HeldHand[];
  /** Of the shoulder that carries most, N m; null where the pose does not say how far the arm is out. */
  readonly shoulder: number | null;
  /** By the joint that gives out first. */
  readonly holds: Endurance;
  readonly tires: Tires;
  /** What each contact of a worn rig bears; empty for a rig in the hands alone, and where it cannot be held. */
  readonly bears: readonly Bearing[];
  /** Which way it falls when pushing cannot hold it, N m. */
  readonly falls: { readonly noseDown: number; readonly leftSideDown: number } | null;
}

export function heldIn(rig: Rig, values: readonly number[], sums: Sums, hands: Hands): readonly HeldPose[] {
  return heldPoses(rig).map(({ pose, hands: contacts }) =>
    poseLoad(
      pose,
      contacts.map((contact) => ({ contact, at: contactAt(rig, contact, values) })),
      sums,
      hands,
    ),
  );
}

function poseLoad(pose: Pose, places: readonly { contact: Contact; at: Vec3 }[], sums: Sums, hands: Hands): HeldPose {
  const [first, second] = places;
  const attitude = pose.turn ? rotationOf(pose.turn) : IDENTITY;
  const centre = massCentre(sums);
  const held = second
    ? between(first!, second, sums.mass, centre, attitude)
    : [oneHand(first!, sums.mass, centre, attitude)];
  const wrist = Math.max(...held.map((h) => Math.hypot(h.noseDown, h.leftSideDown))) / hands.wristStrength;
  const shoulder =
    pose.arm === undefined ? null : Math.max(...held.map((h) => shoulderMoment(Math.abs(h.up), pose.arm!)));
  const shoulderShare = shoulder === null ? 0 : shoulder / shoulderStrength(hands);
  return {
    pose,
    hands: held,
    shoulder,
    ...firstToTire([
      { tires: 'wrist', share: wrist },
      { tires: 'shoulder', share: shoulderShare },
    ]),
    bears: [],
    falls: null,
  };
}

function oneHand(
  { contact, at }: { contact: Contact; at: Vec3 },
  mass: number,
  centre: Vec3,
  attitude: Parameters<typeof transform>[0],
): HeldHand {
  const load = handLoad({ mass, centre, hand: at, attitude });
  return { contact, at, up: -load.force[2], noseDown: load.noseDown, leftSideDown: load.leftSideDown };
}

/**
 * Two hands: each holds up its share along the line between them. What is left tips about that line, for the centre lies
 * beside it; the wrists take half of it each. With one hand straight above the other they share evenly: a guess.
 */
function between(
  a: { contact: Contact; at: Vec3 },
  b: { contact: Contact; at: Vec3 },
  mass: number,
  centre: Vec3,
  attitude: Parameters<typeof transform>[0],
): readonly HeldHand[] {
  const whole = oneHand(a, mass, centre, attitude);
  const [up0, up1] = twoHands({ mass, centre, hands: [a.at, b.at], attitude }) ?? [whole.up / 2, whole.up / 2];
  const run = transform(attitude, subtract(b.at, a.at));
  // The second hand's push takes run x up1 off the torque about the first.
  const noseDown = (whole.noseDown - run[0] * up1) / 2;
  const leftSideDown = (whole.leftSideDown - run[1] * up1) / 2;
  return [
    { contact: a.contact, at: a.at, up: up0, noseDown, leftSideDown },
    { contact: b.contact, at: b.at, up: up1, noseDown, leftSideDown },
  ];
}
