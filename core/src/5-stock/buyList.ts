/** What to buy: all the rig needs, less what the bin holds, in bars and packs as sold, and what it costs. */
import type { BinItem, Rig, Stock, Taken } from '../model';
import { countOf, assemble, keptAs, valuesInOrder, washerId, type AdjusterValues } from '../2-frame';
import { barPlans } from './barMarks';
import { nest, type CutBar, type NestOutcome } from './nest';

export interface CutPlan {
  readonly stock: string;
  readonly barLength: number;
  readonly barPrice: number;
  readonly outcome: NestOutcome;
  readonly bars: readonly (CutBar & { readonly fromBin: boolean; readonly over: number })[];
  /** Ids of the members the pieces are for, by length. */
  readonly pieces: readonly { readonly member: string; readonly name: string; readonly length: number }[];
  /** Pieces that are cut already. */
  readonly cut: number;
}
export interface BuyLine {
  readonly item: string;
  readonly kind: 'bars' | 'packs';
  /** Less what is in the rig already. */
  readonly needed: number;
  /** Cut or built in. */
  readonly taken: number;
  readonly inBin: number;
  /** Packs, or bars. */
  readonly buy: number;
  readonly packOf: number;
  readonly barLength: number | null;
  readonly cost: number;
  /** Of one pack, or one bar. */
  readonly unitPrice: number;
  readonly about: readonly string[];
  /** Of what is sold by weight, needed and a pack are kg; left out: pieces. */
  readonly unit?: 'kg';
  /** A piece is longer than any that is sold or in the bin, m: nothing is bought for it. */
  readonly tooLong?: number;
}
export interface StockPlan {
  readonly cuts: readonly CutPlan[];
  readonly lines: readonly BuyLine[];
  readonly cost: number;
}

/** Spare washers bought over the count on the bolts: trimming the real rig takes one or two more. */
const SPARE_WASHERS = 2;

/** A rig as it is set: its washers are counted by its adjusters. */
export interface Build {
  readonly rig: Rig;
  readonly values: AdjusterValues;
  /** What its steps took: cut or built in, and not needed again. */
  readonly taken?: readonly Taken[] | undefined;
}

export const stockPlan = (
  rig: Rig,
  values: AdjusterValues,
  bin: readonly BinItem[],
  kerf: number,
  taken: readonly Taken[] = [],
): StockPlan => stockPlanFor([{ rig, values, taken }], bin, kerf);

const piecesIn = (taken: readonly Taken[] = []): ReadonlySet<string> => new Set(taken.flatMap((t) => t.pieces));

/** Of several rigs cut from the same bars, and bought in the same packs: what lies in the bin is taken once. */
export function stockPlanFor(builds: readonly Build[], bin: readonly BinItem[], kerf: number): StockPlan {
  const cuts = cutPlans(builds, bin, kerf);
  const lines = [...cuts.map(barLine), ...packLines(builds, bin)];
  return { cuts, lines, cost: lines.reduce((sum, l) => sum + l.cost, 0) };
}

const inBin = (bin: readonly BinItem[], item: string): BinItem | undefined =>
  bin.find((b) => keptAs(b.name) === keptAs(item));

function cutPlans(builds: readonly Build[], bin: readonly BinItem[], kerf: number): readonly CutPlan[] {
  const plans = builds.flatMap(({ rig, taken }) => {
    const had = piecesIn(taken);
    return barPlans(rig).map((p) => ({ ...p, isCut: had.has(p.member) }));
  });
  const stocks = new Map<string, Stock>();
  for (const { rig } of builds)
    for (const body of rig.bodies) for (const m of body.members) stocks.set(m.stock.name, m.stock);
  return [...stocks.values()].map((stock) => {
    const mine = plans.filter((p) => p.stock === stock.name);
    const pieces = mine.filter((p) => !p.isCut).map((p) => ({ member: p.member, name: p.name, length: p.blank }));
    const leftovers = inBin(bin, stock.name)?.lengths ?? [];
    const byLength = stock.sold.map(({ length, price }) => ({
      length,
      price,
      outcome: nest({
        barLength: length,
        kerf,
        pieces: pieces.map((p) => ({ length: p.length, count: 1 })),
        leftovers,
      }),
    }));
    const costOf = (o: NestOutcome, price: number): number =>
      o.kind === 'noSolution' ? Infinity : o.newBars.length * price;
    const best = byLength.reduce(
      (a, b) => (costOf(b.outcome, b.price) < costOf(a.outcome, a.price) ? b : a),
      byLength[0] ?? {
        length: 0,
        price: 0,
        outcome: { kind: 'noSolution', tooLong: pieces.map((p) => p.length) } as NestOutcome,
      },
    );
    const bars =
      best.outcome.kind === 'noSolution'
        ? []
        : [
            ...best.outcome.leftovers.map((b) => ({ ...b, fromBin: true, over: leftOver(b, kerf) })),
            ...best.outcome.newBars.map((b) => ({ ...b, fromBin: false, over: leftOver(b, kerf) })),
          ];
    return {
      stock: stock.name,
      barLength: best.length,
      barPrice: best.price,
      outcome: best.outcome,
      bars,
      pieces,
      cut: mine.length - pieces.length,
    };
  });
}

