import * as fc from 'fast-check';
import { FAMILIES } from '../2-frame';
import { figure, METRIC, render, showFigure } from '../0-base';
import { readings } from '../3-balance';
import { workpiece } from '../9-design/derive';
import { startRig } from '../9-design/startRig';
import { holds } from '../testing/holds';
import { balanceContext, kit, loadout, wants } from '../testing/rigs';
import { cardMoves, cardTold, setupCard } from '.';

const rigs = FAMILIES.map((family) => {
  const { design } = startRig(family, loadout, kit, wants);
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return { name: family.name, assembly: made.work.assembly };
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
        const card = setupCard(balanceContext(assembly, values), 'Strap off.');
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
      const context = balanceContext(assembly);
      const card = setupCard(context, '');
      expect(card.mass).withContext(name).toBe(context.evaluation.mass);
      const told = card.expect.map((l) => render([...l.figure, ' ', ...l.rest], METRIC)).join('\n');
      const { dropPitch } = readings(context.evaluation);
      // What hangs has a drop, or is told to have none; nothing else has one.
      expect(/drop/.test(told))
        .withContext(name)
        .toBe(context.evaluation.hung !== null);
      if (dropPitch !== null)
        expect(told)
          .withContext(name)
          .toContain(showFigure(figure('time', dropPitch), METRIC));
      expect(card.expect.length).withContext(name).toBeGreaterThan(0);
    }
  });
  it('names the way from the middle mark as the maker looks along the lens', () => {
    const { assembly } = rigs.find((r) => r.assembly.rig.adjusters.some((a) => a.id === 'stage-fore-aft'))!;
    const at = (value: number) =>
      setupCard(balanceContext(assembly, { 'stage-fore-aft': value }), '').marks.find((m) => m.id === 'stage-fore-aft')!
        .way;
    expect(at(0.004)).toBe('forward');
    expect(at(-0.004)).toBe('back');
    expect(at(0)).toBe('');
  });
});

describe('a card in words', () => {
  it('says each bolt and mark once, in order, with the figure that is set, for any family', () => {
    for (const { name, assembly } of rigs) {
      const values = Object.fromEntries(assembly.rig.adjusters.map((a) => [a.id, a.kind === 'count' ? 2 : a.range[0]]));
      const card = setupCard(balanceContext(assembly, values), '');
      const told = cardTold(card);
      expect(told.map((p) => p.id))
        .withContext(name)
        .toEqual([...card.counts, ...card.marks].map((p) => p.id));
      for (const part of told) {
        const count = card.counts.find((c) => c.id === part.id);
        const mark = card.marks.find((m) => m.id === part.id);
        const big = render(part.big, METRIC);
        expect(big)
          .withContext(`${name} ${part.name}`)
          .toBe(count ? String(count.count) : showFigure(figure('length', Math.abs(mark!.value), 2), METRIC));
        expect(part.beside).not.toBe('');
      }
    }
  });

  it('tells from one set-up to another only what moves, each from and to', () => {
    for (const { name, assembly } of rigs) {
      const { adjusters } = assembly.rig;
      if (adjusters.length < 2) continue;
      const values = Object.fromEntries(adjusters.map((a) => [a.id, a.kind === 'count' ? 1 : a.range[0]]));
      const [moved] = adjusters;
      const other = { ...values, [moved!.id]: moved!.kind === 'count' ? 2 : moved!.range[1] };
      const told = (v: typeof values) => cardTold(setupCard(balanceContext(assembly, v), ''));
      expect(cardMoves(told(values), told(values))).toEqual([]);
      const moves = cardMoves(told(values), told(other));
      const card = setupCard(balanceContext(assembly, values), '');
      const isTold = [...card.counts, ...card.marks].some((p) => p.id === moved!.id);
      expect(moves.length)
        .withContext(name)
        .toBe(isTold ? 1 : moves.length);
      for (const m of moves) expect(render(m.was, METRIC)).not.toBe(render(m.is, METRIC));
    }
  });
});
