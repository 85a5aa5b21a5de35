/** A member cut from the next stiffer stock that fits what it is fitted to: the same tube with a thicker wall, the same bar thicker. */
import { otherStock } from '../../../2-frame';
import type { Section } from '../../../model';
import type { Stiffener } from '../stiffener';

/** Outsides that differ by less go into the same fitting, m. */
const SAME = 0.0002;

const isStiffer =
  (now: Section) =>
  (other: Section): boolean =>
    (now.kind === 'tube' &&
      other.kind === 'tube' &&
      Math.abs(other.outerDiameter - now.outerDiameter) < SAME &&
      other.wall > now.wall + SAME) ||
    (now.kind === 'flat' &&
      other.kind === 'flat' &&
      Math.abs(other.width - now.width) < SAME &&
      other.thickness > now.thickness + SAME);

export const stock: Stiffener = {
  id: 'stock',
  tries: ({ assembly }) =>
    assembly.rig.bodies
      .flatMap((b) => b.members)
      .flatMap((member) => {
        const found = otherStock(member, isStiffer(member.stock.section));
        return found
          ? [
              {
                name: member.name,
                to: [`cut from ${found.stock.name}`],
                changes: [{ kind: 'restock' as const, id: member.id, stock: found.id }],
              },
            ]
          : [];
      }),
};
