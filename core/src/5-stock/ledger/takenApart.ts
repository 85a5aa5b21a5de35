/** A rig taken apart gives its parts back: what is screwed comes off whole, what is glued, bent or sawn to shape stays what it is. */
import type { Connection } from '../../2-frame';
import type { BinItem, Rig, Taken } from '../../model';
import { OpenBin, SHORTEST_OFFCUT } from './bins';
import { suppliesOf } from './supplies';

export interface Apart {
  readonly bin: readonly BinItem[];
  readonly back: readonly { readonly item: string; readonly count: number; readonly lengths: readonly number[] }[];
  /** Pieces by their ids, and why each stays out of the bin. */
  readonly kept: readonly { readonly piece: string; readonly why: 'held' | 'shaped' | 'usedUp' }[];
}

/** `connections`: those of the rig as it stands. A piece is held where glue, solder or a weld keeps it. */
export function takenApart(
  rig: Rig,
  taken: readonly Taken[],
  connections: readonly Pick<Connection, 'pieces' | 'hardware' | 'reversible'>[],
  bin: readonly BinItem[],
  newId: () => string,
): Apart {
  const open = new OpenBin(bin, newId);
  const held = new Set(connections.filter((c) => !c.reversible).flatMap((c) => [...c.pieces, ...c.hardware]));
  const shaped = new Set(
    rig.bodies.flatMap((b) => b.members.flatMap((m) => (m.path.kind !== 'straight' || m.outline ? [m.id] : []))),
  );
  const supplyOf = suppliesOf(rig);
  const back = new Map<string, { count: number; readonly lengths: number[] }>();
  const kept: { piece: string; why: Apart['kept'][number]['why'] }[] = [];
  for (const { item, pieces, cut } of taken)
    for (const piece of pieces) {
      const supply = supplyOf(piece);
      if (supply?.kind === 'piece' && supply.weighed) kept.push({ piece, why: 'usedUp' });
      else if (held.has(piece)) kept.push({ piece, why: 'held' });
      else if (shaped.has(piece)) kept.push({ piece, why: 'shaped' });
      else {
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
  return { bin: open.changed(), back: [...back].map(([item, mine]) => ({ item, ...mine })), kept };
}
