/** A whole job from an empty folder without a mouse: by keys alone, counted, and by a thumb on a phone. */
import type { Page } from '@playwright/test';
import { expect, test } from '../support/bench';

/** What has the focus, as it is called. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement;
    if (!(at instanceof HTMLElement)) return '';
    const own = at.getAttribute('aria-label') ?? (at as HTMLInputElement).labels?.[0]?.innerText;
    return (own ?? at.innerText).replace(/\s+/g, ' ').trim();
  });

test.describe('by keys alone', () => {
  test('camera to cut list, build and log, in under 150 presses', async ({ bench: page }) => {
    let presses = 0;
    const press = async (key: string): Promise<void> => {
      presses++;
      await page.keyboard.press(key);
    };
    const tabTo = async (name: RegExp, key = 'Tab'): Promise<void> => {
      for (let n = 0; n < 80; n++) {
        await press(key);
        if (name.test(await focused(page))) return;
      }
      throw new Error(`no ${name} within 80 presses; at “${await focused(page)}”`);
    };
    const say = async (text: string): Promise<void> => {
      presses += text.length;
      await page.keyboard.type(text);
    };
    await expect(page.getByText('What do you shoot?')).toBeVisible();
    await tabTo(/^To the stage/);
    await press('Enter');
    await tabTo(/^walking/);
    await press(' ');
    await tabTo(/^Phone/);
    for (let n = 0; n < 3; n++) await press('ArrowDown');
    expect(await focused(page)).toContain('Small body');
    await tabTo(/^Small lens/);
    await press('ArrowDown');
    expect(await focused(page)).toContain('Zoom lens');
    await press('Enter');
    await expect(page.getByRole('button', { name: 'Show me three rigs' })).toBeVisible({ timeout: 90_000 });
    await expect(page.locator('tp-ready-card')).toHaveCount(3);
    await tabTo(/^Put it on the bench/, 'Tab');
    await press('Enter');
    await page.waitForURL('**/frame');
    // Focus went on to the stage that came.
    expect(await page.evaluate(() => document.activeElement?.id)).toBe('stage');
    await press('Alt+4');
    await expect(page.getByRole('button', { name: 'Trim it' })).toBeVisible();
    await press('t');
    await expect(page.getByText(/^\s*(Balanced with|Set from the inside out)/).first()).toBeVisible({
      timeout: 60_000,
    });
    await press('Alt+6');
    await expect(page.getByText('Still to buy')).toBeVisible();
    await press('Alt+7');
    await expect(page.getByRole('checkbox', { name: /^1\. / })).toBeVisible();
    await tabTo(/^1\. /);
    await press(' ');
    await expect(page.getByText(/^\s*1 of \d+ steps done/)).toBeVisible();
    await press('Alt+9');
    await expect(page.getByLabel('All of it on the scale')).toBeVisible();
    await tabTo(/^All of it on the scale/);
    await say('1700 g');
    await press('Enter');
    await tabTo(/^Keep this in the log/);
    await press('Enter');
    await expect(page.getByText('Nothing logged yet')).toHaveCount(0);
    expect(presses).toBeLessThan(150);
  });
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });
  test('camera to cut list, build, card and log on a phone', async ({ bench: page }) => {
    const outside: string[] = [];
    const fits = async (where: string): Promise<void> => {
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      if (width > 390) outside.push(`${where}: ${width} px wide`);
    };
    const stage = (name: string): Promise<void> =>
      page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: new RegExp(`^${name}`) })
        .tap();
    await page.getByLabel('walking').tap();
    await page.getByRole('radio', { name: /^Phone/ }).tap();
    await fits('shelf');
    await page.getByRole('button', { name: 'Show me three rigs' }).tap();
    await expect(page.getByRole('button', { name: 'Show me three rigs' })).toBeVisible({ timeout: 90_000 });
    await page.locator('tp-ready-card').first().getByRole('button').tap();
    await page.waitForURL('**/frame');
    await fits('frame');
    await stage('Balance');
    await page.getByRole('button', { name: 'Trim it' }).tap();
    await expect(page.getByText(/^\s*(Balanced with|Set from the inside out)/).first()).toBeVisible({
      timeout: 60_000,
    });
    await fits('balance');
    await stage('Stock');
    await expect(page.getByText('Still to buy')).toBeVisible();
    await fits('stock');
    await stage('Build');
    await page.getByRole('checkbox', { name: /^1\. / }).tap();
    await expect(page.getByText(/^\s*1 of \d+ steps done/)).toBeVisible();
    await fits('build');
    await stage('Field');
    await expect(page.locator('article.card')).toBeVisible();
    await fits('field');
    await stage('Log');
    const mass = page.getByLabel('All of it on the scale');
    await mass.tap();
    await mass.fill('700 g');
    await mass.press('Enter');
    await page.getByRole('button', { name: 'Keep this in the log' }).tap();
    await expect(page.getByText('Nothing logged yet')).toHaveCount(0);
    await fits('log');
    expect(outside).toEqual([]);
  });
});
