import { audit, Subject } from 'rxjs';
import { afterPaint, painted$ } from './after-paint';

describe('work after the frame', () => {
  /** Frames are drawn when the spec says so. */
  let frames: FrameRequestCallback[];
  const paint = (): void => {
    for (const frame of frames.splice(0)) frame(0);
    jasmine.clock().tick(1);
  };
  beforeEach(() => {
    frames = [];
    jasmine.clock().install();
    spyOn(window, 'requestAnimationFrame').and.callFake((frame) => frames.push(frame));
  });
  afterEach(() => jasmine.clock().uninstall());

  it('runs once, and not in the task or the frame that asked for it', () => {
    let ran = 0;
    afterPaint(() => ran++);
    expect(ran).toBe(0);
    for (const frame of frames.splice(0)) frame(0);
    expect(ran).toBe(0);
    jasmine.clock().tick(1);
    expect(ran).toBe(1);
    jasmine.clock().tick(10_000);
    paint();
    expect(ran).toBe(1);
  });

  it('runs all the same on a page that is never painted, and once when it is painted after all', () => {
    let ran = 0;
    afterPaint(() => ran++);
    jasmine.clock().tick(60);
    expect(ran).toBe(0);
    jasmine.clock().tick(60);
    expect(ran).toBe(1);
    paint();
    expect(ran).toBe(1);
  });

  it('lets through the newest of what came before the frame, and what comes after it', () => {
    const source = new Subject<number>();
    const seen: number[] = [];
    source.pipe(audit(() => painted$)).subscribe((n) => seen.push(n));
    source.next(1);
    source.next(2);
    expect(seen).toEqual([]);
    paint();
    expect(seen).toEqual([2]);
    source.next(3);
    paint();
    expect(seen).toEqual([2, 3]);
  });
});
