/** Wood is sanded by grits and oiled: after its holes, before anything is screwed on. */
import { say } from '../../0-base';
import { drilledTo } from '../drilledTo';
import { finishesOf, isWooden } from '../finishes';
import { AND, counted } from '../joinedAs';
import { namesOf } from '../namesOf';
import { connectStep, cutStep, type BuildStep, type StepMaker } from '../step';
import { shapeStep } from './shaping';

/** The finishing step of each piece that has one. Those that wait for no glue are done in one go. */
export function finishStepsOf(finishes: ReturnType<typeof finishesOf>): ReadonlyMap<string, string> {
  return new Map(
    finishes.flatMap(({ pieces, before }) =>
      pieces.map((p) => [p, before.length > 0 ? `finish:${pieces[0]!}` : 'finish'] as const),
    ),
  );
}

/** A thin coat of oil, s; by its label, from memory. */
const DRIES = 12 * 3600;

export const finishing: StepMaker = {
  id: 'finishing',
  place: 46,
  make: ({ rig, bars, order }) => {
    const nameOf = namesOf(rig);
    const holes = drilledTo(rig, bars, order);
    const finishes = finishesOf(rig, order).filter((f) => isWooden(f.pieces[0]!, rig));
    const steps = finishStepsOf(finishes);
    return [...new Set(steps.values())].map((id): BuildStep => {
      const these = finishes.filter((f) => steps.get(f.pieces[0]!) === id);
      const pieces = these.flatMap((f) => f.pieces);
      const before = these.flatMap((f) => f.before);
      const bare = [...new Set(these.flatMap((f) => f.gluedLater))];
      return {
        id,
        about: pieces[0]!,
        final: false,
        minutes: 10 + 5 * pieces.length,
        dries: DRIES,
        cures: 'oil',
        needs: [
          ...pieces.flatMap((p) => [cutStep(p), `deburr:${p}`, shapeStep(p), ...holes(p, before)]),
          ...before.map(connectStep),
        ],
        handles: pieces,
        title: say`Sand and oil the ${AND.format(counted(pieces.map(nameOf)))}`,
        tool: 'abrasive paper, wood oil, a rag',
        figures: bare.length > 0 ? [say`bare where the ${AND.format(bare.map(nameOf))} will be glued on: tape it`] : [],
        moves: [
          say`Sand along the grain by grits: 120, 180, 240, the dust wiped off between.`,
          say`Wipe it with a damp rag and let the grain rise; sand once more with 240.`,
          say`Rub oil in thin, leave it a quarter of an hour, and wipe all of it off.`,
        ],
        check: say`Held against the light: no scratch across the grain, and nothing wet or sticky.`,
        caution:
          'A mask for the dust. Rags with oil take fire by themselves: spread them out in the open, or under water.',
      };
    });
  },
};
