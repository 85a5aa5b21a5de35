/** Load on and balanced, by the way the rig is borne: the step the rest was for. */
import { say } from '../../0-base';
import { wayOfRig } from '../../3-balance';
import type { StepMaker } from '../step';

export const balancing: StepMaker = {
  id: 'balancing',
  place: 70,
  make: ({ rig, bars }) => {
    const stations = rig.bodies.flatMap((b) => b.stations);
    const way = wayOfRig(rig);
    if (!way) return [];
    return [
      {
        id: 'balance',
        about: rig.pivots[0]?.id ?? rig.contacts[0]?.id ?? 'load',
        final: false,
        minutes: 30,
        needs: [
          ...stations.map((s) => `bolt:${s.id}`),
          ...rig.pivots.map((p) => `hang:${p.id}`),
          ...bars.map((b) => `tail:${b.member}`),
        ],
        title: [way.lastStep.title],
        tool: 'the card in Field',
        figures: [say`battery and card in, strap off, screen as you use it`],
        check: [way.lastStep.check],
        caution: 'Keep a hand under the camera until the clamp has been tried; use a tether over people or water.',
      },
    ];
  },
};
