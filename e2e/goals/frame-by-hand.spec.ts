/** A frame changed part by part: picked in list or drawing, moved, weighed, copied, mirrored, added, freed; undo covers all. */
import type { Page } from '@playwright/test';
import { allKept, expect, fill, goTo, readout, test } from '../support/bench';

test.use({ demo: true });

const onBench = async (page: Page, rig: string): Promise<void> => {
  await page.getByRole('button', { name: `Put ${rig} on the bench` }).click();
  await goTo(page, 'Frame');
};
const row = (page: Page, name: RegExp) => page.locator('tp-element-list').getByRole('button', { name });

test('picking in the list and on the drawing is the same', async ({ bench: page }) => {
  await onBench(page, 'Winkle');
  await row(page, /^lower post/).click();
  await expect(page.getByRole('region', { name: 'Picked: lower post' })).toBeVisible();
  await expect(page.locator('svg .shape.selected')).not.toHaveCount(0);
  const camera = page
    .locator('tp-rig-views .shape', { has: page.locator('title', { hasText: 'camera plate' }) })
    .first();
  const box = (await camera.boundingBox())!;
  await page.mouse.click(box.x + 3, box.y + box.height / 2);
  await expect(page.getByRole('region', { name: 'Picked: camera plate' })).toBeVisible();
  await page.keyboard.press('Escape');
});

