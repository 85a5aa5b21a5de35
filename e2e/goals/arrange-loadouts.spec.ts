/** Loadouts arranged in the picture and in the panel: dragged, nudged, turned, tied, set in their states; on the demo. */
import { allKept, expect, fill, goTo, measure, pick, test } from '../support/bench';

test.use({ demo: true });

test('a thing is dragged in the picture, nudged with the keys, and undone', async ({ bench: page }) => {
  await goTo(page, 'Load');
  const mic = page.getByRole('button', { name: /^Small mic, from the side/ });
  await expect(mic).toBeVisible();
  const box = (await mic.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2 - 20, { steps: 6 });
  await page.mouse.up();
  const forward = page.getByLabel('Forward', { exact: true });
  await expect(forward).not.toHaveValue('0 mm');
  const dragged = Number.parseFloat(await forward.inputValue());
  expect(dragged).toBeGreaterThan(8);
  await expect(page.getByLabel('Up', { exact: true })).not.toHaveValue('0 mm');
  await mic.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(forward).toHaveValue(`${dragged - 1} mm`);
  await allKept(page);
  // The drag, however long it took, is one step; the nudge after it another.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(forward).toHaveValue(`${dragged} mm`);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(forward).toHaveValue('0 mm');
});

test('place and turn are typed, and the figures of the rig follow', async ({ bench: page }) => {
  await goTo(page, 'Load');
  const nose = page.getByRole('region', { name: 'Tide line' }).getByRole('button', { name: /^Nose/ });
  await page.getByRole('button', { name: /^Small mic on Heron body/ }).click();
  await fill(page, 'Forward', '1 in');
  await expect(page.getByLabel('Forward', { exact: true })).toHaveValue('25.4 mm');
  await expect(nose).toContainText('nose down');
  await fill(page, 'Turned to the left', '90');
  await expect(page.getByLabel('Turned to the left', { exact: true })).toHaveValue('90.0°');
  await page.getByLabel('Stands on').selectOption({ label: 'Wide lens 24, front thread' });
  await expect(page.getByText('on Wide lens 24, front thread')).toBeVisible();
  await fill(page, 'Forward', 'far');
  await expect(page.getByRole('alert')).toContainText('not a length I can read');
});

test('what is tied comes along, and its absence is told with the fix in a click', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await pick(page, 'Mount', 'Small monitor');
  await expect(page.getByRole('button', { name: /^Monitor battery on Small monitor/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take off Monitor battery' }).click();
  const card = page.getByRole('article').filter({ hasText: 'Small monitor goes out with Monitor battery' });
  await card.getByRole('button', { name: 'Mount Monitor battery' }).click();
  await expect(card).toHaveCount(0);
  await page.getByRole('button', { name: 'Take off Small monitor' }).click();
  await expect(page.getByRole('button', { name: /^Monitor battery on/ })).toHaveCount(0);
});

test('something in the screen’s way is told, and lights up in the picture', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await page.getByRole('button', { name: /^Small mic on Heron body/ }).click();
  await fill(page, 'To the left', '90 mm');
  await fill(page, 'Up', '-40 mm');
  const card = page.getByRole('article').filter({ hasText: 'Small mic stands in the screen swing of Heron body' });
  await expect(card).toBeVisible();
  await card.hover();
  await expect(page.getByRole('button', { name: /^Small mic, from the front/ })).toHaveClass(/lit/);
});

test('a zoom measured at its long end says how far that moves it, and the cover follows', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await page.getByRole('button', { name: 'Zoom 18 to 45', exact: true }).click();
  await measure(page, 'On an edge');
  const card = page.getByRole('article', { name: /^On an edge, sideways/ });
  await card.getByLabel('Along').selectOption({ label: 'fore and aft' });
  const long = page.getByRole('article', { name: 'On an edge, fore and aft' }).last();
  await long.getByLabel('In the state').selectOption({ label: 'zoom at long' });
  await long.getByLabel('On an edge, fore and aft: Tips one way', { exact: true }).fill('52 mm');
  await page.keyboard.press('Enter');
  await long.getByLabel('On an edge, fore and aft: Tips the other', { exact: true }).fill('53.5 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('zoom at long, moves forward')).toHaveValue('14 mm');
  await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
  await page.getByLabel('Show loadout').selectOption({ label: 'Spring: body, zoom, light' });
  await expect(page.getByRole('region', { name: 'Decide' })).toContainText(/Zoom 18 to 45, zoom at long: 5 mm forward/);
  await expect(page.getByText(/Zoom 18 to 45 sees 66° to 29° across/)).toBeVisible();
});

test('a sheet of an item that is gone says so, and the way back', async ({ bench: page }) => {
  await goTo(page, 'Load');
  // Of a long kit only what is looked at is drawn.
  await page.getByRole('rowgroup', { name: 'Items' }).evaluate((list) => list.scrollTo(0, list.scrollHeight));
  await page.getByRole('button', { name: 'Grey filter', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Grey filter' })).toBeVisible();
  const address = page.url();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('Grey filter is deleted.')).toBeVisible();
  await allKept(page);
  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'This item is not in the kit' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
  await expect(page.getByRole('heading', { name: 'Kit', exact: true })).toBeVisible();
});
