/** Cut each member's blank to length and break its edges. */
import { figure, say } from '../../0-base';
import { cutId, type StepMaker } from '../step';

export const cutting: StepMaker = {
  id: 'cutting',
  place: 10,
  make: ({ bars, rig }) =>
    bars.flatMap((bar) => {
      const extra = bar.blank - bar.finished;
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
          tool: 'hacksaw or mitre saw, vise',
          figures:
            extra > 0
              ? [
                  say`${figure('length', bar.blank, 1)} long; ${figure('length', extra, 1)} of it comes off its end last`,
                ]
              : [say`${figure('length', bar.blank, 1)} long`],
          check: say`Measure it before you cut: it cannot be cut longer.`,
          caution: 'Glasses on. Clamp the bar so that it cannot spin or spring.',
        },
        {
          id: `deburr:${bar.member}`,
          about: bar.member,
          final: false,
          minutes: 3,
          needs: [`cut:${bar.member}`],
          title: say`Round the cut ends of the ${bar.name}`,
          tool: 'file, abrasive paper',
          figures: [],
          check: say`Draw a rag over every edge: nothing catches.`,
          caution: rig.bodies.some((b) => b.members.some((m) => m.id === bar.member && m.path.kind === 'bent'))
            ? 'A notch in an edge is where a bend cracks.'
            : null,
        },
      ];
    }),
};
