/** From a wish in the log to the next version with a change made, both side by side; and a false difference in steadiness is not called. */
import type { Walk } from '@tide-pebble/core';
import { expect, goTo, test } from '../support/bench';

test.use({ demo: true });

test('a wish of the log begins version two; what was changed, weighed and walked stands beside version one', async ({
  bench,
  server,
}) => {
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Log');
  await bench.getByLabel('What went wrong').fill('It dipped at each kerb.');
  await bench.getByLabel('What to try next').fill('A longer bottom run.');
  await bench.getByRole('button', { name: 'Keep this in the log' }).click();
  await expect(bench.getByText('To try.')).toBeVisible();
  await bench.getByRole('link', { name: 'Versions' }).click();

  const table = bench.getByRole('region', { name: 'All versions in figures' }).getByRole('table');
  await expect(table.getByRole('row', { name: /^Mass/ })).toContainText('g');
  await expect(bench.getByRole('checkbox', { name: 'A longer bottom run.' })).toBeChecked();
  await bench.getByLabel('What it should do better').fill('Calmer on kerbs.');
  await bench.getByRole('button', { name: 'Begin version 2' }).click();
  await bench.waitForURL('**/frame');
  await expect(bench.getByLabel('Rig', { exact: true }).locator('option:checked')).toHaveText('Limpet, version 2');
  const size = bench.locator('.row tp-quantity-field input').first();
  const name = (await bench.locator('.row label').first().innerText()).trim();
  const was = await size.inputValue();
  await size.fill(was.replace(/[\d.]+/, (n) => `${Number(n) + 20}`));
  await size.press('Enter');

  await goTo(bench, 'Log');
  await bench.getByRole('link', { name: 'Versions' }).click();
  const second = bench.getByRole('region', { name: 'Version 2' });
  await expect(second).toContainText('Calmer on kerbs.');
  await expect(second).toContainText('A longer bottom run.');
  await expect(second.getByRole('listitem').filter({ hasText: name })).toContainText('heavier');
  await expect(second).toContainText('No path is walked with both yet');
  await expect(bench.getByRole('region', { name: 'Version 1' })).toBeVisible();
  // Taken up, it is no open wish any more.
  await expect(bench.getByRole('checkbox', { name: 'A longer bottom run.' })).toHaveCount(0);
  const [first, later] = await table.getByRole('row', { name: /^Mass/ }).getByRole('cell').allInnerTexts();
  const grams = (text: string | undefined): number => Number(text!.replace(/[^\d.]/g, ''));
  expect(grams(later)).toBeGreaterThan(grams(first));

  // Walks of version one again as version two's: nothing differs, so nothing may be told; then all of them steadier.
  const { documents, folder } = (await (await fetch(`${server.address}/api/documents`)).json()) as {
    folder: string;
    documents: { kind: string; id: string; revision: number; body: Walk & { name?: string } }[];
  };
  const version = documents.find((d) => d.kind === 'rig' && d.body.name === 'Limpet, version 2')!;
  const walked = documents.filter((d) => d.kind === 'walk' && d.body.rig === 'rig-limpet');
  const kept: { id: string; revision: number }[] = walked.map((w) => ({ id: `${w.id}-two`, revision: 0 }));
  const keep = async (part: number): Promise<void> => {
    const less = (s: Walk['pan']): Walk['pan'] => ({ ...s, rms: part * s.rms, peak: part * s.peak });
    const changes = walked.map(({ body }, i) => ({
      kind: 'walk',
      ...kept[i]!,
      body: {
        ...body,
        id: kept[i]!.id,
        rig: version.id,
        pan: less(body.pan),
        tilt: less(body.tilt),
        roll: less(body.roll),
      },
    }));
    const answer = await fetch(`${server.address}/api/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Data-Folder': folder },
      body: JSON.stringify({ changes }),
    });
    expect(answer.status).toBe(200);
    for (const k of kept) k.revision++;
    await bench.reload();
  };
  await keep(1);
  await expect(second).toContainText('Tilt: no difference from version 1 can be told');
  await keep(0.4);
  await expect(second).toContainText(/Tilt: shakes 0\.4\d* × as much as version 1, surely/);
});

test('a cure pressed begins the next version with it made, and one undo takes all of it back', async ({ bench }) => {
  await bench.getByLabel('Rig', { exact: true }).selectOption({ label: 'Limpet' });
  await goTo(bench, 'Frame');
  const size = bench.locator('.row tp-quantity-field input').first();
  await size.fill((await size.inputValue()).replace(/[\d.]+/, (n) => `${Number(n) + 20}`));
  await size.press('Enter');
  await goTo(bench, 'Log');
  await bench.getByRole('link', { name: 'Versions' }).click();
  const rigs = bench.getByLabel('Rig', { exact: true }).locator('option');
  const before = await rigs.count();
  const card = bench.locator('tp-finding-card').first();
  await card.getByRole('button', { name: 'Look for a change that cures it' }).click();
  const cure = card.locator('tp-cure-finder').getByRole('button').first();
  await expect(cure).not.toHaveText(/Look for|Stop looking/, { timeout: 60_000 });
  const words = (await cure.innerText()).trim();
  await cure.click();
  await bench.waitForURL('**/frame');
  await expect(bench.getByLabel('Rig', { exact: true }).locator('option:checked')).toHaveText('Limpet, version 2');
  await goTo(bench, 'Log');
  await bench.getByRole('link', { name: 'Versions' }).click();
  await expect(bench.getByRole('region', { name: 'Version 2' }).locator('.wish')).toHaveText(words);
  await bench.getByRole('button', { name: /^Undo beginning/ }).click();
  await expect(rigs).toHaveCount(before);
});
