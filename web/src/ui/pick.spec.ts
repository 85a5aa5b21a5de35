import { TestBed } from '@angular/core/testing';
import { pick } from '../testing/pick';
import { Pick } from './pick';

const kit = Array.from({ length: 2000 }, (_, i) => ({ id: `k${i}`, name: `Lens ${i}` }));
const key = (box: HTMLInputElement, name: string, keyCode: number): unknown =>
  box.dispatchEvent(new KeyboardEvent('keydown', { key: name, keyCode, bubbles: true } as KeyboardEventInit));

describe('picking from a list', () => {
  const start = async () => {
    const fixture = TestBed.createComponent(Pick);
    fixture.componentRef.setInput('label', 'Mount');
    fixture.componentRef.setInput('options', kit);
    const picked: string[] = [];
    fixture.componentInstance.picked.subscribe((id) => picked.push(id));
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    return {
      fixture,
      page,
      picked,
      box: page.querySelector('input')!,
      offered: () => [...document.querySelectorAll('mat-option')],
    };
  };
  it('does nothing on arrow keys: only on Enter, once, and stands empty for the next', async () => {
    const { fixture, picked, box } = await start();
    box.click();
    await fixture.whenStable();
    for (let i = 0; i < 3; i++) key(box, 'ArrowDown', 40);
    await fixture.whenStable();
    expect(picked).toEqual([]);
    key(box, 'Enter', 13);
    await fixture.whenStable();
    expect(picked).toEqual(['k2']);
    expect(box.value).toBe('');
    key(box, 'Enter', 13);
    expect(picked).toEqual(['k2']);
  });
  it('draws only a part of a long list, says how many more there are, and finds by a part of the name', async () => {
    const { fixture, page, picked, box, offered } = await start();
    box.click();
    await fixture.whenStable();
    expect(offered()).toHaveSize(51);
    expect(offered().at(-1)!.textContent).toContain('1950 more');
    box.value = 'lens 1999';
    box.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(offered().map((o) => o.textContent.trim())).toEqual(['Lens 1999']);
    await pick(page, 'Mount', 'Lens 1999', () => fixture.whenStable());
    expect(picked).toEqual(['k1999']);
  });
});
