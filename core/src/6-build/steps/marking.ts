/** Scribe the bend lines and the holes that can be placed on the flat blank. */
import { figure, say } from '../../0-base';
import type { StepMaker } from '../step';

export const marking: StepMaker = {
  id: 'marking',
  place: 20,
  make: ({ bars }) =>
    bars
      .filter((bar) => bar.marks.some((m) => !m.last))
      .map((bar) => ({
        id: `mark:${bar.member}`,
        about: bar.member,
        final: false,
        minutes: 5,
        needs: [`deburr:${bar.member}`],
        handles: [bar.member],
        title: say`Mark the ${bar.name}, all from ${bar.bends.length > 0 ? 'its rear end' : 'one end, and mark which'}`,
        tool: 'rule, square, scriber',
        figures: bar.marks
          .filter((m) => !m.last)
          .map((m) => [...say`${figure('length', m.along, 1)}: ${m.name}`, ...(m.place ? [', ', ...m.place] : [])]),
        check: say`Hook the rule on the same end for every mark; add nothing up.`,
        caution: null,
      })),
};
