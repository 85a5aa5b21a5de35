/** Before a bar is cut: how each rig bends and rings, its weakest place, and a change taken that makes it ring higher. */
import type { Page } from '@playwright/test';
import { expect, fill, goTo, shelfWhole, test } from '../support/bench';

test.use({ demo: true });

const ringsAt = async (page: Page): Promise<number> => {
  const text = await page.locator('.readouts dd.figure').first().innerText();
  return Number(/^([\d.]+) Hz$/.exec(text)![1]);
};
const bench = async (page: Page, rig: string): Promise<void> => {
  await page.getByRole('button', { name: `Put ${rig} on the bench` }).click();
  await goTo(page, 'Strength');
  await expect(page.locator('tp-mode-picture svg').first()).toBeVisible();
};

test('a slim boom: its wobble, its weakest place, and thicker tube taken and undone', async ({ bench: page }) => {
  await bench(page, 'Razor');
  const before = await ringsAt(page);
  await expect(page.locator('.strains')).toContainText('boom tube');
  await page
    .getByRole('button', { name: /^1\d\d?\.?\d* Hz rolls|Hz rolls/ })
    .first()
    .click();
  await expect(page.locator('.says')).toContainText('The picture rolls');
  await page.getByRole('button', { name: 'Try every change' }).click();
  await expect(page.getByText(/changes tried, one at a time/)).toBeVisible();
  await page.getByRole('button', { name: 'Tube: aluminium tube 25 × 2' }).click();
  await expect.poll(() => ringsAt(page)).toBeGreaterThan(before + 2);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(() => ringsAt(page)).toBe(before);
});

test('every rig of the demo tells how it bends, rings and where it is weakest; a harder bump strains it more', async ({
  bench: page,
}) => {
  test.slow();
  await goTo(page, 'Shelf');
  expect(await shelfWhole(page)).toBeGreaterThan(10);
  const names = await page.getByRole('button', { name: /^Put .+ on the bench$/ }).all();
  const rigs = await Promise.all(
    names.map(async (b) => /^Put (.+) on the bench$/.exec((await b.getAttribute('aria-label'))!)![1]!),
  );
  for (const rig of rigs) {
    await goTo(page, 'Shelf');
    await bench(page, rig);
    await expect(page.getByRole('heading', { name: `${rig}: strength` })).toBeVisible();
    await expect(page.locator('.lag')).toHaveText('');
    expect(await ringsAt(page)).toBeGreaterThan(0.5);
    await expect(page.locator('.strains li').first()).toContainText('surely bears');
    await expect(page.locator('.rows:not(.plays)').first()).toContainText('A bump');
    await expect(page.locator('.sheet')).not.toContainText(/NaN|undefined|Infinity/);
  }
  const stress = page.locator('.strains .figure').first();
  const usual = await stress.innerText();
  await page.getByLabel('Bump, times its weight').fill('6');
  await page.keyboard.press('Enter');
  await expect(stress).not.toHaveText(usual);
});

test('two changes together within grams and money, all pairs made; and a longer shutter smears more', async ({
  bench: page,
}) => {
  await bench(page, 'Razor');
  const smear = page.locator('.shaken tbody td').nth(2);
  const short = await smear.innerText();
  await page.getByLabel('Shutter').selectOption('1/25 s');
  await expect(smear).not.toHaveText(short);
  await page.getByRole('button', { name: 'Try every change' }).click();
  await expect(page.getByText(/changes tried, one at a time/)).toBeVisible();
  const before = await ringsAt(page);
  await page.getByLabel('More grams').fill('500 g');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Find the stiffest' }).click();
  await expect(page.getByText(/^\s*All \d+ pairs/)).toBeVisible({ timeout: 120_000 });
  await page.locator('tp-stiffen-panel ul').last().getByRole('button').first().click();
  await expect.poll(() => ringsAt(page)).toBeGreaterThan(before);
});

test('a flick heard is kept, and from then on the rig rings so: in the tide line, in Strength and beside another', async ({
  bench: page,
}) => {
  await bench(page, 'Mussel');
  const reckoned = await ringsAt(page);
  const wobble = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /^Wobble/ });
  await expect(wobble).toContainText(`${Math.round(reckoned)} Hz`);
  await page.getByRole('link', { name: 'Flick it and count its swings' }).click();
  const heard = Math.round(reckoned * 8.8) / 10;
  await fill(page, 'Rings at, Hz', String(heard));
  await page.getByLabel('As it dies away').selectOption('it keeps its pace');
  await expect(page.getByText(/^\s*Heard [\d.]+ Hz, reckoned [\d.]+ Hz\. What explains it best:/)).toBeVisible();
  await expect(page.getByText('nothing has play')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText(/flicked rings at/)).toBeVisible();
  await expect
    .poll(async () => Number(/([\d.]+) Hz/.exec(await wobble.innerText())?.[1]))
    .toBeLessThan(Math.round(reckoned));
  await goTo(page, 'Log');
  await expect(page.getByText(/it wobbles more than its figures said/)).toBeVisible();
  await goTo(page, 'Strength');
  await expect.poll(() => ringsAt(page)).toBeLessThan(reckoned - 0.3);
  await page.getByLabel('Beside another').selectOption({ label: 'Limpet' });
  await expect(page.getByRole('table', { name: 'Both in figures' })).toContainText('Rings at');
  await expect(page.getByText('They are of two kinds')).toBeVisible();
});
