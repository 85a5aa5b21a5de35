import { cure, type CureInput } from './cure';
import { judged, workpiece } from './derive';
import { findingKey, type Judgement } from '../0-base';
import { changedDesign, comesInto, FAMILIES, freed, standing } from '../2-frame';
import { startRig } from './startRig';
import { tried } from './tried';
import { THREE_LOADS } from '../testing/loads';
import { figuresOf, wants as usualWants } from '../testing/rigs';
import type { Wants } from '../model';

/** Tight enough that every family is out of something. */
const wants: Wants = { ...usualWants, bag: [0.3, 0.2, 0.15], massAtMost: 2 };
const { loadout, kit } = THREE_LOADS[1]!;

function started(index: number, asked: Wants = wants): CureInput {
  const start = startRig(FAMILIES[index]!, loadout, kit, asked);
  return {
    rig: { design: start.design, wants: asked, hands: undefined },
    loadout,
    kit,
    values: start.values,
    finding: { code: 'fitsTheBag', about: '' },
  };
}
const findings = (input: CureInput): readonly Judgement[] => {
  const made = workpiece(input.rig, input.loadout, input.kit);
  return made.ok ? judged(made.work, input.values, input.rig.wants).findings : [];
};
const after = (input: CureInput, change: ReturnType<typeof cure>[number]['changes']): CureInput => ({
  ...input,
  rig: { ...input.rig, design: changedDesign(input.rig.design, change, () => 'e') },
  values: {
    ...input.values,
    ...Object.fromEntries(change.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))),
  },
});

describe('cure: a change looked for', () => {
  it('really cures what it is offered for, in every family that has one, with progress told in order', () => {
    let cured = 0;
    const bags = [0.3, 0.4].map((long) => [long, 0.2, 0.15] as const);
    const asked = bags.flatMap((bag) =>
      FAMILIES.map((family, i) => ({ family, input: started(i, { ...wants, bag }) })),
    );
    for (const { family, input } of asked) {
      const bag = findings(input).find((f) => f.code === 'fitsTheBag');
      if (!bag) continue;
      const told: number[] = [];
      for (const found of cure({ ...input, finding: bag }, (part) => told.push(part))) {
        expect(findings(after(input, found.changes)).some((f) => f.code === bag.code && f.about === bag.about))
          .withContext(`${family.id} ${JSON.stringify(found.changes)}`)
          .toBeFalse();
        cured += 1;
      }
      expect(told).toEqual([...told].sort((a, b) => a - b));
      expect(Math.max(...told)).toBeLessThan(1);
    }
    // Few single sizes do it without another fault.
    expect(cured).toBeGreaterThan(2);
  });

  it('goes no further than it must: one step less does not cure', () => {
    let checked = 0;
    for (let family = FAMILIES.length - 1; family >= 0 && checked === 0; family--) {
      const input = started(family, { ...wants, bag: [0.4, 0.2, 0.15] });
      const bag = findings(input).find((f) => f.code === 'fitsTheBag');
      const { design } = input.rig;
      const dimensions = design.kind === 'family' ? design.dimensions : {};
      for (const found of bag ? cure({ ...input, finding: bag }) : []) {
        for (const [id, value] of Object.entries(figuresOf(found.changes))) {
          const was = dimensions[id]?.value;
          if (was === undefined) continue;
          const less = value + Math.sign(was - value) * 0.001;
          expect(
            findings(after(input, [{ kind: 'dimension', id, value: less }])).some(
              (f) => f.code === bag!.code && f.about === bag!.about,
            ),
          )
            .withContext(id)
            .toBeTrue();
          checked += 1;
        }
      }
    }
    expect(checked).toBeGreaterThan(0);
  });

  it('offers nothing that swaps one fault for another, in any family, freed too', () => {
    let offered = 0;
    FAMILIES.forEach((family, i) => {
      // Every other family freed: it takes a second each.
      for (const free of [i % 2 === 1]) {
        const made = started(i);
        const input: CureInput = free ? { ...made, rig: { ...made.rig, design: freed(made.rig.design)! } } : made;
        const before = findings(input);
        const was = new Set(before.map(findingKey));
        for (const bad of before.filter((f) => f.severity === 'mend').slice(0, 1)) {
          for (const found of cure({ ...input, finding: bad })) {
            offered++;
            const then = findings(after(input, found.changes));
            const news = then
              .filter((f) => (f.severity === 'stop' || f.severity === 'mend') && !was.has(findingKey(f)))
              .map((f) => f.code);
            expect(then.some((f) => f.code === bad.code && f.about === bad.about))
              .withContext(`${family.id} ${bad.code}`)
              .toBeFalse();
            if (!found.trimAfter)
              expect(news)
                .withContext(`${family.id} ${bad.code} ${JSON.stringify(found.changes)}`)
                .toEqual([]);
          }
        }
      }
    });
    expect(offered).toBeGreaterThan(2);
  });

  it('finds nothing for a finding that is not there, and nothing where no change helps', () => {
    const input = started(0);
    expect(cure({ ...input, finding: { code: 'noSuchFinding', about: 'nothing' } })).toEqual([]);
    const heavy: CureInput = { ...input, rig: { ...input.rig, wants: { ...wants, massAtMost: 0.01 } } };
    const found = findings(heavy).find((f) => f.code === 'tooHeavy')!;
    expect(cure({ ...heavy, finding: found })).toEqual([]);
  });

  it('offers nothing that brings a piece into another that it was clear of', () => {
    let asked = 0;
    for (const [i, family] of FAMILIES.entries()) {
      // A search takes seconds: some families, and of each the gravest finding.
      if (i % 3 !== 0) continue;
      const input = started(i);
      const made = workpiece(input.rig, input.loadout, input.kit);
      if (!made.ok) continue;
      const before = standing(made.work.assembly, input.values);
      for (const finding of findings(input)
        .filter((f) => f.severity === 'mend' || f.severity === 'stop')
        .slice(0, 1))
        for (const { changes } of cure({ ...input, finding })) {
          const changed = after(input, changes);
          const now = workpiece(changed.rig, changed.loadout, changed.kit);
          asked++;
          expect(now.ok && comesInto(before, now.work.assembly, changed.values))
            .withContext(`${family.id} ${JSON.stringify(changes)}`)
            .toBeFalse();
        }
    }
    expect(asked).toBeGreaterThan(2);
  });

  it('a change that does bring one is seen as that', () => {
    const input = started(FAMILIES.findIndex((f) => f.id === 'gimballed-bent-bar'));
    const made = workpiece(input.rig, input.loadout, input.kit);
    const grip = made.ok ? made.work.rig.bodies.flatMap((b) => b.parts).find((p) => p.name === 'hand grip')! : null;
    const stage = { kind: 'move' as const, id: grip!.id, by: [0, 0, 0.12] as const };
    const [some] = findings(input);
    expect(tried(input, findings(input), some!, [stage])!.comesInto).toBeTrue();
    expect(tried(input, findings(input), some!, [])!.comesInto).toBeFalse();
  });
});
