/** Cut each member's blank to length and break its edges. */
import { figure, say, type Phrase } from '../../0-base';
import type { BarPlan } from '../../5-stock';
import { cutMoves, isRound } from '../moves/cutMoves';
import { cutId, cutStep, sawOf, type BuildStep, type StepMaker } from '../step';
import { workedAs } from '../workedAs';

/** Over its long side it is as long as told. */
const mitreWords = (mitres: BarPlan['mitres']): readonly Phrase[] =>
  mitres.map(
    ({ end, off }) =>
      say`its ${end} mitred, ${figure('angle', off, 1)} off square: the length is that of its long side`,
  );

export const cutting: StepMaker = {
  id: 'cutting',
  place: 10,
  make: ({ bars, rig }) => {
    const outlined = new Set(rig.bodies.flatMap((b) => b.members.flatMap((m) => (m.outline ? [m.id] : []))));
    return bars.flatMap((bar): readonly BuildStep[] => {
      const extra = bar.blank - bar.finished;
      const worked = workedAs(rig, bar.member);
      return [
        {
          id: cutStep(bar.member),
          about: bar.member,
          final: true,
          minutes: 6,
          needs: [],
          makes: [cutId(bar.member)],
          handles: [bar.member],
          title: say`Cut the ${bar.name} from ${bar.stock}`,
          tool: worked.saw,
          setUp: sawOf(worked.saw),
          figures: [
            extra > 0
              ? say`${figure('length', bar.blank, 1)} long; ${figure('length', extra, 1)} of it comes off its end last`
              : say`${figure('length', bar.blank, 1)} long`,
            ...mitreWords(bar.mitres),
          ],
          moves: cutMoves(worked, isRound(rig, bar.member)),
          check: say`Measure it before you cut: it cannot be cut longer.`,
          caution: `${worked.care} Clamp it so that it cannot spin or spring.`,
          wrong: say`${worked.tooShort}`,
        },
        // What is sawn to an outline is rounded then.
        ...(outlined.has(bar.member)
          ? []
          : [
              {
                id: `deburr:${bar.member}`,
                about: bar.member,
                final: false,
                minutes: 3,
                needs: [cutStep(bar.member)],
                handles: [bar.member],
                title: say`Round the cut ends of the ${bar.name}`,
                tool: worked.edges,
                figures: [],
                check: say`${worked.edgeCheck}`,
                caution: rig.bodies.some((b) => b.members.some((m) => m.id === bar.member && m.path.kind === 'bent'))
                  ? 'A notch in an edge is where a bend cracks.'
                  : null,
              },
            ]),
      ];
    });
  },
};
