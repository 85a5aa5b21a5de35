/** From an empty page to a list of cuts: four questions, three rigs made ready, one press; counted in clicks. */
import type { Page } from '@playwright/test';
import { allKept, expect, goTo, test } from '../support/bench';

/** Presses on the page, counted by the page itself. */
const counted = async (page: Page): Promise<() => Promise<number>> => {
  await page.evaluate(() => {
    const count = globalThis as { presses?: number };
    count.presses = 0;
    // A press on a label presses its box as well: the hand pressed once.
    addEventListener('pointerdown', () => count.presses!++, true);
  });
  return () => page.evaluate(() => (globalThis as { presses?: number }).presses ?? 0);
};

/** Different words that stand on the page, without figures and what is only in a closed list. */
const readOn = async (page: Page, words: Set<string>): Promise<void> => {
  const text = await page.locator('body').innerText();
  for (const word of text.toLowerCase().match(/\p{L}{2,}/gu) ?? []) words.add(word);
};

for (const units of ['mm', 'inch'] as const)
  test(`a camera, a walk and a saw: to the cut list in ten presses or fewer, in ${units}`, async ({ bench: page }) => {
    if (units === 'inch') await page.getByRole('button', { name: 'inch' }).click();
    await expect(page.getByText('What do you shoot?')).toBeVisible();
    const presses = await counted(page);
    const words = new Set<string>();
    await readOn(page, words);
    await page.getByLabel('walking').click();
    await page.getByRole('radio', { name: /^Small body/ }).click();
    await page.getByRole('radio', { name: /^Zoom lens/ }).click();
    await page.getByRole('button', { name: 'Show me three rigs' }).click();
    const cards = page.locator('tp-ready-card');
    await expect(cards).toHaveCount(3, { timeout: 60_000 });
    await expect(page.getByRole('button', { name: 'Show me three rigs' })).toBeVisible({ timeout: 60_000 });
    for (const card of await cards.all()) {
      await expect(card).toContainText('Gives up:');
      await expect(card).not.toContainText(/NaN|undefined/);
      if (units === 'inch') await expect(card).not.toContainText(/\d mm\b/);
    }
    await readOn(page, words);
    await cards.first().getByRole('button').click();
    await expect(page.getByText('From the side')).toBeVisible();
    await readOn(page, words);
    await goTo(page, 'Stock');
    await expect(page.getByText('Still to buy')).toBeVisible();
    await expect(page.locator('.lines > li').first()).toBeVisible();
    await readOn(page, words);
    expect(await presses()).toBeLessThanOrEqual(10);
    expect(words.size).toBeLessThan(700);
    // Made ready: nothing on it has to be mended.
    await expect(page.getByRole('link', { name: /^Frame/ }).first()).not.toContainText('to look at');
    await expect(page.getByRole('link', { name: /^Balance/ }).first()).not.toContainText('to look at');
    await allKept(page);
    await page.reload();
    await expect(page.getByText('Still to buy')).toBeVisible();
    await goTo(page, 'Load');
    await expect(page.getByLabel('Mass of Small body')).toBeVisible();
  });
