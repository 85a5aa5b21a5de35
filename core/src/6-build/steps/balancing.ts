/** Load on, washers on, hung and trimmed: the step the rest was for. */
import { say } from '../../0-base';
import type { StepMaker } from '../step';

export const balancing: StepMaker = {
  id: 'balancing',
  place: 70,
  make: ({ rig, bars }) => {
    const stations = rig.bodies.flatMap((b) => b.stations);
    if (rig.pivots.length === 0) return [];
    return [{
      id: 'balance', about: rig.pivots[0]!.id, final: false,
      needs: [...stations.map((s) => `bolt:${s.id}`), ...rig.pivots.map((p) => `hang:${p.id}`), ...bars.map((b) => `tail:${b.member}`)],
      title: say`Mount the camera as it will shoot, put the washers on, hang it and trim`,
      tool: 'the card in Field',
      figures: [say`battery and card in, strap off, screen as you use it`],
      check: say`Level both ways, and the drop time the card says.`,
      caution: 'Keep a hand under the camera until the clamp has been tried; use a tether over people or water.',
    }];
  },
};
