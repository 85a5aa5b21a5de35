/** Work that may wait till what has just changed is on the screen. */

import { Observable } from 'rxjs';

/** A page that is not shown is not painted: there it runs after this, ms. */
const AT_THE_LATEST = 120;

/** Runs `work` once, after the next frame has been painted. */
export function afterPaint(work: () => void): void {
  let ran = false;
  const run = (): void => {
    if (ran) return;
    ran = true;
    clearTimeout(net);
    work();
  };
  const net = setTimeout(run, AT_THE_LATEST);
  // The timer within the frame fires once the frame is done.
  requestAnimationFrame(() => setTimeout(run));
}

/** The same as a stream of one, for `audit`: the newest value once what led to it is painted. */
export const painted$ = new Observable<void>((listener) => afterPaint(() => listener.next()));
