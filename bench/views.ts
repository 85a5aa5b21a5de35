/** Every view opened in the real page: the longest task it takes, at full speed and four times slower, and with much kept against the demo’s own. */
import { chromium, type Browser, type Page } from '@playwright/test';
import type { RigDocument } from '@tide-pebble/core';
import { Server } from '../e2e/support/bench';
import { OF_THE_BENCH, STAGES } from '../e2e/support/views';
import { madeKit } from './load';

const SLOWER = 4;
/** A page is at rest when nothing is worked out on it and no task has held it up for so long. */
const AT_REST_MS = 600;
/** What takes longer is told as so long. */
const AT_MOST_MS = 20_000;
/** Each view is opened so often, and the middling time taken. */
const TIMES = 3;

export interface Opened {
  readonly view: string;
  /** Longest task on the main thread, ms; 0 when none reached 50 ms (the browser tells no shorter ones). */
  readonly longest: number;
}
export interface ViewTimes {
  /** From asking for the page to a rig's picture painted, at a processor four times slower, ms. */
  readonly firstLoad: number;
  readonly full: readonly Opened[];
  readonly slow: readonly Opened[];
  /** From the press to three rigs worked out, ms. */
  readonly three: number;
  /** Till a view is at rest: 200 items, 60 loadouts, 40 rigs over what the demo has, some ten of each. */
  readonly much: readonly { readonly view: string; readonly few: number; readonly many: number }[];
}

export async function measureViews(): Promise<ViewTimes> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--disable-background-networking'],
  });
  try {
    return {
      firstLoad: await withServer(true, (address) => firstLoad(browser, address)),
      full: await withServer(true, (address) => openedAt(browser, address, 1)),
      slow: await withServer(true, (address) => openedAt(browser, address, SLOWER)),
      three: await withServer(false, (address) => threeRigs(browser, address)),
      much: await muchOverTen(browser),
    };
  } finally {
    await browser.close();
  }
}

async function withServer<T>(demo: boolean, work: (address: string) => Promise<T>): Promise<T> {
  const server = new Server(demo);
  await server.start();
  try {
    return await work(server.address);
  } finally {
    await server.end();
  }
}

async function pageAt(browser: Browser, slower: number): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    // What swings on its own is never at rest.
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  // The runner names functions by a helper that the page does not have.
  await page.addInitScript('globalThis.__name = (f) => f');
  if (slower > 1) {
    const devTools = await context.newCDPSession(page);
    await devTools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  }
  return page;
}

async function firstLoad(browser: Browser, address: string): Promise<number> {
  const times: number[] = [];
  for (let n = 0; n < TIMES; n++) {
    const page = await pageAt(browser, SLOWER);
    const started = performance.now();
    await page.goto(`${address}/shelf`, { waitUntil: 'commit' });
    await page.locator('tp-rig-card .picture').first().waitFor();
    times.push(performance.now() - started);
    await page.context().close();
  }
  return middling(times);
}

async function openedAt(browser: Browser, address: string, slower: number): Promise<readonly Opened[]> {
  const page = await pageAt(browser, slower);
  await page.goto(`${address}/shelf`);
  await atRest(page);
  const seen = new Map<string, number[]>();
  // The first walk fetches each view's code; whoever works in it has it.
  for (let n = 0; n <= TIMES; n++)
    for (const view of [...STAGES, 'balance/swing', 'balance/pan', 'balance/learn', 'build/patterns']) {
      const { longest } = await opened(page, view);
      if (n > 0) seen.set(view, [...(seen.get(view) ?? []), longest]);
    }
  await page.context().close();
  return [...seen].map(([view, all]) => ({ view, longest: middling(all) })).sort((a, b) => b.longest - a.longest);
}

async function threeRigs(browser: Browser, address: string): Promise<number> {
  const page = await pageAt(browser, 1);
  await page.goto(address);
  await page.getByLabel('walking').click();
  await page.getByRole('radio', { name: /^Small body/ }).click();
  await page.getByRole('radio', { name: /^Zoom lens/ }).click();
  const button = page.getByRole('button', { name: 'Show me three rigs' });
  const started = performance.now();
  await button.click();
  await page.locator('tp-ready-card').nth(2).waitFor();
  await button.waitFor();
  const took = performance.now() - started;
  await page.context().close();
  return took;
}

