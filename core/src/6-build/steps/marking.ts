/** Scribe the bend lines and the holes that can be placed on the flat blank. */
import { figure, say } from '../../0-base';
import type { BarPlan } from '../../5-stock';
import { cutStep, type StepMaker } from '../step';

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
        needs: [cutStep(bar.member), `deburr:${bar.member}`],
        handles: [bar.member],
        title: say`Mark the ${bar.name}, all from ${markedFrom(bar)}`,
        tool: 'rule, square, scriber',
        figures: bar.marks
          .filter((m) => !m.last)
          .map((m) => [...say`${figure('length', m.along, 1)}: ${m.name}`, ...(m.place ? [', ', ...m.place] : [])]),
        check: say`Hook the rule on the same end for every mark; add nothing up.`,
        caution: null,
      })),
};

/** A piece that is mitred at one end alone is not the same from both. */
function markedFrom({ bends, mitres }: BarPlan): string {
  if (bends.length > 0) return 'its rear end';
  if (mitres.length !== 1)
    return mitres.length > 1 ? 'the long side of one end, and mark which' : 'one end, and mark which';
  return mitres[0]!.end === 'start' ? 'the long side of its mitred end' : 'its square end';
}
