/** Space round a loadout that a rig must keep free: doors, ports, screens, eyepieces, hands; placed from the mount. */
import { add, transform, type Mat3, type Vec3 } from '../0-base';
import type { Clearance, KitItem, Loadout } from '../model';
import type { PlacedItem } from './placeLoad';

export interface FreeSpace {
  readonly kind: Clearance['kind'];
  /** The mounted entry it belongs to, and its item's name. */
  readonly entry: string;
  readonly item: string;
  /** Middle of the box, its size in the item's own axes, and how those are turned. */
  readonly at: Vec3;
  readonly size: Vec3;
  readonly turn: Mat3;
}

/** The tripod socket and the pin's hole are where a rig takes hold, not what it must keep clear of. */
export const spacesOf = (placed: readonly PlacedItem[]): readonly FreeSpace[] =>
  placed.flatMap(({ entry, item, at, turn }) =>
    (item.clearances ?? [])
      .filter((c) => c.kind !== 'tripod socket' && c.kind !== 'pin hole')
      .map((c) => ({
        kind: c.kind,
        entry: entry.id,
        item: item.name,
        at: add(at, transform(turn, c.at)),
        size: c.size,
        turn,
      })),
  );

/** How deep the socket of what stands on the rig is: the screw must not reach its bottom. */
export interface LoadSocket {
  readonly item: string;
  readonly depth: number | null;
}

export function socketOf(loadout: Loadout, kit: ReadonlyMap<string, KitItem>): LoadSocket | null {
  const foot = kit.get(loadout.items.find((m) => m.on === null)?.item ?? '');
  return foot && foot.foot !== 'clip' ? { item: foot.name, depth: foot.socketDepth?.value ?? null } : null;
}
