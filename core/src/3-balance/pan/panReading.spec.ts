import { bentBarAssembly, balanceContext, wants } from '../../testing/rigs';
import { BALANCE_CHECKS } from '../checks';
import { evaluate } from '../evaluate';
import { trim } from '../trim/trim';
import { panReading, panRigOf, smallLean } from './panReading';

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
  it('of a rig that turns over there is none', () => {
    const over = evaluate(assembly, { ...values, 'pivot-height': -0.008, 'foot-count': 0 });
    expect(panReading(over.hung!, 1, 0.7)).toBeNull();
  });
});
