/** A fitting as it is told from others of its kind: a cap by the pipe it closes. */
import type { Body, Joint } from '../../model';

export function jointName(joint: Joint, { members }: Pick<Body, 'members'>): string {
  if (joint.hub?.sockets.length !== 1) return joint.name;
  const pipe = members.find((m) => joint.joins.includes(m.id));
  return pipe ? `${joint.name} of the ${pipe.name}` : joint.name;
}
