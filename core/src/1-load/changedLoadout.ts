/** Changes of a loadout's tree: mount, take off, swap one thing for another; what is tied to an item goes with it. */
import type { KitItem, Loadout, Mounted } from '../model';
import { freePoints, standingOn } from './newItem';

export type LoadoutChange =
  | { readonly kind: 'mount'; readonly item: string; readonly on?: Mounted['on'] }
  | { readonly kind: 'takeOff'; readonly mounted: string }
  | { readonly kind: 'swap'; readonly mounted: string; readonly item: string };

type Kit = ReadonlyMap<string, KitItem>;

/** Pure; `newId` names new entries. A change that finds nothing to act on gives the loadout back as it was. */
export function changedLoadout(loadout: Loadout, change: LoadoutChange, kit: Kit, newId: () => string): Loadout {
  switch (change.kind) {
    case 'mount':
      return withItem(loadout, change.item, kit, newId, change.on);
    case 'takeOff': {
      const gone = loadout.items.find((m) => m.id === change.mounted);
      return gone ? withoutTies(without(loadout, gone.id), kit.get(gone.item)?.goesWith ?? [], kit) : loadout;
    }
    case 'swap':
      return swapped(loadout, change.mounted, change.item, kit, newId);
  }
}

function withItem(loadout: Loadout, id: string, kit: Kit, newId: () => string, on?: Mounted['on']): Loadout {
  const item = kit.get(id);
  if (!item) return loadout;
  const entry: Mounted = {
    id: newId(),
    item: id,
    on: on === undefined ? standingOn(item, loadout, kit) : on,
    offset: [0, 0, 0],
  };
  return withTies({ ...loadout, items: [...loadout.items, entry] }, item, kit, newId);
}

/** Everything tied to it that is not there yet; ties of ties follow, each item once. */
function withTies(loadout: Loadout, item: KitItem, kit: Kit, newId: () => string): Loadout {
  return (item.goesWith ?? []).reduce(
    (now, tied) => (now.items.some((m) => m.item === tied) ? now : withItem(now, tied, kit, newId)),
    loadout,
  );
}

/** Tied things go too, unless something that stays is tied to them as well. */
function withoutTies(loadout: Loadout, ties: readonly string[], kit: Kit): Loadout {
  return ties.reduce((now, tied) => {
    if (now.items.some((m) => kit.get(m.item)?.goesWith?.includes(tied))) return now;
    return now.items.filter((m) => m.item === tied).reduce((rest, m) => without(rest, m.id), now);
  }, loadout);
}

/** Takes an entry off, and all that stands on it. */
function without(loadout: Loadout, id: string): Loadout {
  const gone = new Set([id]);
  for (let before = -1; before !== gone.size;) {
    before = gone.size;
    for (const m of loadout.items) if (m.on && gone.has(m.on.mounted)) gone.add(m.id);
  }
  return { ...loadout, items: loadout.items.filter((m) => !gone.has(m.id)) };
}

/** In the same place; what stood on the old one stands on the new one's point of the same name, of the same kind, or any free one. */
function swapped(loadout: Loadout, id: string, itemId: string, kit: Kit, newId: () => string): Loadout {
  const entry = loadout.items.find((m) => m.id === id);
  const [old, item] = [entry && kit.get(entry.item), kit.get(itemId)];
  if (!entry || !item || entry.item === itemId) return loadout;
  const { states: _states, ...kept } = entry;
  const put: Loadout = { ...loadout, items: loadout.items.map((m) => (m.id === id ? { ...kept, item: itemId } : m)) };
  const standing = loadout.items.filter((m) => m.on?.mounted === id);
  const moved = standing.reduce<Loadout>((now, m) => {
    const was = old?.mountPoints.find((p) => p.id === m.on!.point);
    const here =
      item.mountPoints.find((p) => p.id === m.on!.point) ??
      item.mountPoints.find((p) => p.kind !== undefined && p.kind === was?.kind) ??
      freePoints(now, kit).find((f) => f.mounted.id === id)?.point;
    return {
      ...now,
      items: now.items.map((n) => (n.id === m.id ? { ...n, on: here ? { mounted: id, point: here.id } : n.on } : n)),
    };
  }, put);
  return withTies(
    withoutTies(
      moved,
      (old?.goesWith ?? []).filter((t) => t !== itemId && !(item.goesWith ?? []).includes(t)),
      kit,
    ),
    item,
    kit,
    newId,
  );
}
