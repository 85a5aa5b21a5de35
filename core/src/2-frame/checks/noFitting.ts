/** Pipes that meet in a way no fitting of their system takes: which one is in the way, and the nearest that works. */
import { DEGREE, addScaled, figure, length, say, subtract, type Finding, type Vec3 } from '../../0-base';
import type { Body, Member } from '../../model';
import { FITTING_NAMES } from '../fittings/fittingFor';
import type { FrameCheck } from '../frameCheck';
import { fittingAt, pipeOfMember } from '../fittings/refit';

export const noFitting: FrameCheck = {
  id: 'noFitting',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) =>
      body.joints
        .filter((j) => j.hold && !j.hub)
        .flatMap((joint) => {
          const found = fittingAt(joint, body);
          if (!found || found.outcome.kind === 'fits') return [];
          const { inTheWay, nearest, without } = found.outcome;
          const culprit = found.members[inTheWay]!;
          const system = pipeOfMember(culprit)!.system.name;
          return [
            {
              code: 'noFitting',
              severity: 'stop' as const,
              about: culprit.id,
              figure: nearest ? figure('angle', nearest.turn, 0) : null,
              limit: null,
              title: say`No fitting of ${system} joins these ${figure('count', found.members.length)} pipes; the ${culprit.name} is in the way.`,
              why: without
                ? say`The others meet in a ${FITTING_NAMES[without]}.`
                : say`Even without it the others meet at angles no fitting is made for.`,
              toDo:
                nearest && nearest.turn > 0.5 * DEGREE
                  ? say`Turn it ${figure('angle', nearest.turn, 0)} and a ${FITTING_NAMES[nearest.fitting]} takes all; or branch it off a little further along with a short piece and a tee.`
                  : say`Branch it off a little further along, with a short piece and a tee of its own.`,
              leavesOut: true as const,
              fixes:
                nearest && nearest.turn > 0.5 * DEGREE
                  ? turned(body, culprit, joint.node, nearest.direction, nearest.turn)
                  : [],
            },
          ];
        }),
    ),
};

/** The far corner of the pipe in the way, swung to where a fitting takes it; none where another joint would then have no fitting. */
function turned(body: Body, pipe: Member, node: string, direction: Vec3, by: number): Finding['fixes'] {
  const at = (id: string): Vec3 => body.nodes.find((n) => n.id === id)!.at;
  const far = pipe.from === node ? pipe.to : pipe.from;
  const to = addScaled(at(node), direction, length(subtract(at(far), at(node))));
  const after = { nodes: body.nodes.map((n) => (n.id === far ? { ...n, at: to } : n)), members: body.members };
  const swung = new Set(body.members.filter((m) => m.from === far || m.to === far).map((m) => m.id));
  if (
    body.joints.some(
      (j) => j.hold && j.joins.some((id) => swung.has(id)) && fittingAt(j, after)?.outcome.kind === 'none',
    )
  )
    return [];
  return [
    {
      label: say`Turn the ${pipe.name} ${figure('angle', by, 0)}`,
      changes: [{ kind: 'move', id: far, by: subtract(to, at(far)) }],
    },
  ];
}
