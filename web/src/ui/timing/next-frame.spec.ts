import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../../testing/until';
import { nextFrame } from './next-frame';
import { settled } from './settled';

interface Thing {
  readonly rig: string;
  readonly n: number;
}

@Component({
  selector: 'tp-late',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '{{ late().n }} {{ still()?.n ?? "none" }}',
})
class Late {
  readonly source = signal<Thing>({ rig: 'a', n: 1 });
  readonly late = nextFrame(this.source, (t) => t.rig);
  readonly still = settled(this.source);
}

describe('what follows the figures', () => {
  it('nextFrame shows the first value at once, a new one a frame later, and another rig at once', async () => {
    const fixture = TestBed.createComponent(Late);
    const late = fixture.componentInstance;
    await fixture.whenStable();
    expect(late.late().n).toBe(1);
    await until(() => late.still(), 'the settled value');
    late.source.set({ rig: 'a', n: 2 });
    expect(late.late().n).toBe(1);
    await until(() => late.late().n === 2, 'the frame after');
    expect(late.late().n).toBe(2);
    late.source.set({ rig: 'b', n: 3 });
    expect(late.late().n).toBe(3);
  });

  it('nextFrame keeps drawing through edits that never pause, and skips those in between', () => {
    jasmine.clock().install();
    spyOn(window, 'requestAnimationFrame').and.callFake((frame) => window.setTimeout(frame, 16) as unknown as number);
    try {
      const late = TestBed.createComponent(Late).componentInstance;
      TestBed.tick();
      jasmine.clock().tick(200);
      const shown = new Set<number>();
      // An edit every 5 ms; a frame every 16.
      for (let n = 2; n <= 41; n++) {
        late.source.set({ rig: 'a', n });
        TestBed.tick();
        jasmine.clock().tick(5);
        shown.add(late.late().n);
      }
      expect(shown.size).toBeGreaterThan(5);
      expect(shown.size).toBeLessThan(20);
      jasmine.clock().tick(200);
      expect(late.late().n).toBe(41);
    } finally {
      jasmine.clock().uninstall();
    }
  });

  it('settled waits till the value stands still', () => {
    jasmine.clock().install();
    try {
      const late = TestBed.createComponent(Late).componentInstance;
      TestBed.tick();
      expect(late.still()).toBeNull();
      jasmine.clock().tick(150);
      expect(late.still()!.n).toBe(1);
      for (let n = 2; n < 20; n++) {
        late.source.set({ rig: 'a', n });
        TestBed.tick();
        jasmine.clock().tick(100);
        expect(late.still()!.n).toBe(1);
      }
      jasmine.clock().tick(50);
      expect(late.still()!.n).toBe(19);
    } finally {
      jasmine.clock().uninstall();
    }
  });
});
