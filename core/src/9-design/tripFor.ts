/** The shopping trip for rigs as they are kept, each with its loadout and as it is set; one that cannot be built is told and left out. */
import { shoppingTrip, type Trip } from '../5-stock';
import type { AdjusterValues } from '../2-frame';
import type { BinItem, KitItem, Loadout, RigDocument } from '../model';
import { workpiece } from './derive';

export interface TripInput {
  readonly rigs: readonly {
    readonly document: RigDocument;
    readonly loadout: Loadout | null;
    readonly values: AdjusterValues;
  }[];
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly bin: readonly BinItem[];
}
export interface TripFor {
  readonly trip: Trip;
  readonly leftOut: readonly { readonly name: string; readonly reason: string }[];
}

export function tripFor({ rigs, kit, bin }: TripInput): TripFor {
  const made = rigs.map(({ document, loadout, values }) => ({
    name: document.name,
    values,
    taken: document.taken,
    outcome: workpiece(document, loadout, kit),
  }));
  const builds = made.flatMap(({ name, values, taken, outcome }) =>
    outcome.ok ? [{ name, values, taken, rig: outcome.work.rig }] : [],
  );
  // One saw cuts for all: the widest kerf typed.
  const kerf = Math.max(0, ...rigs.map((r) => r.document.kerf));
  return {
    trip: shoppingTrip(builds, bin, kerf),
    leftOut: made.flatMap(({ name, outcome }) => (outcome.ok ? [] : [{ name, reason: outcome.reason }])),
  };
}
