/** Open pipe ends and the ends of threaded rod, where a hand, a strap or a face can meet them. */
import { say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';

export const sharpEnds: FrameCheck = {
  id: 'sharpEnds',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) =>
      body.members.flatMap((member) => {
        const { section } = member.stock;
        const threaded = section.kind === 'rod' && section.threadPitch !== undefined;
        if (!threaded && section.kind !== 'tube' && section.kind !== 'square') return [];
        const bare = [member.from, member.to].filter((node) => !body.joints.some((j) => j.node === node && j.joins.includes(member.id)) && body.members.every((m) => m === member || (m.from !== node && m.to !== node)));
        if (bare.length === 0) return [];
        return [{
          code: 'sharpEnds', severity: 'note' as const, about: member.id, figure: null, limit: null,
          title: threaded ? say`The ${member.name} ends in bare thread.` : say`The ${member.name} has an open end.`,
          why: say`Sawn ends cut hands and straps, and catch on doors.`,
          toDo: threaded ? say`Put a cap nut or a rubber cap on it.` : say`Cap it, plug it or tape it, and round the edge.`,
          fixes: [],
        }];
      }),
    ),
};
