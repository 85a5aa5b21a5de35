/** What the rig is made of as a bill, and what of it to buy. */
import { countOf, valuesInOrder, washerId, type AdjusterValues, type Assembly } from '../../2-frame';
import type { BuyLine, StockPlan } from '../../5-stock';
import type { Whole } from '../../contract';

type BillLine = Whole['bill'][number];
type ToBuyLine = Whole['toBuy'][number];

export function billOf(
  plan: StockPlan,
  assembly: Assembly,
  values: AdjusterValues,
): { readonly bill: readonly BillLine[]; readonly toBuy: readonly ToBuyLine[] } {
  const inOrder = valuesInOrder(assembly.rig, values);
  const counts = new Map(assembly.stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const lines = plan.lines.map((line, i) => {
    const id = `bill-${i + 1}`;
    return line.kind === 'bars' ? barLine(id, line, plan) : packLine(id, line, counts);
  });
  return { bill: lines.map((l) => l.bill), toBuy: lines.map((l) => l.buy) };
}

interface Line {
  readonly bill: BillLine;
  readonly buy: ToBuyLine;
}

function barLine(id: string, line: BuyLine, plan: StockPlan): Line {
  const cut = plan.cuts.find((c) => c.stock === line.item)!;
  const length = Object.fromEntries(cut.pieces.map((p) => [p.member, p.length]));
  const need = cut.pieces.reduce((s, p) => s + p.length, 0);
  // Of each bar what no other piece can be had from any more is used up; of the last one what was sawn off.
  const bars = [...cut.bars].sort((a, b) => b.over - a.over);
  const inBin = bars.filter((b) => b.fromBin).reduce((s, b) => s + b.length, 0);
  const used = bars.reduce((s, b) => s + b.length, 0) - (bars.find((b) => !b.fromBin)?.over ?? bars[0]?.over ?? 0);
  return {
    bill: { id, item: line.item, unit: 'm', need, pieces: cut.pieces.map((p) => p.member), length },
    buy: {
      bill: id,
      need: Math.max(need, used),
      inBin,
      packOf: cut.barLength,
      packs: line.buy,
      price: line.unitPrice,
    },
  };
}

function packLine(id: string, line: BuyLine, counts: ReadonlyMap<string, number>): Line {
  const pieces = line.about.flatMap((owner) => {
    const count = counts.get(owner);
    return count === undefined ? [owner] : Array.from({ length: count }, (_, i) => washerId(owner, i + 1));
  });
  return {
    bill: { id, item: line.item, unit: line.unit ?? 'each', need: line.unit ? line.needed : pieces.length, pieces },
    buy: {
      bill: id,
      need: line.needed,
      inBin: line.inBin,
      packOf: line.packOf,
      packs: line.buy,
      price: line.unitPrice,
    },
  };
}
