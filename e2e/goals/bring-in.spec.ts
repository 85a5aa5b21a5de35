/** Kit from files, pastes and photos: seen before it is taken, told row by row, undone in one step; and what is no such thing. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { allKept, expect, fill, goTo, measure, test, unfold } from '../support/bench';

const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-in-'));
const file = (name: string, content: string | Buffer): string => {
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};
const open = async (page: Page): Promise<void> => {
  await goTo(page, 'Load');
  await page.getByRole('button', { name: 'Bring in' }).click();
};
const choose = (page: Page, path: string): Promise<void> => page.getByLabel('File to bring in').setInputFiles(path);
const rows = (page: Page) => page.getByRole('list', { name: 'Rows read' }).getByRole('listitem');

test('a list from a spreadsheet is shown with its faults, taken in, and undone in one step', async ({
  bench: page,
}) => {
  await open(page);
  await choose(
    page,
    file(
      'kit.csv',
      '\ufeffItem;Type;Weight (g);Long\nHeron;camera;486;62\nReed;microphone;-5;150\nOdd;toaster;5;5\n=1+1;lens;=2*3;50\nLight;light;1,250;30\nPlate;plate;0,5 kg;50\n',
    ),
  );
  await expect(page.getByText('2 new, 0 changed, 0 here already, 4 not taken.')).toBeVisible();
  await expect(rows(page).filter({ hasText: 'Reed' })).toContainText('cannot be less than nothing');
  await expect(rows(page).filter({ hasText: 'Odd' })).toContainText('no kind of kit');
  await expect(rows(page).filter({ hasText: '=1+1' })).toContainText('never run here');
  await page.getByText('Columns and units').click();
  await page.getByLabel('Before the decimals stands').selectOption({ label: 'a comma' });
  await expect(page.getByText('3 new, 0 changed, 0 here already, 3 not taken.')).toBeVisible();
  await page.getByLabel('Column Long is').selectOption({ label: 'left out' });
  await expect(page.getByText('3 new,')).toBeVisible();
  await page.getByRole('button', { name: 'Take in 3' }).click();
  await expect(page.getByLabel('Mass of Plate')).toHaveValue('500 g');
  await allKept(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Weigh your camera first' })).toBeVisible();
});

test('cells pasted from a spreadsheet change what is here by name, and leave the rest', async ({ bench: page }) => {
  await open(page);
  await page.getByLabel('Pasted cells').fill('name\tkind\tmass_g\nHeron\tcamera\t486\nReed\tmicrophone\t74');
  await page.getByRole('button', { name: 'Read this' }).click();
  await page.getByRole('button', { name: 'Take in 2' }).click();
  await page.getByRole('button', { name: 'Bring in' }).click();
  await page.getByLabel('Pasted cells').fill('name\tmass_g\nheron\t490\nReed\t74');
  await page.getByRole('button', { name: 'Read this' }).click();
  await expect(page.getByText('0 new, 1 changed, 1 here already, 0 not taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByLabel('Mass of Heron')).toHaveValue('486 g');
});

test('what is no list is refused in words, and nothing is half in', async ({ bench: page }) => {
  await open(page);
  for (const [name, content, words] of [
    ['picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2]), 'not a text file'],
    ['words.csv', 'just some words\nand more', 'Only one column'],
    ['quotes.csv', 'name,mass\n"Heron,5\nReed,6', 'quote'],
    ['other.json', '{"format":"other"}', 'could not be read'],
    ['head.csv', 'name,mass\n', 'nothing under it'],
    ['junk.csv', Buffer.alloc(5 * 1024 * 1024, 0xfe), 'Only one column'],
  ] as const) {
    await choose(page, file(name, content));
    await expect(page.getByRole('alert'), name).toContainText(words);
    await page.getByRole('button', { name: 'Another file' }).click();
  }
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('heading', { name: 'Weigh your camera first' })).toBeVisible();
});

test('ten thousand rows are read with the page at hand, can be cancelled, and scroll', async ({ bench: page }) => {
  await open(page);
  const many = file(
    'many.csv',
    `name,kind,mass_g,length_mm,width_mm,height_mm\n${Array.from({ length: 10_000 }, (_, i) => `Shell ${i},other,${(i % 400) + 1},40,30,20`).join('\n')}`,
  );
  await choose(page, many);
  await expect(page.getByText('10000 new, 0 changed')).toBeVisible();
  expect(await rows(page).count()).toBeLessThan(60);
  await page.getByRole('button', { name: 'Another file' }).click();
  await choose(page, many);
  await expect(page.getByText('10000 new, 0 changed')).toBeVisible();
  await page.getByRole('button', { name: 'Take in 10000' }).click();
  await page.getByLabel('Find in the kit').fill('shell 9999');
  await expect(page.getByRole('row').filter({ hasText: 'Shell 9999' })).toBeVisible();
  await expect(page.getByRole('banner').getByRole('status')).toHaveText(/^All kept/, { timeout: 20_000 });
});

test('a photo is kept with its item, and serves to find the mass centre by touching plumb lines', async ({
  bench: page,
}) => {
  await open(page);
  await page
    .getByLabel('Pasted cells')
    .fill('name,kind,mass_g,length_mm,width_mm,height_mm\nHeron,camera,486,60,120,80');
  await page.getByRole('button', { name: 'Read this' }).click();
  await page.getByRole('button', { name: 'Take in 1' }).click();
  await page.getByRole('button', { name: 'Heron', exact: true }).click();
  await unfold(page);
  await page.getByLabel('Keep a photo with it').setInputFiles(file('notes.jpg', 'not a picture'));
  await expect(page.getByRole('alert')).toContainText('not a picture');
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(800, 600);
    canvas.getContext('2d')!.fillRect(100, 100, 600, 400);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await page.getByLabel('Keep a photo with it').setInputFiles(file('heron.png', Buffer.from(picture)));
  await expect(page.getByRole('img', { name: 'Photo of Heron' })).toBeVisible();
  await measure(page, 'Hung twice');
  await page.getByRole('button', { name: 'Touch the places on its photo' }).click();
  const photo = page.getByRole('img', { name: /^Photo of Heron\. Arrow keys/ });
  const { width } = (await photo.boundingBox())!;
  // The box is 60 mm long and drawn 600 px of 800: a hundred pixels are ten millimetres.
  for (const [x, y] of [
    [100, 500],
    [700, 500],
    [400, 120],
    [400, 480],
    [150, 300],
    [650, 300],
  ] as const)
    await photo.click({ position: { x: (x * width) / 800, y: (y * width) / 800 } });
  const card = page.getByRole('article', { name: 'Hung twice, from the side' });
  await expect(card.getByRole('status')).toContainText(/Mass centre, fore and aft (29\.\d|30(\.\d)?) mm/);
  await expect(card.getByRole('status')).toContainText(/Mass centre, height (19\.\d|20(\.\d)?) mm/);
  await allKept(page);
});

test('losing the scale in the middle loses nothing; what it cannot carry is said', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await page.getByRole('button', { name: 'Add an item' }).click();
  await measure(page, 'Weigh it');
  await page.getByRole('button', { name: 'Connect the simulated scale' }).click();
  await fill(page, 'On the pan', '482 g');
  await page.getByRole('button', { name: 'From the scale: Weigh it: Scale reads' }).click();
  await expect(page.getByLabel('Weigh it: Scale reads', { exact: true })).toHaveValue('482 g');
  await fill(page, 'On the pan', '9 kg');
  await expect(page.getByText('Too heavy')).toBeVisible();
  await page.getByRole('button', { name: 'From the scale: Weigh it: Scale reads' }).click();
  await page.getByRole('button', { name: 'Break the link' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was taken' })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'What was read is kept' })).toBeVisible();
  await expect(page.getByLabel('Weigh it: Scale reads', { exact: true })).toHaveValue('482 g');
  await page.getByRole('button', { name: 'Connect the simulated scale' }).click();
  // A bowl first: a tare waits till it stands still, and takes off whatever lies there by then.
  const display = page.getByRole('region', { name: 'Simulated scale' }).locator('.display');
  await fill(page, 'On the pan', '120 g');
  await expect(display).toHaveText(/120 g.*stands still/);
  await page.getByRole('button', { name: 'Tare' }).click();
  await expect(display).toHaveText(/^\s*0 g.*stands still/);
  await fill(page, 'On the pan', '602 g');
  await page.getByRole('button', { name: 'From the scale: Weigh it: Scale reads' }).click();
  // Of five figures in a row some may still be a gram off.
  await expect(page.getByText(/mean 48[12](\.\d)? g/)).toBeVisible();
});
