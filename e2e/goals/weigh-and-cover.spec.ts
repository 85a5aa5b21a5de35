/** The load measured as a new maker would: scale, two ways for each mass centre, four loadouts, the slide's travel, out and in again. */
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { allKept, expect, fill, goTo, measure, pick, Server, test, unfold } from '../support/bench';

interface Thing {
  readonly name: string;
  readonly kind: string;
  readonly grams: number;
  /** Outside size and the mass centre from rear, right side and underside, mm. */
  readonly size: readonly [number, number, number];
  readonly centre: readonly [number, number, number];
}
const THINGS: readonly Thing[] = [
  { name: 'Gannet body', kind: 'camera', grams: 512, size: [60, 120, 76], centre: [31, 57, 35] },
  { name: 'Short lens', kind: 'lens', grams: 188, size: [50, 62, 62], centre: [22, 31, 31] },
  { name: 'Middle lens', kind: 'lens', grams: 342, size: [80, 68, 68], centre: [36, 34, 34] },
  { name: 'Long lens', kind: 'lens', grams: 655, size: [130, 76, 76], centre: [61, 38, 38] },
  { name: 'Reed mic', kind: 'microphone', grams: 74, size: [150, 22, 22], centre: [66, 11, 11] },
];
const decide = (page: Page) => page.getByRole('region', { name: 'Decide' });

async function weighAndBalance(page: Page, { name, kind, grams, size, centre }: Thing, number: number): Promise<void> {
  await page.getByRole('button', { name: 'Add an item' }).click();
  await expect(page.getByRole('heading', { name: `New item ${number}` })).toBeVisible();
  await fill(page, 'Name', name);
  await expect(page.getByRole('heading', { name })).toBeVisible();
  if (kind !== 'camera') await page.getByLabel('Kind', { exact: true }).selectOption(kind);
  for (const [i, label] of ['Length, along the lens', 'Width', 'Height'].entries())
    await fill(page, label, `${size[i]} mm`);
  const foot = kind === 'lens' ? [0, size[1] / 2, size[2] / 2] : [size[0] / 2, size[1] / 2, 0];
  await page.getByText('Its shape, and where its foot is').click();
  for (const [i, label] of ['Foot from the rear face', 'Foot from the right side', 'Foot from the underside'].entries())
    await fill(page, label, `${foot[i]} mm`);

  await measure(page, 'Weigh it');
  const connect = page.getByRole('button', { name: 'Connect the simulated scale' });
  if (await connect.isVisible()) await connect.click();
  await fill(page, 'On the pan', `${grams} g`);
  await page.getByRole('button', { name: 'From the scale: Weigh it: Scale reads' }).click();
  await expect(page.getByLabel('Weigh it: Scale reads', { exact: true })).toHaveValue(
    // The mean of what it read while it settled: it may have a decimal.
    new RegExp(`^(${grams - 1}|${grams}|${grams + 1})(\\.\\d+)? g`),
  );
  await page.getByRole('button', { name: 'Lift it off' }).click();

  // Fore and aft by two ways; the others on an edge and hung.
  for (const [axis, words] of ['fore and aft', 'sideways', 'height'].entries()) {
    await measure(page, 'On an edge');
    await fill(page, `On an edge, ${words}: Tips one way`, `${centre[axis]! - 0.5} mm`);
    await fill(page, `On an edge, ${words}: Tips the other`, `${centre[axis]! + 0.5} mm`);
  }
  await measure(page, 'On two scales');
  const span = size[0] - 10;
  const far = Math.round((grams * (centre[0] - 5)) / span);
  await fill(page, 'On two scales, fore and aft: Scale at the rear end', `${grams - far} g`);
  await fill(page, 'On two scales, fore and aft: Scale at the front end', `${far} g`);
  await fill(page, 'On two scales, fore and aft: Between the bars', `${span} mm`);
  await fill(page, 'On two scales, fore and aft: From the rear face to the nearer bar', '5 mm');
  await measure(page, 'Hung twice');
  await page.getByRole('article', { name: 'Hung twice, from the side' }).getByLabel('Seen from').selectOption('front');
  const line = (id: string): string => `Hung twice, from the front: ${id}`;
  const [across, up] = [centre[1], centre[2]];
  for (const [label, value] of [
    ['First line, upper mark, across', across],
    ['First line, upper mark, up', size[2]],
    ['First line, lower mark, across', across],
    ['First line, lower mark, up', 0],
    ['Second line, upper mark, across', 0],
    ['Second line, upper mark, up', up],
    ['Second line, lower mark, across', size[1]],
    ['Second line, lower mark, up', up],
  ] as const)
    await fill(page, line(label), `${value} mm`);
  await expect(decide(page).getByText(/^\s*They agree/)).toHaveCount(3);
  await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
}

