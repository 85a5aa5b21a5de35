import { TestBed } from '@angular/core/testing';
import { Pointer } from '../../services/pointer';
import { benchAt } from '../../testing/bench';
import { RigViews } from './rig-views';
import { sheetOf } from './rig-drawing';

describe('the sheet', () => {
  const { evaluation } = benchAt({ 'foot-count': 10 }).judged;
  const size = { width: 880, height: 620 };
  it('draws to a stated scale, and to a smaller one on less paper', () => {
    const sheet = sheetOf(evaluation.pieces, ['side', 'front'], size, null);
    const [a, b] = [sheet.views[0]!.place([0, 0, 0]), sheet.views[0]!.place([0.1, 0, 0])];
    expect(b[0] - a[0]).toBeCloseTo((0.1 * 96) / 0.0254 / sheet.scale, 6);
    expect(sheetOf(evaluation.pieces, ['side', 'front'], { width: 400, height: 300 }, null).scale).toBeGreaterThan(
      sheet.scale,
    );
  });
  it('keeps every outline on the paper, leaning or not', () => {
    for (const lean of [0, 0.6, Math.PI / 2]) {
      const hung = evaluation.hung!;
      const sheet = sheetOf(evaluation.pieces, ['side', 'front'], size, {
        bodies: new Set(['sled']),
        pivot: hung.pivotAt,
        lean: { side: lean, front: 0, top: 0 },
      });
      const numbers = sheet.views.flatMap((v) =>
        v.shapes.flatMap((s) => s.path.match(/-?\d+\.\d+ -?\d+\.\d+/g)!.map((p) => p.split(' ').map(Number))),
      );
      expect(numbers.every(([x, y]) => x! >= 0 && x! <= size.width && y! >= 0 && y! <= size.height))
        .withContext(`${lean}`)
        .toBeTrue();
    }
  });
  it('survives a rig of nothing', () => expect(sheetOf([], ['side'], size, null).views[0]!.shapes).toEqual([]));
});

describe('rig views', () => {
  it('hang as the figures say, and light up with the lists', async () => {
    const fixture = TestBed.createComponent(RigViews);
    fixture.componentRef.setInput('bench', benchAt({ 'foot-count': 12 }));
    fixture.componentRef.setInput('balance', true);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const rest = benchAt({ 'foot-count': 12 }).judged.evaluation.hung!.hang.rest!;
    expect(page.querySelector('g[transform]')!.getAttribute('transform')).toContain(
      `rotate(${((rest.noseDown * 180) / Math.PI).toFixed(3)}`,
    );
    TestBed.inject(Pointer).point('foot');
    await fixture.whenStable();
    expect(page.querySelectorAll('.shape.lit').length).toBeGreaterThan(0);
    page.querySelector('.shape.gear')!.dispatchEvent(new MouseEvent('mouseenter'));
    expect(TestBed.inject(Pointer).at()).toBe('m-cam');
    expect(page.querySelector('svg')!.getAttribute('aria-label')).toContain('It hangs');
  });
});
