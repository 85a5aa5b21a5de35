/** The demo's unbalanced rig: findings, their fixes, undo, and list and drawing lighting up together. */
import { expect, fill, goTo, readout, test } from '../support/bench';

test.use({ demo: true });

test.beforeEach(async ({ bench: page }) => {
  await page.getByRole('button', { name: 'Put Whelk on the bench' }).click();
  await goTo(page, 'Balance');
});

test('a finding’s own fix levels the nose, and undo takes it back', async ({ bench: page }) => {
  const nose = page.getByRole('article').filter({ hasText: 'nose down' });
  await expect(nose).toContainText('ahead of the pivot');
  const before = /[\d.]+°/.exec(await readout(page, 'Nose'))![0];
  await nose.getByRole('button', { name: /Stage, fore and aft: .* back/ }).click();
  await expect(nose).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Tide line' })).toContainText(`was ${before}`);
  await page.keyboard.press('Control+z');
  await expect(nose).toBeVisible();
  expect((await readout(page, 'Nose')).replace(/was.*?° /, '')).toContain(before);
  await page.keyboard.press('Control+y');
  await expect(nose).toHaveCount(0);
});

test('pointing at a row lights the drawing, and the drawing lights the row', async ({ bench: page }) => {
  await page.locator('.name', { hasText: 'Foot washers' }).hover();
  await expect(page.locator('svg .shape.lit')).not.toHaveCount(0);
  await page.locator('svg .shape.gear').first().hover();
  await goTo(page, 'Load');
  await page.getByRole('button', { name: /^Heron body on the rig/ }).hover();
  await expect(page.locator('.tree li.lit')).toHaveCount(1);
});

test('wrong figures are kept, with the reason beside them', async ({ bench: page }) => {
  await fill(page, 'Stage, fore and aft', 'a bit back');
  await expect(page.getByRole('alert')).toContainText('not a length');
  await expect(page.getByLabel('Stage, fore and aft', { exact: true })).toHaveValue('a bit back');
  await fill(page, 'Stage, fore and aft', '400 mm');
  await expect(page.getByRole('alert')).toContainText('Between -25 mm and 25 mm');
});

test('an impossible want is told as one, and nothing moves', async ({ bench: page }) => {
  await page.getByRole('button', { name: /^Drop/ }).click();
  const panel = page.getByRole('region', { name: /^Drop time/ });
  await fill(panel, 'Drop at least', '9 s');
  await fill(panel, 'Drop at most', '9.01 s');
  await page.keyboard.press('Escape');
  const before = await page.getByLabel('Foot washers', { exact: true }).inputValue();
  await page.getByRole('button', { name: 'Trim it' }).click();
  await expect(page.getByText(/^\s*(It cannot be balanced|Balanced with)/)).toBeVisible({ timeout: 30_000 });
  if (await page.getByText(/^\s*It cannot be balanced/).isVisible())
    expect(await page.getByLabel('Foot washers', { exact: true }).inputValue()).toBe(before);
});

test('the drop can be played and stopped', async ({ bench: page }) => {
  await page.getByRole('button', { name: 'Play the drop' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('timer')).toHaveCount(0);
});

test('inches read and show as fractions, and say when they round', async ({ bench: page }) => {
  await page.getByRole('button', { name: 'inch' }).click();
  await goTo(page, 'Frame');
  await fill(page, 'Tail', '5 1/8');
  await expect(page.getByLabel('Tail', { exact: true })).toHaveValue('5 1/8 in');
  await fill(page, 'Tail', '130 mm');
  await expect(page.getByText('to 1/32; really 130 mm').first()).toBeVisible();
});

test('the rig turns in 3D', async ({ bench: page }) => {
  await goTo(page, 'Frame');
  await page.getByRole('button', { name: 'In 3D' }).click();
  const view = page.getByRole('img', { name: /^The rig in 3D/ });
  await expect(view.locator('canvas')).toBeVisible();
  await view.press('ArrowLeft');
  await page.getByRole('button', { name: 'Side and front' }).click();
  await expect(page.getByText('From the side')).toBeVisible();
});
