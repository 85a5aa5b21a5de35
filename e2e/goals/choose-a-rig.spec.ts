/** From what you want to shoot to the rig: ranked with reasons, four side by side, started sized. */
import { FAMILIES } from '@tide-pebble/core';
import { expect, fill, startedOne, test } from '../support/bench';

test.use({ demo: true });

test.beforeEach(async ({ bench: page }) => {
  await page.getByRole('link', { name: 'Choose by what you want to shoot' }).click();
  await expect(page.getByRole('heading', { name: 'Which rig for these shots?' })).toBeVisible();
});

test('wishes rank the families, each with its reasons', async ({ bench: page }) => {
  const list = page.getByRole('region', { name: 'Work' }).getByRole('heading', { level: 2 });
  await expect(list).toHaveCount(FAMILIES.length);
  await page.getByRole('checkbox', { name: 'long reach' }).check();
  await page.getByRole('checkbox', { name: 'overhead' }).check();
  await expect(list.first()).toHaveText('Boom held at its balance');
  await expect(page.getByText('For it: Good for long reach.')).toBeVisible();
  await fill(page, 'Weight you can hold, camera and all', '1 kg');
  await expect(page.getByText(/over your 1,000 g/).first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'torch' }).uncheck();
  await expect(page.getByText(/You would have to borrow: .*torch/).first()).toBeVisible();
});

test('up to four stand side by side, and the chosen one starts sized for the load', async ({ bench: page }) => {
  for (const name of [
    'Pipe post with a side handle',
    'Boom held at its balance',
    'Closed hand frame',
    'Plate and pillar',
    'Bent bar on a universal joint',
  ])
    await page.getByRole('checkbox', { name: `Compare ${name}` }).check();
  const table = page.getByRole('table', { name: 'Side by side' });
  await expect(table.getByRole('columnheader')).toHaveCount(4);
  await expect(table.getByRole('row', { name: /^Packs to/ })).toContainText(/longest \d+ mm/);
  await expect(table.getByRole('row', { name: /^Gives up/ })).toBeVisible();
  await page.getByLabel('Loadout', { exact: true }).selectOption({ label: 'Slack: phone' });
  await page.getByRole('button', { name: 'Start this one: Closed hand frame' }).click();
  await startedOne(page);
  await expect(page.getByLabel('Half width', { exact: true })).toBeVisible();
});

test('a left-handed maker gets the handle on the left', async ({ bench: page }) => {
  await page.getByRole('checkbox', { name: 'left-handed' }).check();
  await page.getByRole('button', { name: 'Start this one: Pipe post with a side handle' }).click();
  await startedOne(page);
  await expect(page.getByLabel('Handle', { exact: true })).toHaveValue('left');
});
