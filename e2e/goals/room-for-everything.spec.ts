/** What stands inside another is found by the true solids of all pieces, said and lit; set apart again, it is gone. */
import { expect, fill, goTo, test } from '../support/bench';

test.use({ demo: true });

test('a piece moved into another is told by name, and undone it is clear again', async ({ bench: page }) => {
  await page.getByRole('button', { name: 'Put Barnacle on the bench' }).click();
  await goTo(page, 'Frame');
  const says = page.locator('tp-inside-panel');
  await expect(says).toContainText('Nothing stands inside another.', { timeout: 30_000 });
  await expect(says).toContainText(/\d+ pieces; the \d+ pairs that come near each other were cut with each other/);
  await page.locator('tp-element-rows [role=listitem] > button', { hasText: 'camera plate' }).first().click();
  const high = Number.parseFloat(await page.getByLabel('Above the middle', { exact: true }).inputValue());
  await fill(page, 'Above the middle', `${high - 4} mm`);
  await expect(says).toContainText('stand inside each other', { timeout: 30_000 });
  // It counts at its stage too.
  await expect(page.locator('tp-shoreline a', { hasText: 'Frame' })).toContainText('to look at');
  const first = says.getByRole('listitem').first();
  await first.hover();
  await expect(first).toHaveClass(/lit/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(says).toContainText('Nothing stands inside another.', { timeout: 30_000 });
});

test('where what cuts solids does not come, it says that nothing is known, and the next change tries again', async ({
  bench: page,
}) => {
  await page.route('**/solids/manifold.wasm', (route) => route.abort());
  await page.getByRole('button', { name: 'Put Barnacle on the bench' }).click();
  await goTo(page, 'Frame');
  const says = page.locator('tp-inside-panel');
  await expect(says).toContainText('Nothing is known of it', { timeout: 30_000 });
  await page.unroute('**/solids/manifold.wasm');
  await fill(page, 'Post to post', '310 mm');
  await expect(says).toContainText('Nothing stands inside another.', { timeout: 30_000 });
});
