/** Load on, washers on, hung and trimmed: the step the rest was for. */
import { say } from '../../0-base';
import type { StepMaker } from '../step';

export const balancing: StepMaker = {
  id: 'balancing',
  place: 70,
  make: ({ rig, bars }) => {
    const stations = rig.bodies.flatMap((b) => b.stations);
    const hung = rig.pivots.length > 0;
    if (!hung && stations.length === 0 && rig.contacts.length === 0) return [];
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
        title: hung
          ? say`Mount the camera as it will shoot, put the washers on, hang it and trim`
          : say`Mount the camera as it will shoot, and find how it lies in the hand`,
        tool: 'the card in Field',
        figures: [say`battery and card in, strap off, screen as you use it`],
        check: hung
          ? say`Level both ways, and the drop time the card says.`
          : say`Held as you will hold it, nothing tips more than the wrist likes; mark where the hand goes.`,
        caution: 'Keep a hand under the camera until the clamp has been tried; use a tether over people or water.',
      },
    ];
  },
};
