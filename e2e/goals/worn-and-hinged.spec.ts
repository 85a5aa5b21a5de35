/** Rigs that are worn, held, spun or hung in nested axes: each answers its own question, and its advice mends it. */
import type { Page } from '@playwright/test';
import { allKept, expect, fill, goTo, readout, test } from '../support/bench';

test.use({ demo: true });

const onBench = async (page: Page, rig: string, stage = 'Frame'): Promise<void> => {
  await page.getByRole('button', { name: `Put ${rig} on the bench` }).click();
  await goTo(page, stage);
};
const finding = (page: Page, text: string | RegExp) => page.getByRole('article').filter({ hasText: text });
const slide = async (page: Page, name: string, to: number): Promise<void> => {
  const slider = page.getByRole('slider', { name: `${name}, slide` });
  await slider.fill(String(to));
};

test('self-filming grip: how much twist is left, what a better hole buys, and the face in the frame', async ({
  bench: page,
}) => {
  await onBench(page, 'Sandhopper');
  await expect(finding(page, /Your face fills \d+ % of the picture/)).toBeVisible();
  await fill(page, 'Pin shank', '3 mm');
  await fill(page, 'Pin hole in the camera', '5 mm');
  const loose = finding(page, 'on its pin');
  await expect(loose).toContainText(/turns [\d.]+° each way on its pin: [\d.]+ % of the picture/);
  await expect(loose).toContainText('Drill the pin’s hole 4.9 mm');
  await loose.getByRole('button', { name: 'Look for a change that cures it' }).click();
  await loose.getByRole('button', { name: /^Pin/ }).first().click();
  await expect(loose).toHaveCount(0);
  await allKept(page);
});

test('printed phone frame: the layer to pause after, and a nut that does not go in', async ({ bench: page }) => {
  await onBench(page, 'Sandeel');
  await expect(finding(page, 'Pause the plate’s print after layer 40')).toBeVisible();
  await fill(page, 'Layer height', '0.25 mm');
  await expect(finding(page, 'after layer 32')).toBeVisible();
  await page.getByLabel('Captive nuts').selectOption({ label: 'M6' });
  await finding(page, 'does not go into a pocket').getByRole('button', { name: 'Pocket of 10.2 mm' }).click();
  await expect(finding(page, 'does not go into a pocket')).toHaveCount(0);
});

test('shoulder rig: what shoulder, chest and each hand bear in each pose', async ({ bench: page }) => {
  await onBench(page, 'Cormorant', 'Balance');
  for (const pose of ['On the shoulder, eye level', 'At the waist, both grips', 'Carried low by the top handle'])
    await expect(page.getByRole('heading', { name: pose })).toBeVisible();
  await expect(page.getByText(/^\s*shoulder: bears up [\d.]+ N, \d+ % of what is comfortable/)).toBeVisible();
  const before = await readout(page, 'Hands');
  await slide(page, 'Tail discs', 0);
  await expect.poll(() => readout(page, 'Hands')).not.toBe(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => readout(page, 'Hands')).toContain(before.split(' ')[1]!);
});

test('helmet pole: droop at rest and spun; cautions stand first; the advice levels it', async ({ bench: page }) => {
  await onBench(page, 'Whirligig');
  await expect(page.getByRole('region', { name: 'Take care' })).toContainText('Never a bolt');
  await goTo(page, 'Balance');
  await expect(page.getByRole('heading', { name: 'At 1.0 turns a second' })).toBeVisible();
  await slide(page, 'Camera, along the pole', -0.1);
  const droops = finding(page, /At rest the weight end/);
  await expect(droops).toBeVisible();
  // Words of its sentences may be asked for: not those.
  await droops.locator('.fixes').getByRole('button').first().click();
  await expect(droops).toHaveCount(0);
  await goTo(page, 'Field');
  await expect(page.getByRole('article').first()).toContainText('The mount must break away by hand.');
});

test('three-axis frame: what is left on each axis, and all slides set from the inside out', async ({ bench: page }) => {
  await onBench(page, 'Anemone', 'Balance');
  await expect.poll(() => readout(page, 'Tilt axis')).toContain('hidden');
  await slide(page, 'Camera, fore and aft', 0.03);
  const off = finding(page, 'The tilt axis is pulled round');
  await expect(off).toContainText('off the axis; its friction hides');
  await expect.poll(() => readout(page, 'Tilt axis')).toContain('pulls round');
  await off.getByRole('button', { name: /inside first/ }).click();
  await expect.poll(() => readout(page, 'Tilt axis')).toContain('hidden');
});

