import fc from 'fast-check';
import { breakDown, FAMILIES } from '../../2-frame';
import { workpiece } from '../../9-design/derive';
import { startRig } from '../../9-design/startRig';
import { holds } from '../../testing/holds';
import { balanceContext, kit, loadout, wants } from '../../testing/rigs';
import { setupCard } from '../setupCard';
import { handlingSteps, handlingTools, type HandlingStep } from './handling';
import { timingsOf } from './timings';

const rigs = FAMILIES.map((family) => {
  const made = workpiece({ design: startRig(family, loadout, kit, wants).design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return { family: family.name, context: balanceContext(made.work.assembly) };
});

describe('setting up and breaking down', () => {
  it('of any family has each joint that opens, the load, each stack and each mark once; back again in reverse, with nothing to set', () => {
    for (const { family, context } of rigs) {
      const up = handlingSteps(context, loadout, 'setUp');
      const down = handlingSteps(context, loadout, 'breakDown');
      const ids = up.map((s) => s.id);
      expect(new Set(ids).size).withContext(family).toBe(ids.length);
      const card = setupCard(context, '');
      const { opens } = breakDown(context.assembly.rig, context.values);
      for (const id of [
        ...opens.map((o) => `open/${o.id}`),
        ...card.counts.filter((c) => c.count > 0).map((c) => `count/${c.id}`),
        'load',
        'bag',
      ]) {
        expect(ids).withContext(family).toContain(id);
        expect(down.map((s) => s.id))
          .withContext(family)
          .toContain(id);
      }
      expect(ids.filter((i) => i.startsWith('mark/')).length)
        .withContext(family)
        .toBe(card.marks.length);
      // What is put on last comes off first; a rig is not hung or set to be broken down.
      const both = ids.filter((i) => !i.startsWith('mark/') && i !== 'try');
      expect(down.map((s) => s.id))
        .withContext(family)
        .toEqual([...both].reverse());
      for (const s of [...up, ...down]) {
        expect(s.name.trim()).withContext(family).not.toBe('');
        expect(s.name)
          .withContext(family)
          .not.toMatch(/undefined|NaN|\/|: $/);
      }
      const tools = handlingTools(up);
      expect(new Set(tools).size).withContext(family).toBe(tools.length);
    }
  });
  it('names no load where none is mounted', () => {
    for (const { context } of rigs)
      expect(handlingSteps(context, null, 'setUp').map((s) => s.id)).not.toContain('load');
  });
});

describe('what it took', () => {
  const steps: readonly HandlingStep[] = ['a', 'b', 'c'].map((id) => ({
    id,
    name: id,
    tool: '',
    spares: id === 'c' ? '' : `spare ${id}`,
  }));
  const timed = (seconds: readonly number[], what: 'setUp' | 'breakDown' = 'setUp') => ({
    timed: { what, splits: seconds.map((s, i) => ({ step: 'abc'[i]!, name: 'abc'[i]!, seconds: s })) },
  });
  it('is the mean of each step over all times; the steps make up the whole', () => {
    holds(
      fc.property(
        fc.array(fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0, max: 900, noNaN: true }))), {
          minLength: 1,
          maxLength: 8,
        }),
        (runs) => {
          const found = timingsOf(
            runs.map((r) => timed(r)),
            'setUp',
            steps,
          )!;
          expect(found.times).toBe(runs.length);
          expect(found.steps.reduce((sum, s) => sum + s.mean!, 0)).toBeCloseTo(found.mean, 6);
          expect(found.from).toBeLessThanOrEqual(found.mean + 1e-9);
          expect(found.to).toBeGreaterThanOrEqual(found.mean - 1e-9);
          if (found.mean > 0) expect(found.steps.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 6);
        },
      ),
      { seed: 61 },
    );
  });
  it('names what would spare most, the longest first, and nothing that is quick or cannot be spared', () => {
    const found = timingsOf([timed([30, 80, 300])], 'setUp', steps)!;
    expect(found.saves.map((s) => [s.id, s.mean])).toEqual([
      ['b', 80],
      ['a', 30],
    ]);
    expect(timingsOf([timed([3, 4, 300])], 'setUp', steps)!.saves).toEqual([]);
  });
  it('keeps the ways apart, counts what the rig has no more in the whole alone, and is none where nothing was timed', () => {
    expect(timingsOf([timed([1, 2, 3], 'breakDown'), {}], 'setUp', steps)).toBeNull();
    const [a] = steps;
    const found = timingsOf([timed([10, 20, 30])], 'setUp', [a!, { ...a!, id: 'new' }])!;
    expect([found.mean, found.steps[0]!.mean, found.steps[1]!.mean]).toEqual([60, 10, null]);
  });
});
