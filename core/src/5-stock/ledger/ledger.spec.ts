/** What steps take out of the bin and give back: nothing is lost, nothing is there twice. */
import fc from 'fast-check';
import { connectionsOf, designRig, FAMILIES, washerId } from '../../2-frame';
import type { BinItem, Rig, Taken } from '../../model';
import { holds } from '../../testing/holds';
import { barPlans } from '../barMarks';
import { stockPlan } from '../buyList';
import { SHORTEST_OFFCUT } from './bins';
import { suppliesOf } from './supplies';
import { givenBack, takenBy, type Ledger } from './take';
import { takenApart } from './takenApart';

const KERF = 0.0015;
const rigs = FAMILIES.map((family) => {
  const made = designRig({ kind: 'family', family: family.id, dimensions: {}, choices: {}, edits: [] });
  if (!made.ok) throw new Error(made.reason);
  return made.rig;
});
let next = 0;
const newId = (): string => `new-${next++}`;
const put = (bin: readonly BinItem[], changed: readonly BinItem[]): readonly BinItem[] => [
  ...bin.filter((b) => !changed.some((c) => c.id === b.id)),
  ...changed,
];
/** As a hand would find it: what is nought is not there. */
const found = (bin: readonly BinItem[]): unknown =>
  bin
    .flatMap(({ name, count, lengths }) =>
      count > 0 || lengths.length > 0
        ? [`${name}: ${count}; ${lengths.map((l) => l.toFixed(6)).sort().join(' ')}`] // prettier-ignore
        : [],
    )
    .sort();
const piecesOf = (rig: Rig): readonly string[] =>
  rig.bodies.flatMap((b) => [...b.members.map((m) => m.id), ...b.parts.map((p) => p.id), ...b.joints.map((j) => j.id)]);
const stocked = (rig: Rig, lengths: readonly number[], count: number): readonly BinItem[] => {
  const items = new Map<string, BinItem>();
  for (const piece of piecesOf(rig)) {
    const supply = suppliesOf(rig)(piece);
    if (supply)
      items.set(supply.item, {
        id: supply.item,
        name: supply.item,
        count: supply.kind === 'piece' ? count : 0,
        lengths: supply.kind === 'length' ? [...lengths] : [],
      });
  }
  return [...items.values()];
};

