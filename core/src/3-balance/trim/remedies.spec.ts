/** Wants that cannot be met, for every family: each remedy offered whole is one; and what is asked for is never worse with more travel. */
import * as fc from 'fast-check';
import { METRIC, render } from '../../0-base';
import { placeLoad, sumsOf } from '../../1-load';
import { assemble, changedDesign, designRig, FAMILIES, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Design, Wants } from '../../model';
import { startRig } from '../../9-design/startRig';
import { holds } from '../../testing/holds';
import { THREE_LOADS } from '../../testing/loads';
import { wants as usualWants } from '../../testing/rigs';
import { trim, trimExplained } from '../bench';

const made = (design: Design, load: number): Assembly => {
  const rig = designRig(design);
  if (!rig.ok) throw new Error(rig.reason);
  const { loadout, kit } = THREE_LOADS[load]!;
  return assemble(rig.rig, placeLoad(loadout, kit));
};

/** Tight, but each by itself within what a maker may ask. */
const asked = fc
  .record({
    family: fc.constantFrom(...FAMILIES),
    load: fc.nat(2),
    from: fc.double({ min: 0.4, max: 3, noNaN: true }),
    wide: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
    wrist: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
    level: fc.double({ min: 0.004, max: 0.03, noNaN: true }),
    mass: fc.double({ min: 0.5, max: 3, noNaN: true }),
    massIsFirm: fc.boolean(),
  })
  .filter(
    ({ family, load }) =>
      sumsOf(placeLoad(THREE_LOADS[load]!.loadout, THREE_LOADS[load]!.kit).bodies).mass <=
      (family.suits.loadAtMost ?? Infinity),
  )
  .map(({ family, load, from, wide, wrist, level, mass, massIsFirm }) => {
    const { loadout, kit } = THREE_LOADS[load]!;
    const start = startRig(family, loadout, kit, usualWants);
    const firm = [
      'levelForeAft',
      'levelSideways',
      'dropPitch',
      'wristNose',
      'wristSides',
      'overSupport',
      ...(massIsFirm ? ['mass'] : []),
    ];
    const wants: Wants = {
      ...usualWants,
      dropTime: [from, from + wide],
      wristAtMost: wrist,
      levelWithin: level,
      massAtMost: mass,
      calmAtLeast: 0,
      firm,
    };
    return { family, load, design: start.design, values: start.values, wants };
  });

describe('remedies', () => {
  it('offered whole make it possible, whatever the family and the wants', () => {
    let [impossible, tried] = [0, 0];
    holds(
      fc.property(asked, ({ family, load, design, values, wants }) => {
        const found = trimExplained(made(design, load), values, wants);
        if (found.kind !== 'impossible') return;
        impossible++;
        for (const { whole, changes, wants: part, label } of found.remedies) {
          if (!whole) continue;
          tried++;
          let n = 0;
          const set: AdjusterValues = {
            ...values,
            ...Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))),
          };
          const after = trim(
            made(
              changedDesign(design, changes, () => `r${++n}`),
              load,
            ),
            set,
            { ...wants, ...part },
          );
          if (after.kind !== 'solved')
            throw new Error(
              `${family.id} with load ${load}: “${render(label, METRIC)}” leaves it ${after.kind}${after.kind === 'impossible' ? `, failing ${after.failing}` : ''}`,
            );
        }
      }),
      { seed: 4740, numRuns: 150 },
    );
    // Enough of them came up for this to say something.
    expect(impossible).toBeGreaterThan(10);
    expect(tried).toBeGreaterThan(10);
  });

  it('are not needed where less was asked: what can be had stays so when a want is let out', () => {
    holds(
      fc.property(asked, fc.double({ min: 0, max: 0.5, noNaN: true }), ({ load, design, values, wants }, more) => {
        const assembly = made(design, load);
        const tight = trim(assembly, values, wants);
        if (tight.kind !== 'solved') return;
        const loose = trim(assembly, values, {
          ...wants,
          dropTime: [wants.dropTime[0] * (1 - more / 2), wants.dropTime[1] * (1 + more)],
          wristAtMost: wants.wristAtMost! * (1 + more),
          levelWithin: wants.levelWithin * (1 + more),
          massAtMost: wants.massAtMost * (1 + more),
        });
        expect(loose.kind).toBe('solved');
        if (loose.kind === 'solved' && tight.unmet.length === 0)
          expect(loose.addedMass).toBeLessThanOrEqual(tight.addedMass + 1e-9);
      }),
      { seed: 4741, numRuns: 60 },
    );
  });
});
