/** Printed parts go out one by one, closed and with their pockets; and a rig is asked what becomes of it in water. */
import { readFileSync } from 'node:fs';
import { expect, fill, goTo, savedBy, startOne, test } from '../support/bench';
import { audited, fileOf } from '../support/whole';

test('a printed part is saved as a solid that closes, and the rig is taken into the water', async ({ bench: page }) => {
  const press = (name: string): Promise<void> => page.getByRole('button', { name }).first().click();
  await goTo(page, 'Load');
  await press('Add an item');
  await fill(page, 'Name', 'Slate phone');
  await page.getByLabel('Kind', { exact: true }).selectOption('phone');
  await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
  await fill(page, 'Mass of Slate phone', '190 g');
  await press('New loadout');
  await startOne(page, 'Printed phone frame', { name: 'Skerry' });
  const file = await savedBy(page, () => page.getByRole('button', { name: 'left handle as STL' }).click());
  await expect(page.getByText(/left handle\.stl is saved: [\d.]+ cm³ of solid\./)).toBeVisible();
  const stl = readFileSync(file);
  const triangles = stl.readUInt32LE(80);
  expect(stl.length).toBe(84 + 50 * triangles);
  // Closed: each corner pair is met once each way.
  const edges = new Map<string, number>();
  for (let t = 0; t < triangles; t++) {
    const corner = (k: number): string =>
      stl.subarray(84 + 50 * t + 12 + 12 * k, 84 + 50 * t + 24 + 12 * k).toString('hex');
    for (const [a, b] of [
      [0, 1],
      [1, 2],
      [2, 0],
    ] as const) {
      const [from, to] = [corner(a), corner(b)];
      const key = from < to ? from + to : to + from;
      edges.set(key, (edges.get(key) ?? 0) + (from < to ? 1 : -1));
    }
  }
  expect([...edges.values()].filter((n) => n !== 0)).toEqual([]);
  await goTo(page, 'Build');
  await expect(page.getByText(/\d+\. Print the left handle/)).toBeVisible();

  await goTo(page, 'Frame');
  const water = page.locator('tp-water-panel');
  await water.getByText('Into the water').click();
  await expect(water).toContainText('in sea water');
  await expect(water).toContainText('Tether it');
  await water.getByLabel('Which water').selectOption('fresh');
  await expect(water).toContainText('in fresh water');

  const { whole } = await fileOf(page, 'Skerry');
  expect(whole.blocked).toEqual([]);
  expect(await audited(whole)).toEqual([]);
});
