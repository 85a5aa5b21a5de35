/** What an edit takes in the page till the frame with its new figures is painted, and how much of that the page only waited for the display. */
import type { Page } from '@playwright/test';

export interface Spread {
  readonly median: number;
  readonly p99: number;
}
export interface EditTimes {
  /** From the edit to new figures in the page. */
  readonly figures: Spread;
  /** To the end of the frame that paints them, less the wait: what the program and the browser's drawing take. */
  readonly own: Spread;
  /** The same with the wait for the display's next frame. */
  readonly painted: Spread;
  /** Edits whose figures were not in the first frame after them. */
  readonly late: number;
  readonly edits: number;
}
interface Kept {
  readonly figures: number[];
  readonly own: number[];
  readonly painted: number[];
  late: number;
}
type Watched = typeof globalThis & { editTimes: Kept };

/** Watches every `event` in the page from now on. */
export async function watchEdits(page: Page, event: 'input' | 'change'): Promise<void> {
  await page.evaluate((name) => {
    const kept: Kept = ((globalThis as Watched).editTimes = { figures: [], own: [], painted: [], late: 0 });
    let [started, handled, changed, begun] = [0, 0, 0, 0];
    new MutationObserver(() => (changed = performance.now())).observe(document.querySelector('tp-tide-line')!, { subtree: true, characterData: true, childList: true, attributes: true });
    addEventListener(name, () => {
      [started, changed] = [performance.now(), 0];
      // Asked for before anything of the program's own: the first to run in the frame.
      requestAnimationFrame(() => (begun = performance.now()));
    }, true);
    // On the way back up the program's own listeners are done.
    addEventListener(name, () => {
      handled = performance.now();
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        (port1 as unknown as { onmessage: () => void }).onmessage = () => {
          const now = performance.now();
          if (changed === 0) return void kept.late++;
          const ready = changed < begun ? Math.max(handled, changed) : handled;
          kept.figures.push(changed - started);
          kept.painted.push(now - started);
          kept.own.push(now - started - Math.max(0, begun - ready));
        };
        port2.postMessage(0);
      });
    }, false);
  }, event);
}

export async function editTimes(page: Page): Promise<EditTimes> {
  const { figures, own, painted, late } = await page.evaluate(() => (globalThis as Watched).editTimes);
  return { figures: spread(figures), own: spread(own), painted: spread(painted), late, edits: figures.length };
}

function spread(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  return { median: sorted[Math.floor(sorted.length / 2)] ?? NaN, p99: sorted[Math.floor(sorted.length * 0.99)] ?? NaN };
}
