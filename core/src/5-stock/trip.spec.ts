import { FAMILIES, USUAL_HANDS } from '../2-frame';
import { bought, shoppingTrip, shopOf, SHOPS, stockPlan, stockPlanFor } from '.';

const KERF = 0.0015;
const build = (id: string) => {
  const family = FAMILIES.find((f) => f.id === id)!;
  const sized = family.size(null, USUAL_HANDS);
  return { name: id, rig: family.build(sized), values: sized.startValues };
};
const ALL = FAMILIES.map((f) => build(f.id));
let made = 0;
const newId = (): string => `new-${++made}`;

describe('a shopping trip', () => {
  it('has each thing that is bought in one shop, once, with what it costs', () => {
    for (const one of ALL) {
      const { lines, cost } = stockPlan(one.rig, one.values, [], KERF);
      const trip = shoppingTrip([one], [], KERF);
      expect([...trip.shops.flatMap((s) => s.lines.map((l) => l.item)), ...trip.tooLong.map((l) => l.item)].sort())
        .withContext(one.name)
        .toEqual(lines.map((l) => l.item).sort());
      expect(trip.shops.reduce((sum, s) => sum + s.cost, 0)).toBeCloseTo(cost, 9);
      expect(trip.cost).toBeCloseTo(cost, 9);
    }
  });

  it('sends nobody to the wrong shop: by what a thing is in the rig', () => {
    const kind = shopOf(ALL.map((b) => b.rig));
    for (const [item, shop] of [
      ['aluminium flat 30 × 6', 'metal'],
      ['PVC pipe 1/2 in Sch 40 (DN 15)', 'pipes'],
      ['steel pipe 3/8 in (DN 10)', 'pipes'],
      ['tee, PVC pipe 1/2 in Sch 40 (DN 15)', 'pipes'],
      ['oak strip 45 × 18', 'timber'],
      ['carbon tube 20 × 1', 'plastic'],
      ['M8 nut', 'fasteners'],
      ['M10 wide washer 30 mm', 'fasteners'],
      ['threaded rod M8', 'fasteners'],
      ['epoxy, two tubes', 'glue'],
      ['swivel 25 mm', 'parts'],
      ['printing, handle', 'printed'],
    ] as const)
      expect([item, kind(item)]).toEqual([item, shop]);
    const used = new Set(ALL.flatMap((b) => stockPlan(b.rig, b.values, [], KERF).lines.map((l) => kind(l.item))));
    expect([...used].sort()).toEqual(SHOPS.map((s) => s.id).sort());
  });

  it('of several rigs costs no more than each by itself, and needs what all need', () => {
    for (let i = 0; i < ALL.length; i++) {
      const pair = [ALL[i]!, ALL[(i + 3) % ALL.length]!];
      const together = stockPlanFor(pair, [], KERF);
      const apart = pair.map((b) => stockPlan(b.rig, b.values, [], KERF));
      expect(together.cost).toBeLessThanOrEqual(apart.reduce((sum, p) => sum + p.cost, 0) + 1e-9);
      for (const line of together.lines) {
        const needed = apart.flatMap((p) => p.lines.filter((l) => l.item === line.item));
        expect(line.needed)
          .withContext(line.item)
          .toBeCloseTo(
            needed.reduce((sum, l) => sum + l.needed, 0),
            9,
          );
      }
      const trip = shoppingTrip(pair, [], KERF);
      for (const line of trip.shops.flatMap((s) => s.lines))
        expect(line.for.reduce((sum, f) => sum + f.needed, 0))
          .withContext(line.item)
          .toBeCloseTo(line.needed, 9);
    }
  });

  it('takes what lies in the bin once, not once a rig', () => {
    const pair = [build('gimballed-bent-bar'), build('balance-arm')];
    const nuts = stockPlanFor(pair, [], KERF).lines.find((l) => l.item === 'M10 nut')!;
    const one = stockPlan(pair[0]!.rig, pair[0]!.values, [], KERF).lines.find((l) => l.item === 'M10 nut')!;
    const bin = [{ id: 'b', name: 'M10 nut', count: one.needed, lengths: [] }];
    const left = stockPlanFor(pair, bin, KERF).lines.find((l) => l.item === 'M10 nut')!;
    expect(left.inBin).toBe(one.needed);
    expect(left.buy * left.packOf).toBeGreaterThanOrEqual(nuts.needed - one.needed);
  });

  it('bought and put into the bin, nothing is left to buy', () => {
    for (const one of ALL) {
      const trip = shoppingTrip([one], [], KERF);
      const bin = bought(
        trip.shops.flatMap((s) => s.lines),
        [],
        newId,
      );
      expect(bin.every((b) => b.count > 0 || b.lengths.length > 0)).toBeTrue();
      const after = shoppingTrip([one], bin, KERF);
      expect(after.shops.flatMap((s) => s.lines.map((l) => l.item)))
        .withContext(one.name)
        .toEqual([]);
      expect(after.cost).toBe(0);
    }
  });

  it('adds to what lies there, and keeps what it is called', () => {
    const held = [{ id: 'b', name: 'M8 Nut', count: 2, lengths: [] }];
    const line = { item: 'M8 nut', kind: 'packs' as const, buy: 2, packOf: 10, barLength: null };
    expect(bought([line], held, newId)).toEqual([{ id: 'b', name: 'M8 Nut', count: 22, lengths: [] }]);
    const bar = { item: 'oak strip', kind: 'bars' as const, buy: 2, packOf: 1, barLength: 2 };
    expect(bought([bar], [], () => 'n')).toEqual([{ id: 'n', name: 'oak strip', count: 0, lengths: [2, 2] }]);
  });
});
