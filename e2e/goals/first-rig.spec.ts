/** The whole thread, as a new maker walks it: from an empty folder to a logged drop, over a killed server. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { allKept, expect, fill, goTo, measure, pick, readout, startOne, test } from '../support/bench';

const root = fileURLToPath(new URL('../../', import.meta.url));

test('make, trim, build, carry and log the first rig', async ({ bench: page, server }) => {
  await expect(page.getByRole('heading', { name: 'Nothing here yet' })).toBeVisible();

  await test.step('weigh a camera and a lens', async () => {
    await goTo(page, 'Load');
    await page.getByRole('button', { name: 'Add an item' }).click();
    await expect(page.getByRole('heading', { name: 'New item 1' })).toBeVisible();
    await fill(page, 'Name', 'Heron body');
    await expect(page.getByRole('heading', { name: 'Heron body' })).toBeVisible();
    await fill(page, 'Length, along the lens', '62 mm');
    await fill(page, 'Width', '118 mm');
    await fill(page, 'Height', '2 3/4 in');
    await measure(page, 'Weigh it');
    await fill(page, 'Weigh it: Scale reads', '1 lb 1 oz');
    await expect(page.getByRole('region', { name: 'Decide' })).toContainText('482 g');
    await measure(page, 'On an edge');
    await fill(page, 'On an edge, fore and aft: Tips one way', '33 mm');
    await fill(page, 'On an edge, fore and aft: Tips the other', '34 mm');
    await measure(page, 'On an edge');
    await fill(page, 'On an edge, sideways: Tips one way', '61 mm');
    await fill(page, 'On an edge, sideways: Tips the other', '62 mm');
    await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
    await page.getByRole('button', { name: 'Add an item' }).click();
    await expect(page.getByRole('heading', { name: 'New item 2' })).toBeVisible();
    await fill(page, 'Name', 'Wide lens');
    await expect(page.getByRole('heading', { name: 'Wide lens' })).toBeVisible();
    await page.getByLabel('Kind', { exact: true }).selectOption('lens');
    await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
    await fill(page, 'Mass of Wide lens', '214 g');
    await page.getByRole('button', { name: 'New loadout' }).click();
    await pick(page, 'Mount', 'Wide lens');
    await expect(page.getByText('on Heron body, lens flange')).toBeVisible();
  });

  await test.step('start the bent bar for them', async () => {
    await startOne(page, 'Bent bar on a universal joint', { name: 'Limpet' });
    await expect(page.getByRole('heading', { name: 'From the side' })).toHaveCount(0);
    await expect(page.getByText('From the side')).toBeVisible();
    await fill(page, 'Tail', '140 mm');
    await expect(page.getByLabel('Tail, on the drawing')).toHaveValue('140 mm');
  });

  await test.step('see why it leans, then trim it in one click', async () => {
    await goTo(page, 'Balance');
    await fill(page, 'Stage, fore and aft', '6 mm');
    await expect(page.getByRole('article').filter({ hasText: 'nose down' }).first()).toContainText(
      'ahead of the pivot',
    );
    await page.getByRole('button', { name: 'Trim it' }).click();
    await expect(page.getByText(/^\s*Balanced with \d+ g of washers/)).toBeVisible();
    await expect(page.locator('.verdict').getByText(/in 100/)).toBeVisible();
    expect(await readout(page, 'Drop')).toMatch(/(1\.[89]|2\.[0-4]) s/);
  });

  await test.step('the cut drawing and the shopping', async () => {
    await goTo(page, 'Stock');
    await expect(page.getByRole('img', { name: 'Flat blank of the bar with its marks' })).toBeVisible();
    await expect(page.getByText('last, on the hanging rig').first()).toBeVisible();
    await fill(page, 'In the bin: M10 wide washer 30 mm', '30');
    await expect(page.getByRole('listitem').filter({ hasText: 'M10 wide washer' })).toContainText('have it');
  });

  await test.step('walk the steps', async () => {
    await goTo(page, 'Build');
    await page.getByRole('checkbox', { name: /^1\. Cut the bar/ }).check();
    await expect(page.getByText(/^\s*1 of \d+ steps done/)).toBeVisible();
  });

  await test.step('the card at phone width', async () => {
    await page.setViewportSize({ width: 390, height: 844 });
    await goTo(page, 'Field');
    const card = page.getByRole('article', { name: /^Set-up card/ });
    await expect(card).toContainText('Foot washers');
    await expect(card).toContainText('drop, let go lying level');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.setViewportSize({ width: 1280, height: 800 });
  });

  await test.step('log a drop with the space bar', async () => {
    await goTo(page, 'Log');
    await page.getByRole('heading', { name: 'Time a drop' }).click();
    await page.keyboard.press('Space');
    await expect(page.getByText('Upright', { exact: true })).toBeVisible();
    await expect(page.getByRole('button', { name: /Upright/ })).toContainText(/[1-9]\.\d\d s/, { timeout: 4000 });
    await page.keyboard.press('Space');
    await fill(page, 'Nose down', '0.5');
    await page.getByRole('button', { name: 'Keep this in the log' }).click();
    await expect(page.getByText(/Fore and aft it hangs as expected/)).toBeVisible();
    await allKept(page);
  });

  // The value of before stands beside each figure for a moment after an edit.
  await expect(page.getByRole('region', { name: 'Tide line' })).not.toContainText('was');
  const before = {
    nose: await readout(page, 'Nose'),
    drop: await readout(page, 'Drop'),
    mass: await readout(page, 'Mass'),
  };

  await test.step('kill the server, start again, find all of it', async () => {
    await server.stop('SIGKILL');
    await server.start();
    await page.goto(`${server.address}/log`);
    await expect(page.getByText(/drop seen/)).toBeVisible();
    expect({
      nose: await readout(page, 'Nose'),
      drop: await readout(page, 'Drop'),
      mass: await readout(page, 'Mass'),
    }).toEqual(before);
    await goTo(page, 'Build');
    await expect(page.getByRole('checkbox', { name: /^1\. Cut the bar/ })).toBeChecked();
  });

  await test.step('the same figures from the command line', async () => {
    await goTo(page, 'Shelf');
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export Limpet' }).click();
    const path = join(mkdtempSync(join(tmpdir(), 'tide-pebble-file-')), 'limpet.json');
    await (await saved).saveAs(path);
    const printed = JSON.parse(
      execFileSync('npm', ['run', '-s', 'analyse', '--', path], {
        cwd: root,
        encoding: 'utf8',
        env: { ...process.env, INIT_CWD: root },
        stdio: ['ignore', 'pipe', 'ignore'],
      }),
    ) as { mass: number; hung: { noseDown: number; dropTimePitch: number } };
    expect(before.mass).toContain(`${Math.round(printed.mass * 1000).toLocaleString('en-GB')} g`);
    expect(before.drop).toContain(`${printed.hung.dropTimePitch.toFixed(1)} s`);
    const degrees = (Math.abs(printed.hung.noseDown) * 180) / Math.PI;
    expect(before.nose).toContain(degrees < 0.052 ? 'level' : `${degrees.toFixed(1)}°`);
  });
});
