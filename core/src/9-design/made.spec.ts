/** From a rig of any family and size to its cuts, its shopping, its steps and its sheets: nothing forgotten, nothing twice, nothing out of order. */
import * as fc from 'fast-check';
import { METRIC, render } from '../0-base';
import { assemble, FAMILIES, FRAME_CHECKS, placedPieces, type Family } from '../2-frame';
import { familyInput } from '../2-frame/family';
import { barPlans, stockPlan } from '../5-stock';
import { barTemplate, buildOrder, buildSteps, scaleFor, squareOn, type BuildStep } from '../6-build';
import type { BinItem, Rig } from '../model';
import { holds } from '../testing/holds';
import { frameContext } from '../testing/rigs';

/** Sized anywhere within its ranges, with any choices. */
const rigs: fc.Arbitrary<{ readonly family: Family; readonly rig: Rig }> = fc
  .record({
    family: fc.constantFrom(...FAMILIES),
    sizes: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 40, maxLength: 40 }),
    choices: fc.array(fc.nat(50), { minLength: 12, maxLength: 12 }),
    moved: fc.array(fc.nat(40), { maxLength: 5 }),
  })
  .map(({ family, sizes, choices, moved }) => {
    const dimensions = Object.fromEntries(
      moved
        .map((m) => family.dimensions[m % family.dimensions.length]!)
        .map((d, i) => [d.id, { value: d.range[0] + (d.range[1] - d.range[0]) * sizes[i]! }]),
    );
    const { input } = familyInput(
      family,
      dimensions,
      Object.fromEntries(family.choices.map((c, i) => [c.id, c.options[choices[i]! % c.options.length]!.id])),
    );
    return { family, rig: family.build(input) };
  });
const KERF = 0.0015;
const membersOf = (rig: Rig): readonly string[] => rig.bodies.flatMap((b) => b.members.map((m) => m.id));
const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, {}, buildOrder(assemble(rig, null), {}));
  if (ordered.kind !== 'ordered') throw new Error(`${ordered.kind}: ${ordered.ids.join()}`);
  return ordered.steps;
};

/** What its checks find fault with, by element. */
const said = (rig: Rig): ReadonlySet<string> =>
  new Set(
    FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(rig, null))))
      .filter((f) => f.severity === 'stop')
      .flatMap((f) => f.about),
  );

describe('what a rig is made from', () => {
  it('is cut from bars: every member once, at its blank’s length, no bar overrun by pieces and saw cuts', () => {
    holds(
      fc.property(rigs, ({ family, rig }) => {
        const { cuts } = stockPlan(rig, {}, [], KERF);
        expect(cuts.flatMap((c) => c.pieces.map((p) => p.member)).sort())
          .withContext(family.name)
          .toEqual([...membersOf(rig)].sort());
        for (const cut of cuts) {
          if (cut.outcome.kind === 'noSolution') continue;
          const sawn = cut.bars.flatMap((b) => b.pieces).sort((a, b) => a - b);
          const wanted = cut.pieces.map((p) => p.length).sort((a, b) => a - b);
          expect(sawn.length).withContext(cut.stock).toBe(wanted.length);
          sawn.forEach((s, i) => expect(s).withContext(cut.stock).toBeCloseTo(wanted[i]!, 8));
          for (const bar of cut.bars)
            expect(bar.pieces.reduce((sum, p) => sum + p, (bar.pieces.length - 1) * KERF))
              .withContext(cut.stock)
              .toBeLessThanOrEqual(bar.length + 1e-8);
        }
      }),
      { seed: 61, numRuns: 60 },
    );
  });
  it('is bought in packs and bars that hold all it needs, less what is in the bin, at what they cost', () => {
    holds(
      fc.property(rigs, fc.nat(40), ({ family, rig }, have) => {
        const bare = stockPlan(rig, {}, [], KERF);
        for (const line of bare.lines) {
          if (line.kind === 'packs')
            expect(line.buy * line.packOf)
              .withContext(line.item)
              .toBeGreaterThanOrEqual(line.needed);
          if (line.kind === 'packs')
            expect((line.buy - 1) * line.packOf)
              .withContext(line.item)
              .toBeLessThan(Math.max(1, line.needed));
          expect(line.cost)
            .withContext(line.item)
            .toBeCloseTo(line.buy * line.unitPrice, 9);
        }
        expect(new Set(bare.lines.map((l) => l.item)).size)
          .withContext(family.name)
          .toBe(bare.lines.length);
        expect(bare.cost)
          .withContext(family.name)
          .toBeCloseTo(
            bare.lines.reduce((sum, l) => sum + l.cost, 0),
            9,
          );
        // A fuller bin never makes it dearer, and a full one leaves nothing to buy in packs.
        const bin = bare.lines
          .filter((l) => l.kind === 'packs')
          .map((l, i): BinItem => ({ id: `b${i}`, name: l.item, count: have, lengths: [] }));
        const some = stockPlan(rig, {}, bin, KERF);
        expect(some.cost)
          .withContext(family.name)
          .toBeLessThanOrEqual(bare.cost + 1e-9);
        const full = stockPlan(
          rig,
          {},
          bin.map((b) => ({ ...b, count: 10_000 })),
          KERF,
        );
        expect(full.lines.filter((l) => l.kind === 'packs').reduce((sum, l) => sum + l.buy, 0))
          .withContext(family.name)
          .toBe(0);
      }),
      { seed: 62, numRuns: 60 },
    );
  });
});

