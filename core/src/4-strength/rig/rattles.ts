/** Play apart from bending: what has room rocks at each step, unless its weight holds it to one side. */
import { scale, type Vec3 } from '../../0-base';
import { playsOf } from '../../2-frame';
import type { Rig } from '../../model';
import { SWAY } from '../answer/footfall';
import type { FrameAnswer } from '../frame/frameAnswer';
import { carriedBy } from './carriedBy';
import type { RigFrame } from './rigFrame';

export interface Rattle {
  /** To light up. */
  readonly about: string;
  readonly name: string;
  /** Each way, rad. */
  readonly angle: number;
  /** Its weight does not hold it to one side in a walk. */
  readonly rattles: boolean;
}

/** Up and down a hand that walks softly is shaken by so much, m/s². */
const BOB = 2.2;

/** `under` a field in m/s²: the frame at rest. */
export function rattlesOf(rig: Rig, frame: RigFrame, under: (field: Vec3) => FrameAnswer | null): readonly Rattle[] {
  const plays = playsOf(rig).filter((p) => p.angle > 0);
  if (plays.length === 0) return [];
  const momentAt = (field: Vec3): ReadonlyMap<string, number> => {
    const answer = under(field);
    return new Map(answer ? carriedBy(frame, answer, '').map((c) => [c.id, c.moment]) : []);
  };
  const rest = momentAt(frame.gravity);
  const shaken = [scale([1, 0, 0], SWAY.along), scale([0, 1, 0], SWAY.sideways), scale([0, 0, 1], BOB)].map((f) =>
    momentAt(f as Vec3),
  );
  const moves = new Map(rig.adjusters.map((a) => [a.id, new Set(a.moves.map((m) => m.id))]));
  return plays.map(({ about, name, angle }): Rattle => {
    const at = frame.links.flatMap((l, i) => {
      if (l.kind !== 'join') return [];
      const { joint, from, to } = l.join;
      const ends = [from.id, to.id];
      return joint?.id === about || ends.includes(about) || ends.some((id) => moves.get(about)?.has(id))
        ? [frame.model.links[i]!.id]
        : [];
    });
    // By the join that its weight tilts most: that is where it lies against one side.
    const held = at.some((id) => rest.get(id)! > shaken.reduce((sum, m) => sum + m.get(id)!, 0));
    return { about, name, angle, rattles: !held };
  });
}
export const rattledTurn = (rattles: readonly Rattle[]): number =>
  rattles.reduce((sum, r) => sum + (r.rattles ? r.angle : 0), 0);
