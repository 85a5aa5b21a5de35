/** Every view for everyone: nothing for axe to find, in light and dusk, wide and narrow, full and empty; keyboard alone. */
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from '../support/bench';
import { STAGES, VIEWS } from '../support/views';

test.describe.configure({ mode: 'parallel' });

/** As a link does it: the page stays, which is many times as quick as fetching it anew. */
async function goOn(page: Page, path: string): Promise<void> {
  if (new URL(page.url()).pathname === `/${path}`) return;
  // Empty stages say the same under titles of their own; sheets of one stage share a title.
  const shown = async (): Promise<string> => `${await page.title()} ${await page.locator('main').innerText()}`;
  const before = await shown();
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, `/${path}`);
  await expect.poll(shown).not.toBe(before);
}

for (const demo of [true, false]) {
  test.describe(demo ? 'with the demo' : 'on an empty folder', () => {
    test.use({ demo });
    for (const width of [1280, 390]) {
      test(`axe finds nothing on any view, ${width} wide`, async ({ bench: page }) => {
        test.setTimeout(420_000);
        await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
        await page.setViewportSize({ width, height: 844 });
        await page.waitForURL('**/shelf');
        const found: string[] = [];
        for (const stage of demo ? VIEWS : STAGES) {
          await goOn(page, stage);
          await expect(page.locator('main h1, main h2, main .view-title').first()).toBeVisible();
          // What is folded counts too.
          if (stage.startsWith('load/'))
            await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
          // Dusk changes colours alone, a narrow page all but them.
          const axe = new AxeBuilder({ page });
          const { violations } = await (width < 1280 ? axe.disableRules('color-contrast') : axe).analyze();
          if (width === 1280) {
            await page.emulateMedia({ colorScheme: 'dark' });
            violations.push(...(await new AxeBuilder({ page }).withRules('color-contrast').analyze()).violations);
            await page.emulateMedia({ colorScheme: 'light' });
          }
          found.push(
            ...violations.map(
              (v) =>
                `${stage}: ${v.id} at ${v.nodes
                  .map((n) => n.target.join(' '))
                  .slice(0, 3)
                  .join(' | ')}`,
            ),
          );
          expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
        }
        expect(found).toEqual([]);
      });
    }
  });
}

test.describe('bringing in', () => {
  test('axe finds nothing in the dialog, empty or full of faults', async ({ bench: page }) => {
    await page.goto(new URL('/load', page.url()).href);
    await page.getByRole('button', { name: 'Bring in' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    const found = async (): Promise<string[]> =>
      (await new AxeBuilder({ page }).include('mat-dialog-container').analyze()).violations.map(
        (v) => `${v.id} at ${v.nodes[0]!.target.join(' ')}`,
      );
    expect(await found()).toEqual([]);
    await page.getByLabel('Pasted cells').fill('name\tkind\tmass_g\nHeron\tcamera\t486\nReed\tboat\t-74');
    await page.getByRole('button', { name: 'Read this' }).click();
    await page.getByText('Columns and units').click();
    await expect(page.getByText('1 new,')).toBeVisible();
    expect(await found()).toEqual([]);
  });
});

test.describe('by keyboard alone', () => {
  test.use({ demo: true });
  test('stages, list of keys, a want, and the trim', async ({ bench: page }) => {
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Help: Shelf' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Alt+4');
    // Not a word of it: the sheet of help that is still closing has those too.
    await expect(page.getByRole('heading', { name: 'Limpet: balance' })).toBeVisible();
    await page.keyboard.press('t');
    await expect(page.getByText(/^\s*Balanced/)).toBeVisible({ timeout: 60_000 });
    const slider = page.getByRole('slider', { name: 'Foot washers, slide' });
    const before = Number(await slider.inputValue());
    await slider.press('ArrowRight');
    expect(Number(await slider.inputValue())).toBe(before + 1);
    await expect(page.getByLabel('Foot washers', { exact: true })).toHaveValue(`${before + 1}`);
  });
});
