/** What an edit takes in the page till its new figures are there, and till the frame that paints them is done. */
import type { Page } from '@playwright/test';

export interface Spread {
  readonly median: number;
  readonly p99: number;
}
export interface EditTimes {
  /** From the edit to new figures in the page. */
  readonly figures: Spread;
  /** To the end of the frame that paints them, with the wait for the display. */
  readonly painted: Spread;
  /** Edits whose figures were not in the first frame after them. */
  readonly late: number;
  readonly edits: number;
}
interface Kept {
  readonly figures: number[];
  readonly painted: number[];
  late: number;
}
type Watched = typeof globalThis & {
  editTimes: Kept;
  scheduler: { postTask(task: () => void, options: { priority: 'user-blocking' }): Promise<void> };
};

/** Watches every `event` in the page from now on. */
export async function watchEdits(page: Page, event: 'input' | 'change'): Promise<void> {
  await page.evaluate((name) => {
    const kept: Kept = ((globalThis as Watched).editTimes = { figures: [], painted: [], late: 0 });
    let [started, changed] = [0, 0];
    new MutationObserver(() => (changed = performance.now())).observe(document.querySelector('tp-tide-line')!, {
      subtree: true,
      characterData: true,
      childList: true,
      attributes: true,
    });
    addEventListener(
      name,
      () => {
        [started, changed] = [performance.now(), 0];
      },
      true,
    );
    // On the way back up the program's own listeners have asked for their frame: this is the last to run in it.
    addEventListener(
      name,
      () => {
        requestAnimationFrame(() => {
          // The first task after the frame: a message or a timer would come behind what the program left for later, and count that too.
          void (globalThis as Watched).scheduler.postTask(
            () => {
              if (changed === 0) return void kept.late++;
              kept.figures.push(changed - started);
              kept.painted.push(performance.now() - started);
            },
            { priority: 'user-blocking' },
          );
        });
      },
      false,
    );
  }, event);
}

export async function editTimes(page: Page): Promise<EditTimes> {
  const { figures, painted, late } = await page.evaluate(() => (globalThis as Watched).editTimes);
  return { figures: spread(figures), painted: spread(painted), late, edits: figures.length };
}

function spread(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  return { median: sorted[Math.floor(sorted.length / 2)] ?? NaN, p99: sorted[Math.floor(sorted.length * 0.99)] ?? NaN };
}
