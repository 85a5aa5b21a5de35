/** The closed end of a cap, or the side of a fitting, with the hole that a screw needs in it: a round as large as the fitting, to centre it by. */
import { dot, figure, say, unit } from '../../../0-base';
import { marked } from '../marks';
import { boxOf, type Ink, type PatternMaker } from '../pattern';

/** Cosine: a hole along its only socket goes through its closed end. */
const ALONG = 0.9;

export const fittingHole: PatternMaker = ({ assembly, sheets, holeOf }) => {
  const joints = new Map(assembly.rig.bodies.flatMap((b) => b.joints).map((j) => [j.id, j]));
  return sheets.flatMap((sheet) => {
    const hub = joints.get(sheet.piece)?.hub;
    if (!hub) return [];
    const [only, more] = hub.sockets;
    const round: Ink = { kind: 'circle', at: [0, 0], radius: hub.outerRadius, stroke: 'line' };
    return sheet.marks.flatMap((mark, i) => {
      const hole = holeOf(mark.connection, sheet.piece);
      if (!hole || !only) return [];
      const isEnd = !more && Math.abs(dot(unit(only.direction), unit(hole.axis))) > ALONG;
      const marks = marked(
        [
          {
            id: mark.id,
            at: [0, 0],
            diameter: mark.diameter,
            says: [...mark.place, ...say`: for the ${mark.name}, ${figure('drill', mark.diameter)}`],
          },
        ],
        boxOf([round]),
      );
      return [
        {
          id: `fitting:${sheet.piece}${i > 0 ? `:${i + 1}` : ''}`,
          about: sheet.piece,
          title: say`Hole in the ${sheet.name}`,
          says: [
            isEnd
              ? say`Lay it on the closed end: the round is as large as the fitting, ${figure('length', 2 * hub.outerRadius, 1)} across.`
              : say`The round is as wide as the fitting: lay it on its side over the middle, and drill straight through.`,
          ],
          ink: [round, ...marks.ink],
          holes: marks.holes,
        },
      ];
    });
  });
};
