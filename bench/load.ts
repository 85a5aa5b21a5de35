/** The Load stage in the real browser: a large kit against a small one, and a long list read while the page stays at hand. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { newItem, type KitItem, type Loadout } from '@tide-pebble/core';
import { Server } from '../e2e/support/bench';

const EDITS = 60;
const ROWS = 10_000;

/** A kit of bodies and lenses with states and spreads, and loadouts of six things each. */
export function madeKit(items: number, loadouts: number): { kit: KitItem[]; loadouts: Loadout[] } {
  const kit = Array.from({ length: items }, (_, i): KitItem => {
    const item = newItem(`item-${i}`, i % 5 === 0 ? 'camera' : 'lens', `Item ${i}`);
    return {
      ...item,
      mass: { value: 0.1 + (i % 17) * 0.03, spread: 0.0006 },
      massCentre: {
        at: [item.boxCentre[0] + 0.001 * (i % 7), 0.001 * (i % 3), item.boxCentre[2]],
        spread: [0.002, 0.001, 0.001],
      },
      states: [
        {
          id: 'zoom',
          name: 'zoom',
          choices: [
            { id: 'a', name: 'at wide' },
            { id: 'b', name: 'at long', change: { kind: 'moves', by: [0.01, 0, 0], spread: [0.001, 0, 0] } },
          ],
        },
      ],
    };
  });
  const cameras = kit.filter((k) => k.class === 'camera');
  return {
    kit,
    loadouts: Array.from({ length: loadouts }, (_, n): Loadout => {
      const body = cameras[n % cameras.length]!;
      const others = Array.from({ length: Math.min(5, items - 1) }, (_x, j) => kit[(n * 7 + j + 1) % items]!).filter(
        (k) => k.class === 'lens',
      );
      return {
        id: `loadout-${n}`,
        name: `Loadout ${n}`,
        conditions: '',
        items: [
          { id: 'body', item: body.id, on: null, offset: [0, 0, 0] },
          ...others.map((k, j) => ({
            id: `on-${j}`,
            item: k.id,
            on: { mounted: 'body', point: 'flange' },
            offset: [0.01 * j, 0.002 * j, 0] as const,
          })),
        ],
      };
    }),
  };
}

export interface LoadTimes {
  readonly search: number;
  readonly cover: number;
}

async function timesOf(browser: Browser, items: number, loadouts: number): Promise<LoadTimes> {
  const server = new Server(false);
  await server.start();
  const made = madeKit(items, loadouts);
  const changes = [
    ...made.kit.map((body) => ({ kind: 'kit', id: body.id, revision: 0, body })),
    ...made.loadouts.map((body) => ({ kind: 'loadout', id: body.id, revision: 0, body })),
  ];
  const answer = await fetch(`${server.address}/api/changes`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ changes }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  ).newPage();
  await page.goto(`${server.address}/load`);
  await page.getByLabel('Find in the kit').waitFor();
  await page.waitForTimeout(800);
  // The runner names functions by a helper that the page does not have.
  await page.evaluate('globalThis.__name = (f) => f');
  const times = await page.evaluate(async (edits) => {
    const median = (list: number[]): number => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
    const changed = (of: Element, act: () => void): Promise<number> => {
      const started = performance.now();
      const done = new Promise<number>((tell) => {
        const watcher = new MutationObserver(() => {
          watcher.disconnect();
          tell(performance.now() - started);
        });
        watcher.observe(of, { subtree: true, characterData: true, childList: true, attributes: true });
      });
      act();
      return done;
    };
    const pause = (): Promise<void> => new Promise((r) => setTimeout(r, 30));
    const search = document.querySelector<HTMLInputElement>('input[type=search]')!;
    const list = document.querySelector('cdk-virtual-scroll-viewport')!;
    const panel = document.querySelector('tp-cover-panel')!;
    const result: { search: number[]; cover: number[] } = { search: [], cover: [] };
    for (let n = 0; n < edits; n++) {
      result.search.push(
        await changed(list, () => {
          search.value = n % 2 === 0 ? '1' : '2';
          search.dispatchEvent(new Event('input'));
        }),
      );
      await pause();
    }
    search.value = '';
    search.dispatchEvent(new Event('input'));
    await pause();
    for (let n = 0; n < edits; n++) {
      const mass = document.querySelector<HTMLInputElement>('cdk-virtual-scroll-viewport input')!;
      result.cover.push(
        await changed(panel, () => {
          mass.value = `${200 + n * 9} g`;
          mass.dispatchEvent(new Event('input'));
          mass.dispatchEvent(new Event('change'));
        }),
      );
      await pause();
    }
    return { search: median(result.search), cover: median(result.cover) };
  }, EDITS);
  await page.context().close();
  await server.end();
  return times;
}