test('weigh, balance two ways, build four loadouts, read the travel, and find the same elsewhere', async ({
  bench: page,
}) => {
  await goTo(page, 'Load');
  for (const [i, thing] of THINGS.entries())
    await test.step(`measure ${thing.name}`, () => weighAndBalance(page, thing, i + 1));

  await test.step('a screen that swings out', async () => {
    await page.getByRole('button', { name: 'Gannet body', exact: true }).click();
    await unfold(page);
    await page.getByRole('region', { name: 'States' }).getByRole('button', { name: 'screen' }).click();
    await fill(page, 'screen out, moves to the left', '6 mm');
    await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
  });

  await test.step('four loadouts, each a copy with one thing changed', async () => {
    await page.getByRole('button', { name: 'New loadout' }).click();
    const panel = decide(page);
    await pick(page, 'Mount', 'Short lens');
    await pick(page, 'Mount', 'Reed mic');
    await fill(page, 'Name', 'Short');
    /** The copy stands in the panel before it is typed into, as for a person. */
    const copyAs = async (from: string, name: string): Promise<void> => {
      await page.getByRole('button', { name: 'Copy this loadout' }).click();
      await expect(page.getByLabel('Name', { exact: true })).toHaveValue(`${from} (copy)`);
      await fill(page, 'Name', name);
    };
    for (const [from, lens] of [
      ['Short', 'Middle'],
      ['Middle', 'Long'],
    ] as const) {
      await copyAs(from, lens);
      await panel.getByRole('button', { name: /lens on Gannet body/ }).click();
      await pick(page, 'Swap for', `${lens} lens`);
    }
    await copyAs('Long', 'Long, screen out');
    await panel.getByRole('button', { name: /^Gannet body on the rig/ }).click();
    await page.getByLabel('screen', { exact: true }).selectOption({ label: 'out' });
    await expect(panel.getByText('on the rig; screen out')).toBeVisible();
  });

  const travel = await test.step('read off the travel, the extreme and why', async () => {
    const panel = decide(page);
    await expect(panel.getByRole('heading', { name: 'What all 4 loadouts cover' })).toBeVisible();
    const fore = panel.getByRole('region', { name: 'Fore and aft' });
    await expect(fore).toContainText('Least: Short');
    await expect(fore).toContainText('its Long lens carries it there');
    // By hand: mass centres ahead of the body's socket, 30 mm before its rear; the flange is 30 mm ahead, the shoe above the socket.
    const at = (grams: number, place: number): number =>
      (512 * 1 + grams * (30 + place) + 74 * (66 - 75)) / (512 + grams + 74);
    const expected = at(655, 61) - at(188, 22);
    const shown = /travel ([\d.]+) mm/.exec(await fore.innerText().then((t) => t.replace(/\s+/g, ' ')))![1]!;
    expect(Math.abs(Number(shown) - expected)).toBeLessThan(0.9);
    await expect(panel.getByRole('region', { name: 'Sideways' })).toContainText('to the left');
    return fore.innerText();
  });
  await allKept(page);

  const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-kit-'));
  const take = async (label: string, file: string): Promise<string> => {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Take out' }).click();
    await page.getByRole('menuitem', { name: label }).click();
    await (await saved).saveAs(join(folder, file));
    return join(folder, file);
  };
  const files = await test.step('take it out', async () =>
    [
      await take('Kit as CSV', 'kit.csv'),
      await take('Loadouts as CSV', 'loadouts.csv'),
      await take('Both as JSON', 'both.json'),
    ] as const);
  expect(readFileSync(files[0], 'utf8')).toContain('Gannet body,camera,512');

  const bringIn = async (file: string, count: number): Promise<void> => {
    await page.getByRole('button', { name: 'Bring in' }).click();
    await page.getByLabel('File to bring in').setInputFiles(file);
    await expect(page.getByRole('status').filter({ hasText: `${count} new, 0 changed` })).toBeVisible();
    await page.getByRole('button', { name: `Take in ${count}` }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  for (const list of [
    [
      [files[0], 5],
      [files[1], 4],
    ],
    [[files[2], 9]],
  ] as const) {
    await test.step(`bring ${list.length} file(s) into an empty folder, and find the same`, async () => {
      const other = new Server(false);
      await other.start();
      await page.goto(`${other.address}/load`);
      for (const [file, count] of list) await bringIn(file, count);
      await page.getByLabel('Show loadout').selectOption({ label: 'Short' });
      expect(await decide(page).getByRole('region', { name: 'Fore and aft' }).innerText()).toBe(travel);
      await page.getByRole('button', { name: 'Gannet body', exact: true }).click();
      await expect(decide(page).getByText(/^\s*They agree/)).toHaveCount(3);
      await allKept(page);
      await other.end();
    });
  }
});
