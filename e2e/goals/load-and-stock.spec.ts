/** Kit and loadouts, the bin and the shopping, the files that come out; on the demo. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { allKept, expect, fill, goTo, stepsStand, test } from '../support/bench';
import { readPdf } from '../support/pdf';

test.use({ demo: true });

test('weighing a guessed lens wins over the guess, and emptying the field goes back to it', async ({ bench: page }) => {
  await goTo(page, 'Load');
  const row = page.getByRole('row').filter({ hasText: 'Long lens 70' });
  await expect(row).toContainText('guess: 440 g ±');
  await fill(page, 'Mass of Long lens 70', '0.5 kg');
  await expect(row).toContainText('weighed, centre guessed');
  await fill(page, 'Mass of Long lens 70', '');
  await expect(row).toContainText('guess: 440 g ±');
});

test('deleting kit takes it off its loadouts, and undo puts all back', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await page.getByRole('button', { name: 'Delete Small mic' }).click();
  await expect(page.getByRole('button', { name: 'Take off Small mic' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Take off Small mic' })).toBeVisible();
});

test('another loadout on the rig changes every figure, and the first comes back as it was', async ({ bench: page }) => {
  const mass = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /^Mass/ });
  const before = await mass.innerText();
  await page.getByLabel('Loadout', { exact: true }).selectOption({ label: 'Flood: body, 70' });
  await expect(mass).not.toHaveText(before);
  await page.getByLabel('Loadout', { exact: true }).selectOption({ label: 'Ebb: body, 24, small mic' });
  await expect(mass).toContainText('1,731 g');
});

test('an offcut long enough saves a bar; the list comes out as CSV', async ({ bench: page }, info) => {
  await goTo(page, 'Stock');
  const bar = page.getByRole('listitem').filter({ hasText: 'aluminium flat 30 × 6' });
  await expect(bar).toContainText('1 bar of 1000 mm');
  await fill(page, 'Add an offcut from your bin', '0.95 m');
  await expect(bar).toContainText('have it');
  await expect(page.getByText(/from your bin, 950 mm/)).toBeVisible();
  await allKept(page);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Take out' }).click();
  await page.getByRole('menuitem', { name: 'List as CSV' }).click();
  const path = join(info.outputDir, 'buy.csv');
  await (await saved).saveAs(path);
  const [head, ...rows] = readFileSync(path, 'utf8').trim().split(/\r?\n/);
  expect(head).toBe('item,needed,in_bin,to_buy,sold_by,bar_length_mm,pack_of,price,cost,currency');
  expect(rows.find((r) => r.startsWith('aluminium flat'))).toContain(',1,1,0,');
});

test('a weighed part changes the mass, and a wider bend the blank', async ({ bench: page }) => {
  await goTo(page, 'Frame');
  const mass = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /^Mass/ });
  await page.locator('tp-element-list').getByRole('button', { name: /^bar/ }).click();
  await fill(page, 'Mass, reckoned', '500 g');
  await expect(page.getByLabel('Mass, weighed', { exact: true })).toHaveValue('500 g');
  await expect(mass).toContainText('was 1,731 g');
  await fill(page, 'Bend radius, inside', '165 mm');
  await goTo(page, 'Stock');
  await expect(page.getByText(/cut 897\.8 mm, finished 867\.8 mm/)).toBeVisible();
});

test('cards and cut drawing print without the chrome', async ({ bench: page }) => {
  await goTo(page, 'Field');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Not as the card says' })).toHaveCount(0);
  await expect(page.getByRole('article', { name: /^Set-up card: Ebb/ })).toBeVisible();
});

test('a size that no list has is typed once, chosen, cut and bought, and is there after a reload', async ({
  bench: page,
}) => {
  await goTo(page, 'Frame');
  await page.getByLabel('Bar', { exact: true }).selectOption({ label: 'Another size…' });
  const dialog = page.getByRole('dialog');
  // It takes the focus when it is open; typing before that would be typing into its first field.
  const isOpen = () => expect(dialog.getByLabel('Called', { exact: true })).toBeFocused();
  await isOpen();
  await fill(dialog, 'Wide', '32 mm');
  await fill(dialog, 'Thick', '40 mm');
  await fill(dialog, 'Thick', '7 mm');
  await dialog.getByRole('button', { name: 'Keep and use it' }).click();
  const bar = page.getByLabel('Bar', { exact: true });
  await expect(bar.locator('option:checked')).toHaveText(/^aluminium flat 32 mm × 7 mm, own$/);
  await allKept(page);
  await page.reload();
  await goTo(page, 'Stock');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'aluminium flat 32 mm × 7 mm, own' }).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Change aluminium flat 32 mm × 7 mm, own' }).click();
  await isOpen();
  await fill(dialog, 'Thick', '6.5 mm');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  const mass = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /^Mass/ });
  await expect(mass).toContainText('was ');
});

test('two rigs are bought for in one trip: ticked, printed on a page, put into the bin, and there in Stock', async ({
  bench: page,
}, info) => {
  await goTo(page, 'Stock');
  await page.getByRole('link', { name: 'Shopping trip' }).click();
  const shop = (name: string) => page.getByRole('region', { name, exact: true });
  await expect(shop('Metal')).toContainText('aluminium flat 30 × 6');
  await page.getByRole('checkbox', { name: 'Anemone' }).check();
  await expect(page.getByText(/\d+ for Anemone, \d+ for Limpet/).first()).toBeVisible();
  const path = join(info.outputDir, 'trip.pdf');
  await page.pdf({ path, format: 'A4' });
  const pages = await readPdf(path);
  expect(pages).toHaveLength(1);
  expect(pages[0]!.words).toContain('Fasteners');
  expect(pages[0]!.words).not.toContain('into the bin');
  for (const box of await page.locator('section li').getByRole('checkbox').all()) await box.check();
  await page.reload();
  await page.getByRole('checkbox', { name: 'Anemone' }).check();
  await page.getByRole('button', { name: 'All bought: into the bin' }).click();
  await expect(page.getByText('Nothing is missing: all of it lies in your bin.')).toBeVisible();
  await allKept(page);
  await goTo(page, 'Stock');
  await expect(page.getByText('Still to buy')).toContainText('0.00');
  await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
  await expect(page.getByText('Still to buy')).not.toContainText(' 0.00');
});

test('a rig is cut and ticked off, its offcut lies in the bin, and taken apart its parts are there again', async ({
  bench: page,
}) => {
  await page.getByRole('button', { name: /^Put Cormorant on the bench/ }).click();
  await goTo(page, 'Build');
  await stepsStand(page);
  const step = page.getByRole('checkbox', { name: /Cut the / }).first();
  await step.check();
  await expect(page.getByText(/^\s*What is left, .* lies in your bin/)).toBeVisible();
  await goTo(page, 'Stock');
  await expect(page.getByText(/1 cut already/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Your bin' }).click();
  const built = page.locator('[column]');
  await expect(built).toContainText('Built into Cormorant');
  await page.getByRole('button', { name: /Take it apart/ }).click();
  await expect(built).not.toContainText('Built into');
  await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
  await expect(built).toContainText('Built into Cormorant');
  await goTo(page, 'Build');
  await stepsStand(page);
  await expect(step).toBeChecked();
  await step.uncheck();
  await goTo(page, 'Stock');
  await expect(page.getByText(/cut already/)).toHaveCount(0);
  await allKept(page);
});
