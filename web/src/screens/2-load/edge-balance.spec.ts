import { TestBed } from '@angular/core/testing';
import type { KitItem } from '@tide-pebble/core';
import { EdgeBalance } from './edge-balance';
import { ItemEditor } from './item-editor';
import { newItem } from './new-item';

const lens: KitItem = { ...newItem('l', 'lens', 'Long lens'), size: [0.1, 0.07, 0.07], boxCentre: [0.05, 0, 0] };
const type = async (page: HTMLElement, label: string, text: string, settled: () => Promise<unknown>): Promise<void> => {
  const field = [...page.querySelectorAll('label')].find((l) => l.textContent === label)!;
  const input = page.querySelector<HTMLInputElement>(`#${field.htmlFor}`)!;
  input.value = text;
  input.dispatchEvent(new Event('input'));
  input.dispatchEvent(new Event('change'));
  await settled();
};

describe('balancing on an edge', () => {
  beforeEach(() => localStorage.clear());
  it('puts the centre midway between the tips, from the foot, and leaves the other axes as known', async () => {
    const fixture = TestBed.createComponent(EdgeBalance);
    const found: KitItem[] = [];
    fixture.componentRef.setInput('item', lens);
    fixture.componentInstance.found.subscribe((change) => found.push(change(lens)));
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    expect(page.textContent).toContain('guessed: 50 mm');
    expect(page.querySelector('button')).toBeNull();
    await type(page, 'Fore and aft, tips one way', '44 mm', () => fixture.whenStable());
    await type(page, 'Fore and aft, tips the other way', '46 mm', () => fixture.whenStable());
    expect(page.textContent).toContain('45 mm');
    page.querySelector('button')!.click();
    expect(found[0]!.massCentre!.at[0]).toBeCloseTo(0.045, 12);
    expect(found[0]!.massCentre!.at.slice(1)).toEqual([0, 0]);
    expect(found[0]!.massCentre!.spread![0]).toBeLessThan(0.001);
    expect(found[0]!.massCentre!.spread![1]).toBeCloseTo(0.007, 12);
  });
});

describe('the item editor', () => {
  it('makes each change to the item as it is by then, not as it was drawn', async () => {
    const fixture = TestBed.createComponent(ItemEditor);
    let item: KitItem = newItem('a', 'other', 'New');
    fixture.componentRef.setInput('item', item);
    fixture.componentInstance.edited.subscribe((change) => (item = change(item)));
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const name = page.querySelector<HTMLInputElement>('input')!;
    name.value = 'Wide lens';
    name.dispatchEvent(new Event('change'));
    const kind = page.querySelector('select')!;
    kind.value = 'lens';
    kind.dispatchEvent(new Event('change'));
    expect([item.name, item.class, item.form]).toEqual(['Wide lens', 'lens', 'cylinder']);
  });
  it('grows the box away from the foot', async () => {
    const fixture = TestBed.createComponent(ItemEditor);
    let item: KitItem = { ...newItem('c', 'camera', 'Heron'), size: [0.06, 0.12, 0.08], boxCentre: [0.01, 0, 0.04] };
    fixture.componentRef.setInput('item', item);
    fixture.componentInstance.edited.subscribe((change) => (item = change(item)));
    await fixture.whenStable();
    await type(fixture.nativeElement as HTMLElement, 'Length, along the lens', '80 mm', () => fixture.whenStable());
    expect(item.size[0]).toBe(0.08);
    expect(item.size[0] / 2 - item.boxCentre[0]).toBeCloseTo(0.02, 12);
  });
});
