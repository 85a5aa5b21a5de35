import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { pause } from '../../testing/pause';
import { until } from '../../testing/until';
import { inTurn } from './in-turn';

const worked: string[] = [];
const tasks: number[] = [];
let task = 0;

@Component({ selector: 'tp-line', changeDetection: ChangeDetectionStrategy.OnPush, template: '{{ shown() }}' })
class Line {
  readonly asked = signal('');
  readonly shown = inTurn(this.asked, (name) => {
    if (name === 'broken') throw new Error('broken');
    worked.push(name);
    tasks.push(task);
    // Whatever follows in the same task sees the same number.
    setTimeout(() => task++);
    return `made ${name}`;
  });
}
const lines = (names: readonly string[]) =>
  names.map((name) => {
    const fixture = TestBed.createComponent(Line);
    fixture.componentInstance.asked.set(name);
    return fixture;
  });

describe('work in turn', () => {
  beforeEach(() => worked.splice(0) && tasks.splice(0));

  it('is done after the page is drawn, in order, each in a task of its own', async () => {
    const made = lines(['a', 'b', 'c']);
    TestBed.tick();
    expect(worked).toEqual([]);
    expect(made.map((m) => m.componentInstance.shown())).toEqual([null, null, null]);
    await until(() => worked.length === 3, 'all three');
    expect(worked).toEqual(['a', 'b', 'c']);
    expect(new Set(tasks).size).toBe(3);
    await made[2]!.whenStable();
    expect((made[2]!.nativeElement as HTMLElement).textContent).toBe('made c');
  });
  it('is not done for what has changed again or gone meanwhile, and shows the old till the new is there', async () => {
    const [one, two] = lines(['a', 'b']);
    await until(() => worked.length === 2, 'both');
    one!.componentInstance.asked.set('c');
    TestBed.tick();
    expect(one!.componentInstance.shown()).toBe('made a');
    one!.componentInstance.asked.set('d');
    two!.componentInstance.asked.set('e');
    TestBed.tick();
    two!.destroy();
    await pause(one!);
    expect(worked).toEqual(['a', 'b', 'd']);
    expect(one!.componentInstance.shown()).toBe('made d');
  });
  it('goes on with the next when one of them fails', async () => {
    const told = spyOn(window, 'reportError');
    lines(['broken', 'after']);
    TestBed.tick();
    await until(() => worked.includes('after'), 'the one after');
    expect(told).toHaveBeenCalledTimes(1);
  });
});
