/** Tied choices: what an item goes out with is there too. */
import { say } from '../../0-base';
import type { LoadCheck } from '../loadCheck';

export const tiesKept: LoadCheck = {
  id: 'tiesKept',
  look: ({ placed, kit, loadout }) =>
    placed.items.flatMap(({ entry, item }) =>
      (item.goesWith ?? [])
        .filter((tied) => !loadout.items.some((m) => m.item === tied))
        .map((tied) => {
          const other = kit.get(tied)?.name;
          return {
            code: 'tieBroken',
            severity: 'mend' as const,
            about: entry.id,
            figure: null,
            limit: null,
            title:
              other === undefined
                ? say`${item.name} goes out with something that is no longer in the kit.`
                : say`${item.name} goes out with ${other}, which is not in this loadout.`,
            why: say`You tied the two: one without the other is not what you will carry, so the balance would be of something else.`,
            toDo:
              other === undefined
                ? say`Untie it in the item’s own sheet.`
                : say`Mount it, or untie the two in the item’s own sheet.`,
            fixes:
              other === undefined
                ? []
                : [{ label: say`Mount ${other}`, changes: [{ kind: 'mount' as const, id: tied, into: loadout.id }] }],
          };
        }),
    ),
};
