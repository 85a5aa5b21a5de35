/** One shopping trip for one rig or several: less what lies in the bin, by the kind of shop, with what each thing is for. */
import { keptAs } from '../2-frame';
import type { BinItem } from '../model';
import { stockPlan, stockPlanFor, type Build, type BuyLine } from './buyList';
import { shopOf, SHOPS, type Shop } from './shops';

export interface TripLine extends BuyLine {
  /** How many each rig needs, by its name; of what is sold by weight, kg. */
  readonly for: readonly { readonly rig: string; readonly needed: number }[];
}
export interface Trip {
  readonly shops: readonly {
    readonly shop: Shop;
    readonly name: string;
    readonly lines: readonly TripLine[];
    readonly cost: number;
  }[];
  /** Comes out of no length that is sold or in the bin: told, and not bought. */
  readonly tooLong: readonly TripLine[];
  /** Needed and there, or in the rig already. */
  readonly inBin: readonly TripLine[];
  readonly cost: number;
}

export function shoppingTrip(
  builds: readonly (Build & { readonly name: string })[],
  bin: readonly BinItem[],
  kerf: number,
): Trip {
  const { lines, cost } = stockPlanFor(builds, bin, kerf);
  const each = builds.map(({ name, rig, values, taken }) => ({
    name,
    lines: stockPlan(rig, values, [], kerf, taken).lines,
  }));
  const all = lines.map((line): TripLine => ({
    ...line,
    for: each.flatMap(({ name, lines: own }) => {
      const mine = own.find((l) => l.item === line.item);
      return mine && mine.needed > 0 ? [{ rig: name, needed: mine.needed }] : [];
    }),
  }));
  const kind = shopOf(builds.map((b) => b.rig));
  const open = all.filter((l) => l.buy > 0 && l.tooLong === undefined);
  return {
    shops: SHOPS.flatMap(({ id, name }) => {
      const mine = open.filter((l) => kind(l.item) === id);
      return mine.length === 0 ? [] : [{ shop: id, name, lines: mine, cost: mine.reduce((sum, l) => sum + l.cost, 0) }];
    }),
    tooLong: all.filter((l) => l.tooLong !== undefined),
    inBin: all.filter((l) => l.buy === 0 && l.tooLong === undefined),
    cost,
  };
}

/** The bin with what was bought put into it: bars as lengths, packs by what is in them; of what is sold by weight the packs. */
export function bought(
  lines: readonly Pick<BuyLine, 'item' | 'kind' | 'buy' | 'packOf' | 'barLength' | 'unit'>[],
  bin: readonly BinItem[],
  newId: () => string,
): readonly BinItem[] {
  return lines
    .filter((l) => l.buy > 0)
    .map((line): BinItem => {
      const held = bin.find((b) => keptAs(b.name) === keptAs(line.item)) ?? {
        id: newId(),
        name: line.item,
        count: 0,
        lengths: [],
      };
      return line.kind === 'bars'
        ? { ...held, lengths: [...held.lengths, ...Array.from({ length: line.buy }, () => line.barLength!)] }
        : { ...held, count: held.count + line.buy * (line.unit ? 1 : line.packOf) };
    });
}
