import * as fc from 'fast-check';
import { FAMILIES } from '../2-frame';
import { evaluate, readings } from '../3-balance';
import { workpiece } from '../9-design/derive';
import { startRig } from '../9-design/startRig';
import { holds } from '../testing/holds';
import { kit, loadout, wants } from '../testing/rigs';
import { setupCard } from '.';

const rigs = FAMILIES.map((family) => {
  const { design } = startRig(family, loadout, kit, wants);
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return { name: family.name, assembly: made.piece.assembly };
});

describe('the card of a set-up', () => {
  it('tells every bolt and every mark of a rig once, as it is set and within its reach, for any family', () => {
    holds(
      fc.property(fc.nat(rigs.length - 1), fc.double({ min: 0, max: 1, noNaN: true }), (n, part) => {
        const { name, assembly } = rigs[n]!;
        const { adjusters } = assembly.rig;
        const values = Object.fromEntries(
          adjusters.map((a) => {
            const value = a.range[0] + (a.range[1] - a.range[0]) * part;
            return [a.id, a.kind === 'count' ? Math.round(value) : value];
          }),
        );
        const evaluation = evaluate(assembly, values);
        const card = setupCard(assembly, values, evaluation, 'Strap off.');
        expect(card.marks.map((m) => m.id))
          .withContext(name)
          .toEqual(adjusters.filter((a) => a.kind !== 'count').map((a) => a.id));
        expect(card.counts.map((c) => c.id))
          .withContext(name)
          .toEqual(assembly.stacks.map((s) => s.station.id));
        for (const m of card.marks) {
          expect(m.value).withContext(m.name).toBe(values[m.id]!);
          // Turns and the length they make say the same.
          const { perTurn } = adjusters.find((a) => a.id === m.id)!;
          if (m.turns === null) expect(perTurn).withContext(m.name).toBeUndefined();
          else
            expect(m.turns * perTurn!)
              .withContext(m.name)
              .toBeCloseTo(m.value, 12);
          expect(m.way === '')
            .withContext(m.name)
            .toBe(m.value === 0);
        }
        for (const c of card.counts) expect(c.count).withContext(c.name).toBeLessThanOrEqual(c.most);
        expect(card.conditions).toBe('Strap off.');
      }),
      { seed: 41, numRuns: 60 },
    );
  });
  it('weighs and hangs as the rig does', () => {
    for (const { name, assembly } of rigs) {
      const evaluation = evaluate(assembly, {});
      const card = setupCard(assembly, {}, evaluation, '');
      const seen = readings(evaluation);
      expect(card.mass).withContext(name).toBe(evaluation.mass);
      expect([card.noseDown, card.leftSideDown, card.dropTime])
        .withContext(name)
        .toEqual([seen.noseDown, seen.leftSideDown, seen.dropPitch]);
      // What hangs on a joint is not told as held, and what is held has no drop.
      if (evaluation.hung) expect(card.held).withContext(name).toBeNull();
      else expect(card.dropTime).withContext(name).toBeNull();
    }
  });
  it('names the way from the middle mark as the maker looks along the lens', () => {
    const { assembly } = rigs.find((r) => r.assembly.rig.adjusters.some((a) => a.id === 'stage-fore-aft'))!;
    const at = (value: number) =>
      setupCard(assembly, { 'stage-fore-aft': value }, evaluate(assembly, {}), '').marks.find(
        (m) => m.id === 'stage-fore-aft',
      )!.way;
    expect(at(0.004)).toBe('forward');
    expect(at(-0.004)).toBe('back');
    expect(at(0)).toBe('');
  });
});
