/** Open pipe ends and the ends of threaded rod, where a hand, a strap or a face can meet them. */
import { length, say, subtract, unit, type Change, type Vec3 } from '../../0-base';
import type { Body, Member, Section } from '../../model';
import type { FrameCheck } from '../frameCheck';
import { placesOf } from '../members/memberEnds';

/** What stands within this of an end covers it, m. */
const COVERS = 0.02;

export const sharpEnds: FrameCheck = {
  id: 'sharpEnds',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) => {
      const meeting = meetingAt(body.members);
      return body.members.flatMap((member) => {
        const across = acrossOf(member.stock.section);
        if (across === null) return [];
        const caps = bareEnds(body, member, meeting).map((end): Change => ({
          kind: 'cap',
          id: member.id,
          body: body.id,
          ...end,
          across,
        }));
        if (caps.length === 0) return [];
        const threaded = member.stock.section.kind === 'rod';
        return [
          {
            code: 'sharpEnds',
            severity: 'note' as const,
            about: member.id,
            figure: null,
            limit: null,
            title: threaded ? say`The ${member.name} ends in bare thread.` : say`The ${member.name} has an open end.`,
            why: say`Sawn ends cut hands and straps, and catch on doors.`,
            toDo: threaded
              ? say`Put a cap nut or a rubber cap on it.`
              : say`Cap it, plug it or tape it, and round the edge.`,
            fixes: [{ label: caps.length === 1 ? say`Put a cap on it` : say`Put caps on both ends`, changes: caps }],
          },
        ];
      });
    }),
};

/** How many members come to each node. */
function meetingAt(members: readonly Member[]): ReadonlyMap<string, number> {
  const meeting = new Map<string, number>();
  for (const m of members) for (const node of new Set([m.from, m.to])) meeting.set(node, (meeting.get(node) ?? 0) + 1);
  return meeting;
}

/** Width over all of what has sharp ends; plain rod is taken to be rounded. */
function acrossOf(section: Section): number | null {
  if (section.kind === 'rod') return section.threadPitch === undefined ? null : section.diameter;
  return section.kind === 'tube' ? section.outerDiameter : section.kind === 'square' ? section.width : null;
}

function bareEnds(
  body: Body,
  member: Member,
  meeting: ReadonlyMap<string, number>,
): readonly { readonly at: Vec3; readonly axis: Vec3 }[] {
  const places = placesOf(body.nodes);
  const [from, to] = [places.get(member.from), places.get(member.to)];
  if (!from || !to || length(subtract(to, from)) === 0) return [];
  return (
    [
      [member.from, from, subtract(from, to)],
      [member.to, to, subtract(to, from)],
    ] as const
  ).flatMap(([node, at, out]) => {
    const joined =
      (meeting.get(node) ?? 0) > 1 || body.joints.some((j) => j.node === node && j.joins.includes(member.id));
    const covered = body.parts.some((p) => length(subtract(p.at, at)) < COVERS);
    return joined || covered ? [] : [{ at, axis: unit(out) }];
  });
}
