/** A square block with a blind bore that goes over the end of a tube or rod as far as its stop: it leads the bit at each hole near that end. */
import { say } from '../../0-base';
import type { Member } from '../../model';
import { pilotFor } from '../pilot';
import type { PatternInput } from '../patterns/pattern';
import { GUIDE_ROOM, ROOM, upright, WALL, type Guide, type Jig, type JigMaker } from './jig';

/** Holes further from the end are marked by hand, m. */
const REACH = 0.12;
const STOP = 0.004;

export const sleeve: JigMaker = (input) =>
  input.assembly.rig.bodies.flatMap((b) => b.members).flatMap((m) => sleevesFor(m, input));

function sleevesFor(member: Member, { bars }: PatternInput): readonly Jig[] {
  const { section } = member.stock;
  const across = section.kind === 'tube' ? section.outerDiameter : section.kind === 'rod' ? section.diameter : 0;
  const bar = bars.find((b) => b.member === member.id);
  if (across === 0 || !bar || member.path.kind !== 'straight') return [];
  const holes = member.holes.filter((h) => !h.afterBending);
  return (['start', 'far end'] as const).flatMap((end): readonly Jig[] => {
    // A slanted end meets no stop; one that is cut or hammered later is no end yet.
    if (bar.mitres.some((m) => m.end === end)) return [];
    if (end === 'far end' && (member.leftLong > 0 || member.flattened !== undefined)) return [];
    const from = (along: number): number => (end === 'start' ? along : bar.blank - along);
    const near = holes.filter((h) => {
      const nearest = end === 'start' ? from(h.along) <= bar.blank / 2 : from(h.along) < bar.blank / 2;
      return nearest && from(h.along) <= REACH && from(h.along) > pilotFor(h.diameter);
    });
    if (near.length === 0) return [];
    const side = across + 2 * WALL;
    const long = STOP + Math.max(...near.map((h) => from(h.along))) + WALL;
    return [
      {
        id: `sleeve:${member.id}:${end === 'start' ? 'start' : 'end'}`,
        about: member.id,
        title: say`Drill jig over the ${end} of the ${member.name}`,
        says: [
          say`Push it on until the ${member.name} meets its stop, clamp both, and run the pilot through from both sides. ${near.length > 1 ? 'All its holes come at their angle to each other.' : 'Its hole comes square to the middle.'}`,
        ],
        blocks: [upright([0, 0, long / 2], [side, side, long])],
        cuts: [
          {
            at: [0, 0, STOP + (long + ROOM) / 2],
            way: [0, 0, 1],
            diameter: across + 2 * ROOM,
            depth: (long + ROOM) / 2,
          },
        ],
        guides: near.map((h): Guide => {
          // Clockwise seen along the run: the far end stands on its head.
          const turn = (h.turn ?? 0) * (end === 'start' ? 1 : -1);
          return {
            hole: h.id,
            at: [0, 0, STOP + from(h.along)],
            way: [Math.cos(turn), Math.sin(turn), 0],
            diameter: pilotFor(h.diameter) + GUIDE_ROOM,
            depth: side,
          };
        }),
        size: [side, side, long],
      },
    ];
  });
}
