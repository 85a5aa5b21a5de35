import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { RigDocument } from '@tide-pebble/core';
import { Workspace, type Bench } from '../../services/workspace';
import { benchAt } from '../../testing/bench';
import { WantsPanel } from './wants-panel';

/** Takes the place of the store: keeps the rig as the panel leaves it. */
class OneRig {
  rig!: RigDocument;
  readonly labels: string[] = [];
  editRig(label: string, change: (rig: RigDocument) => RigDocument): void {
    this.labels.push(label);
    this.rig = change(this.rig);
  }
}

describe('what is wanted', () => {
  let fixture: ComponentFixture<WantsPanel>;
  let store: OneRig;
  const show = async (bench: Bench): Promise<HTMLElement> => {
    store.rig = bench.rig;
    fixture.componentRef.setInput('bench', bench);
    await fixture.whenStable();
    return fixture.nativeElement as HTMLElement;
  };
  const withWants = (wants: Partial<RigDocument['wants']>): Bench => {
    const bench = benchAt({ 'foot-count': 9 });
    return { ...bench, rig: { ...bench.rig, wants: { ...bench.rig.wants, ...wants } } };
  };
  const box = (page: HTMLElement, text: RegExp): HTMLInputElement =>
    [...page.querySelectorAll('mat-checkbox')]
      .find(
        (c) =>
          text.test(c.textContent!) ||
          text.test(c.getAttribute('aria-label') ?? c.querySelector('input')!.getAttribute('aria-label') ?? ''),
      )!
      .querySelector('input')!;
  beforeEach(() => {
    store = new OneRig();
    TestBed.configureTestingModule({ providers: [{ provide: Workspace, useValue: store }] });
    fixture = TestBed.createComponent(WantsPanel);
  });

  it('level and drop are firm unless said otherwise, and can be made wishes', async () => {
    const page = await show(withWants({}));
    expect(box(page, /^Level within: firm/).checked).toBeTrue();
    expect(box(page, /^Mass at most: firm/).checked).toBeFalse();
    box(page, /^Level within: firm/).click();
    expect(store.rig.wants.firm).not.toContain('levelForeAft');
    expect(store.rig.wants.firm).toContain('dropPitch');
    box(page, /^Mass at most: firm/).click();
    expect(store.rig.wants.firm).toContain('mass');
    expect(store.labels).toEqual(['level within: a wish', 'mass at most: firm']);
  });

  it('a bag can be made firm once it is known, beside what was firm', async () => {
    const bare = await show(withWants({}));
    expect(bare.textContent).toContain('No bag is said yet');
    const page = await show(withWants({ bag: [0.5, 0.32, 0.2] }));
    expect(page.textContent).toContain('It must go in its bag (500 mm × 320 mm × 200 mm)');
    box(page, /^ ?It must go in its bag/).click();
    expect(store.rig.wants.firm).toContain('bag');
    expect(store.rig.wants.firm).toContain('levelSideways');
    box(await show({ ...withWants({}), rig: store.rig }), /^ ?It must go in its bag/).click();
    expect(store.rig.wants.firm).not.toContain('bag');
  });

  it('a figure that is not asked is left out, and comes back empty', async () => {
    const page = await show(withWants({ addedAtMost: 0.2 }));
    const field = [...page.querySelectorAll('tp-quantity-field')]
      .find((f) => f.textContent!.includes('Washers at most'))!
      .querySelector('input')!;
    expect(field.value).toBe('200 g');
    field.value = '';
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new Event('change'));
    expect('addedAtMost' in store.rig.wants).toBeFalse();
  });
});
