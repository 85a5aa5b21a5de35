import { bodiesBeyond } from '../../2-frame';
import { bentBarAssembly, balanceContext, wants } from '../../testing/rigs';
import { inertiaAbout, massCentre, sumsOf } from '../../1-load';
import { subtract } from '../../0-base';
import { BALANCE_CHECKS } from '../checks';
import { evaluate } from '../evaluate';
import { trim } from '../trim/trim';
import { afterMove, movesForPan, panReading, panRigOf, smallLean } from './panReading';
import { steadyPan } from './panLean';

const assembly = bentBarAssembly();
const found = trim(assembly, {}, wants);
const values = found.kind === 'solved' ? found.values : {};
const evaluation = evaluate(assembly, values);
const hung = evaluation.hung!;

describe('a pan as the picture sees it', () => {
  it('at rest does not lean, and leans more the faster', () => {
    expect(panReading(hung, 0, 0.7)!.lean!.noseUp).toBeCloseTo(0, 12);
    const leans = [0.2, 0.4, 0.6].map((rate) => Math.abs(panReading(hung, rate, 0.7)?.lean?.noseUp ?? Infinity));
    expect(leans[1]!).toBeGreaterThan(leans[0]!);
    expect(leans[2]!).toBeGreaterThan(leans[1]!);
  });
  it('agrees with the small-angle form at a slow rate, and the check goes by it', () => {
    const rig = panRigOf(hung);
    const exact = panReading(hung, 0.1, 0.7)!.lean!;
    expect(smallLean(rig, 0.1).noseUp / exact.noseUp).toBeCloseTo(1, 1);
    const told = BALANCE_CHECKS.flatMap((c) => c.look(balanceContext(assembly, values, { ...wants, panLeanAtMost: 1e-4 }))).find((f) => f.code === 'leansInPan');
    expect(told?.severity).toBe('mend');
  });
  it('each move it offers takes the product away and leaves it level', () => {
    const carries = bodiesBeyond(assembly.rig, hung.pivot);
    const moves = movesForPan(hung, evaluation.pieces, carries).filter((m) => m.product === 'foreAft');
    expect(moves.length).toBeGreaterThan(0);
    for (const move of moves) {
      const own = sumsOf(evaluation.pieces.filter((p) => p.flat.owner === move.owner).map((p) => p.flat));
      const moved = afterMove(panRigOf(hung), own.mass, subtract(massCentre(own), hung.pivotAt), move.up);
      expect(moved.inertia[0][2]).withContext(move.name).toBeCloseTo(0, 12);
      expect(moved.fromPivot[0]).toBe(hung.hang.fromPivot[0]);
      // The shifted form agrees with adding the bodies up anew.
      const whole = sumsOf(evaluation.pieces.filter((p) => carries.has(p.body)).map((p) => (p.flat.owner === move.owner ? { ...p.flat, centre: [p.flat.centre[0], p.flat.centre[1], p.flat.centre[2] + move.up] as const } : p.flat)));
      expect(inertiaAbout(whole, hung.pivotAt)[1][1]).toBeCloseTo(moved.inertia[1][1], 10);
      const rest = steadyPan(moved, 0.5);
      if (rest && moved.fromPivot[2] < 0) expect(rest.lensElevation).toBeCloseTo(steadyPan(moved, 0)!.lensElevation, 1);
    }
  });
  it('of a rig that turns over there is none', () => {
    const over = evaluate(assembly, { ...values, 'pivot-height': -0.008, 'foot-count': 0 });
    expect(panReading(over.hung!, 1, 0.7)).toBeNull();
  });
});
