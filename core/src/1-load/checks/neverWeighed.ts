/** Estimates where a scale would tell: what to weigh next, and what it would settle. */
import { figure, say } from '../../0-base';
import { itemFigures } from '../estimate';
import type { LoadCheck } from '../loadCheck';

export const neverWeighed: LoadCheck = {
  id: 'neverWeighed',
  look: ({ placed }) =>
    placed.items.flatMap(({ entry, item }) => {
      const { mass, massSpread, weighed } = itemFigures(item, entry.states);
      if (weighed) return [];
      return [
        {
          code: 'notWeighed',
          severity: 'measure' as const,
          about: entry.id,
          figure: figure('mass', 2 * massSpread),
          limit: null,
          title: say`${item.name} has never been weighed.`,
          why: say`Its ${figure('mass', mass)} is a guess from its size, give or take ${figure('mass', 2 * massSpread)}.`,
          toDo: say`Put it on the kitchen scale and type what it reads.`,
          fixes: [],
        },
      ];
    }),
};