test('a part is moved by figure, by arrow key and by hand, and every figure follows', async ({ bench: page }) => {
  await onBench(page, 'Winkle');
  await row(page, /^foam grip/).click();
  const left = page.getByLabel('Left of the middle', { exact: true });
  const before = await left.inputValue();
  const wrist = await readout(page, 'Wrist, sides');
  await fill(page, 'Above the middle', '20 mm');
  await expect(page.getByLabel('Above the middle', { exact: true })).toHaveValue('20 mm');
  await page.locator('tp-rig-views').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(left).not.toHaveValue(before);
  expect(await readout(page, 'Wrist, sides')).not.toBe('');
  const grip = page.locator('tp-rig-views .shape.selected').last();
  const box = (await grip.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 30, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Above the middle', { exact: true })).not.toHaveValue('20 mm');
  await allKept(page);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
  await expect(left).toHaveValue(before);
  expect(await readout(page, 'Wrist, sides')).toContain(wrist.split(' ')[2]!);
});

test('a mirrored pair stays a pair', async ({ bench: page }) => {
  await onBench(page, 'Cockle');
  await row(page, /^front leg, left/).click();
  await expect(page.getByText('One of a mirrored pair')).toBeVisible();
  const mass = async (name: RegExp): Promise<string> => (await row(page, name).innerText()).split('\n').at(-1)!;
  const before = await mass(/^front leg, right/);
  await page.getByLabel('Cut from', { exact: true }).selectOption({ label: 'aluminium tube 20 × 1.5' });
  await expect.poll(() => mass(/^front leg, right/)).not.toBe(before);
  await expect.poll(() => mass(/^front leg, left/)).toBe(await mass(/^front leg, right/));
});

test('a bar is copied, and mirrored into a pair', async ({ bench: page }) => {
  await onBench(page, 'Dulse');
  await page.getByRole('heading', { name: 'Add to it' }).click();
  await page.getByLabel('Going').selectOption('to the left');
  await page.locator('tp-add-panel').getByLabel('Cut from').selectOption({ label: 'aluminium round 8' });
  await page.getByRole('button', { name: 'Add the bar' }).click();
  await expect(page.getByRole('region', { name: 'Picked: aluminium round 8' })).toBeVisible();
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(row(page, /^aluminium round 8/)).toHaveCount(2);
  await page.getByRole('button', { name: 'Mirror' }).click();
  await expect(row(page, /^aluminium round 8/)).toHaveCount(3);
  await expect(page.getByText('One of a mirrored pair')).toBeVisible();
  await page.getByRole('button', { name: 'Take it off' }).click();
  await expect(row(page, /^aluminium round 8/)).toHaveCount(1);
});

test('one more pipe finds its own fitting; where none is made, that is said with the turn it needs', async ({
  bench: page,
}) => {
  await onBench(page, 'Winkle');
  await page.getByRole('button', { name: 'Free this rig' }).click();
  await expect(page.getByText('This rig is of no family')).toBeVisible();
  await page.getByRole('heading', { name: 'Add to it' }).click();
  await page.getByLabel('From the corner').selectOption({ label: 'tee' });
  await page.getByLabel('Going').selectOption('to the left');
  const add = page.locator('tp-add-panel');
  await add.getByLabel('Cut from').selectOption({ label: 'steel pipe 1/2 in (DN 15)' });
  await page.getByRole('button', { name: 'Add the bar' }).click();
  await expect(row(page, /^cross, tee/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(row(page, /^tee, tee/)).toBeVisible();
  await page.getByLabel('Going').selectOption('left and up');
  await page.getByRole('button', { name: 'Add the bar' }).click();
  const finding = page
    .getByRole('article')
    .filter({ hasText: 'No fitting of threaded steel pipe joins these 4 pipes' });
  await expect(finding).toBeVisible();
  await finding.getByRole('button', { name: /^Turn the/ }).click();
  await expect(finding).toHaveCount(0);
});

test('parts are added, copied, weighed, mirrored and taken off again', async ({ bench: page }) => {
  await onBench(page, 'Barnacle');
  await page.getByRole('heading', { name: 'Add to it' }).click();
  await page.getByLabel('Part to add').selectOption({ label: 'star knob' });
  await page.getByRole('button', { name: 'Add the part' }).click();
  await expect(page.getByRole('region', { name: 'Picked: star knob' })).toBeVisible();
  await fill(page, 'Left of the middle', '60 mm');
  await fill(page, 'Mass, weighed', '25 g');
  await page.getByRole('button', { name: 'Mirror' }).click();
  await expect(row(page, /^star knob/)).toHaveCount(2);
  await expect(row(page, /^star knob/).first()).toContainText('25 g');
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(row(page, /^star knob/)).toHaveCount(3);
  await page.getByRole('button', { name: 'Take it off' }).click();
  await expect(row(page, /^star knob/)).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(row(page, /^star knob/)).toHaveCount(3);
});

test('the bag says what does not go in', async ({ bench: page }) => {
  await onBench(page, 'Razor');
  await fill(page, 'Bag, inside length', '500 mm');
  await expect(page.getByText('It does not go in this bag')).toBeVisible();
  await expect(page.getByRole('article').filter({ hasText: 'does not go in the bag' })).toContainText('boom tube');
  await fill(page, 'Bag, inside length', '1600 mm');
  await expect(page.getByText('It goes in this bag')).toBeVisible();
});

test('a finding with no change worked out: one is looked for, applied, and undone', async ({ bench: page }) => {
  await onBench(page, 'Cockle');
  for (const [side, text] of [
    ['length', '300 mm'],
    ['width', '200 mm'],
    ['height', '170 mm'],
  ] as const)
    await fill(page, `Bag, ${side}`.replace('length', 'inside length'), text);
  const finding = page.getByRole('article').filter({ hasText: 'does not go in the bag' });
  await finding.getByRole('button', { name: 'Look for a change that cures it' }).click();
  const cured = finding.getByRole('button', { name: / to \d/ }).first();
  await expect(cured).toBeVisible({ timeout: 20_000 });
  const label = (await cured.textContent())!.trim();
  const [, size, to] = /^(.+): .+ to (.+)$/.exec(label)!;
  await cured.click();
  await expect(page.getByLabel(size!, { exact: true })).toHaveValue(to!);
  await expect(finding.filter({ hasText: 'foot tube, left' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel(size!, { exact: true })).not.toHaveValue(to!);
});
