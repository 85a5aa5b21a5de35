import * as fc from 'fast-check';
import { holds } from '../../testing/holds';
import { bentBarAssembly, balanceContext, wants } from '../../testing/rigs';
import { BALANCE_CHECKS } from '../checks';
import { leansInPan } from '../checks/leansInPan';
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
    const told = BALANCE_CHECKS.flatMap((c) =>
      c.look(balanceContext(assembly, values, { ...wants, panLeanAtMost: 1e-4 })),
    ).find((f) => f.code === 'leansInPan');
    expect(told?.severity).toBe('mend');
  });
  it('is told on the bench by the same figure as in the pan, whatever the set-up, and also where it all but lies down', () => {
    let [leans, falls] = [0, 0];
    const ofBench = { panLeanAtMost: 0.002 };
    // Slides as long as it takes, so that each set-up can be laid level with its mass centre just so far under the pivot.
    const free = {
      ...assembly,
      rig: {
        ...assembly.rig,
        adjusters: assembly.rig.adjusters.map((a) => (a.kind === 'count' ? a : { ...a, range: [-1, 1] as const })),
      },
    };
    holds(
      fc.property(
        fc.integer({ min: 0, max: 16 }),
        fc.integer({ min: 0, max: 16 }),
        fc.integer({ min: 2, max: 16 }),
        fc.constantFrom(0.0002, 0.0005, 0.001, 0.002, 0.004),
        (rear, front, foot, under) => {
          const counts = { ...values, 'rear-count': rear, 'front-count': front, 'foot-count': foot, 'pivot-height': 0 };
          const centre = (stage: number) => evaluate(free, { ...counts, 'stage-fore-aft': stage }).hung!.hang.fromPivot;
          const slope = (centre(0.1)[0] - centre(0)[0]) / 0.1;
          const stage = -centre(0)[0] / slope;
          const set = { ...counts, 'stage-fore-aft': stage, 'pivot-height': under + centre(stage)[2] };
          const at = evaluate(free, set).hung!;
          const told = leansInPan.look(balanceContext(free, set, { ...wants, ...ofBench }))[0];
          const reading = panReading(at, Math.PI / 4, 0.7);
          if (!reading) return told === undefined;
          if (!reading.lean) return told !== undefined && told.figure === null && told.severity === 'mend';
          const far = Math.max(Math.abs(reading.lean.noseUp), Math.abs(reading.lean.leftUp));
          if (far > ofBench.panLeanAtMost) leans++;
          // All but lying on its side: to be told before anything.
          if (far > 0.8) falls++;
          return far > ofBench.panLeanAtMost ? told?.figure?.value === far : told === undefined;
        },
      ),
      { seed: 17, numRuns: 200 },
    );
    expect(leans).toBeGreaterThan(20);
    expect(falls).toBeGreaterThan(20);
  });
  it('of a rig that turns over there is none', () => {
    const over = evaluate(assembly, { ...values, 'pivot-height': -0.008, 'foot-count': 0 });
    expect(panReading(over.hung!, 1, 0.7)).toBeNull();
  });
});
