import { TestBed } from '@angular/core/testing';
import { say, type Change } from '@tide-pebble/core';
import { type ExplainedTrim } from '@tide-pebble/core/bench';
import { Workspace } from '../../services/workspace';
import { benchAt } from '../../testing/bench';
import { TrimResult } from './trim-result';

class Store {
  readonly applied: { readonly changes: readonly Change[]; readonly wants: unknown; readonly merge: string | null }[] =
    [];
  readonly set: Readonly<Record<string, number>>[] = [];
  apply(_label: string, changes: readonly Change[], wants: unknown, merge: string | null): void {
    this.applied.push({ changes, wants, merge });
  }
  setAdjusters(_label: string, values: Readonly<Record<string, number>>): void {
    this.set.push(values);
  }
}

const show = async (outcome: ExplainedTrim): Promise<{ page: HTMLElement; store: Store; mended: string[] }> => {
  const store = new Store();
  const mended: string[] = [];
  TestBed.configureTestingModule({ providers: [{ provide: Workspace, useValue: store }] });
  const fixture = TestBed.createComponent(TrimResult);
  fixture.componentRef.setInput('outcome', outcome);
  fixture.componentRef.setInput('bench', benchAt({ 'foot-count': 9 }));
  fixture.componentInstance.mended.subscribe((word) => mended.push(word));
  await fixture.whenStable();
  return { page: fixture.nativeElement as HTMLElement, store, mended };
};

describe('what the trim found', () => {
  it('offers remedies that can be done as buttons, and tells of those that cannot', async () => {
    const { page, store, mended } = await show({
      kind: 'impossible',
      nearest: {},
      failing: 'dropPitch',
      beyond: null,
      combinations: 4,
      proven: true,
      remedies: [
        {
          label: say`Lower it and be content.`,
          whole: true,
          changes: [{ kind: 'move', id: 'foot', by: [0, 0, -0.01] }],
          wants: { levelWithin: 0.03 },
        },
        { label: say`More travel.`, whole: false, changes: [], wants: null },
      ],
    });
    expect(page.querySelectorAll('button')).toHaveSize(1);
    expect(page.textContent).toContain('More travel.');
    page.querySelector('button')!.click();
    // Changes and wants in one go, and the trim that follows is told the same word, so that one undo takes both back.
    expect(store.applied).toHaveSize(1);
    expect(store.applied[0]!.wants).toEqual({ levelWithin: 0.03 });
    expect(store.applied[0]!.merge).not.toBeNull();
    expect(mended).toEqual([store.applied[0]!.merge!]);
  });

  it('offers the other ways that are as good, by what differs', async () => {
    const tie = (foot: number) => ({ values: { 'foot-count': foot }, added: 0.1, slack: 0.2, moves: 1 });
    const { page, store } = await show({
      kind: 'solved',
      values: { 'foot-count': 9 },
      addedMass: 0.1,
      ties: [tie(9), tie(8)],
      cost: 0.07,
      next: null,
      gap: null,
      combinations: 4,
      looked: 4,
      unmet: [],
    });
    const button = page.querySelector('button')!;
    expect(button.textContent).toContain('Foot washers 8');
    button.click();
    expect(store.set).toEqual([{ 'foot-count': 8 }]);
  });
});
