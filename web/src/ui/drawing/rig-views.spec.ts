import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { DrawnDimension, Quantity, Vec3 } from '@tide-pebble/core';
import type { Bench } from '../../services/workspace';
import { benchAt } from '../../testing/bench';
import { sheet, type Sheet } from '../../testing/sheets';
import { RigViews } from './rig-views';

@Component({
  selector: 'tp-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RigViews],
  template: `<div style="width: 900px; height: 640px">
    <tp-rig-views
      [bench]="bench()"
      [balance]="balance()"
      [dimensions]="dimensions()"
      [selectable]="selectable()"
      [selected]="selected()"
      [snap]="[0.005, 0.005, 0.002]"
      (picked)="picked.emit($event)"
      (dragged)="dragged.emit($event)"
      (dimensionChanged)="changed.emit($event)"
    />
  </div>`,
  styles: 'tp-rig-views { display: block; width: 900px; height: 640px; }',
})
class Drawn {
  readonly bench = input<Bench>(benchAt({ 'foot-count': 10 }));
  readonly balance = input(false);
  readonly selectable = input(false);
  readonly selected = input<string | null>(null);
  readonly dimensions = input<readonly DrawnDimension[]>([]);
  readonly picked = output<string | null>();
  readonly dragged = output<{ id: string; by: Vec3 }>();
  readonly changed = output<{ id: string; quantity: Quantity }>();
}
const draw = async (
  set: Readonly<Record<string, unknown>>,
): Promise<Sheet<Drawn> & { readonly picks: (string | null)[]; readonly drags: { id: string; by: Vec3 }[] }> => {
  const made = await sheet(Drawn, benchAt({}));
  const [picks, drags]: [(string | null)[], { id: string; by: Vec3 }[]] = [[], []];
  made.fixture.componentInstance.picked.subscribe((p) => picks.push(p));
  made.fixture.componentInstance.dragged.subscribe((d) => drags.push(d));
  for (const [name, value] of Object.entries(set)) made.fixture.componentRef.setInput(name, value);
  await made.fixture.whenStable();
  return { ...made, picks, drags };
};
const key = async ({ page, fixture }: Sheet<Drawn>, name: string, shiftKey = false): Promise<void> => {
  page
    .querySelector('tp-rig-views')!
    .dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey, cancelable: true }));
  await fixture.whenStable();
};

