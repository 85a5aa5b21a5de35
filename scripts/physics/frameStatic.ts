import { frameAtRest, frameSystem, skinStress, type FrameAnswer } from '@tide-pebble/core/strength';
import { frameOf, nodesTold, reactionsOf } from '../frameCase';
import type { CaseKind } from '../physicsCase';

export const frameStatic: CaseKind = {
  kind: 'frameStatic',
  compute: (given) => {
    const model = frameOf(given);
    const system = frameSystem(model, () => PIECES);
    const outcome = frameAtRest(system, given['gravity'] ?? [0, 0, 0]);
    if (outcome.kind !== 'solved') throw new Error('the frame is a mechanism');
    const { answer } = outcome;
    const bump: number | undefined = given['bumpFactor'];
    return {
      atNodes: nodesTold(answer.at, given['report']),
      reactions: reactionsOf(model, answer),
      ...(given['stress'] ? { largestVonMises: largest(answer) } : {}),
      ...(bump === undefined ? {} : { atNodesUnderBump: nodesTold(answer.at, given['report'], bump) }),
    };

    function largest({ through }: FrameAnswer): number {
      return Math.max(...through(7).map((cut) => skinStress(cut, model.members[cut.member]!.section).vonMises));
    }
  },
};
/** Exact at the nodes however few; arcs are condensed from chords. */
const PIECES = 2;