describe('the ledger of the bin', () => {
  it('takes the length that was planned, puts the offcut back, and needs neither again', () => {
    const rig = rigs.find((r) => r.bodies[0]!.members.length > 2)!;
    const [first] = barPlans(rig);
    const bin: readonly BinItem[] = [{ id: 'b', name: first!.stock.toUpperCase(), count: 0, lengths: [2, 1.5] }];
    const plan = stockPlan(rig, {}, bin, KERF);
    const entry = takenBy({ id: 'cut', handles: [first!.member] }, [], bin, { rig, kerf: KERF, plan }, newId);
    const { from, left } = entry.taken[0]!.cut!;
    expect(left).toBeCloseTo(from - first!.blank - KERF, 9);
    expect(entry.bin).toEqual([jasmine.objectContaining({ id: 'b', lengths: [from === 2 ? 1.5 : 2, left] })]);
    const after = stockPlan(rig, {}, entry.bin, KERF, entry.taken);
    const line = after.lines.find((l) => l.item === first!.stock)!;
    const before = plan.lines.find((l) => l.item === first!.stock)!;
    expect([line.needed, line.taken]).toEqual([before.needed - 1, 1]);
  });

  it('saws a fresh bar where the bin holds none, and keeps what is left of it', () => {
    const rig = rigs[0]!;
    const [first] = barPlans(rig);
    const plan = stockPlan(rig, {}, [], KERF);
    const entry = takenBy({ id: 'cut', handles: [first!.member] }, [], [], { rig, kerf: KERF, plan }, newId);
    expect(entry.taken[0]!.cut).toEqual(jasmine.objectContaining({ fresh: true }));
    expect(entry.bin[0]!.lengths).toEqual([entry.taken[0]!.cut!.left]);
    expect(found(put(entry.bin, givenBack(new Set(['cut']), entry.taken, entry.bin, newId).bin))).toEqual([]);
  });

  it('needs nothing of any family once all of it is taken', () => {
    for (const rig of rigs) {
      const stations = rig.bodies.flatMap((b) => b.stations.flatMap((s) => [1, 2, 3].map((n) => washerId(s.id, n))));
      const { taken } = takenBy(
        { id: 'all', handles: [...piecesOf(rig), ...stations] },
        [],
        [],
        { rig, kerf: KERF, plan: null },
        newId,
      );
      const lines = stockPlan(rig, {}, [], KERF, taken).lines;
      const spare = new Set(rig.bodies.flatMap((b) => b.stations.map((s) => s.washer.supply?.item)));
      for (const l of lines)
        expect(spare.has(l.item) ? 0 : l.needed)
          .withContext(l.item)
          .toBeCloseTo(0, 9);
    }
  });

  it('is as it was once steps ticked in any order are unticked in any other, and never negative', () => {
    holds(
      fc.property(
        fc.constantFrom(...rigs),
        fc.array(fc.double({ min: 0.05, max: 2, noNaN: true }), { maxLength: 6 }),
        fc.nat(5),
        fc.infiniteStream(fc.nat(1_000_000)),
        (rig, lengths, count, order) => {
          const pick = <T>(list: readonly T[]): readonly T[] =>
            list
              .map((x) => ({ x, at: order.next().value as number }))
              .sort((a, b) => a.at - b.at)
              .map(({ x }) => x);
          const start = stocked(rig, lengths, count);
          const steps = pick(piecesOf(rig)).slice(0, 30);
          const plan = stockPlan(rig, {}, start, KERF);
          let ledger: Ledger = { taken: [], bin: [] };
          let bin = start;
          for (const piece of steps) {
            ledger = takenBy({ id: piece, handles: [piece] }, ledger.taken, bin, { rig, kerf: KERF, plan }, newId);
            bin = put(bin, ledger.bin);
          }
          for (const item of bin) {
            expect(item.count).toBeGreaterThanOrEqual(0);
            for (const l of item.lengths) expect(l).toBeGreaterThanOrEqual(SHORTEST_OFFCUT);
          }
          for (const piece of pick(steps)) {
            ledger = givenBack(new Set([piece]), ledger.taken, bin, newId);
            bin = put(bin, ledger.bin);
          }
          expect(ledger.taken).toEqual([]);
          // Waste is not typed into a bin to begin with.
          expect(found(bin)).toEqual(found(start));
        },
      ),
      { seed: 24 },
    );
  });

  it('gives back the piece alone where another rig has had the rest of its bar', () => {
    const rig = rigs[0]!;
    const [first] = barPlans(rig);
    const bin: readonly BinItem[] = [{ id: 'b', name: first!.stock, count: 0, lengths: [3] }];
    const entry = takenBy({ id: 'cut', handles: [first!.member] }, [], bin, { rig, kerf: KERF, plan: null }, newId);
    const used = entry.bin.map((b) => ({ ...b, lengths: [] }));
    expect(givenBack(new Set(['cut']), entry.taken, used, newId).bin[0]!.lengths).toEqual([first!.blank]);
  });

  it('takes nothing twice', () => {
    const rig = rigs[0]!;
    const [first] = barPlans(rig);
    const taken: Taken[] = [{ step: 'cut', item: first!.stock, pieces: [first!.member] }];
    const again = takenBy({ id: 'bend', handles: [first!.member] }, taken, [], { rig, kerf: KERF, plan: null }, newId);
    expect(again).toEqual({ taken, bin: [] });
  });

  it('taken apart: what is screwed comes back, what is glued, bent or used up is told', () => {
    for (const rig of rigs) {
      const all = piecesOf(rig);
      const { taken } = takenBy({ id: 'all', handles: all }, [], [], { rig, kerf: KERF, plan: null }, newId);
      const { back, kept, bin } = takenApart(rig, taken, [], newId);
      const pieces = taken.flatMap((t) => t.pieces);
      const came = back.reduce((n, b) => n + b.count + b.lengths.length, 0);
      expect(came + kept.reduce((n, k) => n + k.count, 0)).toBe(pieces.length);
      const fixed = connectionsOf(rig, () => 0).filter((c) => !c.reversible);
      expect(kept.some((k) => k.why !== 'shaped')).toBe(
        fixed.some((c) => [...c.pieces, ...c.hardware].some((p) => pieces.includes(p))),
      );
      expect(bin.reduce((n, b) => n + b.count, 0)).toBe(back.reduce((n, b) => n + b.count, 0));
    }
  });
});
