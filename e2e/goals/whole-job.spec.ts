/** One whole job of each family, from an empty folder: weighed, started, balanced, bought, built, carried, read and learned from. */
import type { Page } from '@playwright/test';
import {
  allKept,
  expect,
  fill,
  goTo,
  measure,
  OF_WHAT_HANGS,
  pick,
  readout,
  startOne,
  stepsStand,
  test,
} from '../support/bench';
import { everyThird, FAMILIES } from '../support/families';

/** What is carried: made for light loads, the others for a camera with its lens. */
const LIGHT = ['Swivelling wooden grip', 'Self-filming grip', 'Printed phone frame', 'Spinning helmet pole'];
/** Those that hang on a joint; of all others no screen says so. */
const HANGS = [
  'Balance arm with a cross-slide stage',
  'Bent bar on a universal joint',
  'Open tube frame on a universal joint',
];

/** What a maker reads of each, by its name on the sheet; what it weighs is read off the tide line. */
const READ: readonly (readonly [RegExp, string])[] = [
  [/stays (?:put )?up to/, '6°'],
  [/^Drop time/, '2.05 s'],
  [/a twist/, '0.02 N·m'],
  [/slips at/, '1.1 N·m'],
  [/lets go at/, '31 N'],
  [/^Hand scale/, '9 N'],
  [/^Held/, '5 min'],
  [/finger/, '3 mm'],
  [/down/, '2°'],
];

async function weighed(
  page: Page,
  item: { name: string; kind?: string; sizes: readonly [string, string, string]; mass: string },
): Promise<void> {
  await goTo(page, 'Load');
  const back = page.getByRole('link', { name: 'Back to kit and loadouts' });
  if (await back.isVisible()) await back.click();
  await page.getByRole('button', { name: 'Add an item' }).click();
  await expect(page.getByRole('heading', { name: /^New item/ })).toBeVisible();
  await fill(page, 'Name', item.name);
  await expect(page.getByRole('heading', { name: item.name })).toBeVisible();
  if (item.kind) await page.getByLabel('Kind', { exact: true }).selectOption(item.kind);
  await fill(page, 'Length, along the lens', item.sizes[0]);
  await fill(page, 'Width', item.sizes[1]);
  await fill(page, 'Height', item.sizes[2]);
  await measure(page, 'Weigh it');
  await fill(page, 'Weigh it: Scale reads', item.mass);
  await back.click();
}

const said = async (page: Page): Promise<string> => (await page.locator('main').innerText()).replace(/[ \t]+/g, ' ');

test.describe.configure({ mode: 'parallel' });
for (const { name: family } of everyThird(FAMILIES, 2)) {
  test(`a whole job: ${family}`, async ({ bench: page }) => {
    const wrong: string[] = [];
    const read = async (where: string): Promise<void> => {
      const text = await said(page);
      const found = HANGS.includes(family) ? null : OF_WHAT_HANGS.exec(text);
      if (found) wrong.push(`${where}: …${text.slice(Math.max(0, found.index - 60), found.index + 60)}…`);
    };

    if (LIGHT.includes(family))
      await weighed(page, { name: 'Pocket camera', sizes: ['35 mm', '66 mm', '46 mm'], mass: '128 g' });
    else {
      await weighed(page, { name: 'Heron body', sizes: ['62 mm', '118 mm', '70 mm'], mass: '482 g' });
      await weighed(page, { name: 'Wide lens', kind: 'lens', sizes: ['70 mm', '62 mm', '62 mm'], mass: '214 g' });
    }
    await page.getByRole('button', { name: 'New loadout' }).click();
    if (!LIGHT.includes(family)) await pick(page, 'Mount', 'Wide lens');
    await startOne(page, family, { name: 'Skerry' });
    await expect(page.getByRole('heading', { name: 'Skerry: frame' })).toBeAttached();
    await read('frame');
    await goTo(page, 'Balance');
    await expect(page.getByRole('heading', { name: 'Adjust' })).toBeVisible();
    await page.getByRole('button', { name: 'Trim it' }).click();
    const done = page.getByText(/^\s*(Balanced with|Set from the inside out)/).first();
    const remedy = page.getByRole('heading', { name: 'What would make it possible' }).first();
    await expect(done.or(remedy)).toBeVisible({ timeout: 60_000 });
    if (!(await done.isVisible())) await page.locator('tp-trim-result button').first().click();
    await expect(done).toBeVisible({ timeout: 60_000 });
    await read('balance');
    await goTo(page, 'Stock');
    await expect(page.getByText('Still to buy')).toBeVisible();
    await read('stock');
    await goTo(page, 'Build');
    await stepsStand(page);
    const steps = page.getByRole('checkbox', { name: /^\d+\. / });
    await expect(steps.first()).toBeVisible();
    await read('build');
    for (let n = 0, all = await steps.count(); n < all; n++) await steps.nth(n).check();
    await expect(page.getByRole('heading', { name: 'Built' })).toBeVisible();
    await read('built');
    await goTo(page, 'Field');
    await expect(page.locator('article.card')).toBeVisible();
    await read('field');
    await goTo(page, 'Log');
    const sheet = page.locator('tp-reading-sheet');
    const mass = /[\d,]+ g/.exec(await readout(page, 'Mass'))![0].replace(',', '');
    await expect(sheet.getByLabel('All of it on the scale')).toBeVisible();
    await read('log');
    for (const flag of await sheet.getByRole('checkbox').all()) await expect(flag).not.toBeChecked();
    // By its own name: a drop once more is asked for as soon as one is typed, and moves those below it.
    const fields = await sheet.locator('input:not([type=checkbox])').evaluateAll((all) => all.map((e) => e.id));
    for (const field of fields.map((id) => sheet.locator(`[id="${id}"]`))) {
      const name =
        (await field.getAttribute('aria-label')) ??
        (await field.evaluate((e: HTMLInputElement) => e.labels?.[0]?.innerText ?? ''));
      const value =
        name === 'All of it on the scale'
          ? mass
          : (READ.find(([of]) => of.test(name))?.[1] ?? `nothing to type for ${name}`);
      await field.fill(value);
      await field.press('Tab');
      await expect(field, name).not.toHaveValue('');
      await expect(field, name).not.toHaveAttribute('aria-invalid');
    }
    await read('noted');
    await page.getByRole('button', { name: 'Keep this in the log' }).click();
    await expect(page.getByText('Nothing logged yet')).toHaveCount(0);
    await read('logged');
    await goTo(page, 'Balance');
    await page.getByRole('link', { name: 'Learn from it' }).click();
    await expect(
      page.getByRole('heading', { name: /^(Next move|What was learned|Read by itself)/ }).first(),
    ).toBeVisible({ timeout: 30_000 });
    await read('learned');
    await allKept(page);
    expect(wrong).toEqual([]);
  });
}
