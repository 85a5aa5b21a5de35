import * as fc from 'fast-check';
import { DEGREE, METRIC, normalDraws, render, type Judgement } from '../0-base';
import { placeLoad } from '../1-load';
import { assemble, type Assembly } from '../2-frame';
import { balanceContext, bentBarAssembly, camera, kit, lens, loadout, wants, bentBar } from '../testing/rigs';
import { holds } from '../testing/holds';
import { USUAL_HANDS } from '../2-frame';
import { evaluate, likelyOf, quickBalance, spreadOnBench, spreadWords, verdictOf, type Evaluation } from '.';
import { trim } from './bench';

/** The demo's bent bar with the camera's centre known to so many millimetres, trimmed. */
function trimmed(
  centre: number,
  more: Partial<typeof wants> = {},
): {
  readonly assembly: Assembly;
  readonly values: Record<string, number>;
  readonly evaluation: Evaluation;
  readonly want: typeof wants;
} {
  const items = new Map(kit).set(camera.id, {
    ...camera,
    massCentre: { ...camera.massCentre!, spread: [centre, centre, centre] as [number, number, number] },
  });
  const load = placeLoad(loadout, items);
  const assembly = assemble(bentBar.build(bentBar.size(load, USUAL_HANDS)), load);
  const want = { ...wants, massAtMost: 9, calmAtLeast: 0, ...more };
  const found = trim(assembly, {}, want);
  if (found.kind !== 'solved') throw new Error(found.kind);
  return { assembly, values: { ...found.values }, evaluation: evaluate(assembly, found.values), want };
}

describe('a verdict by its probability', () => {
  it('counts builds as a plain draw of the covariance does', () => {
    const { evaluation, want } = trimmed(0.001, { levelWithin: 8 * DEGREE });
    const hung = evaluation.hung!;
    const likely = likelyOf(hung, want);
    // By other means: the marginal of the height alone says how many turn over.
    const sigma = hung.spread.massCentre[2];
    const normal = normalDraws(99);
    let over = 0;
    for (let n = 0; n < 100_000; n++) if (hung.hang.fromPivot[2] + sigma * normal() >= 0) over++;
    expect(likely.topHeavy).toBeCloseTo(over / 100_000, 1);
    expect(likely.holds).toBeLessThanOrEqual(Math.min(likely.level, likely.drop));
    expect(likely.level + likely.topHeavy).toBeLessThanOrEqual(1);
  });
  it('says it holds only from 95 in 100; the worse it is known the less is said', () => {
    let last = 1.01;
    const kinds: string[] = [];
    for (const centre of [0, 0.00002, 0.0002, 0.001, 0.004]) {
      const { assembly, values, evaluation, want } = trimmed(centre, { levelWithin: 3 * DEGREE, dropTime: [1.6, 2.8] });
      const sure = {
        ...evaluation,
        hung: {
          ...evaluation.hung!,
          spread:
            centre === 0
              ? {
                  ...evaluation.hung!.spread,
                  massCentre: [0, 0, 0] as const,
                  covariance: [
                    [0, 0, 0],
                    [0, 0, 0],
                    [0, 0, 0],
                  ] as const,
                }
              : evaluation.hung!.spread,
        },
      } as Evaluation;
      const verdict = verdictOf({ ...balanceContext(assembly, values, want), evaluation: sure }, []);
      expect(verdict.odds!).toBeLessThanOrEqual(last + 1e-9);
      last = verdict.odds!;
      kinds.push(verdict.kind);
      expect(verdict.kind).toBe(verdict.odds! >= 0.95 ? 'holds' : verdict.odds! > 0.05 ? 'mayNot' : 'doesNot');
    }
    expect(kinds[0]).toBe('holds');
    expect(kinds).toContain('mayNot');
  });
  it('never says that it hangs level where builds turn over, and tells how many', () => {
    const { assembly, values, want } = trimmed(0.003, { levelWithin: 20 * DEGREE });
    const verdict = verdictOf(balanceContext(assembly, values, want), []);
    expect(verdict.kind).not.toBe('holds');
    expect(render(verdict.why, METRIC)).toMatch(/\d+ in 100 would turn over/);
    expect(render(verdict.why, METRIC)).toContain('it may be neutral');
  });
  it('puts what stands against it first, and what is only guessed before any odds', () => {
    const { assembly, values, want } = trimmed(0.0001);
    const context = balanceContext(assembly, values, want);
    const finding = (severity: Judgement['severity']): Judgement => ({
      code: 'x',
      severity,
      about: 'a',
      figure: null,
      limit: null,
      title: ['T'],
      why: ['W'],
      toDo: [],
      fixes: [],
      stage: 'frame',
    });
    expect(verdictOf(context, [finding('mend')])).toEqual(jasmine.objectContaining({ kind: 'doesNot', title: ['T'] }));
    expect(verdictOf(context, [finding('measure')]).kind).not.toBe('holds');
    expect(verdictOf(context, [finding('note')]).against).toBeNull();
  });
});

describe('a spread on the bench', () => {
  it('is as far as the screw must go to take it up, and says whether there is room', () => {
    holds(
      fc.property(fc.integer({ min: 1, max: 60 }), (tenths) => {
        const { assembly, values, evaluation } = trimmed(tenths / 1e4);
        const quick = quickBalance(assembly)!;
        const [foreAft] = spreadOnBench({ assembly, values, evaluation, quick });
        const screw = foreAft!.screw!;
        const moved = quick.at({ ...values, [screw.id]: (values[screw.id] ?? 0) + screw.goes });
        const words = render(spreadWords(foreAft!), METRIC);
        return (
          Math.abs(Math.abs(moved.fromPivot[0] - evaluation.hung!.hang.fromPivot[0]) - foreAft!.plusMinus) < 1e-7 &&
          words.includes(screw.left >= screw.goes ? 'there is room' : 'is left on its nearer side') &&
          words.includes('first:')
        );
      }),
      { seed: 15, numRuns: 15 },
    );
  });
  it('of two things with one name is two sources: their errors do not add up as one', () => {
    const twins = new Map([
      [camera.id, { ...camera, name: 'Thing' }],
      [lens.id, { ...lens, name: 'Thing' }],
    ]);
    const other = new Map([
      [camera.id, camera],
      [lens.id, lens],
    ]);
    const spreadOf = (items: typeof other): number =>
      evaluate(assemble(bentBarAssembly().rig, placeLoad(loadout, items)), {}).massSpread;
    expect(spreadOf(twins)).toBeCloseTo(spreadOf(other), 15);
  });
});
