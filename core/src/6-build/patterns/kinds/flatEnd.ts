/** The end of a tube that is hammered flat: the flat at full size with its holes, to be drilled once it is flat. */
import { figure, say } from '../../../0-base';
import type { Point2 } from '../../../2-frame';
import { marked } from '../marks';
import { boxOf, type Ink, type PatternMaker } from '../pattern';

export const flatEnd: PatternMaker = ({ assembly, bars, shapes }) =>
  assembly.rig.bodies
    .flatMap((b) => b.members)
    .flatMap((member) => {
      const bar = bars.find((b) => b.member === member.id);
      const flat = shapes.get(member.id)?.flats.find((f) => f.shape.kind === 'box');
      if (!member.flattened || !bar || flat?.shape.kind !== 'box') return [];
      const [long, width] = flat.shape.size;
      const begins = bar.blank - long;
      const holes = bar.marks.filter((m) => m.kind === 'hole' && m.along > begins);
      if (holes.length === 0) return [];
      const half = width / 2;
      const corners: readonly Point2[] = [
        [0, -half],
        [long, -half],
        [long, half],
        [0, half],
      ];
      const outline: Ink = { kind: 'path', points: corners, closed: true, stroke: 'line' };
      const marks = marked(
        holes.map((m) => ({
          id: m.id,
          at: [m.along - begins, 0],
          diameter: m.diameter!,
          last: m.last,
          says: say`${figure('length', bar.blank - m.along, 1)} from the flat’s end: ${m.name}, ${figure('drill', m.diameter!)}, ${m.when}`,
        })),
        boxOf([outline]),
      );
      return [
        {
          id: `flat:${member.id}`,
          about: member.id,
          title: say`Flat end of the ${bar.name}`,
          says: [
            say`Hammer the last ${figure('length', long, 1)} flat first. Its right edge goes flush with the end: the flat comes out about ${figure('length', width, 1)} wide, so lay it in the middle.`,
          ],
          ink: [outline, ...marks.ink],
          holes: marks.holes,
        },
      ];
    });
