/** The former that a bar is bent round, to saw from thick board: smaller than the bend by as much as the metal springs open. */
import { figure, say } from '../../../0-base';
import type { Point2 } from '../../../2-frame';
import { WORDS, type PatternMaker } from '../pattern';

/** The bar is pulled past the end of its arc: the former goes on so far, rad. */
const PAST = Math.PI / 18;
const STEP = Math.PI / 180;
/** Radii that are this close are one former, m. */
const SAME = 0.0005;

export const former: PatternMaker = ({ bars }) => {
  const made: number[] = [];
  return bars.flatMap((bar) =>
    bar.bends.flatMap(({ former: round }) => {
      if (!round || round.radius <= 0 || made.some((r) => Math.abs(r - round.radius) < SAME)) return [];
      made.push(round.radius);
      const turn = Math.min(
        2 * Math.PI,
        Math.max(...bars.flatMap((b) => b.bends).map((b) => b.former?.overbendAngle ?? 0)) + PAST,
      );
      const steps = Math.ceil(turn / STEP);
      const arc = Array.from({ length: steps + 1 }, (_, i): Point2 => {
        const angle = (turn * i) / steps;
        return [round.radius * Math.cos(angle), round.radius * Math.sin(angle)];
      });
      return [
        {
          id: `former:${bar.member}:${made.length}`,
          about: bar.member,
          title: say`Former for the ${bar.name}, ${figure('length', round.radius, 1)} radius`,
          says: [
            say`Saw it from board thicker than the bar is wide, and screw it to the bench. The bar springs open from it to the radius that is drawn; bend a scrap first, for no two bars spring alike.`,
          ],
          ink: [
            { kind: 'path', points: turn < 2 * Math.PI ? [[0, 0], ...arc] : arc, closed: true, stroke: 'cut' },
            { kind: 'circle', at: [0, 0], radius: 0.002, stroke: 'centre' },
            {
              kind: 'words',
              at: [0.4 * round.radius * Math.cos(turn / 2), 0.4 * round.radius * Math.sin(turn / 2)],
              says: say`radius ${figure('length', round.radius, 1)}`,
              height: WORDS.usual,
            },
          ],
          holes: [],
        },
      ];
    }),
  );
};
