/** What the washers on a rig are taken from: as many as are wanted, or the bin alone. */
import type { BinItem, Station, Wants } from '../model';

/** Pieces of each kind, by `keptAs`; null: as many as are wanted. */
export type AtHand = ReadonlyMap<string, number> | null;

/** Names in the bin are the same whatever their case. */
export const keptAs = (name: string): string => name.trim().toLowerCase();
/** The name a washer is bought and kept under. */
export const washerName = ({ washer }: Station): string => washer.supply?.item ?? washer.name;

export function atHand({ onlyBin }: Pick<Wants, 'onlyBin'>, bin: readonly BinItem[]): AtHand {
  if (!onlyBin) return null;
  const counts = new Map<string, number>();
  for (const { name, count } of bin) counts.set(keptAs(name), (counts.get(keptAs(name)) ?? 0) + count);
  return counts;
}
