/** A phone of the house: paired by a code, it reads the cards and keeps readings, and no more; let go, it is out at once. */
import { expect, type Browser, type Page } from '@playwright/test';
import { goTo, test } from '../support/bench';

test.use({ demo: true, isOpen: true });

/** A second browser, narrow, that takes the folder's own certificate as its maker does. */
async function phone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    ignoreHTTPSErrors: true,
    serviceWorkers: 'block',
  });
  return context.newPage();
}

/** The code as it stands on the bench's page. */
async function codeFor(bench: Page, may: RegExp): Promise<string> {
  await goTo(bench, 'Field');
  await bench.getByRole('link', { name: 'On a phone' }).click();
  await bench.getByRole('radio', { name: may }).check();
  await bench.getByRole('button', { name: /^Make (a|another) code$/ }).click();
  await expect(bench.getByText(/then (readings|it only)/)).toHaveText(
    may.source.includes('only') ? /only reads/ : /readings/,
  );
  return (await bench.locator('.code').innerText()).trim();
}

async function pair(page: Page, address: string, code: string, name: string): Promise<void> {
  await page.goto(`${address}/pair?code=${code}`);
  await page.getByLabel('What this phone is called').fill(name);
  await page.getByRole('button', { name: 'Pair' }).tap();
  await page.waitForURL('**/field');
}

test('a phone reads the cards and keeps a reading, which is on the bench; the rig it may not change', async ({
  bench,
  server,
  browser,
}) => {
  const page = await phone(browser);
  // Whoever is not paired sees nothing else.
  await page.goto(`${server.house}/log`);
  await expect(page.getByRole('heading', { name: 'Pair this phone with Tide Pebble' })).toBeVisible();
  await page.getByLabel('Code').fill('2222-2222');
  await page.getByRole('button', { name: 'Pair' }).tap();
  await expect(page.getByRole('alert')).toHaveText(/There is no code now|That is not the code/);

  const code = await codeFor(bench, /readings, walks/);
  await expect(bench.getByRole('img', { name: /QR code of https:/ })).toBeVisible();
  await pair(page, server.house, code, 'Pocket');
  await expect(bench.getByRole('region', { name: 'Paired phones' })).toContainText('Pocket');
  // The code is used up.
  await expect(bench.locator('.code')).toHaveCount(0);

  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  const card = page.getByRole('article', { name: /^Set-up card/ }).first();
  await expect(card).toContainText('Limpet');
  await goTo(page, 'Log');
  await page.getByLabel('Notes').fill('Read on the hill');
  await page.getByRole('button', { name: 'Keep this in the log' }).tap();
  await expect(page.getByText('Read on the hill')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'All kept' })).toBeAttached();

  await bench.reload();
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Log');
  await expect(bench.getByText('Read on the hill')).toBeVisible();

  // A size of the rig is not the phone's to change: said, and nothing is left waiting.
  await goTo(page, 'Frame');
  const size = page.locator('.row tp-quantity-field input').first();
  await size.fill('123 mm');
  await size.press('Enter');
  await expect(page.getByText('This phone keeps readings, walks and set-ups', { exact: false })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'All kept' })).toBeAttached();
  await page.context().close();
});

test('a phone that may only read keeps nothing, and one let go is out at once with what was typed kept in it', async ({
  bench,
  server,
  browser,
}) => {
  const [reader, keeper] = [await phone(browser), await phone(browser)];
  await pair(reader, server.house, await codeFor(bench, /it only reads/), 'Lent');
  await expect(reader.getByText('This phone only reads').first()).toBeAttached();
  await goTo(reader, 'Log');
  await reader.getByLabel('Notes').fill('No');
  await reader.getByRole('button', { name: 'Keep this in the log' }).tap();
  await expect(reader.getByText('This phone may only read', { exact: false })).toBeVisible();

  await pair(keeper, server.house, await codeFor(bench, /readings, walks/), 'Mine');
  await goTo(keeper, 'Log');
  await keeper.getByLabel('Notes').waitFor();
  await bench.getByRole('button', { name: 'Let go of Mine' }).click();
  await expect(bench.getByText('Mine is let go', { exact: false })).toBeVisible();
  await keeper.getByLabel('Notes').fill('Typed after it was let go');
  await keeper.getByRole('button', { name: 'Keep this in the log' }).tap();
  await expect(keeper.getByText('This phone is not paired', { exact: false }).first()).toBeAttached();

  // Paired again, it sends what it kept.
  await pair(keeper, server.house, await codeFor(bench, /readings, walks/), 'Mine again');
  await goTo(keeper, 'Log');
  await expect(keeper.getByText('Typed after it was let go')).toBeVisible();
  await expect(keeper.getByRole('status').filter({ hasText: 'All kept' })).toBeAttached();
  await bench.reload();
  await goTo(bench, 'Log');
  await expect(bench.getByText('Typed after it was let go')).toBeVisible();
  await reader.context().close();
  await keeper.context().close();
});

test('a rig is set up on a paired phone, hung, read by its sensors, and brought into its pool', async ({
  bench,
  server,
  browser,
}) => {
  const page = await phone(browser);
  await pair(page, server.house, await codeFor(bench, /readings, walks/), 'Pocket');
  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Whelk' });
  await page.getByRole('link', { name: 'Set it and read it' }).tap();
  await expect(page.getByRole('heading', { name: 'Whelk: set it and read it' })).toBeVisible();
  for (const box of await page.locator('.part input').all()) await box.check();
  await expect(page.getByText('All set.')).toBeVisible();
  await page.getByText('No phone at hand').tap();
  await page.getByLabel('Read with a simulated phone').check();

  const read = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Read how it leans' }).tap();
    await page.getByRole('button', { name: 'Turned end for end: again' }).tap();
    await expect(page.getByText('own fault is', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Take this lean' }).tap();
    await page.getByRole('button', { name: 'Read a drop' }).tap();
    await page.getByRole('button', { name: 'Take this drop' }).tap();
    await page.getByRole('button', { name: 'Keep this reading' }).tap();
  };
  // Two readings are mostly enough; a touchy rig asks for one more.
  const ready = page.getByRole('heading', { name: 'Before each take' });
  const done = page.getByRole('button', { name: 'Done: it is set so' });
  for (let round = 1; ; round++) {
    await read();
    await expect(
      page.getByText(round === 1 ? 'Next move, by one reading' : `Next move, by ${round} readings`),
    ).toBeVisible();
    await expect(ready.or(done)).toBeVisible();
    if (round > 1 && (await ready.isVisible())) break;
    expect(round).toBeLessThan(5);
    await done.tap();
  }
  await expect(page.getByText('by these readings it is in its pool', { exact: false })).toBeVisible();
  // The phone's last reading is on the bench, within what is wanted.
  await expect(page.getByRole('status').filter({ hasText: 'All kept' })).toBeAttached();
  await bench.reload();
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Whelk' });
  await goTo(bench, 'Log');
  await expect(bench.locator('.log li').first()).toContainText(/drop time/i);
  await page.context().close();
});
