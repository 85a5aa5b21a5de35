/** A rig taken apart gives its parts back: what is screwed comes off whole, what is glued, bent or sawn to shape stays what it is. */
import { connectionsOf } from '../../2-frame';
import type { BinItem, Rig, Taken } from '../../model';
import { OpenBin, SHORTEST_OFFCUT } from './bins';
import { suppliesOf } from './supplies';

export interface Apart {
  readonly bin: readonly BinItem[];
  readonly back: readonly { readonly item: string; readonly count: number; readonly lengths: readonly number[] }[];
  /** How many of each stay out of the bin, and why: glue, solder or a weld holds it; it was bent or sawn to shape; it is used up. */
  readonly kept: readonly { readonly item: string; readonly count: number; readonly why: StaysOut }[];
}
export type StaysOut = 'held' | 'shaped' | 'usedUp';

export function takenApart(rig: Rig, taken: readonly Taken[], bin: readonly BinItem[], newId: () => string): Apart {
  const open = new OpenBin(bin, newId);
  const held = new Set(
    connectionsOf(rig, () => 0)
      .filter((c) => !c.reversible)
      .flatMap((c) => [...c.pieces, ...c.hardware]),
  );
  const shaped = new Set(
    rig.bodies.flatMap((b) => b.members.flatMap((m) => (m.path.kind !== 'straight' || m.outline ? [m.id] : []))),
  );
  const supplyOf = suppliesOf(rig);
  const back = new Map<string, { count: number; readonly lengths: number[] }>();
  const kept = new Map<string, { readonly item: string; count: number; readonly why: StaysOut }>();
  for (const { item, pieces, cut } of taken)
    for (const piece of pieces) {
      const supply = supplyOf(piece);
      const why: StaysOut | null =
        supply?.kind === 'piece' && supply.weighed
          ? 'usedUp'
          : held.has(piece)
            ? 'held'
            : shaped.has(piece)
              ? 'shaped'
              : null;
      if (why) {
        const mine = kept.get(`${why} ${item}`) ?? { item, count: 0, why };
        mine.count++;
        kept.set(`${why} ${item}`, mine);
      } else {
        const mine = back.get(item) ?? { count: 0, lengths: [] };
        const length = cut?.length ?? (supply?.kind === 'length' ? supply.length : null);
        if (length === null) mine.count++;
        else if (length >= SHORTEST_OFFCUT) mine.lengths.push(length);
        back.set(item, mine);
      }
    }
  for (const [item, { count, lengths }] of back) {
    open.addCount(item, count);
    for (const length of lengths) open.addLength(item, length);
  }
  return { bin: open.changed(), back: [...back].map(([item, mine]) => ({ item, ...mine })), kept: [...kept.values()] };
}
