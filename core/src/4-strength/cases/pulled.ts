/** A hand rests on, or pulls at, a handle that bears nothing just now. */
import { cross, scale, type Vec3 } from '../../0-base';
import { bodiesBeyond } from '../../2-frame';
import { nearestNode } from '../rig/lumps';
import type { StrengthCase } from '../strengthCase';

/** The weight of an arm, N. */
const ARM = 60;
const WAYS: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
  [0, 0, -1],
];

export const pulled: StrengthCase = {
  id: 'pulled',
  name: 'A pull',
  loads: ({ rig, frame, holding, contacts }) => {
    // What turns freely gives way to a hand instead of bearing it.
    const turns = rig.pivots.filter((p) => p.clamped !== true).map((p) => bodiesBeyond(rig, p));
    const isFirm = (body: string): boolean => turns.every((t) => holding.every((h) => t.has(h.body) === t.has(body)));
    return contacts
      .filter((c) => c.kind === 'hand' && !holding.includes(c) && isFirm(c.body))
      .flatMap((c) => nearestNode(frame, c.body, c.at) ?? [])
      .flatMap(({ node, arm }) =>
        WAYS.map((way) => {
          const force = scale(way, ARM);
          return { field: frame.gravity, pushes: [{ node, force, moment: cross(arm, force) }] };
        }),
      );
  },
  says: () => `pulled any way at a free handle with ${ARM} N`,
};
