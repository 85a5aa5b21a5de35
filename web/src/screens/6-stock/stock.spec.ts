import type { BinItem } from '@tide-pebble/core';
import { barPlans } from '@tide-pebble/core/making';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { type } from '../../testing/type';
import { Stock } from './stock';

const line = (page: HTMLElement, item: string): HTMLElement =>
  [...page.querySelectorAll<HTMLElement>('.lines > li')].find(
    (li) => li.querySelector('strong')!.textContent === item,
  )!;
const money = (page: HTMLElement): number =>
  Number(/([\d.]+)/.exec(page.querySelector('.sum .figure')!.textContent)![1]);

describe('the stock', () => {
  it('is cheaper by what the bin holds, and says have it', async () => {
    const { page, fixture, documents } = await sheet(Stock, benchAt({ 'foot-count': 6 }));
    const item = 'M10 wide washer 30 mm';
    expect(line(page, item).textContent).toMatch(/pack of 20|packs of 20/);
    const before = money(page);
    await type(page, `In the bin: ${item}`, '40', () => fixture.whenStable());
    expect((documents.committed[0]!.edits[0]!.body as BinItem).count).toBe(40);
    expect(line(page, item).textContent).toContain('have it');
    expect(money(page)).toBeLessThan(before);
  });
  it('needs no more what is cut or built in, and says so', async () => {
    const bench = benchAt({});
    const bar = barPlans(bench.work.rig)[0]!;
    const taken = [{ step: 'cut', item: bar.stock, pieces: [bar.member] }];
    const { page } = await sheet(Stock, { ...bench, rig: { ...bench.rig, taken } });
    expect(line(page, bar.stock).textContent).toContain('1 cut already');
    expect(line(page, bar.stock).textContent).toContain('in the rig');
  });
  it('cuts from an offcut of the bin, and takes it out again', async () => {
    const { page, fixture, workspace } = await sheet(Stock, benchAt({}));
    const bars = (): string => [...page.querySelectorAll('.sheet .note')].map((n) => n.textContent).join('; ');
    expect(bars()).toContain('new bar');
    await type(page, 'Add an offcut from your bin', '1.2 m', () => fixture.whenStable());
    expect(workspace.bin$.value[0]!.lengths).toEqual([1.2]);
    expect(bars()).toContain('from your bin');
    page.querySelector<HTMLButtonElement>('.offcut')!.click();
    await fixture.whenStable();
    expect(workspace.bin$.value[0]!.lengths).toEqual([]);
    expect(bars()).not.toContain('from your bin');
  });
  it('says so while the list is still that of before the last change, and saves none of it', async () => {
    const { page, fixture, workspace } = await sheet(Stock, benchAt({}));
    expect(page.textContent).toContain('Still to buy');
    workspace.late();
    await fixture.whenStable();
    expect(page.textContent).not.toContain('Still to buy');
    expect(page.querySelector('[role=status]')!.textContent).toContain('Reckoning the cuts anew');
    const saving = [...page.querySelectorAll('button')].filter((b) => /Take out/.test(b.textContent));
    expect(saving.map((b) => b.disabled)).toEqual([true]);
  });
  it('weighs making it against the shop', async () => {
    const { page, fixture } = await sheet(Stock, benchAt({}));
    expect(page.textContent).toMatch(/Making it saves [\d.]+ € against the shop/);
    await type(page, 'Shop price of a ready-made one', '1', () => fixture.whenStable());
    expect(page.textContent).toMatch(/The shop's is [\d.]+ € cheaper than the parts/);
    await type(page, 'Shop price of a ready-made one', '0', () => fixture.whenStable());
    expect(page.textContent).toContain('Type what a ready-made one costs to compare.');
  });
  it('keeps a typed price with the rig, of a bar by its length', async () => {
    const { page, fixture, workspace } = await sheet(Stock, benchAt({}));
    const bar = [...page.querySelectorAll('label')]
      .map((l) => l.textContent.trim())
      .find((l) => l.startsWith('Price of a bar: '))!;
    await type(page, bar, '12.5', () => fixture.whenStable());
    const [edit] = workspace.edited;
    expect(edit!.kind).toBe('price');
    expect(edit).toEqual(jasmine.objectContaining({ price: 12.5, length: jasmine.any(Number) }));
  });
  it('a wider saw takes more of a bar', async () => {
    const { page, fixture, workspace } = await sheet(Stock, benchAt({}, 'tube-frame'));
    const over = (): number =>
      [...page.querySelectorAll<HTMLElement>('.over')].reduce((sum, o) => sum + Number(o.style.flexGrow), 0);
    const before = over();
    await type(page, "Saw's kerf", '4 mm', () => fixture.whenStable());
    expect(workspace.now.rig.kerf).toBeCloseTo(0.004, 9);
    expect(over()).toBeLessThan(before);
  });
});