interface BringingIn {
  readonly shown: number;
  /** Longest tasks of the page while the rows are read; taken in and kept by the server; taken back, ms. */
  readonly longest: number;
  readonly longestTakenIn: number;
  readonly longestTakenBack: number;
}

async function readingOf(page: Page): Promise<BringingIn> {
  await page.getByRole('button', { name: 'Bring in' }).click();
  const text = `name,kind,mass_g,length_mm,width_mm,height_mm\n${Array.from({ length: ROWS }, (_, i) => `Shell ${i},other,${(i % 400) + 1},40,30,20`).join('\n')}`;
  await page.getByLabel('File to bring in').waitFor();
  await page.waitForTimeout(500);
  await page.evaluate(() => {
    const tasks: number[] = [];
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask' as never,
    });
    const page = globalThis as unknown as { tasks: number[]; started: number; shown: number };
    page.tasks = tasks;
    // Whatever came before is not of this.
    setTimeout(() => (tasks.length = 0));
    // Watched from within, for a question put from outside every few milliseconds would hold up the page itself.
    document
      .querySelector('input[type=file]')!
      .addEventListener('change', () => (page.started = performance.now()), { capture: true });
    new MutationObserver(() => {
      if (!page.shown && document.querySelector('.counts')?.textContent?.includes('10000 new'))
        page.shown = performance.now();
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  // By its path: handing the bytes over would be work in the page itself.
  const file = join(mkdtempSync(join(tmpdir(), 'tide-pebble-many-')), 'many.csv');
  writeFileSync(file, text);
  await page.getByLabel('File to bring in').setInputFiles(file);
  await page.waitForTimeout(4000);
  const shown = await page.evaluate(() => {
    const { started, shown: at } = globalThis as unknown as { started: number; shown: number };
    if (!at) throw new Error('the rows were not shown in four seconds');
    return at - started;
  });
  const longest = await longestSince(page);
  await page.getByRole('button', { name: `Take in ${ROWS}` }).click();
  await kept(page);
  const longestTakenIn = await longestSince(page);
  await page.getByRole('banner').getByRole('button', { name: /^Undo/ }).click();
  await kept(page);
  return { shown, longest, longestTakenIn, longestTakenBack: await longestSince(page) };
}

/** Of the page's tasks since this was last asked, ms; none over 50 is told as zero, for the browser tells of no shorter ones. */
const longestSince = (page: Page): Promise<number> =>
  page.evaluate(() => Math.max(0, ...(globalThis as unknown as { tasks: number[] }).tasks.splice(0)));

/** Acknowledged by the server, every portion of it. */
async function kept(page: Page): Promise<void> {
  await page.waitForTimeout(1000);
  await page
    .getByRole('banner')
    .getByText(/^All kept/)
    .waitFor();
  await page.waitForTimeout(1000);
}

export async function measureLoad(): Promise<{ small: LoadTimes; large: LoadTimes; reading: BringingIn }> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--disable-background-networking'],
  });
  const server = new Server(false);
  try {
    const small = await timesOf(browser, 10, 2);
    const large = await timesOf(browser, 500, 60);
    await server.start();
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
    ).newPage();
    await page.goto(`${server.address}/load`);
    return { small, large, reading: await readingOf(page) };
  } finally {
    await browser.close();
    await server.end();
  }
}
