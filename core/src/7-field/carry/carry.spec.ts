import { FAMILIES } from '../../2-frame';
import { METRIC, render } from '../../0-base';
import { workpiece } from '../../9-design/derive';
import { startRig } from '../../9-design/startRig';
import { leanAt } from '../../3-balance/pan/panReading';
import { balanceContext, kit, loadout, wants } from '../../testing/rigs';
import { trim } from '../../3-balance/bench';
import type { BalanceContext } from '../../3-balance';
import { guidesFor } from './guidesFor';

const words = (guide: ReturnType<typeof guidesFor>[number]): string =>
  [guide.title, guide.habit, ...[...guide.says, guide.drill].map((p) => render(p, METRIC))].join(' ');
const contexts = FAMILIES.map((family) => {
  const { design } = startRig(family, loadout, kit, wants);
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  const { assembly } = made.work;
  const solved = trim(assembly, {}, wants);
  return { family: family.id, context: balanceContext(assembly, solved.kind === 'solved' ? solved.values : {}) };
});
const of = (family: string): BalanceContext => contexts.find((c) => c.family === family)!.context;

describe('how a rig is carried', () => {
  it('is told of any family in whole sentences with a drill, and only what applies to it', () => {
    for (const { family, context } of contexts) {
      const guides = guidesFor(context);
      const { hung, held } = context.evaluation;
      for (const g of guides) {
        expect(words(g))
          .withContext(family)
          .not.toMatch(/undefined|NaN|Infinity|not known| {2}/);
        expect(g.says.length).withContext(`${family} ${g.id}`).toBeGreaterThan(0);
        for (const phrase of [...g.says, g.drill]) expect(render(phrase, METRIC)).withContext(family).toMatch(/[.!]$/);
      }
      const ids = guides.map((g) => g.id);
      expect(ids.includes('secondHand'))
        .withContext(family)
        .toBe(hung?.pitch.drop.kind === 'falls');
      // What the body bears is not held out by an arm.
      expect(ids.includes('nearTheBody'))
        .withContext(family)
        .toBe(held[0] ? held[0].bears.length === 0 : hung !== null);
    }
    expect(contexts.some(({ context }) => guidesFor(context).length >= 4)).toBeTrue();
  });

  it('names the quickest turn that stays level, and a little quicker does not', () => {
    const context = of('gimballed-bent-bar');
    const said = words(guidesFor(context).find((g) => g.id === 'withTheHips')!);
    const time = /up to a quarter turn in ([\d.]+) s/.exec(said);
    if (!time) return expect(said).toContain('however fast');
    const lean = (seconds: number): number => {
      const l = leanAt(context.evaluation.hung!, Math.PI / 2 / seconds);
      return l ? Math.max(Math.abs(l.noseUp), Math.abs(l.leftUp)) : Infinity;
    };
    // Told to a tenth of a second.
    expect(lean(Number(time[1]) + 0.1)).toBeLessThanOrEqual(wants.levelWithin);
    expect(lean(Number(time[1]) - 0.1)).toBeGreaterThan(wants.levelWithin);
  });

  it('asks more of a weaker wrist held out, and less of what is held near', () => {
    const { context } = contexts.find((c) => c.family === 'hand-frame') ?? contexts[0]!;
    const percents = (strength: number): readonly number[] => {
      const own = { ...context, hands: { ...context.hands, wristStrength: strength } };
      const guide = guidesFor(own).find((g) => g.id === 'nearTheBody')!;
      return [...words(guide).matchAll(/asks ([\d.]+) %/g)].map((m) => Number(m[1]));
    };
    const [near, out] = percents(9);
    expect(out!).toBeGreaterThan(near!);
    expect(percents(5)[1]!).toBeGreaterThan(out!);
  });

  it('is nothing of a rig that nothing bears', () => {
    const { assembly } = of('gimballed-bent-bar');
    const bare = { ...assembly, rig: { ...assembly.rig, pivots: [], poses: [], contacts: [] } };
    expect(guidesFor(balanceContext(bare)).filter((g) => g.id === 'secondHand' || g.id === 'nearTheBody')).toEqual([]);
  });
});
