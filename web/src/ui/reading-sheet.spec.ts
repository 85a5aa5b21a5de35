import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { NOTHING_SEEN, type LogEntry, type ReadingKind } from '@tide-pebble/core';
import { type } from '../testing/type';
import { ReadingSheet } from './reading-sheet';

const kind = (of: Partial<ReadingKind>): ReadingKind => ({
  kind: 'mass',
  name: 'On the scale',
  help: '',
  quantity: 'mass',
  range: [0.01, 100],
  about: null,
  expects: () => null,
  ...of,
});
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingSheet],
  template: `<tp-reading-sheet [readings]="readings" [seen]="seen()" (noted)="seen.set($event)" />`,
})
class Host {
  readonly readings = [
    kind({}),
    kind({ kind: 'dropTimes', name: 'Drop time', quantity: 'time', range: [0.05, 60] }),
    kind({ kind: 'gripScale', name: 'Scale, left', quantity: 'force', range: [0, 400], about: 'left' }),
    kind({ kind: 'gripScale', name: 'Scale, right', quantity: 'force', range: [0, 400], about: 'right' }),
    kind({ kind: 'turnsOver', name: 'It turned over', quantity: 'flag', range: [0, 1] }),
  ];
  readonly seen = signal<LogEntry['seen']>(NOTHING_SEEN);
}

describe('the reading sheet', () => {
  it('notes each reading of each part by itself, takes it out again, and asks for one more time than there are', async () => {
    const fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const { seen } = fixture.componentInstance;
    const put = (label: string, text: string): Promise<void> => type(page, label, text, () => fixture.whenStable());
    await put('On the scale', '1512 g');
    await put('Scale, right', '9 N');
    expect(seen()).toEqual({
      ...NOTHING_SEEN,
      mass: 1.512,
      others: [{ kind: 'gripScale', about: 'right', value: 9 }],
    });
    await put('Drop time', '2.1 s');
    await put('Drop time, again', '2.3 s');
    expect(seen().dropTimes).toEqual([2.1, 2.3]);
    await put('Drop time', '2 s');
    expect(seen().dropTimes).toEqual([2, 2.3]);
    await put('Scale, right', '');
    await put('On the scale', '');
    expect(seen()).toEqual({ dropTimes: [2, 2.3] });
    page.querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
    await fixture.whenStable();
    expect(seen().turnsOver).toBeTrue();
  });
});
