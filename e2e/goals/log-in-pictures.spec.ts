/** The log with what was seen: photos, a clip stepped by hand, the whole as a PDF; and packing for the next day, timed. */
import { join } from 'node:path';
import { allKept, expect, goTo, savedBy, test } from '../support/bench';
import { madeClip } from '../support/made-clip';
import { readPdf } from '../support/pdf';

test.use({ demo: true });

test('a drop is timed on a clip, kept with a photo, told with what it comes from, and printed', async ({
  bench: page,
}, info) => {
  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(page, 'Log');
  await expect(page.getByRole('heading', { name: 'Limpet: log' })).toBeVisible();
  const clip = info.outputPath('drop.webm');
  await madeClip(
    page.context(),
    { seconds: 2, frameRate: 30, across: 0.9, tilt: [[0.02, 1, 0]], pan: [], roll: [] },
    clip,
  );

  await page.getByRole('button', { name: 'Read a clip by hand' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Choose a clip').setInputFiles(join(process.cwd(), 'package.json'));
  await expect(dialog.getByRole('alert')).toContainText('no picture in this file');
  await dialog.getByLabel('Choose a clip').setInputFiles(clip);
  await dialog.getByRole('button', { name: 'On 1 frame', exact: true }).click();
  await dialog.getByRole('button', { name: 'First upright here' }).click();
  await dialog.getByRole('button', { name: 'On 10 frames' }).click();
  await dialog.getByRole('button', { name: 'Let go here' }).click();
  // Marked the wrong way round it says so, and offers nothing.
  await expect(dialog.getByText(/before it is let go/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take this drop' })).toHaveCount(0);
  for (let i = 0; i < 3; i++) await dialog.getByRole('button', { name: 'On 10 frames' }).click();
  await dialog.getByRole('button', { name: 'First upright here' }).click();
  await expect(dialog.getByText('1.00 s to upright, ± 0.03 s')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take this drop' }).click();
  await dialog.getByRole('button', { name: 'Lay two lines' }).click();
  const end = dialog.getByRole('button', { name: /^Line along the rig, other end/ });
  await end.focus();
  for (let i = 0; i < 3; i++) await end.press('Shift+ArrowDown');
  await expect(dialog.getByText(/° nose up, ± /)).toBeVisible();
  await dialog.getByRole('button', { name: 'Take this lean' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('button', { name: 'Remove the drop of 1.00 s' })).toBeVisible();

  await page.getByLabel('Keep a photo with it').setInputFiles('docs/screenshots/log.png');
  await expect(page.getByRole('button', { name: 'Take photo 1 off again' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this in the log' }).click();
  const newest = page.locator('.log li').first();
  await expect(newest).toContainText('1.00 s drop seen');
  await expect(newest.getByText('By this reading alone.')).toBeVisible();
  const photo = newest.getByRole('img');
  await expect.poll(() => photo.evaluate((i) => (i as HTMLImageElement).naturalWidth)).toBeGreaterThan(100);
  await allKept(page);
  await page.reload();
  await expect(newest).toContainText('1.00 s drop seen');

  const [first] = await readPdf(await savedBy(page, () => page.getByRole('button', { name: 'Log as PDF' }).click()));
  for (const words of [
    'Limpet: log',
    '3 entries',
    '1.00 s drop seen',
    'By this reading alone.',
    'Walked the wall twice',
  ])
    expect(first!.words.replace(/\s+/g, ' ')).toContain(words);
});

test('a bag too small says so; it is packed, set up by the watch, and the log tells what took longest', async ({
  bench: page,
}) => {
  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(page, 'Frame');
  const side = page.getByLabel('Bag, inside length');
  await side.fill('250 mm');
  await side.press('Enter');
  await goTo(page, 'Field');
  await page.getByRole('link', { name: 'Pack it and set it up' }).click();
  await expect(
    page.getByText(/It does not go in its bag: the piece with the .* is too large by \d+ mm\./),
  ).toBeVisible();
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await expect(page.getByText('All packed.')).toBeVisible();
  await page.getByRole('button', { name: 'Time it, step by step' }).click();
  const watch = page.locator('.watch');
  await watch.click();
  await page.reload();
  await expect(watch).toContainText('Step 2 of');
  for (let left = 40; left > 0 && (await watch.isVisible()); left--) await watch.click();
  await expect(page.getByText(/Timed once:/)).toBeVisible();
  await goTo(page, 'Log');
  await expect(page.locator('.log li').first()).toContainText(/Set up in \d+ s; what took longest: /);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.locator('.log li').first()).not.toContainText('Set up in');
});
