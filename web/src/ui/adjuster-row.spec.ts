import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { adjusterSteps } from '@tide-pebble/core';
import { benchAt } from '../testing/bench';
import { AdjusterRow } from './adjuster-row';

describe('an adjuster row', () => {
  let fixture: ComponentFixture<AdjusterRow>;
  const moved: number[] = [];
  const show = async (id: string, values: Record<string, number>): Promise<HTMLElement> => {
    moved.length = 0;
    const bench = benchAt(values);
    fixture = TestBed.createComponent(AdjusterRow);
    fixture.componentRef.setInput(
      'adjuster',
      bench.work.rig.adjusters.find((a) => a.id === id),
    );
    const step = adjusterSteps(bench.judged.context).find((s) => s.id === id)!;
    fixture.componentRef.setInput('value', step.value);
    fixture.componentRef.setInput('step', step);
    fixture.componentInstance.moved.subscribe((m) => moved.push(m.value));
    await fixture.whenStable();
    return fixture.nativeElement as HTMLElement;
  };
  const press = (page: HTMLElement, label: string): void =>
    page.querySelector<HTMLButtonElement>(`button[aria-label="${label}"]`)!.click();

  it('says what one more washer does, and puts it on', async () => {
    const page = await show('foot-count', { 'foot-count': 10 });
    expect(page.textContent).toMatch(/one more: \d+\.\d° nose (up|down), drop \d+\.\d s/);
    press(page, 'More: Foot washers');
    press(page, 'Less: Foot washers');
    expect(moved).toEqual([11, 9]);
  });
  it('turns a fine screw by an eighth and keeps to what the hand can set', async () => {
    const page = await show('stage-fore-aft', { 'foot-count': 10 });
    expect(page.textContent).toContain('1/8 turn forward');
    press(page, 'More: Stage, fore and aft');
    const range = page.querySelector<HTMLInputElement>('input[type=range]')!;
    range.value = '0.01';
    range.dispatchEvent(new Event('input'));
    expect(moved).toEqual([0.0001, 0.01]);
  });
  it('has no step left at the end of its travel', async () => {
    const page = await show('rear-count', { 'foot-count': 10 });
    expect(page.querySelector<HTMLButtonElement>('button[aria-label="Less: Rear washers"]')!.disabled).toBeTrue();
  });
  it('says so when the next step still turns over', async () => {
    const page = await show('rear-count', {});
    expect(page.textContent).toContain('one more: turns over');
  });
});
