import fc from 'fast-check';
import { holds } from '../../testing/holds';
import { FAMILIES, USUAL_HANDS } from '../../2-frame';
import type { Rig } from '../../model';
import { sheetNeeds } from './sheetPieces';
import { sheetNest, sheetsByArea, type SheetNest, type SheetProblem } from './sheetNest';

type Nested = Extract<SheetNest, { kind: 'nested' }>;
const nested = (problem: SheetProblem): Nested => {
  const found = sheetNest(problem);
  if (found.kind !== 'nested') throw new Error(`too large: ${found.tooLarge.join()}`);
  return found;
};
/** What is wrong with a layout, in words; empty: every piece lies once, within the margin, a kerf from each other. */
function faultsOf({ sheet, kerf, margin, pieces }: SheetProblem, { layout, sheets }: Nested): string[] {
  const boxes = layout.map((l) => {
    const { width, height } = pieces[l.piece]!;
    const [w, h] = l.turned ? [height, width] : [width, height];
    return { ...l, w, h };
  });
  const near = 1e-9;
  return [
    ...pieces.flatMap((p, i) => (layout.filter((l) => l.piece === i).length === p.count ? [] : [`count of ${i}`])),
    ...boxes.flatMap((b) => [
      ...(b.x < margin - near || b.y < margin - near ? ['over the near edge'] : []),
      ...(b.x + b.w > sheet.width - margin + near || b.y + b.h > sheet.height - margin + near
        ? ['over the far edge']
        : []),
      ...(b.turned && !pieces[b.piece]!.turn ? ['against the grain'] : []),
      ...(b.sheet >= sheets ? ['on no sheet'] : []),
    ]),
    ...boxes.flatMap((a, i) =>
      boxes
        .slice(i + 1)
        .flatMap((b) =>
          a.sheet === b.sheet &&
          a.x < b.x + b.w + kerf - near &&
          b.x < a.x + a.w + kerf - near &&
          a.y < b.y + b.h + kerf - near &&
          b.y < a.y + a.h + kerf - near
            ? ['on one another']
            : [],
        ),
    ),
  ];
}

