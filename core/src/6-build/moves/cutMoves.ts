/** How a length is cut off, from drawing the line on. */
import { say, type Phrase } from '../../0-base';
import type { Rig } from '../../model';
import type { Worked } from '../workedAs';

export const cutMoves = (worked: Worked, round: boolean): readonly Phrase[] => [
  round
    ? say`Wind a strip of paper round it, edge on edge, and draw the line along it.`
    : say`Draw the line all round by a square.`,
  ...worked.cuts.map((move) => say`${move}`),
];

/** A tube or rod: no square lies on it. */
export function isRound({ bodies }: Rig, piece: string): boolean {
  for (const { members, parts } of bodies) {
    const section = members.find((m) => m.id === piece)?.stock.section.kind;
    if (section) return section === 'tube' || section === 'rod';
    const part = parts.find((p) => p.id === piece);
    if (part) return part.shape.kind === 'tube';
  }
  return false;
}