describe('the drawing', () => {
  it('says what it shows, at what scale, and how the rig hangs', async () => {
    const { page } = await draw({ balance: true });
    const label = page.querySelector('svg[role=img]')!.getAttribute('aria-label')!;
    expect(label).toMatch(/^Limpet, drawn square-on at 1 to \d+(\.\d+)?\. It hangs (level|[\d.]+° nose (up|down))\.$/);
    expect(page.querySelectorAll('.view-title').length).toBe(2);
    expect(page.querySelectorAll('.plumb').length).toBe(2);
    const over = await draw({
      balance: true,
      bench: benchAt({ 'foot-count': 0, 'rear-count': 0, 'front-count': 0, 'pivot-height': -0.0075 }),
    });
    expect(over.page.querySelector('svg[role=img]')!.getAttribute('aria-label')).toContain('It does not rest upright.');
  });
  it('turns what hangs by how it leans, and leaves what is held upright', async () => {
    const bench = benchAt({ 'foot-count': 10 });
    const { page } = await draw({ balance: true, bench });
    const lean = (bench.judged.evaluation.hung!.hang.rest!.noseDown * 180) / Math.PI;
    const turned = [...page.querySelectorAll('g[transform^="rotate"]')];
    expect(Number(/rotate\(([-\d.]+)/.exec(turned[0]!.getAttribute('transform')!)![1])).toBeCloseTo(lean, 2);
    const names = (of: Iterable<Element>): readonly string[] =>
      [...of].map((p) => p.querySelector('title')!.textContent);
    expect(names(turned[0]!.querySelectorAll('path.shape'))).toContain('bar');
    expect(names([...page.querySelectorAll('svg[role=img] > path.shape')]).some((n) => n.includes('grip'))).toBeTrue();
    // Where it is built it is drawn square.
    const built = await draw({ selectable: true, bench });
    expect(
      [...built.page.querySelectorAll('g[transform^="rotate"]')].every((g) =>
        g.getAttribute('transform')!.startsWith('rotate(0.000'),
      ),
    ).toBeTrue();
  });
  it('lights up what is pointed at, in every view', async () => {
    const { page, fixture } = await draw({});
    const [bar] = [...page.querySelectorAll('path.shape')].filter(
      (p) => p.querySelector('title')!.textContent === 'bar',
    );
    bar!.dispatchEvent(new Event('mouseenter'));
    await fixture.whenStable();
    const lit = [...page.querySelectorAll('path.shape.lit')].map((p) => p.querySelector('title')!.textContent);
    expect(lit.length).toBeGreaterThanOrEqual(2);
    expect(new Set(lit)).toEqual(new Set(['bar']));
    bar!.dispatchEvent(new Event('mouseleave'));
    await fixture.whenStable();
    expect(page.querySelectorAll('.lit')).toHaveSize(0);
  });
  it('picks a part by a press, moves it by the arrows in the step of the sheet, and lets it go', async () => {
    const made = await draw({ selectable: true });
    const part = [...made.page.querySelectorAll('path.shape')].find(
      (p) => p.querySelector('title')!.textContent === 'bar',
    )!;
    part.dispatchEvent(new PointerEvent('pointerdown', { button: 0, bubbles: true }));
    expect(made.picks).toEqual(['bar']);
    made.fixture.componentRef.setInput('selected', 'bar');
    await made.fixture.whenStable();
    await key(made, 'ArrowRight');
    await key(made, 'ArrowUp');
    // In the front view, looking at the lens, the rig's left lies to the right.
    await key(made, 'ArrowRight', true);
    await key(made, 'x');
    expect(made.drags.map((d) => d.by.map((x) => Math.round(x * 1e6) / 1e6 + 0))).toEqual([
      [0.005, 0, 0],
      [0, 0, 0.002],
      [0, 0.005, 0],
    ]);
    await key(made, 'Escape');
    expect(made.picks).toEqual(['bar', null]);
  });
  it('is not picked from or moved where nothing is to be changed', async () => {
    const made = await draw({ selected: 'bar' });
    made.page.querySelector('path.shape')!.dispatchEvent(new PointerEvent('pointerdown', { button: 0, bubbles: true }));
    await key(made, 'ArrowRight');
    expect([made.picks, made.drags]).toEqual([[], []]);
    expect(made.page.querySelector('tp-rig-views')!.getAttribute('tabindex')).toBeNull();
  });
  it('sets the figures of sizes apart and on the paper, and takes a typed one', async () => {
    const bench = benchAt({ 'foot-count': 10 });
    const made = await draw({ bench, dimensions: bench.work.family!.drawn(bench.work.input!) });
    const at = [...made.page.querySelectorAll<HTMLElement>('.on-drawing')].map(
      (f) => [parseFloat(f.style.left), parseFloat(f.style.top)] as const,
    );
    expect(at.length).toBeGreaterThan(2);
    for (const [i, [x, y]] of at.entries()) {
      expect(x >= 44 && y >= 64).toBeTrue();
      for (const [p, q] of at.slice(i + 1))
        expect(Math.abs(p - x) >= 78 || Math.abs(q - y) >= 26)
          .withContext(`${x},${y} and ${p},${q}`)
          .toBeTrue();
    }
    const changed: string[] = [];
    made.fixture.componentInstance.changed.subscribe(({ id, quantity }) => changed.push(`${id} ${quantity.value}`));
    const field = made.page.querySelector<HTMLInputElement>('.on-drawing input')!;
    field.value = '200 mm';
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new Event('change'));
    await made.fixture.whenStable();
    expect(changed).toEqual([`${bench.work.family!.drawn(bench.work.input!)[0]!.dimension} 0.2`]);
  });
});
