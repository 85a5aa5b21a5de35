/** Pieces longer than any bar or pipe of their stock is sold in: they cannot be cut from one. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { finishedLength } from '../members/finishedLength';

export const longerThanSold: FrameCheck = {
  id: 'longerThanSold',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) =>
      body.members.flatMap((member) => {
        const { stock } = member;
        if (stock.sold.length === 0) return [];
        const sawn = finishedLength(member, body) + member.leftLong;
        const longest = Math.max(...stock.sold.map((s) => s.length));
        return sawn <= longest
          ? []
          : [
              {
                code: 'longerThanSold',
                severity: 'mend' as const,
                about: member.id,
                figure: figure('length', sawn, 0),
                limit: figure('length', longest, 0),
                title: say`The ${member.name} is cut ${figure('length', sawn, 0)} long, and ${stock.name} is sold up to ${figure('length', longest, 0)}.`,
                why: say`It cannot come out of one length.`,
                toDo: say`Make it shorter, take another stock, or type your own size with the length your shop has.`,
                fixes: [],
              },
            ];
      }),
    ),
};
