/** Nothing typed is lost: the server away, two windows, files in and out, deleting with undo. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { allKept, expect, fill, goTo, shelfDrawn, shelfWhole, test } from '../support/bench';

test.use({ demo: true });

test('typed while the server is away: kept in the browser over a reload, and sent when it is back', async ({
  bench: page,
  server,
}) => {
  await goTo(page, 'Frame');
  await expect(page.getByLabel('Tail', { exact: true })).toBeVisible();
  await allKept(page);
  await server.stop('SIGKILL');
  await fill(page, 'Tail', '142 mm');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('kept in this browser');
  await server.start();
  await page.reload();
  await expect(page.getByLabel('Tail', { exact: true })).toHaveValue('142 mm');
  await allKept(page);
  const answer = await page.request.get(`${server.address}/api/documents/rig/rig-limpet`);
  expect(
    ((await answer.json()) as { body: { design: { dimensions: { tail: { value: number; typed: string } } } } }).body
      .design.dimensions.tail,
  ).toEqual({ value: 0.142, typed: '142 mm' });
});

test('what was done in the moment before the page is left is there again', async ({ bench: page, server }) => {
  for (const rig of ['Limpet', 'Anemone', 'Cormorant', 'Cockle', 'Limpet']) {
    await page.goto(`${server.address}/shelf`);
    const cards = page.locator('tp-rig-card');
    await allKept(page);
    const before = await shelfWhole(page);
    // No pause between the press and leaving: nothing has been sent yet.
    await page.getByRole('button', { name: `Copy ${rig}`, exact: true }).click();
    await page.goto(`${server.address}/shelf`);
    await expect(cards).toHaveCount(before + 1);
  }
});

for (const choice of ['Keep mine', 'Take the other version'] as const) {
  test(`two windows change one rig: ${choice.toLowerCase()}`, async ({ bench: page, server, context }) => {
    const other = await context.newPage();
    await other.goto(`${server.address}/frame`);
    await goTo(page, 'Frame');
    await fill(other, 'Tail', '150 mm');
    await allKept(other);
    await fill(page, 'Tail', '160 mm');
    await expect(page.getByRole('dialog', { name: 'Changed in two places' })).toContainText('Limpet');
    await page.getByRole('button', { name: choice }).click();
    await allKept(page);
    await expect(page.getByLabel('Tail', { exact: true })).toHaveValue(choice === 'Keep mine' ? '160 mm' : '150 mm');
    await other.reload();
    await expect(other.getByLabel('Tail', { exact: true })).toHaveValue(choice === 'Keep mine' ? '160 mm' : '150 mm');
  });
}

test('copy, rename, delete with undo', async ({ bench: page }) => {
  await shelfDrawn(page);
  await page.getByRole('button', { name: 'Copy Limpet' }).click();
  await fill(
    page,
    'Name of Limpet copy',
    'Periwinkle, with a name so long that it would run out of any card it were put on',
  );
  await expect(page.getByRole('button', { name: /^Delete Periwinkle, with a name/ })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Limpet', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Delete Limpet', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Delete Limpet', exact: true })).toBeVisible();
  await allKept(page);
});

test('a rig file goes out and comes back; a broken one is refused by its field with nothing changed', async ({
  bench: page,
}, info) => {
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export Whelk' }).click();
  const path = join(info.outputDir, 'whelk.json');
  await (await saved).saveAs(path);
  await page.getByLabel('Rig file').setInputFiles(path);
  await expect(page.getByRole('button', { name: 'Delete Whelk (imported)' })).toBeVisible();
  await allKept(page);
  const onShelf = await shelfWhole(page);
  const file = JSON.parse(readFileSync(path, 'utf8')) as { rig: { kerf: number } };
  writeFileSync(path, JSON.stringify({ ...file, rig: { ...file.rig, kerf: -1 } }));
  await page.getByLabel('Rig file').setInputFiles(path);
  await expect(page.getByRole('alert')).toContainText('rig.kerf must be at least 0');
  await expect(page.getByRole('button', { name: /^Delete / })).toHaveCount(onShelf);
});

test('a backup is looked into first, brings back what was there, and undo takes it out again; junk changes nothing', async ({
  bench: page,
  server,
}, info) => {
  const zip = await (await page.request.get(`${server.address}/api/backup`)).body();
  await shelfDrawn(page);
  await page.getByRole('button', { name: 'Delete Whelk' }).click();
  await expect(page.getByRole('button', { name: 'Delete Whelk' })).toHaveCount(0);
  await allKept(page);
  await page.getByRole('button', { name: 'Backups, and bringing one back' }).click();
  await page
    .getByLabel('Backup file')
    .setInputFiles({ name: 'junk.zip', mimeType: 'application/zip', buffer: Buffer.from('junk') });
  await expect(page.getByRole('alert')).toContainText('not a backup');
  await page.getByLabel('Backup file').setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: zip });
  await expect(page.getByRole('dialog')).toContainText('1 rig: Whelk');
  await page.getByRole('button', { name: 'Put in place of everything' }).click();
  await expect(page.getByRole('button', { name: 'Delete Whelk' })).toBeVisible();
  await page.getByRole('banner').getByRole('button', { name: 'Undo restoring a backup' }).click();
  await expect(page.getByRole('button', { name: 'Delete Whelk' })).toHaveCount(0);
  await allKept(page);
  // What was there before the backup is itself a backup.
  await page.getByRole('button', { name: 'Backups, and bringing one back' }).click();
  await expect(page.getByRole('button', { name: /^Look into the backup of/ }).first()).toBeVisible();
  expect(info.errors).toEqual([]);
});

test('an earlier save is looked at and gone back to', async ({ bench: page }) => {
  await goTo(page, 'Frame');
  await fill(page, 'Tail', '150 mm');
  await allKept(page);
  await goTo(page, 'Shelf');
  await page.getByRole('button', { name: 'Earlier saves of Limpet' }).click();
  const dialog = page.getByRole('dialog', { name: 'Earlier saves of Limpet' });
  await dialog.getByRole('listitem').getByRole('button').first().click();
  await expect(dialog).toContainText('dimensions, tail');
  await dialog.getByRole('button', { name: 'Go back to this one' }).click();
  await goTo(page, 'Frame');
  await expect(page.getByLabel('Tail', { exact: true })).not.toHaveValue('150 mm');
});

test('typed in inches stays as typed: 200 mm with Enter is 200 mm to the last digit', async ({
  bench: page,
  server,
}) => {
  await goTo(page, 'Frame');
  await page.getByRole('button', { name: 'inch', exact: true }).click();
  for (const leave of ['Enter', 'Tab'] as const) {
    const field = page.getByLabel('Platform length', { exact: true });
    await field.fill(leave === 'Enter' ? '200 mm' : '190 mm');
    await field.press(leave);
    await field.blur();
    await allKept(page);
    const body = (
      (await (await page.request.get(`${server.address}/api/documents/rig/rig-limpet`)).json()) as {
        body: { design: { dimensions: Record<string, { value: number; typed?: string }> } };
      }
    ).body;
    expect(Object.values(body.design.dimensions)).toContainEqual({
      value: leave === 'Enter' ? 0.2 : 0.19,
      typed: leave === 'Enter' ? '200 mm' : '190 mm',
    });
  }
});

test('two windows that close with a conflict unanswered: both versions are offered, none is eaten', async ({
  bench: page,
  server,
  context,
}) => {
  const other = await context.newPage();
  await other.goto(`${server.address}/frame`);
  await goTo(page, 'Frame');
  await fill(other, 'Tail', '150 mm');
  await allKept(other);
  await fill(page, 'Tail', '160 mm');
  await expect(page.getByRole('dialog', { name: 'Changed in two places' })).toBeVisible();
  // The other window saves again, and once took the first one's draft with it.
  await fill(other, 'Tail', '151 mm');
  await allKept(other);
  await page.goto('about:blank');
  await page.goto(`${server.address}/frame`);
  await expect(page.getByRole('dialog', { name: 'Changed in two places' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await allKept(page);
  await expect(page.getByLabel('Tail', { exact: true })).toHaveValue('160 mm');
});

test('a server that serves another folder is noticed; what was typed waits for its own', async ({
  bench: page,
  server,
}) => {
  await goTo(page, 'Frame');
  await expect(page.getByLabel('Tail', { exact: true })).toBeVisible();
  await allKept(page);
  const own = server.data;
  await server.stop('SIGKILL');
  await fill(page, 'Tail', '147 mm');
  await server.start(mkdtempSync(join(tmpdir(), 'tide-pebble-other-')));
  await expect(page.getByRole('alert')).toContainText('another data folder', { timeout: 15_000 });
  await page.getByRole('button', { name: 'Open what is here now' }).click();
  await goTo(page, 'Shelf');
  await expect(page.getByText('typed on this address for another data folder')).toBeVisible();
  await server.stop('SIGKILL');
  await server.start(own);
  await page.goto(`${server.address}/frame`);
  await expect(page.getByLabel('Tail', { exact: true })).toHaveValue('147 mm');
  await allKept(page);
});
