/** What the washers on a rig are taken from: as many as are wanted, or the bin alone. */
import type { BinItem, Station, Taken, Wants } from '../model';

/** Pieces of each kind, by `keptAs`; null: as many as are wanted. */
export type AtHand = ReadonlyMap<string, number> | null;

/** Names in the bin are the same whatever their case. */
export const keptAs = (name: string): string => name.trim().toLowerCase();
/** The name a washer is bought and kept under. */
export const washerName = ({ washer }: Station): string => washer.supply?.item ?? washer.name;

export function atHand(
  { onlyBin }: Pick<Wants, 'onlyBin'>,
  bin: readonly BinItem[],
  taken: readonly Taken[] = [],
): AtHand {
  if (!onlyBin) return null;
  const counts = new Map<string, number>();
  for (const { name, count } of bin) counts.set(keptAs(name), (counts.get(keptAs(name)) ?? 0) + count);
  // What is on the rig already can be set anew.
  for (const { item, pieces } of taken) counts.set(keptAs(item), (counts.get(keptAs(item)) ?? 0) + pieces.length);
  return counts;
}
