/** Was it steady: walks by a simulated phone, by a gyro’s log and by footage, held against the bare camera and each other. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { allKept, expect, test } from '../support/bench';
import { angleAt, madeClip, type MadeWalk } from '../support/made-clip';

test.use({ demo: true });

const open = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Put Limpet on the bench' }).click();
  await page.getByRole('link', { name: /^Log/ }).first().click();
  await page.getByRole('link', { name: 'Was it steady?' }).click();
  await expect(page.getByRole('heading', { name: 'Bring in a walk' })).toBeVisible();
};
async function simulated(page: Page, bare: boolean): Promise<void> {
  await page.getByRole('radio', { name: bare ? 'the bare camera' : /^Limpet/ }).check();
  const press = page.getByRole('button', { name: 'Walk with a simulated phone' });
  if (!(await press.isVisible())) await page.getByText('No phone at hand').click();
  await press.click();
  await expect(page.getByText(/(?:[2-9]\d s|1\d\d s|min) of walking/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
}
const degrees = (text: string): number => Number(/([\d.]+)°/.exec(text)![1]);

test('three walks of each with a simulated phone: steadier only when they say so, and not of what is the same', async ({
  bench: page,
}) => {
  await open(page);
  // The demo’s own: three of each.
  const limpet = page.getByRole('region', { name: /^Limpet/ });
  await expect(limpet).toContainText('3 of 3 walks');
  await expect(limpet).toContainText(/Tilt steadier:\s+shakes 0\.\d+ × as much as the bare camera/);
  await page.getByLabel('Path and pace').fill('pier, slow');
  for (const bare of [false, true, false, true, false]) {
    await simulated(page, bare);
    await page.getByRole('button', { name: 'Keep this walk' }).click();
  }
  await expect(page.getByLabel('Path', { exact: true })).toHaveValue('pier, slow');
  await expect(limpet).toContainText('Three walks of each tell chance from cause: 1 more of that.');
  await simulated(page, true);
  await page.getByRole('button', { name: 'Keep this walk' }).click();
  await expect(limpet).toContainText(/Tilt steadier:\s+shakes 0\.\d+ ×/);
  await expect(page.getByText(/Tilt shakes most at 1\.[6-9] Hz: your steps/)).toBeVisible();
  await allKept(page);
  await page.reload();
  await expect(limpet).toContainText('Tilt steadier');
  // One is taken out, and comes back.
  await page
    .getByRole('button', { name: /^Delete the walk/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: /^The bare camera/ })).toContainText('2 of 3 walks');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByRole('region', { name: /^The bare camera/ })).toContainText('3 of 3 walks');
});

test('a phone that keeps its gyroscope to itself, sleeps, sticks or is noisy says so', async ({ bench: page }) => {
  await open(page);
  await page.getByText('No phone at hand').click();
  const press = page.getByRole('button', { name: 'Walk with a simulated phone' });
  for (const [fault, words] of [
    ['denied', 'allow motion for this page'],
    ['asleep', 'No turning came from a gyroscope'],
  ] as const) {
    await page.getByLabel('Its fault').selectOption(fault);
    await press.click();
    await expect(page.getByRole('alert')).toContainText(words);
  }
  await page.getByLabel('Its fault').selectOption('stuck');
  await press.click();
  await expect(page.getByText(/(?:[1-9]\d s|1\d\d s|min) of walking/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('alert')).toContainText('it is stuck');
  await expect(page.getByRole('button', { name: 'Keep this walk' })).toHaveCount(0);
});

test('a made clip and a made gyro’s log of one walk agree; what is no walk is refused in words', async ({
  bench: page,
  context,
  server,
}) => {
  const walk: MadeWalk = {
    seconds: 12,
    frameRate: 30,
    across: 0.9,
    tilt: [[0.008, 1.75, 0], [0.002, 3.5, 1]], // prettier-ignore
    pan: [[0.006, 0.9, 2]],
    roll: [[0.005, 0.9, 1]],
  };
  const [clip, log] = [join(server.data, 'walk.webm'), join(server.data, 'walk.csv')];
  await madeClip(context, walk, clip);
  const rate = (tones: MadeWalk['tilt'], t: number): string =>
    ((((angleAt(tones, t + 1e-4) - angleAt(tones, t - 1e-4)) / 2e-4) * 180) / Math.PI + 0.4).toFixed(5);
  // Another logger’s ways: semicolons, decimal commas, milliseconds, degrees, a hole and a row too many.
  const rows = Array.from({ length: 100 * walk.seconds }, (_, i) => i / 100)
    .filter((t) => t < 5 || t > 5.2)
    .map((t) => [(1000 * t).toFixed(1), rate(walk.tilt, t), rate(walk.pan, t), rate(walk.roll, t)].join(';'));
  writeFileSync(
    log,
    ['Time (ms);Gyro X (deg/s);Gyro Y (deg/s);Gyro Z (deg/s)', ...rows, ';;;'].join('\n').replaceAll('.', ','),
  );

  await open(page);
  await page.getByLabel('Path and pace').fill('made');
  const file = page.getByLabel('A clip, or a gyro’s log (CSV)');
  const found = page.locator('.found');
  await file.setInputFiles(log);
  await expect(page.getByText(/12\.0? s at 100 rows a second\. 2\d rows missing/)).toBeVisible();
  const byGyro = (await found.locator('strong').allInnerTexts()).map(degrees);
  // True: rms of the tones, less what counts as led.
  expect(byGyro[0]).toBeCloseTo((Math.hypot(0.008, 0.002) / Math.SQRT2) * (180 / Math.PI), 1);
  await page.getByRole('button', { name: 'Keep this walk' }).click();
  await file.setInputFiles(clip);
  await page.getByLabel('Lens’s angle of view, across').fill(`${((0.9 * 180) / Math.PI).toFixed(3)}°`);
  await page.getByLabel('Lens’s angle of view, across').press('Enter');
  await expect(page.getByText(/360 frames of 640 × 360/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByRole('progressbar', { name: /Reading/ })).toHaveCount(0, { timeout: 90_000 });
  const byClip = (await found.locator('strong').allInnerTexts()).map(degrees);
  for (const [i, angle] of byClip.entries()) expect(Math.abs(angle - byGyro[i]!)).toBeLessThan(0.025);
  await page.getByRole('button', { name: 'Keep this walk' }).click();
  await expect(page.getByRole('region', { name: /by its footage/ })).toContainText('1 of 3 walks');

  // What cannot be read leaves nothing behind.
  const told = page.locator('tp-walk-intake [role=alert]');
  for (const [name, text, words] of [
    ['empty.csv', '', 'This is no gyro’s log'],
    ['two.csv', 't,x\n1,2\n', 'This is no gyro’s log'],
    ['short.csv', 't,x,y,z\n0,1,1,1\n0.01,1,1,1\n', 'Walk for ten seconds'],
    ['no.mp4', 'not a clip', 'There is no picture in this file'],
  ] as const) {
    const path = join(server.data, name);
    writeFileSync(path, text);
    await file.setInputFiles(path);
    await expect(told).toContainText(words);
    await expect(page.getByRole('button', { name: 'Keep this walk' })).toHaveCount(0);
  }
  // Degrees called radians are asked about.
  await file.setInputFiles(log);
  await expect(found).toBeVisible();
  await page.getByText('Columns and units').click();
  await page.getByLabel('Turns are in').selectOption('radians a second');
  await expect(page.getByText('more than a walk shakes')).toBeVisible();
});