/** What is left of a bar after its pieces and a kerf each; never less than zero. */
const leftOver = (bar: CutBar, kerf: number): number =>
  Math.max(0, bar.length - bar.pieces.reduce((s, p) => s + p + kerf, 0));

function barLine(cut: CutPlan): BuyLine {
  const buy = cut.bars.filter((b) => !b.fromBin).length;
  return {
    item: cut.stock,
    kind: 'bars',
    needed: cut.pieces.length,
    taken: cut.cut,
    inBin: cut.bars.length - buy,
    buy,
    packOf: 1,
    barLength: cut.barLength,
    cost: buy * cut.barPrice,
    unitPrice: cut.barPrice,
    about: cut.pieces.map((p) => p.member),
    ...(cut.outcome.kind === 'noSolution' ? { tooLong: Math.max(...cut.pieces.map((p) => p.length)) } : {}),
  };
}

function packLines(builds: readonly Build[], bin: readonly BinItem[]): readonly BuyLine[] {
  interface Need {
    readonly packOf: number;
    readonly packPrice: number;
    needed: number;
    taken: number;
    readonly about: string[];
    readonly unit?: 'kg';
  }
  const needs = new Map<string, Need>();
  const need = (
    supply: { item: string; packOf: number; packPrice: number; unit?: 'kg' },
    count: number,
    about: string,
    isIn: number,
  ): void => {
    const before = needs.get(supply.item);
    needs.set(supply.item, {
      packOf: supply.packOf,
      packPrice: supply.packPrice,
      needed: (before?.needed ?? 0) + Math.max(0, count - isIn),
      taken: (before?.taken ?? 0) + Math.min(count, isIn),
      about: [...(before?.about ?? []), about],
      ...(supply.unit ? { unit: supply.unit } : {}),
    });
  };
  for (const { rig, values, taken } of builds) {
    const had = piecesIn(taken);
    for (const body of rig.bodies) {
      for (const part of body.parts) {
        if (!part.supply) continue;
        const { uses } = part;
        const isIn = had.has(part.id);
        if (uses) need({ ...part.supply, packOf: uses.pack, unit: 'kg' }, uses.amount, part.id, isIn ? uses.amount : 0);
        else need(part.supply, 1, part.id, isIn ? 1 : 0);
      }
      for (const joint of body.joints)
        if (joint.hub?.supply) need(joint.hub.supply, 1, joint.id, had.has(joint.id) ? 1 : 0);
    }
    const inOrder = valuesInOrder(rig, values);
    const stacks = assemble(rig, null).stacks.filter((s) => s.station.washer.supply);
    for (const stack of stacks) {
      const { id, washer } = stack.station;
      const count = countOf(stack, inOrder);
      const isIn = Array.from({ length: count }, (_, i) => washerId(id, i + 1)).filter((w) => had.has(w)).length;
      need(washer.supply!, count, id, isIn);
    }
    // What is set by count is trimmed on the finished rig; a disc that was chosen is not.
    const trimmed = stacks.filter((s) => s.countedBy !== null);
    for (const item of new Set(trimmed.map((s) => s.station.washer.supply!.item)))
      needs.get(item)!.needed += SPARE_WASHERS;
  }
  return [...needs].map(([item, { needed, taken, packOf, packPrice, about, unit }]) => {
    // Of what is sold by weight the bin counts packs.
    const held = (inBin(bin, item)?.count ?? 0) * (unit ? packOf : 1);
    const have = Math.min(needed, held);
    const buy = Math.ceil((needed - have) / packOf - 1e-9);
    return {
      item,
      kind: 'packs' as const,
      needed,
      taken,
      inBin: have,
      buy,
      packOf,
      barLength: null,
      cost: buy * packPrice,
      unitPrice: packPrice,
      about,
      ...(unit ? { unit } : {}),
    };
  });
}
