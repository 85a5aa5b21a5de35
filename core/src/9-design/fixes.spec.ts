/** Every change offered in one click, by any check of any family: applied, it does away with what it is offered for, or leaves less of it. */
import * as fc from 'fast-check';
import { findingKey, METRIC, render, type Change, type Judgement, type UnitChoice } from '../0-base';
import { judged, workpiece } from './derive';
import { changedDesign, FAMILIES, freed, type AdjusterValues, type Family } from '../2-frame';
import { sumsOf, placeLoad } from '../1-load';
import { startRig } from './startRig';
import { mayOffer } from './tried';
import { holds } from '../testing/holds';
import { THREE_LOADS } from '../testing/loads';
import { wants as usualWants } from '../testing/rigs';
import type { Design, Wants } from '../model';

interface Case {
  readonly family: Family;
  readonly load: number;
  readonly design: Design;
  readonly values: AdjusterValues;
  readonly wants: Wants;
}

/** A started rig put out of order: a few sizes, a choice, and everything that can be set. */
const cases: fc.Arbitrary<Case | null> = fc
  .record({
    family: fc.constantFrom(...FAMILIES),
    load: fc.nat(2),
    sizes: fc.array(fc.tuple(fc.nat(30), fc.double({ min: 0, max: 1, noNaN: true })), { maxLength: 3 }),
    choice: fc.tuple(fc.nat(30), fc.nat(30)),
    settings: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 12, maxLength: 12 }),
    massAtMost: fc.double({ min: 0.6, max: 3, noNaN: true }),
    wrist: fc.double({ min: 0.1, max: 2, noNaN: true }),
  })
  .map(({ family, load, sizes, choice, settings, massAtMost, wrist }) => {
    const { loadout, kit } = THREE_LOADS[load]!;
    if (sumsOf(placeLoad(loadout, kit).bodies).mass > (family.suits.loadAtMost ?? Infinity)) return null;
    const wants: Wants = { ...usualWants, massAtMost, wristAtMost: wrist, bag: [0.5, 0.3, 0.2] };
    const start = startRig(family, loadout, kit, wants);
    const option = family.choices[choice[0] % family.choices.length]!;
    const changes: Change[] = [
      ...sizes.map(([n, part]): Change => {
        const spec = family.dimensions[n % family.dimensions.length]!;
        return { kind: 'dimension', id: spec.id, value: spec.range[0] + part * (spec.range[1] - spec.range[0]) };
      }),
      { kind: 'choice', id: option.id, value: option.options[choice[1] % option.options.length]!.id },
    ];
    const design = changedDesign(start.design, changes, () => 'e');
    const made = workpiece({ design }, loadout, kit);
    if (!made.ok) return null;
    const values = Object.fromEntries(
      made.work.rig.adjusters.map((a, i) => [
        a.id,
        Math.round((a.range[0] + settings[i % settings.length]! * (a.range[1] - a.range[0])) / a.step) * a.step,
      ]),
    );
    return { family, load, design, values, wants };
  });

const findingsOf = ({ load, design, values, wants }: Omit<Case, 'family'>): readonly Judgement[] => {
  const made = workpiece({ design }, THREE_LOADS[load]!.loadout, THREE_LOADS[load]!.kit);
  return made.ok ? judged(made.work, values, wants).findings : [];
};
const SEVERITY: Readonly<Record<Judgement['severity'], number>> = { stop: 3, mend: 2, measure: 1, note: 0 };
const beyond = (f: Judgement): number => (f.figure && f.limit ? Math.abs(f.figure.value - f.limit.value) : Infinity);

const INCH: UnitChoice = { ...METRIC, system: 'inch' };

describe('every finding', () => {
  it('says figures that are figures, in millimetres and inches, what to do, and of what it is said', () => {
    const said = new Set<string>();
    holds(
      fc.property(cases, (made) => {
        if (!made) return;
        for (const finding of findingsOf(made)) {
          said.add(finding.code);
          for (const units of [METRIC, INCH]) {
            for (const phrase of [finding.title, finding.why, finding.toDo, ...finding.fixes.map((f) => f.label)]) {
              const text = render(phrase, units);
              if (/NaN|undefined|Infinity|null|-0(\.0+)?(?![\d.])/.test(text) || text.trim() === '')
                throw new Error(`${finding.code}: ${text}`);
            }
          }
          for (const f of [finding.figure, finding.limit])
            if (f && !Number.isFinite(f.value)) throw new Error(`${finding.code}: a figure of ${f.value}`);
          if (finding.about === '') throw new Error(`${finding.code} is about nothing`);
        }
      }),
      { seed: 4721, numRuns: 150 },
    );
    expect(said.size).toBeGreaterThan(30);
  });
});

