/** Load on and balanced, by the way the rig is borne: the step the rest was for. */
import { say } from '../../0-base';
import { wayOfRig } from '../../3-balance';
import { connectStep, type StepMaker } from '../step';
import { hangStep } from './hanging';

export const balancing: StepMaker = {
  id: 'balancing',
  place: 70,
  make: ({ rig, bars, order }) => {
    const way = wayOfRig(rig);
    if (!way) return [];
    return [
      {
        id: 'balance',
        about: rig.pivots[0]?.id ?? rig.contacts[0]?.id ?? 'load',
        final: false,
        minutes: 30,
        needs: [
          ...order.joinings.map((j) => connectStep(j.id)),
          ...rig.pivots.map((p) => hangStep(p.id)),
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
