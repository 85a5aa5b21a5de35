/** A stack must leave thread for its nut. */
import { figure, say } from '../../0-base';
import { countOf, valuesInOrder } from '../../2-frame';
import type { BalanceCheck } from '../balanceCheck';

export const stackFitsBolt: BalanceCheck = {
  id: 'stackFitsBolt',
  stage: 'balance',
  look: ({ assembly, values }) => {
    const inOrder = valuesInOrder(assembly.rig, values);
    return assembly.stacks.flatMap((stack) => {
      const { station } = stack;
      const height = countOf(stack, inOrder) * station.washer.thickness;
      if (height <= station.room + 1e-9) return [];
      return [
        {
          code: 'stackTooHigh',
          severity: 'stop' as const,
          about: station.id,
          figure: figure('length', height),
          limit: figure('length', station.room),
          title: say`${station.name}: a stack of ${figure('length', height)} on a bolt with room for ${figure('length', station.room)}.`,
          why: say`The nut would hold by too few threads, or not at all.`,
          toDo: say`Take washers off or fit a longer bolt.`,
          fixes: [],
        },
      ];
    });
  },
};
