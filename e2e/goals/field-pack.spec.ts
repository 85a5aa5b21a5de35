/** A field pack opened from a file with no server logs a day and comes home: each reading once, and nothing typed runs. */
import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { expect, goTo, savedBy, test } from '../support/bench';
import { readPdf } from '../support/pdf';

test.use({ demo: true });

/** A phone with no network, the file opened from its own store. */
async function phoneWith(browser: Browser, file: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, offline: true });
  const page = await context.newPage();
  const asked: string[] = [];
  page.on('request', (r) => asked.push(r.url()));
  page.on('dialog', () => asked.push('a dialog'));
  await page.goto(pathToFileURL(file).href);
  expect(asked.filter((url) => !url.startsWith('file:'))).toEqual([]);
  return page;
}

test('a day is logged with no server, and brought home once by each of two phones', async ({ bench, browser }) => {
  const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-pack-'));
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Field');
  const card = bench.getByRole('article', { name: /^Set-up card/ }).first();
  await expect(card).toBeVisible();
  const bigs = await card.locator('.big').allInnerTexts();
  const saved = await savedBy(bench, () => bench.getByRole('button', { name: 'Field pack' }).click());
  const file = join(folder, 'pack.html');
  copyFileSync(saved, file);
  expect(gzipSync(readFileSync(file)).length).toBeLessThan(400_000);

  const phone = await phoneWith(browser, file);
  // The pack says what the card says.
  const told = await phone.locator('details.card').first().locator('.big').allInnerTexts();
  const bare = (t: string): string => t.replace(/\s+/g, ' ').trim();
  expect(told.map(bare)).toEqual(bigs.map(bare));
  for (const target of await phone.locator('details.card[open] button, details.card[open] .tick').all())
    expect((await target.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await phone.getByRole('checkbox').first().tap();
  await phone.getByRole('button', { name: 'Let go' }).first().tap();
  await phone.waitForTimeout(400);
  await phone.getByRole('button', { name: 'Upright' }).tap();
  await phone.getByLabel('Nose down, degrees').first().fill('1,5');
  await phone.getByLabel('Notes').first().fill('<img src=x onerror=alert(1)> windy');
  await phone.getByLabel('What to try next').first().fill('A pin at the neck.');
  await phone.getByRole('button', { name: 'Keep this reading' }).first().tap();
  await expect(phone.getByText('1 reading kept here')).toBeVisible();
  await phone.reload();
  await expect(phone.getByText('1 reading kept here')).toBeVisible();
  await expect(phone.getByRole('checkbox').first()).toBeChecked();
  await expect(phone.locator('#entries img')).toHaveCount(0);
  const home = await savedBy(phone, () => phone.getByRole('button', { name: 'Give back as a file' }).tap());
  const first = join(folder, 'one.json');
  copyFileSync(home, first);

  const other = await phoneWith(browser, file);
  await other.getByLabel('Notes').first().fill('the same take, seen by another');
  await other.getByRole('button', { name: 'Keep this reading' }).first().tap();
  const second = join(folder, 'two.json');
  copyFileSync(await savedBy(other, () => other.getByRole('button', { name: 'Give back as a file' }).tap()), second);

  await goTo(bench, 'Log');
  const bring = bench.getByLabel('Log of a field pack');
  await bring.setInputFiles(first);
  await expect(bench.getByText('1 reading is in the log.')).toBeVisible();
  await expect(bench.getByText('<img src=x onerror=alert(1)> windy')).toBeVisible();
  await expect(bench.getByText('A pin at the neck.')).toBeVisible();
  await expect(bench.getByText(/1\.5° nose down/).first()).toBeVisible();
  await bring.setInputFiles(first);
  await expect(bench.getByText('0 readings are in the log; 1 was here already.')).toBeVisible();
  await bring.setInputFiles(second);
  await expect(bench.getByText('the same take, seen by another')).toBeVisible();
  const bad = join(folder, 'bad.json');
  for (const [text, words] of [
    ['not json', /is not a log that a field pack gave back/],
    ['{"format":"tide-pebble-field-log","version":1,"entries":[{"id":"x"}]}', /entries\.0\.rig is missing/],
  ] as const) {
    writeFileSync(bad, text);
    await bring.setInputFiles(bad);
    await expect(bench.getByRole('alert').filter({ hasText: words })).toContainText('Nothing was brought in');
  }
  await phone.context().close();
  await other.context().close();
});

test('cards as a PDF and as a picture say what the screen says', async ({ bench }) => {
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Field');
  const cards = bench.getByRole('article', { name: /^Set-up card/ });
  await expect(cards).toHaveCount(2);
  const bigs = await cards.locator('.big').allInnerTexts();
  const read = await readPdf(await savedBy(bench, () => bench.getByRole('button', { name: 'Cards as PDF' }).click()));
  expect(read.length).toBe(2);
  const words = read
    .map((p) => p.words)
    .join(' ')
    .replace(/\s+/g, ' ');
  expect(read[0]!.width).toBeCloseTo(100, 1);
  for (const big of bigs) expect(words).toContain(big.replace(/\s+/g, ' ').trim());
  const picture = readFileSync(
    await savedBy(bench, () => bench.getByRole('button', { name: /^Card of Ebb.* as a picture$/ }).click()),
  );
  expect(picture.subarray(1, 4).toString()).toBe('PNG');
  // 100 mm at 200 dots an inch.
  expect(picture.readUInt32BE(16)).toBe(788);
});

test('no name of a rig or a loadout is markup in a pack', async ({ bench, browser }) => {
  const name = '</script><script>alert(1)</script>"><img src=x onerror=alert(2)>';
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Load');
  const loadout = bench.locator('tp-loadout-panel').getByRole('textbox', { name: 'Name' }).first();
  await loadout.fill(name);
  await loadout.press('Enter');
  await goTo(bench, 'Field');
  const saved = await savedBy(bench, () => bench.getByRole('button', { name: 'Field pack' }).click());
  const file = join(mkdtempSync(join(tmpdir(), 'tide-pebble-pack-')), 'pack.html');
  copyFileSync(saved, file);
  const phone = await phoneWith(browser, file);
  await expect(phone.getByText(name).first()).toBeVisible();
  await expect(phone.locator('img')).toHaveCount(0);
  await expect(phone.locator('script')).toHaveCount(2);
  await phone.context().close();
});
