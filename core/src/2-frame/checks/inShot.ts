/** Frame, weights and hands inside the picture of a lens on the rig. */
import { figure, say, type Finding, type Vec3 } from '../../0-base';
import type { LensCone } from '../../1-load';
import { contactAt, valuesInOrder } from '../assemble';
import type { FrameCheck, FrameContext } from '../frameCheck';
import { framePieces, intoPicture, loadPlace, pointsOf } from '../near';

/** A fist is about this far across from its middle, m. */
const FIST = 0.045;
/** Less than this is the blur of a lens's edge. */
const SEEN = 0.001;

export const inShot: FrameCheck = {
  id: 'inShot',
  look: (frame) => {
    const place = loadPlace(frame);
    return place ? frame.cones.flatMap((cone) => oneCone(frame, cone, place)) : [];
  },
};

interface Seen {
  readonly owner: string;
  readonly name: string;
  readonly by: number;
  /** How much higher, or lower, the camera would have to stand to see over it, m. */
  readonly rise: number;
  readonly below: boolean;
  /** How far ahead of the lens's front it reaches, m. */
  readonly ahead: number;
}

function oneCone(frame: FrameContext, cone: LensCone, place: (p: Vec3) => Vec3): readonly Finding[] {
  const front = place(cone.front);
  const inOrder = valuesInOrder(frame.rig, frame.values);
  const seen = new Map<string, Seen>();
  const look = (owner: string, name: string, points: readonly Vec3[], round: number): void => {
    for (const p of points) {
      const inside = intoPicture(p, cone, place);
      if (!inside) continue;
      const by = Math.min(inside.across, inside.up) + round;
      if (by <= SEEN) continue;
      const before = seen.get(owner);
      seen.set(owner, { owner, name, by: Math.max(by, before?.by ?? 0), rise: Math.max(inside.up + round, before?.rise ?? 0), below: p[2] < front[2], ahead: Math.max(p[0] - front[0], before?.ahead ?? 0) });
    }
  };
  for (const { flat } of framePieces(frame)) look(flat.owner, flat.name, pointsOf(flat), 0);
  for (const contact of frame.rig.contacts) if (contact.kind === 'hand') look(contact.id, contact.name, [contactAt(frame.rig, contact, inOrder)], FIST);
  return [...seen.values()].sort((a, b) => b.by - a.by).slice(0, 2).map(({ owner, name, by, rise, below, ahead }) => ({
    code: 'inShot', severity: 'mend', about: owner, figure: figure('length', by), limit: figure('length', 0),
    title: say`The ${name} stands ${figure('length', by)} inside the picture.`,
    why: say`At ${figure('angle', cone.wide.across, 0)} across, the lens sees everything within its cone; this reaches ${figure('length', ahead)} ahead of its front.`,
    toDo: say`Bring the camera ${figure('length', ahead)} forward, stand it ${figure('length', rise)} ${below ? 'higher' : 'lower'}, or use a longer lens.`,
    fixes: [],
  }));
}