describe('how a rig is made', () => {
  it('has steps with tool, figures and check, none before its needs, every member cut, what cannot be undone not first', () => {
    holds(
      fc.property(rigs, ({ family, rig }) => {
        const steps = stepsOf(rig);
        const ids = new Set(steps.map((s) => s.id));
        expect(ids.size).withContext(family.name).toBe(steps.length);
        const done = new Set<string>();
        for (const step of steps) {
          expect(step.needs.filter((n) => ids.has(n) && !done.has(n)))
            .withContext(`${family.name}: ${step.id}`)
            .toEqual([]);
          expect(step.tool.length).withContext(step.id).toBeGreaterThan(0);
          expect(step.minutes).withContext(step.id).toBeGreaterThan(0);
          for (const phrase of [step.title, step.check, ...step.figures])
            expect(render(phrase, METRIC))
              .withContext(step.id)
              .not.toMatch(/NaN|undefined|Infinity/);
          done.add(step.id);
        }
        for (const member of membersOf(rig))
          expect(steps.some((s) => s.about === member && s.id.startsWith('cut:')))
            .withContext(`${family.name}: ${member}`)
            .toBeTrue();
      }),
      { seed: 63, numRuns: 60 },
    );
  });
  it('keeps the marks of every bar on its blank, in order along it', () => {
    holds(
      fc.property(rigs, ({ family, rig }) => {
        for (const bar of barPlans(rig)) {
          expect(bar.blank)
            .withContext(bar.name)
            .toBeGreaterThanOrEqual(bar.finished - 1e-12);
          for (const mark of bar.marks) {
            // A maker may type a hole off the end: then it is said, not drawn as if it could be.
            if (mark.along < -1e-9 || mark.along > bar.blank + 1e-9)
              expect(said(rig).has(bar.member))
                .withContext(`${family.name}: ${bar.name}, ${mark.name} at ${mark.along} of ${bar.blank}`)
                .toBeTrue();
          }
          const bends = bar.marks.filter((m) => m.kind.startsWith('bend')).map((m) => m.along);
          expect(bends)
            .withContext(bar.name)
            .toEqual([...bends].sort((a, b) => a - b));
          const sheet = barTemplate(bar, 0.02);
          expect(sheet.marks.length).withContext(bar.name).toBe(bar.marks.length);
          expect(sheet.length).withContext(bar.name).toBe(bar.blank);
        }
      }),
      { seed: 64, numRuns: 60 },
    );
  });
  it('is drawn square-on with everything on the sheet and the views beside one another', () => {
    holds(
      fc.property(rigs, ({ family, rig }) => {
        const sheet = squareOn(placedPieces(assemble(rig, null), {}));
        const spans = sheet.views.map((view) => {
          const points = view.outlines.flatMap((o) => [...o.points, ...(o.bore ?? [])]);
          for (const [u, v] of points) {
            expect(u >= -1e-9 && u <= sheet.width + 1e-9 && v >= -1e-9 && v <= sheet.height + 1e-9)
              .withContext(`${family.name}, ${view.title}`)
              .toBeTrue();
          }
          return [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[0]))] as const;
        });
        spans.slice(1).forEach(([from], i) => expect(from).withContext(family.name).toBeGreaterThan(spans[i]![1]));
        const scale = scaleFor(sheet, [0.297, 0.21]);
        if (scale !== null)
          expect(Math.max(sheet.width / scale / 0.297, sheet.height / scale / 0.21))
            .withContext(family.name)
            .toBeLessThanOrEqual(1);
      }),
      { seed: 65, numRuns: 40 },
    );
  });
});
