/** One check of a loadout, rig or no rig: what is mounted, how it is known, what stands in whose way. */
import type { Finding } from '../0-base';
import type { KitItem, Loadout } from '../model';
import type { PlacedItems } from './placeLoad';

export interface LoadContext {
  readonly loadout: Loadout;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly placed: PlacedItems;
}
export interface LoadCheck {
  readonly id: string;
  look(context: LoadContext): readonly Finding[];
}
