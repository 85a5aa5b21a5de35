import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Pointer } from '../../services/pointer';
import { benchAt } from '../../testing/bench';
import { ElementRows, type ElementRow } from './element-rows';

describe('rows of elements', () => {
  let fixture: ComponentFixture<ElementRows>;
  const picked: (string | null)[] = [];
  const show = async (rows: readonly ElementRow[], chosen: string | null = null): Promise<HTMLElement> => {
    picked.length = 0;
    fixture = TestBed.createComponent(ElementRows);
    fixture.componentRef.setInput('rows', rows);
    fixture.componentRef.setInput('bench', benchAt({}));
    fixture.componentRef.setInput('picked', chosen);
    fixture.componentInstance.pick.subscribe((id) => picked.push(id));
    await fixture.whenStable();
    return fixture.nativeElement as HTMLElement;
  };
  const many = Array.from({ length: 60 }, (_, i) => ({
    id: `m-${i}`,
    name: `member ${i}`,
    figure: i % 2 === 0 ? '12 g' : '',
  }));

  it('stand in portions, all of them there to be found', async () => {
    const page = await show(many);
    expect(page.querySelectorAll('.portion')).toHaveSize(3);
    expect(page.querySelectorAll('[role=listitem]')).toHaveSize(60);
    expect(page.querySelector('[role=list] > [role=presentation] > [role=listitem]')).not.toBeNull();
    // A row without a figure keeps no place for one.
    expect(page.querySelectorAll('.figure')).toHaveSize(30);
  });

  it('are picked by a press and let go by another', async () => {
    const page = await show(many);
    page.querySelectorAll('button')[3]!.click();
    expect(picked).toEqual(['m-3']);
    const chosen = await show([{ id: 'bar', name: 'bar', figure: '' }, ...many], 'bar');
    expect(chosen.querySelector('tp-element-editor')).not.toBeNull();
    const row = chosen.querySelector<HTMLButtonElement>('[aria-pressed="true"]')!;
    expect(row.textContent).toContain('bar');
    row.click();
    expect(picked).toEqual([null]);
  });

  it('light up with what is pointed at elsewhere', async () => {
    const page = await show(many);
    TestBed.inject(Pointer).point('m-7');
    await fixture.whenStable();
    expect(page.querySelectorAll('button.lit')).toHaveSize(1);
    expect(page.querySelector('button.lit')!.textContent).toContain('member 7');
  });
});
