import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Quantity } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { pause } from '../../testing/pause';
import { QuantityField } from './quantity-field';

describe('a quantity field', () => {
  let fixture: ComponentFixture<QuantityField>;
  const changes: Quantity[] = [];
  const box = (): HTMLInputElement => (fixture.nativeElement as HTMLElement).querySelector('input')!;
  const text = (): string => (fixture.nativeElement as HTMLElement).textContent!;
  const type = async (value: string): Promise<void> => {
    box().value = value;
    box().dispatchEvent(new Event('input'));
    box().dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  beforeEach(async () => {
    changes.length = 0;
    fixture = TestBed.createComponent(QuantityField);
    fixture.componentRef.setInput('label', 'Tail');
    fixture.componentRef.setInput('kind', 'length');
    fixture.componentRef.setInput('value', 0.12);
    fixture.componentRef.setInput('range', [0.05, 0.3]);
    fixture.componentInstance.changed.subscribe((q) => changes.push(q));
    await fixture.whenStable();
  });

  it('shows the maker’s unit and takes any other', async () => {
    expect(box().value).toBe('120 mm');
    await type('4 3/4 in');
    expect(changes[0]!.value).toBeCloseTo(0.12065, 9);
    expect(changes[0]!.typed).toBe('4 3/4 in');
  });

  it('keeps wrong text, says why beside it, and gives back on Escape', async () => {
    await type('long enough');
    expect(box().value).toBe('long enough');
    expect(box().getAttribute('aria-invalid')).toBe('true');
    expect(text()).toContain('not a length');
    expect(document.getElementById(box().getAttribute('aria-describedby')!)!.textContent).toContain('not a length');
    expect(changes).toEqual([]);
    box().dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await fixture.whenStable();
    expect(box().value).toBe('120 mm');
  });

  it('keeps what is being typed when its figure changes elsewhere, and takes it once it is left', async () => {
    box().value = '95';
    box().dispatchEvent(new Event('input'));
    fixture.componentRef.setInput('value', 0.2);
    await fixture.whenStable();
    expect(box().value).toBe('95');
    box().dispatchEvent(new Event('blur'));
    box().dispatchEvent(new Event('change'));
    await fixture.whenStable();
    expect(changes.map((c) => c.value)).toEqual([0.095]);
  });

  it('shows a taken figure at once in the maker’s unit, and one that was refused elsewhere goes back', async () => {
    await type('4.8 in');
    // Its owner has not answered yet: no flash of the old figure.
    expect(box().value).toBe('121.9 mm');
    await pause(fixture);
    expect(box().value).toBe('120 mm');
    await type('130 mm');
    fixture.componentRef.setInput('value', 0.13);
    await pause(fixture);
    expect(box().value).toBe('130 mm');
  });

  it('refuses what is out of range with the range, and takes its ends', async () => {
    await type('-20 mm');
    expect(text()).toContain('Between 50 mm and 300 mm');
    await type('300 mm');
    expect(changes.map((c) => c.value)).toEqual([0.3]);
  });

  it('says when a fraction is rounded', async () => {
    TestBed.inject(Units).setSystem('inch');
    await fixture.whenStable();
    expect(box().value).toBe('4 23/32 in');
    expect(text()).toContain('really 120 mm');
    TestBed.inject(Units).setFraction(64);
    await fixture.whenStable();
    expect(text()).toContain('to 1/64');
  });
});
