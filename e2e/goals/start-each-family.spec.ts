/** Every family for a phone, a small action camera and a camera with a long lens: sized, edited, printed, kept, exported, and told the same by the command line. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { faultLine, parseRigFile } from '@tide-pebble/core';
import { analyse } from '@tide-pebble/core/making';
import { allKept, expect, fill, goTo, readout, savedBy, startOne, test } from '../support/bench';
import { everyThird, FAMILIES, LOADOUTS } from '../support/families';

const root = fileURLToPath(new URL('../../', import.meta.url));

test.use({ demo: true });
test.describe.configure({ mode: 'parallel' });

interface Told {
  readonly mass: number;
  readonly readouts: readonly { readonly name: string; readonly lines: readonly string[] }[];
}
const byCommand = (file: string): Told =>
  JSON.parse(execFileSync('npm', ['run', '-s', 'analyse', '--', file], { cwd: root, encoding: 'utf8' })) as Told;
/** What the command does, without the second it takes to begin. */
const inProcess = (file: string): Told => {
  const read = parseRigFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(read.faults.map(faultLine).join(', '));
  const outcome = analyse(read.value, null);
  if (!outcome.ok) throw new Error(outcome.reason);
  return JSON.parse(JSON.stringify(outcome.result)) as Told;
};
const massShown = async (page: Page): Promise<number> =>
  Number(
    [...(await readout(page, 'Mass')).matchAll(/([\d,]+) g/g)]
      .filter((m) => !/±|was $/.test(m.input.slice(Math.max(0, m.index - 4), m.index)))[0]![1]!
      .replace(',', ''),
  );

/** Each family with every load takes half an hour on a slow machine: `npm run soak -- families` does; here every third has one of them, in turn. */
const every = process.env['EVERY_LOAD'] !== undefined;

for (const [nth, family] of everyThird(FAMILIES, 1).entries()) {
  test(family.name, async ({ bench: page, server }) => {
    const loadouts = family.loadouts ?? LOADOUTS;
    for (const [i, loadout] of (every ? loadouts : [loadouts[nth % loadouts.length]!]).entries()) {
      const name = `Try ${i + 1}`;
      await test.step(`for ${loadout}`, async () => {
        await startOne(page, family.name, { name, loadout });
        await expect(page.getByRole('heading', { name: `${name}: frame` })).toBeAttached();
        await expect(page.getByRole('region', { name: 'Decide' }).getByText('will not')).toHaveCount(0);
        const before = await readout(page, 'Mass');
        await fill(page, family.size, family.to);
        await expect.poll(() => readout(page, 'Mass')).not.toBe(before);
        await expect(page.getByLabel(family.size, { exact: true })).toHaveValue(family.to);
      });
      await test.step('on paper', async () => {
        await page.getByRole('link', { name: 'On paper' }).click();
        await expect(page.locator('.paper svg path').first()).toBeVisible();
        await expect(page.locator('.paper')).toContainText('This bar is');
        await page.getByRole('link', { name: `Back to ${name}` }).click();
      });
      await test.step('kept, opened again, exported and analysed the same', async () => {
        await allKept(page);
        const mass = await massShown(page);
        await page.goto(server.address);
        await goTo(page, 'Shelf');
        const card = page.getByRole('article').filter({ has: page.getByLabel(`Name of ${name}`) });
        await expect(card).toBeVisible();
        const path = await savedBy(page, () => card.getByRole('button', { name: `Export ${name}` }).click());
        const file = join(server.data, `${name}.rig.json`);
        writeFileSync(file, readFileSync(path));
        const told = i === 0 ? byCommand(file) : inProcess(file);
        expect(Math.round(told.mass * 1000)).toBe(mass);
        // All that the bench tells of it in full, word for word.
        await goTo(page, 'Balance');
        const words = (text: string): string => text.replace(/\s+/g, ' ').trim();
        const all = told.readouts.flatMap((r) => r.lines.map(words));
        await expect
          .poll(async () =>
            (await page.locator('tp-readout-list section > p').allInnerTexts())
              .map(words)
              .filter((p) => !p.startsWith('Drawing')),
          )
          .toEqual(all);
        await goTo(page, 'Shelf');
        // Brought in again it is one more of the same, not another.
        await page.getByLabel('Rig file').setInputFiles(file);
        await expect(page.getByText(`${name} is on the shelf.`)).toBeVisible();
        expect(await massShown(page)).toBe(mass);
      });
      await test.step('from a bad start: balanced, or told what would make it so', async () => {
        await goTo(page, 'Balance');
        await expect(page.getByRole('heading', { name: 'Adjust' })).toBeVisible();
        const trim = page.getByRole('button', { name: 'Trim it' });
        for (const slider of await page.locator('tp-adjuster-row input[type=range]').all()) await slider.press('End');
        await trim.click();
        const done = page.getByText(/^\s*(Balanced with|Set from the inside out)/).first();
        await expect(done.or(page.getByRole('heading', { name: 'What would make it possible' })).first()).toBeVisible({
          timeout: 60_000,
        });
        // What is told to be in the way is mended by the first way it offers.
        if (!(await done.isVisible())) await page.locator('tp-trim-result button').first().click();
        await expect(done).toBeVisible({ timeout: 60_000 });
      });
    }
  });
}
