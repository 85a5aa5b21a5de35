/** Room for a hand round what it holds. */
import { figure, say } from '../../0-base';
import { contactAt, valuesInOrder } from '../assemble';
import { pointGap } from '../clearance';
import type { FrameCheck } from '../frameCheck';
import { pushAway } from '../near';

/** What is this near to the middle of the hand is what it holds. */
const HELD = 0.03;
/** Beyond half the hand's own breadth, m: for gloves, and so that a knuckle is not pinched. */
const SPARE = 0.005;

export const fingersRoom: FrameCheck = {
  id: 'fingersRoom',
  look: ({ rig, pieces, values, hands }) => {
    const least = hands.breadth / 2 + SPARE;
    const inOrder = valuesInOrder(rig, values);
    return rig.contacts.filter((c) => c.kind === 'hand').flatMap((contact) => {
      const at = contactAt(rig, contact, inOrder);
      const held = new Set(pieces.filter((p) => pointGap(at, p.flat) < HELD).map((p) => p.flat.owner));
      const near = pieces.filter((p) => !held.has(p.flat.owner)).map((p) => ({ flat: p.flat, gap: pointGap(at, p.flat) })).filter((n) => n.gap < least);
      if (near.length === 0) return [];
      const { flat, gap } = near.reduce((a, b) => (b.gap < a.gap ? b : a));
      return [{
        code: 'fingersRoom', severity: 'mend' as const, about: flat.owner, figure: figure('length', gap), limit: figure('length', least),
        title: say`The ${flat.name} is ${figure('length', gap)} from the middle of the ${contact.name}.`,
        why: say`Fingers round a handle need ${figure('length', least)} from its middle: half your hand's breadth and a little for gloves.`,
        toDo: say`Move the hand along, or the ${flat.name} away.`,
        fixes: pushAway({ rig, pieces }, flat.owner, (piece) => pointGap(at, piece), least),
      }];
    });
  },
};
