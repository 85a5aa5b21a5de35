/** What the real page takes in the real browser: an edit to new figures and to paint, and what the first load fetches. */
import { chromium } from '@playwright/test';
import { Server } from '../e2e/support/bench';

interface Spread {
  readonly median: number;
  readonly p99: number;
}
const EDITS = 300;

export async function measurePage(): Promise<{ work: Spread; painted: Spread; longest: number; fetched: readonly Buffer[]; fontBytes: number }> {
  const server = new Server(true);
  await server.start();
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args: ['--disable-background-networking', '--disable-frame-rate-limit', '--disable-gpu-vsync'] });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    const page = await context.newPage();
    const fetched: Promise<Buffer>[] = [];
    const fonts: Promise<Buffer>[] = [];
    page.on('response', (r) => {
      // The worker reckons the cost after the page is usable, and is not waited for.
      if (r.url().includes('/api/') || r.url().includes('/worker-')) return;
      (/\.woff2$/.test(r.url()) ? fonts : fetched).push(r.body().catch(() => Buffer.alloc(0)));
    });
    await page.goto(`${server.address}/shelf`);
    await page.getByRole('button', { name: 'Put Whelk on the bench' }).waitFor();
    const first = await Promise.all(fetched);
    const fontBytes = (await Promise.all(fonts)).reduce((sum, b) => sum + b.length, 0);
    await page.goto(`${server.address}/balance`);
    await page.getByRole('slider', { name: 'Stage, fore and aft, slide' }).waitFor();
    await page.waitForTimeout(1500);
    const { work, painted, longest } = await page.evaluate(async (edits) => {
      const slider = document.querySelector<HTMLInputElement>('input[type=range]')!;
      const readout = document.querySelector('tp-tide-line')!;
      const longTasks: number[] = [];
      new PerformanceObserver((list) => longTasks.push(...list.getEntries().map((e) => e.duration))).observe({ type: 'longtask' as never });
      const times: { work: number[]; painted: number[] } = { work: [], painted: [] };
      for (let n = 0; n < edits; n++) {
        const changed = new Promise<number>((done) => {
          const watcher = new MutationObserver(() => {
            watcher.disconnect();
            done(performance.now());
          });
          watcher.observe(readout, { subtree: true, characterData: true, childList: true, attributes: true });
        });
        const started = performance.now();
        slider.value = String(Number(slider.min) + ((n * 37) % 400) * Number(slider.step) * 2);
        slider.dispatchEvent(new Event('input', { bubbles: true }));
        times.work.push((await changed) - started);
        await new Promise<void>((done) => requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          (port1 as unknown as { onmessage: () => void }).onmessage = () => done();
          port2.postMessage(0);
        }));
        times.painted.push(performance.now() - started);
      }
      return { work: times.work, painted: times.painted, longest: Math.max(0, ...longTasks) };
    }, EDITS);
    return { work: spread(work), painted: spread(painted), longest, fetched: first, fontBytes };
  } finally {
    await browser.close();
    await server.end();
  }
}

function spread(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  return { median: sorted[Math.floor(sorted.length / 2)]!, p99: sorted[Math.floor(sorted.length * 0.99)]! };
}
