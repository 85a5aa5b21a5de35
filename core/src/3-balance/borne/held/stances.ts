/** Who holds a rig in a pose, hand by hand: turned as the pose turns it, its shoulder under its pad, its foot on the ground. */
import { IDENTITY, rotationOf, transform, transpose, type Mat3, type Vec3 } from '../../../0-base';
import { contactAt } from '../../../2-frame';
import type { Contact, Hands, Pose, Rig } from '../../../model';
import { shoulderOf, stanceOf, type Stance, type StanceOutcome } from './person';

export interface HandStance {
  readonly contact: Contact;
  /** Places with z up, whichever way the pose turns the rig. */
  readonly stance: StanceOutcome;
}
export const turnOf = (pose: Pose): Mat3 => (pose.turn ? rotationOf(pose.turn) : IDENTITY);

/** One a hand; none for a pose without hands. */
export function stancesOf(rig: Rig, pose: Pose, values: readonly number[], hands: Hands): readonly HandStance[] {
  const turn = turnOf(pose);
  const place = (contact: Contact): Vec3 => transform(turn, contactAt(rig, contact, values));
  const pad = shoulderOf(pose, rig.contacts);
  const on = { onShoulder: pad ? place(pad) : null, ground: groundUnder(rig, pose, values) };
  return rig.contacts
    .filter((c) => c.kind === 'hand' && pose.contacts.includes(c.id))
    .map((contact) => ({ contact, stance: stanceOf(pose, place(contact), hands, on) }));
}

/** Height of what the rig stands on in a pose, with z up, m; null where it stands on nothing. */
export function groundUnder(rig: Rig, pose: Pose, values: readonly number[]): number | null {
  const feet = rig.contacts.filter((c) => c.kind === 'ground' && pose.contacts.includes(c.id));
  return feet.length === 0 ? null : Math.min(...feet.map((c) => transform(turnOf(pose), contactAt(rig, c, values))[2]));
}

/** In the rig's own axes, to be drawn beside it as it is drawn. */
export function besideRig(pose: Pose, { shoulder, elbow, hand, hip, neck, eye, head, kind }: Stance): Stance {
  const back = transpose(turnOf(pose));
  const placed = (p: Vec3): Vec3 => transform(back, p);
  return {
    kind,
    shoulder: placed(shoulder),
    elbow: placed(elbow),
    hand: placed(hand),
    hip: placed(hip),
    neck: placed(neck),
    eye: placed(eye),
    head: { ...head, centre: placed(head.centre) },
  };
}
