/** A part that slides over bare threads wears, grinds and sticks. */
import { figure, say } from '../../0-base';
import type { FrameCheck } from '../frameCheck';
import { otherStock } from '../members/otherStock';
import { gapUnder } from '../clearances/near';

const TOUCHING = 0.001;

export const threadsUnderSlide: FrameCheck = {
  id: 'threadsUnderSlide',
  look: ({ rig, pieces }) => {
    const threaded = new Set(
      rig.bodies
        .flatMap((b) => b.members)
        .filter((m) => m.stock.section.kind === 'rod' && m.stock.section.threadPitch !== undefined)
        .map((m) => m.id),
    );
    const slides = new Set(
      rig.adjusters
        .filter((a) => a.kind === 'slide' || a.kind === 'telescope')
        .flatMap((a) => a.moves.map((m) => m.id)),
    );
    const rods = pieces.filter((p) => threaded.has(p.flat.owner) && !slides.has(p.flat.owner));
    return pieces
      .filter((p) => slides.has(p.flat.owner))
      .flatMap(({ flat }) => {
        const rod = rods.find((r) => gapUnder(r.flat, flat, TOUCHING) !== null);
        const member = rod && rig.bodies.flatMap((b) => b.members).find((m) => m.id === rod.flat.owner);
        const wanted = member?.stock.section.kind === 'rod' ? member.stock.section.diameter : 0;
        const plain = member
          ? otherStock(
              member,
              (s) => s.kind === 'rod' && s.threadPitch === undefined && s.diameter >= wanted,
              'aluminium',
            )
          : null;
        return rod
          ? [
              {
                code: 'threadsUnderSlide',
                severity: 'note' as const,
                about: rod.flat.owner,
                figure: null,
                limit: null,
                title: say`The ${flat.name} slides on the thread of the ${rod.flat.name}.`,
                why: say`Threads file the bore wider; in a few weeks there is play, and it never moves by less than ${figure('length', 0.0005)}.`,
                toDo: say`Sleeve the thread where it slides, or use plain rod there.`,
                fixes: plain
                  ? [
                      {
                        label: say`Plain rod: ${plain.stock.name}`,
                        changes: [{ kind: 'restock' as const, id: rod.flat.owner, stock: plain.id }],
                      },
                    ]
                  : [],
              },
            ]
          : [];
      });
  },
};
