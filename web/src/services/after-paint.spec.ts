import { audit, Subject } from 'rxjs';
import { afterPaint, painted$ } from './after-paint';

const moment = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

describe('work after the frame', () => {
  it('runs once, and not in the task that asked for it', async () => {
    let ran = 0;
    afterPaint(() => ran++);
    expect(ran).toBe(0);
    await Promise.resolve();
    expect(ran).toBe(0);
    await moment(400);
    expect(ran).toBe(1);
  });

  it('runs all the same on a page that is never painted', async () => {
    spyOn(window, 'requestAnimationFrame').and.returnValue(0);
    let ran = 0;
    afterPaint(() => ran++);
    await moment(400);
    expect(ran).toBe(1);
  });

  it('lets through the newest of what came before the frame, and what comes after it', async () => {
    const source = new Subject<number>();
    const seen: number[] = [];
    source.pipe(audit(() => painted$)).subscribe((n) => seen.push(n));
    source.next(1);
    source.next(2);
    await moment(400);
    expect(seen).toEqual([2]);
    source.next(3);
    await moment(400);
    expect(seen).toEqual([2, 3]);
  });
});
