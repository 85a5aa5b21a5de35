/** Everything that will be glued or soldered is put together dry first, checked and marked: afterwards nothing turns. */
import { figure, say } from '../../0-base';
import { byHole } from '../order/drilledTogether';
import type { StepMaker } from '../step';

export const dryFitting: StepMaker = {
  id: 'dryFitting',
  place: 45,
  make: ({ rig, bars, order }) => {
    // What is drilled in one go through pieces that are glued waits for the glue.
    const together = byHole(order.drilledTogether);
    return rig.bodies
      .filter((b) => b.joints.some((j) => j.hold && !j.reversible))
      .map((body) => ({
        id: `dryfit:${body.id}`,
        about: body.members[0]?.id ?? body.id,
        final: false,
        minutes: 15,
        needs: bars.flatMap((b) => [
          `deburr:${b.member}`,
          ...b.marks.filter((m) => m.kind === 'hole' && !m.last && !together.has(m.id)).map((m) => `drill:${m.id}`),
        ]),
        title: say`Put the ${body.name} together dry, and mark every joint`,
        tool: 'square, level, pencil',
        figures: [
          say`${figure('count', body.joints.filter((j) => j.hold).length)} fittings, ${figure('count', body.members.length)} pieces`,
        ],
        check: say`Lies flat, both diagonals the same, the camera's plate level. Draw a line across each pipe and fitting, to meet again.`,
        caution: null,
      }));
  },
};