async function muchOverTen(browser: Browser): Promise<ViewTimes['much']> {
  const [few, many] = [await timesWith(browser, 0, 0, 0), await timesWith(browser, 200, 60, 40)];
  return [...many]
    .map(([view, time]) => ({ view, few: few.get(view)!, many: time }))
    .sort((a, b) => b.many / b.few - a.many / a.few);
}

async function timesWith(
  browser: Browser,
  items: number,
  loadouts: number,
  rigs: number,
): Promise<ReadonlyMap<string, number>> {
  return withServer(true, async (address) => {
    if (items > 0) await keep(address, items, loadouts, rigs);
    const page = await pageAt(browser, 1);
    await page.goto(`${address}/shelf`);
    await atRest(page);
    const seen = new Map<string, number[]>();
    for (let n = 0; n <= TIMES; n++)
      for (const view of ['shelf', 'load', ...OF_THE_BENCH]) {
        const { took } = await opened(page, view);
        if (n > 0) seen.set(view, [...(seen.get(view) ?? []), took]);
      }
    await page.context().close();
    return new Map([...seen].map(([view, all]) => [view, middling(all)]));
  });
}

/** So much beside the demo's own; the rigs are its first one again, each by another name. */
async function keep(address: string, items: number, loadouts: number, rigs: number): Promise<void> {
  const { documents, folder } = (await (await fetch(`${address}/api/documents`)).json()) as {
    folder: string;
    documents: { kind: string; id: string; body: unknown }[];
  };
  const count = (kind: string): number => documents.filter((d) => d.kind === kind).length;
  const rig = documents.find((d) => d.id === 'rig-limpet')!.body as RigDocument;
  const made = madeKit(items - count('kit'), loadouts - count('loadout'));
  const changes = [
    ...made.kit.map((body) => ({ kind: 'kit', id: body.id, revision: 0, body })),
    ...made.loadouts.map((body) => ({ kind: 'loadout', id: body.id, revision: 0, body })),
    ...Array.from({ length: rigs - count('rig') }, (_, i) => ({
      kind: 'rig',
      id: `rig-more-${i}`,
      revision: 0,
      body: { ...rig, id: `rig-more-${i}`, name: `Limpet ${i}` },
    })),
  ];
  const answer = await fetch(`${address}/api/changes`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Data-Folder': folder },
    body: JSON.stringify({ changes }),
  });
  if (!answer.ok) throw new Error(await answer.text());
}

/** As a link opens it, till it is at rest; how long that took, and the longest task on the way. */
async function opened(page: Page, view: string): Promise<{ readonly took: number; readonly longest: number }> {
  await page.evaluate((to) => {
    const all = globalThis as unknown as { tasks: PerformanceEntry[]; watcher?: PerformanceObserver; began: number };
    all.tasks = [];
    all.watcher?.disconnect();
    all.watcher = new PerformanceObserver((list) => all.tasks.push(...list.getEntries()));
    all.watcher.observe({ type: 'longtask' as never });
    all.began = performance.now();
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, `/${view}`);
  await page.locator('main h1, main h2, main .view-title').first().waitFor();
  return atRest(page);
}

async function atRest(page: Page): Promise<{ readonly took: number; readonly longest: number }> {
  return page.evaluate(
    async ([rest, most]) =>
      new Promise((done) => {
        const all = globalThis as unknown as { tasks?: PerformanceEntry[]; began?: number };
        let last = performance.now();
        const look = new MutationObserver(() => {
          last = performance.now();
        });
        look.observe(document, { childList: true, subtree: true, attributes: true, characterData: true });
        const timer = setInterval(() => {
          const now = performance.now();
          const isBusy = document.querySelector('main [aria-busy=true], main mat-progress-bar') !== null;
          const held = Math.max(0, ...(all.tasks ?? []).map((e) => e.startTime + e.duration));
          if (now - (all.began ?? now) < most && (isBusy || now - Math.max(last, held) < rest)) return;
          clearInterval(timer);
          look.disconnect();
          done({
            took: Math.max(last, held) - (all.began ?? 0),
            longest: Math.max(0, ...(all.tasks ?? []).map((e) => e.duration)),
          });
        }, 50);
      }),
    [AT_REST_MS, AT_MOST_MS] as const,
  );
}

function middling(all: readonly number[]): number {
  return [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)]!;
}
