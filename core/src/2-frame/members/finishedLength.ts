/** How long a member is when it is done, m: along its bends, between its fittings; what is left long is not counted. */
import type { Body, Member } from '../../model';
import { bentStrip } from './memberBodies';
import { cutLengthOf, placesOf } from './memberEnds';

export function finishedLength(member: Member, body: Pick<Body, 'nodes' | 'joints' | 'members'>): number {
  return bentStrip(member, placesOf(body.nodes))?.developedLength ?? cutLengthOf(member, body);
}
