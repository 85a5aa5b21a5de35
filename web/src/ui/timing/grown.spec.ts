import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../../testing/until';
import { grown } from './grown';

@Component({
  selector: 'tp-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '@for (n of list.drawn(); track n) {<i>{{ n }}</i>}',
})
class List {
  readonly key = signal('a');
  readonly all = signal<readonly number[]>([]);
  readonly list = grown(this.all, this.key);
}
const upTo = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i);

describe('a long list', () => {
  it('stands with its top at once, grows task by task to its end, and is then drawn whole', async () => {
    const fixture = TestBed.createComponent(List);
    const { list, all, key } = fixture.componentInstance;
    const lines = (): number => (fixture.nativeElement as HTMLElement).querySelectorAll('i').length;
    all.set(upTo(50));
    TestBed.tick();
    expect([lines(), list.isWhole()]).toEqual([8, false]);
    const seen = new Set<number>();
    await until(() => {
      seen.add(lines());
      return lines() === 50;
    }, 'all of it');
    expect(seen.size).toBeGreaterThan(1);
    expect(list.drawn()).toBe(all());
    // One more of the same list; then another list.
    all.set(upTo(51));
    TestBed.tick();
    expect(lines()).toBe(51);
    key.set('b');
    all.set(upTo(40));
    TestBed.tick();
    expect(lines()).toBe(8);
    await until(() => lines() === 40, 'the other');
  });
  it('that is short is whole from the beginning', () => {
    const fixture = TestBed.createComponent(List);
    fixture.componentInstance.all.set(upTo(8));
    TestBed.tick();
    expect(fixture.componentInstance.list.isWhole()).toBeTrue();
  });
});