test('top handle: where it goes for each lens, as a scale on the rail', async ({ bench: page }) => {
  await onBench(page, 'Periwinkle', 'Balance');
  const places = page.getByRole('heading', { name: 'Where each loadout lies over the hand' }).locator('..');
  await expect(places).toContainText('Flood: body, 70');
  await expect(places).toContainText(/\d+ mm (forward|back)/);
});

test('swivel grip: a clamp that slips says so, and how far it is safe', async ({ bench: page }) => {
  await onBench(page, 'Driftwood');
  await page.getByLabel('Wing nut tightened').selectOption({ label: 'lightly' });
  await page.getByLabel('Plate bears on').selectOption({ label: 'bare wood' });
  await fill(page, 'Clamping face, across', '16 mm');
  await expect(finding(page, /wing-nut clamp (slips|holds here)/)).toContainText(/safe within \d+°/);
});

test('a rig of another family borrows a shoulder piece, and Balance says what it bears', async ({ bench: page }) => {
  await onBench(page, 'Barnacle');
  await page.getByText('Add to it').click();
  await page.getByLabel('Piece to borrow').selectOption({ label: 'shoulder piece' });
  await page.getByRole('button', { name: 'Borrow the piece' }).click();
  await expect(page.getByRole('region', { name: 'Picked: shoulder piece, pad' })).toBeVisible();
  await goTo(page, 'Balance');
  await expect(page.getByRole('heading', { name: 'On the shoulder piece' })).toBeVisible();
});

test('the maker is drawn in a pose; one too short for it is told', async ({ bench: page }) => {
  await onBench(page, 'Winkle', 'Balance');
  await page.getByLabel('Draw the pose').selectOption({ label: 'Arm out' });
  await expect(page.locator('tp-rig-views .person')).not.toHaveCount(0);
  await expect(page.getByText(/At the elbow [\d.]+ N·m/)).toBeVisible();
  await page.getByText('Your measures').click();
  await fill(page, 'Your height', '1200 mm');
  await expect(page.getByText(/Out of reach: an arm like yours goes 4\d\d mm/)).toBeVisible();
  await goTo(page, 'Frame');
  await expect(finding(page, 'Arm out: the hand is 500 mm from the shoulder')).toBeVisible();
});

test('a boom shows where each tilt reaches, and a dial turned is the size in the list', async ({ bench: page }) => {
  await onBench(page, 'Razor');
  await expect(page.getByText('Between them they reach any direction')).toBeVisible();
  const dial = page.getByRole('slider', { name: 'Camera tilt, nose down' });
  await dial.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Camera tilt, nose down', { exact: true }).locator('visible=true').last()).toBeVisible();
  await expect(dial).toHaveAttribute('aria-valuetext', '20°');
});

test('a grip is printed full size with the outline of the hand', async ({ bench: page }) => {
  await onBench(page, 'Driftwood');
  await expect(finding(page, 'Print the outline full size')).toBeVisible();
  await fill(page, 'Finger hollows', '7 mm');
  await page.getByRole('link', { name: 'On paper' }).click();
  await page.getByLabel('Scale').selectOption({ label: '1 : 1' });
  await expect(page.locator('.paper')).toContainText('This bar is');
});

test('what was set beside a size on the bench is taken over into that size, and nothing moves', async ({
  bench: page,
}) => {
  await onBench(page, 'Razor', 'Balance');
  await slide(page, 'Hold mark', 0.05);
  const nose = await readout(page, 'Wrist, nose');
  await goTo(page, 'Frame');
  await expect(page.getByText(/As it is set on the bench: [\d,]+ mm\./)).toBeVisible();
  await page.getByRole('button', { name: 'Make that its size' }).click();
  await expect(page.getByText('As it is set on the bench')).toHaveCount(0);
  expect((await readout(page, 'Wrist, nose')).replace(/was.*/s, '')).toBe(nose.replace(/was.*/s, ''));
  await allKept(page);
});
