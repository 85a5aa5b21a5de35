/** Washers from the bin alone: whatever sets a rig keeps to what there is. */
import * as fc from 'fast-check';
import { atHand, familyById, keptAs, washerName, type AdjusterValues, type Assembly } from '../2-frame';
import { tradeCurve, trim, trimExplained } from '../3-balance/bench';
import { missingWashers } from '../3-balance/trim/missingWashers';
import { workpiece } from './derive';
import { learnFrom } from './learn/learnFrom';
import type { BinItem, RigDocument } from '../model';
import { setUpsFor } from './setUpsFor';
import { sizesForAll } from './sizeForAll';
import { startRig } from './startRig';
import { holds } from '../testing/holds';
import { THREE_LOADS } from '../testing/loads';
import { kit, loadout, wants as usual } from '../testing/rigs';

const { loadout: action, kit: actionKit } = THREE_LOADS[1]!;
const allKit = new Map([...kit, ...actionKit]);
const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, usual);
const wants: RigDocument['wants'] = { ...usual, massAtMost: 9, calmAtLeast: 0, onlyBin: true };
const rig = { id: 'r', design: start.design, wants, loadout: loadout.id };
const any = made([]).assembly;
const kind = washerName(any.stacks[0]!.station);
const bin = (count: number, name = kind): readonly BinItem[] => [{ id: 'washers', name, count, lengths: [] }];
const lightest = trim({ ...any, atHand: null }, {}, wants);
const enough = lightest.kind === 'solved' ? used(any, lightest.values) : NaN;

function made(binned: readonly BinItem[], of: Pick<RigDocument, 'design' | 'wants'> = rig) {
  const outcome = workpiece(of, loadout, allKit, binned);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.work;
}
function used({ rig: { adjusters } }: Assembly, values: AdjusterValues): number {
  return adjusters.filter((a) => a.kind === 'count').reduce((n, a) => n + (values[a.id] ?? a.value), 0);
}

describe('washers at hand', () => {
  it('are counted by name, whatever its case, those kept twice together; without the want there are as many as one likes', () => {
    expect(atHand({ onlyBin: true }, [...bin(3), ...bin(4, `  ${kind.toUpperCase()} `), ...bin(9, 'string')])).toEqual(
      new Map([
        [keptAs(kind), 7],
        ['string', 9],
      ]),
    );
    expect(atHand({}, bin(3))).toBeNull();
    expect(made(bin(3), { ...rig, wants: usual }).assembly.atHand).toBeNull();
    expect(made(bin(3)).assembly.atHand).toEqual(new Map([[keptAs(kind), 3]]));
  });

  it('are never exceeded by a trim of any aim; and with as many as the lightest takes, it is found', () =>
    holds(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom('lightest' as const, 'calmest' as const, 'fewestMoves' as const),
        (count, aim) => {
          const { assembly } = made(bin(count));
          const found = trim(assembly, {}, wants, { aim });
          if (count >= enough) expect(found.kind).toBe('solved');
          else expect(found).toEqual(jasmine.objectContaining({ kind: 'impossible', failing: 'bin' }));
          if (found.kind === 'solved') {
            expect(used(assembly, found.values)).toBeLessThanOrEqual(count);
            expect(missingWashers(assembly, found.values, assembly.atHand!).size).toBe(0);
            if (aim === 'lightest')
              expect(found.addedMass).toBeCloseTo(lightest.kind === 'solved' ? lightest.addedMass : NaN, 9);
          }
        },
      ),
      { seed: 71, numRuns: 25 },
    ));

  it('leave less for what is set when some are on a bolt that is not', () => {
    const fixed: Assembly = {
      ...any,
      rig: { ...any.rig, adjusters: any.rig.adjusters.filter((a) => a.id !== 'front-count') },
      stacks: any.stacks.map((s) =>
        s.station.id === 'front'
          ? { ...s, countedBy: null, station: { ...s.station, count: 2 } }
          : s.countedBy === null
            ? s
            : {
                ...s,
                countedBy: any.rig.adjusters
                  .filter((a) => a.id !== 'front-count')
                  .findIndex((a) => a.id === any.rig.adjusters[s.countedBy!]!.id),
              },
      ),
    };
    const free = trim({ ...fixed, atHand: null }, {}, wants);
    if (free.kind !== 'solved') return fail(free.kind);
    const needed = used(fixed, free.values);
    const with_ = (count: number) => trimExplained({ ...fixed, atHand: new Map([[keptAs(kind), count]]) }, {}, wants);
    expect(with_(needed + 2).kind).toBe('solved');
    // The two that stay on the front bolt are gone from the bin.
    const short = with_(needed + 1);
    if (short.kind !== 'impossible') return fail(short.kind);
    expect(short.failing).toBe('bin');
    expect(short.remedies[0]!.label).toContain(jasmine.objectContaining({ value: 1 }));
  });

  it('bound the trade curve, the set-ups of all loadouts and the one size for all', () => {
    for (const count of [enough, enough + 3]) {
      const { assembly } = made(bin(count));
      const curve = tradeCurve(assembly, {}, wants);
      expect(curve.length).toBeGreaterThan(0);
      for (const p of curve) expect(used(assembly, p.values)).toBeLessThanOrEqual(count);
      const rows = setUpsFor({ rig, loadouts: [loadout, action], kit: allKit, setups: [], bin: bin(count) });
      expect(rows[0]!.outcome).toBe('solved');
      for (const row of rows)
        if (row.values) expect(used(assembly, row.values)).withContext(row.name).toBeLessThanOrEqual(count);
    }
    const input = { rig, loadouts: [loadout], kit: allKit, setups: [], bin: bin(0) };
    expect(setUpsFor(input)[0]).toEqual(jasmine.objectContaining({ outcome: 'impossible', failing: 'bin' }));
    expect(sizesForAll(input).served).toBe(0);
    expect(sizesForAll({ ...input, bin: bin(40) }).served).toBe(1);
  });

  it('bound the next move after a reading', () => {
    // Two short of what hangs right: it hangs nose down and a reading says so.
    const reading = { values: { 'foot-count': 1, 'rear-count': 1 }, seen: { dropTimes: [], noseDown: 0.2 } };
    for (const count of [enough, enough + 6]) {
      const outcome = learnFrom({
        rig,
        loadout,
        kit: allKit,
        bin: bin(count),
        values: reading.values,
        entries: [reading],
      });
      if (outcome.kind !== 'learned') return fail(outcome.kind);
      const { outcome: next } = outcome.next!;
      if (next.kind === 'solved') expect(used(any, next.values)).toBeLessThanOrEqual(count);
      else expect(next.kind).toBe('impossible');
    }
    const none = learnFrom({ rig, loadout, kit: allKit, bin: [], values: reading.values, entries: [reading] });
    expect(none.kind === 'learned' && none.next!.outcome).toEqual(
      jasmine.objectContaining({ kind: 'impossible', failing: 'bin' }),
    );
  });
});
