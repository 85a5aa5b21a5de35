/** What a loadout is called until its maker names it: after what stands on it. */
import type { KitItem, Loadout } from '../model';

const NAME_AT_MOST = 120;

/** “Heron body alone”, “Heron body, 24, small mic”; null for one with nothing known on it. */
export function nameByKit({ items }: Pick<Loadout, 'items'>, kit: ReadonlyMap<string, KitItem>): string | null {
  const names = items.flatMap((m) => kit.get(m.item)?.name ?? []);
  if (names.length === 0) return null;
  return (names.length === 1 ? `${names[0]} alone` : names.join(', ')).slice(0, NAME_AT_MOST);
}

/** A name that was made so follows what changes in its kit; one that was typed stays. */
export function renamedByKit(
  before: Loadout,
  after: Loadout,
  kit: ReadonlyMap<string, KitItem>,
  kitAfter: ReadonlyMap<string, KitItem> = kit,
): Loadout {
  const name = before.name === nameByKit(before, kit) || before.name === NEW ? nameByKit(after, kitAfter) : null;
  return name === null || after.name !== before.name ? after : { ...after, name };
}

/** As an empty one is called. */
export const NEW = 'New loadout';
