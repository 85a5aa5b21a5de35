/** A pipe so short that its two fittings meet, or too short to be held by both. */
import { figure, say, scale, subtract, unit, type Finding, type Vec3 } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { cutLengthOf, memberEnds, placesOf } from '../members/memberEnds';

export const fittingsMeet: FrameCheck = {
  id: 'fittingsMeet',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) =>
      body.members.flatMap((member) => {
        if (member.path.kind !== 'straight') return [];
        const nodes = placesOf(body.nodes);
        if (!nodes.has(member.from) || !nodes.has(member.to)) return [];
        const ends = memberEnds(member, nodes, body.joints);
        const least = (ends.from.depth ?? 0) + (ends.to.depth ?? 0);
        const cut = cutLengthOf(member, body);
        if (cut >= Math.max(least, 1e-6)) return [];
        return [
          {
            code: 'fittingsMeet',
            severity: 'stop' as const,
            about: member.id,
            figure: figure('length', Math.max(0, cut)),
            limit: figure('length', least),
            title:
              cut > 0
                ? say`The ${member.name} would be only ${figure('length', cut)} long.`
                : say`There is no room for the ${member.name}: its fittings meet.`,
            why: say`It goes ${figure('length', ends.from.depth ?? 0)} and ${figure('length', ends.to.depth ?? 0)} into its fittings, so it must be ${figure('length', least)} at least.`,
            toDo: say`Make it longer, or join the two fittings by a close nipple.`,
            fixes: longer(member.to, nodes.get(member.from)!, nodes.get(member.to)!, least - cut + 0.0005),
          },
        ];
      }),
    ),
};

/** The far corner moved out along the pipe, with what is fastened there. */
function longer(node: string, from: Vec3, to: Vec3, by: number): Finding['fixes'] {
  const run = subtract(to, from);
  if (!(Math.hypot(...run) > 0)) return [];
  return [
    {
      label: say`Set the fittings ${figure('length', by)} further apart`,
      changes: [{ kind: 'move', id: node, by: scale(unit(run), by) }],
    },
  ];
}
