/** A pipe so short that its two fittings meet, or too short to be held by both. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { cutLengthOf, memberEnds } from '../memberEnds';

export const fittingsMeet: FrameCheck = {
  id: 'fittingsMeet',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) =>
      body.members.flatMap((member) => {
        if (member.path.kind !== 'straight') return [];
        const nodes = new Map(body.nodes.map((n) => [n.id, n.at]));
        if (!nodes.has(member.from) || !nodes.has(member.to)) return [];
        const ends = memberEnds(member, nodes, body.joints);
        const least = (ends.from.depth ?? 0) + (ends.to.depth ?? 0);
        const cut = cutLengthOf(member, body);
        if (cut >= Math.max(least, 1e-6)) return [];
        return [{
          code: 'fittingsMeet', severity: 'stop' as const, about: member.id, figure: figure('length', Math.max(0, cut)), limit: figure('length', least),
          title: cut > 0 ? say`The ${member.name} would be only ${figure('length', cut)} long.` : say`There is no room for the ${member.name}: its fittings meet.`,
          why: say`It goes ${figure('length', ends.from.depth ?? 0)} and ${figure('length', ends.to.depth ?? 0)} into its fittings, so it must be ${figure('length', least)} at least.`,
          toDo: say`Make it longer, or join the two fittings by a close nipple.`,
          fixes: [],
        }];
      }),
    ),
};
