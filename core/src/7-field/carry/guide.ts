/** How a rig is carried well: one habit each, in this rig's own figures, with what trains it and how that is measured. */
import type { Phrase } from '../../0-base';
import type { BalanceContext } from '../../3-balance';

export interface Told {
  /** What to do, in the hand's own words. */
  readonly habit: string;
  /** What it does for this rig. */
  readonly says: readonly Phrase[];
  readonly drill: Phrase;
  /** How what was trained is measured: by walks, or by how long it is held. */
  readonly measure: 'walk' | 'held';
}

/** One file each under `guides`; null where it says nothing of this rig. */
export interface Guide {
  readonly id: string;
  readonly title: string;
  readonly look: (context: BalanceContext) => Told | null;
}