describe('a fix that a check has worked out', () => {
  it('is offered only where it helps and brings nothing else, of families and freed rigs alike', () => {
    let [offered, kept, freedOnes] = [0, 0, 0];
    holds(
      fc.property(cases, fc.boolean(), (made, free) => {
        if (!made) return;
        const on = { ...made, design: free ? (freed(made.design) ?? made.design) : made.design };
        const { loadout, kit } = THREE_LOADS[made.load]!;
        const before = findingsOf(on);
        const was = new Set(before.map(findingKey));
        for (const finding of before) {
          for (const fix of finding.fixes) {
            if (fix.changes.some((c) => c.kind === 'mount')) continue;
            if (
              !mayOffer(
                { rig: { design: on.design, wants: made.wants, hands: undefined }, loadout, kit, values: made.values },
                before,
                finding,
                fix.changes,
              )
            ) {
              kept++;
              continue;
            }
            offered++;
            if (free) freedOnes++;
            let n = 0;
            const then = findingsOf({
              ...on,
              design: changedDesign(on.design, fix.changes, () => `fix-${++n}`),
              values: {
                ...made.values,
                ...Object.fromEntries(fix.changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))),
              },
            });
            // Nothing new but what a trim is for; and the same rig is not offered back.
            const news = then.filter((f) => f.severity === 'stop' && !was.has(findingKey(f)));
            expect(news.map((f) => f.code))
              .withContext(`${made.family.id}: ${finding.code}`)
              .toEqual([]);
            const left = then.find((f) => f.code === finding.code && f.about === finding.about);
            expect(!left || SEVERITY[left.severity] < SEVERITY[finding.severity] || beyond(left) < beyond(finding))
              .withContext(finding.code)
              .toBeTrue();
          }
        }
      }),
      { seed: 4724, numRuns: 60 },
    );
    expect(Math.min(offered, kept, freedOnes))
      .withContext(`${offered}, ${kept}, ${freedOnes}`)
      .toBeGreaterThan(5);
  });
});

describe('every change offered in one click', () => {
  it('does away with what it is offered for, or leaves less of it', () => {
    const codes = new Map<string, number>();
    const bad = new Map<string, string[]>();
    holds(
      fc.property(cases, (made) => {
        if (!made) return;
        for (const finding of findingsOf(made)) {
          for (const fix of finding.fixes) {
            if (fix.changes.some((c) => c.kind === 'mount')) continue;
            let n = 0;
            const after: Omit<Case, 'family'> = {
              ...made,
              design: changedDesign(made.design, fix.changes, () => `fix-${++n}`),
              values: {
                ...made.values,
                ...Object.fromEntries(fix.changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : []))),
              },
            };
            const left = findingsOf(after).find((f) => f.code === finding.code && f.about === finding.about);
            codes.set(finding.code, (codes.get(finding.code) ?? 0) + 1);
            const better =
              !left || SEVERITY[left.severity] < SEVERITY[finding.severity] || beyond(left) < beyond(finding);
            if (!better)
              bad.set(finding.code, [
                ...(bad.get(finding.code) ?? []),
                `${made.family.id}: ${finding.about} ${JSON.stringify(fix.changes)} ${JSON.stringify(made.values)} ${finding.figure?.value} limit ${finding.limit?.value} -> ${left.figure?.value} limit ${left.limit?.value}`,
              ]);
          }
        }
      }),
      { seed: 4720, numRuns: 250 },
    );
    // Enough kinds of them came up for this to say something.
    expect(codes.size).toBeGreaterThan(20);
    expect([...bad].map(([code, list]) => `${code}: ${list.slice(0, 3).join('; ')}`)).toEqual([]);
  });
});
