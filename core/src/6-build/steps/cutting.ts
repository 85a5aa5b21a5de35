/** Cut each member's blank to length and break its edges. */
import { figure, say, type Phrase } from '../../0-base';
import type { BarPlan } from '../../5-stock';
import { cutId, type StepMaker } from '../step';
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
  make: ({ bars, rig }) =>
    bars.flatMap((bar) => {
      const extra = bar.blank - bar.finished;
      const worked = workedAs(rig, bar.member);
      return [
        {
          id: `cut:${bar.member}`,
          about: bar.member,
          final: true,
          minutes: 6,
          needs: [],
          makes: [cutId(bar.member)],
          handles: [bar.member],
          title: say`Cut the ${bar.name} from ${bar.stock}`,
          tool: worked.saw,
          figures: [
            extra > 0
              ? say`${figure('length', bar.blank, 1)} long; ${figure('length', extra, 1)} of it comes off its end last`
              : say`${figure('length', bar.blank, 1)} long`,
            ...mitreWords(bar.mitres),
            ...(worked.sawn ? [say`${worked.sawn}`] : []),
          ],
          check: say`Measure it before you cut: it cannot be cut longer.`,
          caution: `${worked.care} Clamp it so that it cannot spin or spring.`,
          wrong: say`${worked.tooShort}`,
        },
        {
          id: `deburr:${bar.member}`,
          about: bar.member,
          final: false,
          minutes: 3,
          needs: [`cut:${bar.member}`],
          handles: [bar.member],
          title: say`Round the cut ends of the ${bar.name}`,
          tool: worked.edges,
          figures: [],
          check: say`${worked.edgeCheck}`,
          caution: rig.bodies.some((b) => b.members.some((m) => m.id === bar.member && m.path.kind === 'bent'))
            ? 'A notch in an edge is where a bend cracks.'
            : null,
        },
      ];
    }),
};
