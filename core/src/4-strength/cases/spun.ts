/** A pole on a swivel that is turned about its wearer: what stands off the axis pulls outwards. */
import { add, addScaled, cross, dot, scale, subtract, unit, type Vec3 } from '../../0-base';
import { bodiesBeyond } from '../../2-frame';
import type { FrameLoad } from '../frame/frameModel';
import { lumps } from '../rig/lumps';
import type { StrengthCase } from '../strengthCase';

/** Once and a half a second: quicker than is pleasant to wear. */
const TURNS = 1.5;
/** Cosine to the plumb line. */
const UPRIGHT = 0.9;

export const spun: StrengthCase = {
  id: 'spun',
  name: 'A spin',
  loads: ({ rig, frame, holding }) => {
    const pivot = rig.pivots.find(
      (p) =>
        p.clamped !== true &&
        p.kind !== 'universal' &&
        Math.abs(dot(unit(p.axis ?? [0, 0, 1]), unit(frame.gravity))) > UPRIGHT,
    );
    if (!pivot || !holding.some((c) => c.kind === 'helmet')) return [];
    const axis = unit(pivot.axis ?? [0, 0, 1]);
    const rate = 2 * Math.PI * TURNS;
    const away = (at: Vec3): Vec3 => {
      const arm = subtract(at, pivot.at);
      return addScaled(arm, axis, -dot(arm, axis));
    };
    const turning = bodiesBeyond(rig, pivot);
    const pushes = lumps(frame)
      .filter((l) => turning.has(l.body))
      .map(({ node, mass, offset }): FrameLoad => {
        const force = scale(away(add(frame.model.nodes.get(node)!, offset)), mass * rate ** 2);
        return { node, force, moment: cross(offset, force) };
      });
    return [{ field: frame.gravity, pushes }];
  },
  says: () => `spun at ${TURNS} turns a second`,
};
