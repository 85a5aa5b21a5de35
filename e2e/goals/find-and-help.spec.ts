/** What to do next, what a word means, where a thing is: without a guide beside one. */
import { expect, goTo, test } from '../support/bench';

test.use({ demo: true });

test('the next thing is told in every stage, and a press leads there', async ({ bench: page }) => {
  const line = page.getByRole('region', { name: 'The next thing to do' });
  for (const stage of ['Shelf', 'Load', 'Frame', 'Balance', 'Strength', 'Stock', 'Build', 'Field', 'Log']) {
    await goTo(page, stage);
    await expect(line).toContainText(/^\s*Next\s*\S.{10,}/);
  }
  await goTo(page, 'Shelf');
  await line.getByRole('link').click();
  await expect(page).not.toHaveURL(/shelf/);
  await expect(line.getByRole('link')).toHaveCount(0);
});

test('anything is found by a few letters: a stage, another rig, a part, a word', async ({ bench: page }) => {
  const find = async (words: string): Promise<void> => {
    await page.keyboard.press('Control+k');
    const field = page.getByRole('combobox', { name: /^Find a rig/ });
    await field.fill(words);
    await expect(page.getByRole('option').first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  await find('learn');
  await expect(page).toHaveURL(/balance\/learn/);
  await find('hand grip');
  await expect(page).toHaveURL(/frame\?show=/);
  await expect(page.getByRole('region', { name: /^Picked: / })).toBeVisible();
  await find('whelk');
  await expect(page.getByLabel('Rig', { exact: true }).locator('option:checked')).toHaveText('Whelk');
  await find('kerf');
  await expect(page.getByText(/The width that a saw takes away/)).toBeVisible();
  await find('inches');
  await expect(page.getByRole('button', { name: 'inch', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('help for the view one is in, its words found by search; a word says in place what it means', async ({
  bench: page,
}) => {
  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(page, 'Balance');
  await page.waitForURL('**/balance');
  await page.getByRole('button', { name: 'Keys and help' }).click();
  const help = page.getByRole('dialog', { name: 'Help: Balance' });
  await expect(help).toContainText('how slowly it swings');
  await help.getByRole('searchbox').fill('thou');
  await expect(help).toContainText('A thousandth of an inch');
  await expect(help).not.toContainText('The width that a saw takes away');
  await help.getByRole('searchbox').fill('zzz');
  await expect(help).toContainText('Nothing is said of that');
  await help.getByRole('searchbox').fill('');
  await help.getByRole('radio', { name: 'dusk' }).check();
  await page.keyboard.press('Escape');
  const ground = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await expect.poll(ground).toBe('rgb(23, 33, 38)');
  const word = page.locator('tp-term button').first();
  await word.focus();
  await expect(page.getByRole('tooltip')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('tooltip')).toHaveCount(0);
});

test('a whole job is shown in the real pages, and can be left at any point', async ({ bench: page }) => {
  await page.keyboard.press('?');
  await page.getByRole('button', { name: /^Show me a whole job/ }).click();
  const guide = page.getByRole('region', { name: 'A whole job, step by step' });
  await expect(guide).toContainText('1 of 11');
  for (let step = 2; step <= 11; step++) {
    await expect(page.locator('[data-shown]')).toBeVisible();
    await guide.getByRole('button', { name: 'Next' }).click();
    await expect(guide).toContainText(`${step} of 11`);
  }
  await guide.getByRole('button', { name: 'Back' }).click();
  await guide.getByRole('button', { name: 'Leave' }).click();
  await expect(guide).toHaveCount(0);
  await expect(page.locator('[data-shown]')).toHaveCount(0);
});
