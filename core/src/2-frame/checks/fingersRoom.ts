/** Room for a hand round what it holds. */
import { figure, length, say, subtract } from '../../0-base';
import { contactAt, valuesInOrder } from '../assemble';
import { nearestPoint, pointGap, type Solid3 } from '../clearances/clearance';
import type { FrameCheck } from '../frameCheck';
import { pointsOf, pushAway } from '../clearances/near';

/** What is this near to the middle of the hand is what it holds. */
const HELD = 0.03;
/** Rounding of what stands inside another, m. */
const WITHIN = 1e-6;
/** What of a part lies no further from the hand than this beyond its nearest corner, m. */
const NEAR_END = 0.002;
/** Beyond half the hand's own breadth, m: for gloves, and so that a knuckle is not pinched. */
const SPARE = 0.005;

export const fingersRoom: FrameCheck = {
  id: 'fingersRoom',
  look: ({ rig, pieces, values, hands }) => {
    const least = hands.breadth / 2 + SPARE;
    const inOrder = valuesInOrder(rig, values);
    return rig.contacts
      .filter((c) => c.kind === 'hand')
      .flatMap((contact) => {
        const at = contactAt(rig, contact, inOrder);
        const grasped = pieces.filter((p) => pointGap(at, p.flat) < HELD);
        const held = new Set(grasped.map((p) => p.flat.owner));
        // A bolt let into the handle is out of the fingers' way: its near end lies all inside.
        const isLetIn = (flat: Solid3): boolean => {
          const from = pointsOf(flat).map((p) => ({ p, gap: length(subtract(p, at)) }));
          const nearest = Math.min(...from.map((f) => f.gap)) + NEAR_END;
          return [nearestPoint(at, flat), ...from.flatMap((f) => (f.gap <= nearest ? [f.p] : []))].every((p) =>
            grasped.some((g) => pointGap(p, g.flat) < WITHIN),
          );
        };
        const near = pieces
          .filter((p) => !held.has(p.flat.owner) && !isLetIn(p.flat))
          .map((p) => ({ flat: p.flat, gap: pointGap(at, p.flat) }))
          .filter((n) => n.gap < least);
        if (near.length === 0) return [];
        const { flat, gap } = near.reduce((a, b) => (b.gap < a.gap ? b : a));
        return [
          {
            code: 'fingersRoom',
            severity: 'mend' as const,
            about: flat.owner,
            place: contact.id,
            figure: figure('length', gap),
            limit: figure('length', least),
            title: say`The ${flat.name} is ${figure('length', gap)} from the middle of the ${contact.name}.`,
            why: say`Fingers round a handle need ${figure('length', least)} from its middle: half your hand's breadth and a little for gloves.`,
            toDo: say`Move the hand along, or the ${flat.name} away.`,
            fixes: pushAway({ rig, pieces }, flat.owner, (piece) => pointGap(at, piece), least),
          },
        ];
      });
  },
};
