import { frameAtRest, frameSystem, settledModes } from '@tide-pebble/core/strength';
import { frameOf, nodesTold, reactionsOf } from '../frameCase';
import type { CaseKind } from '../physicsCase';

export const semiRigidFrame: CaseKind = {
  kind: 'semiRigidFrame',
  compute: (given) => {
    const model = frameOf(given);
    const outcome = frameAtRest(
      frameSystem(model, () => 2),
      given['gravity'] ?? [0, 0, 0],
    );
    if (outcome.kind !== 'solved') throw new Error('the frame is a mechanism');
    const { answer } = outcome;
    return {
      atNodes: nodesTold(answer.at, given['report']),
      reactions: reactionsOf(model, answer),
      jointMoments: answer.springs().map(({ member, end, about }) => ({ member, end, moment: about })),
      ...(given['modes'] ? { frequencies: settledModes(model, given['modes'])!.modes.map((m) => m.frequency) } : {}),
    };
  },
};
