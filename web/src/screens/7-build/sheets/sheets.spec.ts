import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { until } from '../../../testing/until';
import { squareOnStep } from '../square-on-step';
import { EveningSheets } from './sheets';

/** Every evening of a week. */
const DAYS = [0, 1, 2, 3, 4, 5, 6].map((day) => ({ day, from: 18 * 60, to: 20 * 60 }));

describe('a sheet for each evening', () => {
  it('is one list of all that is left where no evenings are planned, each step in full with its picture', async () => {
    const { page } = await sheet(EveningSheets, benchAt({}));
    await until(() => page.querySelectorAll('article').length === 1, 'the sheet');
    expect(page.textContent).toContain('No evenings are planned');
    const steps = page.querySelectorAll('article ol.plain-list > li');
    expect(steps.length).toBeGreaterThan(10);
    expect(page.querySelectorAll('article .moves').length).toBeGreaterThan(5);
    expect(page.querySelectorAll('article svg[role=img]').length).toBeGreaterThan(10);
    expect(page.querySelector('details')).toBeNull();
    expect(page.textContent).not.toMatch(/NaN|undefined/);
  });

  it('tells each evening’s steps once, with the hours and what to lay out', async () => {
    const bench = benchAt({});
    const { page } = await sheet(EveningSheets, {
      ...bench,
      rig: { ...bench.rig, evenings: { from: '2031-04-01', days: DAYS } },
    });
    await until(() => page.querySelectorAll('article').length > 1, 'the sheets');
    const numbers = [...page.querySelectorAll('article .title strong')].map((t) => Number.parseInt(t.textContent, 10));
    expect([...numbers].sort((a, b) => a - b)).toEqual(numbers.map((_, i) => i + 1));
    for (const article of page.querySelectorAll('article')) {
      expect(article.textContent).toMatch(/from 1[89]:\d\d\s+to (19|20):\d\d/);
      expect(article.textContent).toContain('Lay out: ');
    }
  });
});

describe('a step square-on', () => {
  const bench = benchAt({}, 'hand-frame');
  const { pieces } = bench.judged.evaluation;
  it('draws what it handles, and nothing for what handles nothing', () => {
    expect(squareOnStep({ handles: [] }, pieces, { width: 200, height: 100 })).toBeNull();
    const drawn = squareOnStep({ handles: ['neck'] }, pieces, { width: 200, height: 100 })!;
    expect(drawn.shapes.every((s) => s.owner === 'neck' && s.comes)).toBeTrue();
    expect(drawn.ways).toEqual([]);
  });

  it('shows what is drilled from where the drill comes, at its place', () => {
    const holes = [{ piece: 'neck', at: [0.01, 0, 0.05], axis: [0, 0, -1], diameter: 0.006 }] as const;
    const drawn = squareOnStep({ handles: ['neck'] }, pieces, { width: 200, height: 100 }, holes)!;
    expect(drawn.view).toBe('top');
    expect(drawn.holes.length).toBe(1);
    expect(drawn.holes[0]!.radius).toBeGreaterThan(0);
  });

  it('pulls what comes away along its way, in the view that shows it, inside the paper', () => {
    const comes = [{ pieces: ['camera-plate'], legs: [{ way: [0, 0, -1] as const, by: Infinity }] }];
    const joins = { comes, lot: ['neck', 'camera-plate'], connections: [] } as never;
    const drawn = squareOnStep({ handles: ['camera-plate'], joins }, pieces, { width: 200, height: 100 })!;
    expect(drawn.view).not.toBe('top');
    expect(drawn.ways.length).toBe(1);
    const [way] = drawn.ways;
    // From above: upwards on paper is less.
    expect(way!.from[1]).toBeLessThan(way!.to[1]);
    expect(way!.from[0]).toBeCloseTo(way!.to[0], 6);
    for (const [x, y] of [way!.from, way!.to]) expect(x >= 0 && x <= 200 && y >= 0 && y <= 100).toBeTrue();
  });
});
