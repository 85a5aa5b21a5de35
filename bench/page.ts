/** What the real page takes in the real browser: an edit to new figures and to paint, and what the first load fetches. */
import { chromium, type Locator, type Page } from '@playwright/test';
import { Server } from '../e2e/support/bench';
import { editTimes, watchEdits, type EditTimes } from './painted';

const EDITS = 300;
const PAUSE_MS = 30;

export async function measurePage(): Promise<{
  edits: EditTimes;
  /** A page with nothing but a slider and a figure: what browser and machine take by themselves. */ bare: EditTimes;
  longest: number;
  fetched: readonly Buffer[];
  fontBytes: number;
}> {
  const server = new Server(true);
  await server.start();
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--disable-background-networking'],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.addInitScript(() => Object.assign(globalThis, { __name: (f: unknown) => f }));
    await page.addInitScript(markUsable);
    const bodies = new Map<string, Promise<Buffer>>();
    page.on('response', (r) => {
      if (!r.url().includes('/api/'))
        bodies.set(
          r.url(),
          r.body().catch(() => Buffer.alloc(0)),
        );
    });
    await page.goto(`${server.address}/shelf`);
    await page.getByRole('button', { name: 'Put Whelk on the bench' }).waitFor();
    // What works the rigs out comes once they stand on the shelf, and is not waited for.
    const before = await page.evaluate(() =>
      performance.getEntriesByType('resource').flatMap((e) => {
        const { name, responseEnd } = e as PerformanceResourceTiming;
        return responseEnd <= performance.getEntriesByName('usable')[0]!.startTime ? [name] : [];
      }),
    );
    const part = (isFont: boolean): Promise<Buffer[]> =>
      Promise.all(
        [...bodies].flatMap(([url, body]) => {
          const isFirst = url.endsWith('/shelf') || before.includes(url);
          return isFirst && /\.woff2$/.test(url) === isFont ? [body] : [];
        }),
      );
    const first = await part(false);
    const fontBytes = (await part(true)).reduce((sum, b) => sum + b.length, 0);
    await page.goto(`${server.address}/balance`);
    const slider = page.getByRole('slider', { name: 'Stage, fore and aft, slide' });
    await slider.waitFor();
    await page.waitForTimeout(1500);
    await slider.scrollIntoViewIfNeeded();
    await page.evaluate(() => {
      const longest = ((globalThis as { longest?: number[] }).longest = [0]);
      new PerformanceObserver((list) => longest.push(...list.getEntries().map((e) => e.duration))).observe({
        type: 'longtask' as never,
      });
    });
    const edits = await dragged(page, slider);
    const longest = await page.evaluate(() => Math.max(...(globalThis as unknown as { longest: number[] }).longest));
    await page.goto('about:blank');
    await page.setContent(
      `<input type="range" style="width: 110px" oninput="requestAnimationFrame(() => (document.querySelector('tp-tide-line').textContent = this.value))"><tp-tide-line></tp-tide-line>`,
    );
    return { edits, bare: await dragged(page, page.getByRole('slider')), longest, fetched: first, fontBytes };
  } finally {
    await browser.close();
    await server.end();
  }
}

/** A real hand on a real slider: the browser brings moves in step with its frames. */
async function dragged(page: Page, slider: Locator): Promise<EditTimes> {
  await watchEdits(page, 'input');
  const box = (await slider.boundingBox())!;
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width / 2, y);
  await page.mouse.down();
  for (let n = 0; n < EDITS; n++) {
    await page.mouse.move(box.x + 10 + ((n * 7) % (box.width - 20)), y);
    await page.waitForTimeout(PAUSE_MS);
  }
  await page.mouse.up();
  return editTimes(page);
}

/** In the page: a rig's button is painted. */
function markUsable(): void {
  const look = new MutationObserver(() => {
    if (!document.querySelector('tp-rig-card .picture')) return;
    look.disconnect();
    requestAnimationFrame(() => setTimeout(() => performance.mark('usable')));
  });
  look.observe(document, { childList: true, subtree: true });
}
