import * as fc from 'fast-check';
import { addScaled, type Vec3 } from '../../0-base';
import { inertiaAbout, sumsOf } from '../../1-load';
import { bodiesBeyond, type Assembly, type PlacedPiece } from '../../2-frame';
import { holds } from '../../testing/holds';
import { bentBarAssembly, wants } from '../../testing/rigs';
import { evaluate, type Evaluation } from '../evaluate';
import { trim } from '../trim/trim';
import { steadyPan } from './panLean';
import { panPlans, type PanInput, type PanPlan } from './panPlans';
import { panRigOf, smallLean } from './panReading';

const assembly = bentBarAssembly();
const found = trim(assembly, {}, wants);
const values = found.kind === 'solved' ? found.values : {};
const carries = bodiesBeyond(assembly.rig, evaluate(assembly, values).hung!.pivot);

/** The same with lumps out to the sides: heavy things hung on unevenly. */
function lopsided(lumps: readonly { readonly at: Vec3; readonly grams: number }[]): { readonly assembly: Assembly; readonly evaluation: Evaluation } {
  const like = assembly.pieces.find((p) => carries.has(p.body) && p.movedBy.length === 0)!;
  const made = lumps.map(({ at, grams }, i) => ({ ...like, flat: { ...like.flat, owner: `lump-${i}`, name: `lump ${i}`, centre: at, mass: grams / 1000, inertia: [[1e-6, 0, 0], [0, 1e-6, 0], [0, 0, 1e-6]] as const } }));
  const with_ = { ...assembly, pieces: [...assembly.pieces, ...made] };
  return { assembly: with_, evaluation: evaluate(with_, values) };
}

/** Everything added up again with the plan's things moved: no formula of the plan is used. */
function after({ evaluation }: { readonly evaluation: Evaluation }, { moves }: PanPlan) {
  const hung = evaluation.hung!;
  const moved = (p: PlacedPiece): Vec3 => moves.filter((m) => (m.kind === 'thing' ? p.flat.owner === m.id : p.movedBy.includes(assembly.rig.adjusters.findIndex((a) => a.id === m.id)))).reduce<Vec3>((c, m) => addScaled(c, m.along, m.by), p.flat.centre);
  const sums = sumsOf(evaluation.pieces.filter((p) => carries.has(p.body)).map((p) => ({ ...p.flat, centre: moved(p) })));
  return { sums, inertia: inertiaAbout(sums, hung.pivotAt), before: hung.sums };
}
const plansOf = ({ evaluation }: { readonly evaluation: Evaluation }, movesAs: PanInput['movesAs'] = (id) => ({ id, pair: false })): readonly PanPlan[] => panPlans({ rig: assembly.rig, values, hung: evaluation.hung!, pieces: evaluation.pieces, carries, movesAs });

describe('plans for a level pan', () => {
  /** In pairs opposite one another about the pivot, one high and one low: level stays, the pan does not. */
  const pivot = evaluate(assembly, values).hung!.pivotAt;
  const pair = (x: number, y: number, high: number, low: number, grams: number) => [{ at: [pivot[0] + x, pivot[1] + y, pivot[2] + high] as const, grams }, { at: [pivot[0] - x, pivot[1] - y, pivot[2] - low] as const, grams }];
  const lumps = fc.array(fc.record({ x: fc.integer({ min: -200, max: 200 }), y: fc.integer({ min: -120, max: 120 }), high: fc.integer({ min: 0, max: 100 }), low: fc.integer({ min: 110, max: 300 }), grams: fc.integer({ min: 100, max: 500 }) }), { minLength: 1, maxLength: 2 })
    .map((pairs) => pairs.flatMap((p) => pair(p.x / 1000, p.y / 1000, p.high / 1000, p.low / 1000, p.grams)));

  it('take away what they say of both products, leave it level, and keep the height where they say so', () => {
    let whole = 0;
    holds(fc.property(lumps, (list) => {
      const made = lopsided(list);
      const { hung } = made.evaluation;
      if (!hung?.hang.rest) return true;
      return plansOf(made).every((plan) => {
        const { sums, inertia, before } = after(made, plan);
        const rig = panRigOf(hung);
        const level = Math.abs(sums.first[0] - before.first[0]) < 1e-9 && Math.abs(sums.first[1] - before.first[1]) < 1e-9;
        const height = !plan.keepsHeight || Math.abs(sums.first[2] - before.first[2]) <= 3.1e-4 * sums.mass;
        if (plan.takesAway === 1) whole++;
        // What leans is taken away by that part; what did not lean is not brought to.
        const lean = smallLean(rig, Math.PI / 4);
        const left = (1 - plan.takesAway) * (Math.abs(lean.noseUp) > 0.006 ? rig.inertia[0][2] : 0);
        const aside = (1 - plan.takesAway) * (Math.abs(lean.leftUp) > 0.006 ? rig.inertia[1][2] : 0);
        const near = (got: number, wanted: number, seen: boolean): boolean => (seen ? Math.abs(got - wanted) < 1e-9 : true);
        return level && height && near(inertia[0][2], left, Math.abs(lean.noseUp) > 0.006) && near(inertia[1][2], aside, Math.abs(lean.leftUp) > 0.006) && plan.moves.every((m) => m.kind === 'adjuster' || Math.abs(m.by) <= 0.12 + 1e-9);
      });
    }), { seed: 31, numRuns: 60 });
    expect(whole).toBeGreaterThan(20);
  });

  it('of a rig with one heavy thing hung out to the side bring the pan level, as the exact lean shows', () => {
    const made = lopsided(pair(0.15, 0.12, 0.04, 0.2, 300));
    const hung = made.evaluation.hung!;
    const plan = plansOf(made).find((p) => p.takesAway === 1)!;
    const { sums, inertia } = after(made, plan);
    const leans = (i: typeof inertia, first: readonly number[]) => {
      const rig = { mass: sums.mass, fromPivot: [first[0]! / sums.mass - hung.pivotAt[0], first[1]! / sums.mass - hung.pivotAt[1], first[2]! / sums.mass - hung.pivotAt[2]] as const, inertia: i };
      const [still, panned] = [steadyPan(rig, 0)!, steadyPan(rig, Math.PI / 4)!];
      return Math.max(Math.abs(still.lensElevation - panned.lensElevation), Math.abs(still.leftElevation - panned.leftElevation));
    };
    expect(leans(inertiaAbout(hung.sums, hung.pivotAt), hung.sums.first)).toBeGreaterThan(0.006);
    expect(leans(inertia, sums.first)).toBeLessThan(0.006);
  });

  it('never move what does not move by itself', () => {
    const made = lopsided(pair(0.15, 0.12, 0.04, 0.2, 300));
    expect(plansOf(made, () => null).flatMap((p) => p.moves.filter((m) => m.kind === 'thing'))).toEqual([]);
  });
});
