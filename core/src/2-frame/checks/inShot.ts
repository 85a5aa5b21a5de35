/** Frame, weights and hands inside the picture of a lens on the rig. */
import { add, figure, say, subtract, type Finding, type Vec3 } from '../../0-base';
import type { LensCone } from '../../1-load';
import { contactAt, valuesInOrder } from '../assemble';
import type { FrameCheck, FrameContext } from '../frameCheck';
import { FIST } from '../clearances/handMargins';
import { framePieces, loadPlace, pictureOf, pointsOf, reachOf } from '../clearances/near';

/** Less than this is the blur of a lens's edge. */
const SEEN = 0.001;
const MOST_MOVED = 0.1;

export const inShot: FrameCheck = {
  id: 'inShot',
  look: (frame) => {
    const place = loadPlace(frame);
    return place ? frame.cones.flatMap((cone) => oneCone(frame, cone, place)) : [];
  },
};

/** Forward, or on a riser, whichever is the smaller change: more than a hand's breadth of either is another rig. */
function fixesFor(
  frame: FrameContext,
  { owner, ahead, rise, below }: Seen,
  clears: (by: Vec3) => boolean,
): Finding['fixes'] {
  const id = frame.rig.bodies.flatMap((b) => b.parts).find((p) => p.mount)?.id;
  // What the camera stands on goes with it.
  if (!id || id === owner) return [];
  const ways = [
    { size: ahead, label: say`Camera ${figure('length', ahead)} forward`, by: [ahead + SEEN, 0, 0] as Vec3 },
    ...(below
      ? [{ size: rise, label: say`Camera on a riser of ${figure('length', rise)}`, by: [0, 0, rise + SEEN] as Vec3 }]
      : []),
  ];
  // Raised, a camera may see what stood over its picture before.
  const [least] = ways.filter((w) => w.size <= MOST_MOVED && clears(w.by)).sort((a, b) => a.size - b.size);
  return least ? [{ label: least.label, changes: [{ kind: 'move', id, by: least.by }] }] : [];
}

interface Seen {
  readonly owner: string;
  readonly name: string;
  readonly by: number;
  /** How much higher, or lower, the camera would have to stand to see over it, m. */
  readonly rise: number;
  /** All that is seen of it lies under the lens. */
  readonly below: boolean;
  /** How far ahead of the lens's front it reaches, m. */
  readonly ahead: number;
}

function oneCone(frame: FrameContext, cone: LensCone, place: (p: Vec3) => Vec3): readonly Finding[] {
  const front = place(cone.front);
  // A camera that looks back or far up and down is not helped by being moved ahead or raised.
  const level = subtract(place(add(cone.front, cone.forward)), front)[0] > 0.8;
  const picture = pictureOf(cone, place);
  const inOrder = valuesInOrder(frame.rig, frame.values);
  const seen = new Map<string, Seen>();
  const looked: { readonly owner: string; readonly points: readonly Vec3[]; readonly round: number }[] = [];
  const look = (owner: string, name: string, points: readonly Vec3[], round: number): void => {
    looked.push({ owner, points, round });
    for (const p of points) {
      const inside = picture(p);
      if (!inside) continue;
      const by = Math.min(inside.across, inside.up) + round;
      if (by <= SEEN) continue;
      const before = seen.get(owner);
      seen.set(owner, {
        owner,
        name,
        by: Math.max(by, before?.by ?? 0),
        rise: Math.max(inside.up + round, before?.rise ?? 0),
        below: p[2] < front[2] && (before?.below ?? true),
        ahead: Math.max(p[0] - front[0], before?.ahead ?? 0),
      });
    }
  };
  for (const { flat } of framePieces(frame)) {
    // Whole bodies that lie clear of the cone by more than their own reach are not looked at point by point.
    const middle = picture(flat.at);
    const reach = 3 * reachOf(flat);
    if (middle && Math.min(middle.across, middle.up) < -reach) continue;
    look(flat.owner, flat.name, pointsOf(flat), 0);
  }
  for (const contact of frame.rig.contacts)
    if (contact.kind === 'hand') look(contact.id, contact.name, [contactAt(frame.rig, contact, inOrder)], FIST);
  const clearsOf =
    (owner: string) =>
    (by: Vec3): boolean => {
      const moved = pictureOf(cone, (p) => add(place(p), by));
      return looked
        .filter((l) => l.owner === owner)
        .every(({ points, round }) =>
          points.every((p) => {
            const inside = moved(p);
            return !inside || Math.min(inside.across, inside.up) + round <= SEEN;
          }),
        );
    };
  return [...seen.values()]
    .sort((a, b) => b.by - a.by)
    .slice(0, 2)
    .map((one) => ({
      code: 'inShot',
      severity: 'mend',
      about: one.owner,
      place: cone.lens,
      figure: figure('length', one.by),
      limit: figure('length', 0),
      title: say`The ${one.name} stands ${figure('length', one.by)} inside the picture.`,
      why: say`At ${figure('angle', cone.wide.across, 0)} across, the lens sees everything within its cone; this reaches ${figure('length', one.ahead)} ahead of its front.`,
      toDo: level
        ? say`Bring the camera ${figure('length', one.ahead)} forward, stand it ${figure('length', one.rise)} ${one.below ? 'higher' : 'lower'}, or use a longer lens.`
        : say`Tilt the camera away from it, or use a longer lens.`,
      fixes: level ? fixesFor(frame, one, clearsOf(one.owner)) : [],
    }));
}