describe('a nest on sheets', () => {
  const board = { width: 0.3, height: 0.2 };
  it('fills a sheet exactly once kerfs are counted, though no cut goes from edge to edge', () => {
    // Four round a fifth, like a wheel.
    const wheel: SheetProblem = {
      sheet: { width: 0.303, height: 0.303 },
      kerf: 0.003,
      margin: 0,
      pieces: [
        { width: 0.2, height: 0.1, count: 4, turn: true },
        { width: 0.097, height: 0.097, count: 1, turn: true },
      ],
    };
    const found = nested(wheel);
    expect([found.sheets, found.atLeast]).toEqual([1, 1]);
    expect(faultsOf(wheel, found)).toEqual([]);
  });
  it('keeps the grain: what would fit turned needs another sheet', () => {
    const pieces = [{ width: 0.19, height: 0.29, count: 1, turn: false }];
    expect(sheetNest({ sheet: board, kerf: 0, margin: 0, pieces })).toEqual({ kind: 'noSolution', tooLarge: [0] });
    const turned = { sheet: board, kerf: 0, margin: 0, pieces: [{ ...pieces[0]!, turn: true }] };
    expect(nested(turned).layout[0]!.turned).toBeTrue();
  });
  it('proves two sheets where area says one', () => {
    const problem: SheetProblem = {
      sheet: { width: 1, height: 1 },
      kerf: 0,
      margin: 0,
      pieces: [{ width: 0.51, height: 0.51, count: 2, turn: true }],
    };
    expect(sheetsByArea(problem)).toBe(1);
    const found = nested(problem);
    expect([found.sheets, found.atLeast]).toEqual([2, 2]);
    expect(found.usedShare).toBeCloseTo(0.51 ** 2, 9);
  });
  it('lies as it may, whatever the pieces; never fewer than by area, never more than one each', () => {
    const size = fc.integer({ min: 20, max: 180 }).map((mm) => mm / 1000);
    const piece = fc.record({ width: size, height: size, count: fc.integer({ min: 1, max: 2 }), turn: fc.boolean() });
    holds(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 4 }),
        fc.constantFrom(0, 0.002, 0.003),
        fc.constantFrom(0, 0.005),
        (pieces, kerf, margin) => {
          const problem = { sheet: { width: 0.3, height: 0.2 }, kerf, margin, pieces };
          const found = sheetNest(problem);
          if (found.kind === 'noSolution') return;
          expect(faultsOf(problem, found)).toEqual([]);
          expect(found.atLeast).toBeGreaterThanOrEqual(sheetsByArea(problem));
          expect(found.sheets).toBeGreaterThanOrEqual(found.atLeast);
          expect(found.sheets).toBeLessThanOrEqual(pieces.reduce((sum, p) => sum + p.count, 0));
        },
      ),
      { seed: 24, numRuns: 60 },
    );
  });
  it('finds one sheet for whatever was sawn out of one, cut by cut', () => {
    // A board cut at random from edge to edge into pieces: it can be put together again.
    const cuts = fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 25, max: 75 })), { minLength: 2, maxLength: 6 });
    holds(
      fc.property(cuts, (list) => {
        let parts = [{ width: 0.4, height: 0.3 }];
        for (const [isAcross, percent] of list) {
          parts = parts.sort((a, b) => b.width * b.height - a.width * a.height);
          const [{ width, height }, ...rest] = parts as [{ width: number; height: number }];
          const share = percent / 100;
          const cut = isAcross ? width * share : height * share;
          parts = isAcross
            ? [{ width: cut, height }, { width: width - cut, height }, ...rest] // prettier-ignore
            : [{ width, height: cut }, { width, height: height - cut }, ...rest]; // prettier-ignore
        }
        // Sawn at whole tenths of a millimetre, so that the pieces are no longer than their places.
        const pieces = parts.map((p) => ({
          width: Math.floor(p.width * 1e4) / 1e4,
          height: Math.floor(p.height * 1e4) / 1e4,
          count: 1,
          turn: false,
        }));
        const problem = { sheet: { width: 0.4, height: 0.3 }, kerf: 0, margin: 0, pieces };
        const found = nested(problem);
        expect(found.sheets).toBe(1);
        expect(faultsOf(problem, found)).toEqual([]);
      }),
      { seed: 25, numRuns: 60 },
    );
  });
});

describe('what rigs need out of sheets', () => {
  const build = (id: string) => {
    const family = FAMILIES.find((f) => f.id === id)!;
    return { name: id, rig: family.build(family.size(null, USUAL_HANDS)) };
  };
  const sawnFlat = (rig: Rig) => rig.bodies.flatMap((b) => b.parts).filter((p) => p.supply?.sawn === 'sheet');

  it('is each piece that is sawn out of one, once, as large as it is; rubber aside', () => {
    for (const family of FAMILIES) {
      const one = build(family.id);
      const pieces = sheetNeeds([one]).flatMap((n) => n.pieces.map((p) => ({ ...p, thickness: n.thickness })));
      const sawn = sawnFlat(one.rig).filter((p) => p.material !== 'rubberFoam');
      expect(pieces.map((p) => p.part).sort())
        .withContext(family.id)
        .toEqual(sawn.map((p) => p.id).sort());
      for (const { part, width, height, thickness } of pieces) {
        const { shape } = sawn.find((p) => p.id === part)!;
        if (shape.kind === 'box')
          expect(width * height * thickness).toBeCloseTo(
            shape.size.reduce((a, b) => a * b),
            12,
          );
        expect(width).toBeGreaterThanOrEqual(height);
      }
    }
    // Never silently of nothing.
    expect(FAMILIES.filter((f) => sheetNeeds([build(f.id)]).length > 0).length).toBeGreaterThan(7);
  });
  it('of two rigs shares a sheet where material and thickness are one', () => {
    const both = sheetNeeds([build('three-axis-frame'), build('shoulder-rig')]);
    expect(both.map((n) => n.id)).toEqual(['aluminium/600', 'birchPly/600']);
    expect(new Set(both[1]!.pieces.map((p) => p.rig)).size).toBe(2);
    expect(both.map((n) => n.hasGrain)).toEqual([false, true]);
  });
});
