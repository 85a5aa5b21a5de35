/** Makers' own ways, each made once from an empty folder by mouse and keys: drawn with room, told in steps, and whole in its file. */
import type { Page } from '@playwright/test';
import { expect, fill, goTo, pick, startOne, stepsStand, test } from '../support/bench';
import { audited, fileOf } from '../support/whole';

test.describe.configure({ mode: 'parallel' });

interface Way {
  readonly name: string;
  readonly family: string;
  readonly make: (page: Page) => Promise<void>;
  /** Steps that it must have, each. */
  readonly steps: readonly RegExp[];
  /** Things that it must buy. */
  readonly buys?: readonly RegExp[];
}

/** A choice on the frame, by its own words. */
const choose = async (page: Page, choice: string, option: string): Promise<void> => {
  const row = page.locator('tp-choice-row').filter({ hasText: choice });
  await row.locator('select').first().selectOption({ label: option });
};
const press = async (page: Page, name: RegExp | string): Promise<void> =>
  page.getByRole('button', { name }).first().click();
/** A piece of the list, to change what it is made like. */
const take = async (page: Page, piece: RegExp | string): Promise<void> => {
  await page.locator('tp-element-rows [role=listitem] > button').filter({ hasText: piece }).first().click();
  await page.getByRole('button', { name: 'Let go of it' }).waitFor();
};
const addBar = async (page: Page, folds: boolean): Promise<void> => {
  await page.locator('tp-add-panel summary').click();
  await page.getByLabel('Bar from').selectOption({ label: 'low left' });
  await page.getByLabel('Bar to').selectOption({ label: 'low right' });
  if (folds) await page.getByLabel('folds: it turns on one bolt').check();
  await press(page, 'Bolt the bar on');
  await expect(page.getByRole('heading', { name: folds ? 'folding bar' : 'bar between corners' })).toBeVisible();
};

const WAYS: readonly Way[] = [
  {
    name: 'screw and pin straight through a pipe',
    family: 'Self-filming grip',
    make: async (page) => {
      await choose(page, 'Made of', 'PVC pipe and an elbow, screw and pin straight through');
      await press(page, /^Screw \d+ mm ahead/);
      await expect(page.getByText('The screw would go through the elbow.')).toHaveCount(0);
    },
    steps: [/Drill the camera screw hole/, /Drill the pin hole/, /pin/i],
  },
  {
    name: 'two soldered halves joined by bolted cross tubes',
    family: 'Open tube frame on a universal joint',
    make: async (page) => {
      await page.getByLabel('Tube', { exact: true }).selectOption('copper/1/2-M');
    },
    steps: [/Solder/, /Bolt/],
  },
  {
    name: 'a bar between two corners that stand already',
    family: 'Closed hand frame',
    make: (page) => addBar(page, false),
    steps: [/Cut the bar between corners/, /first bolt of the bar/, /second bolt of the bar/],
  },
  {
    name: 'the same, hinged: it folds',
    family: 'Closed hand frame',
    make: (page) => addBar(page, true),
    steps: [/Cut the folding bar/, /bolt the bar folds on/, /bolt that lets the bar fold/],
    buys: [/M5 wing nut/, /M5 lock nut/],
  },
  {
    name: 'holes under size in plastic, for the bolt to cut its thread',
    family: 'Closed hand frame',
    make: async (page) => {
      await take(page, /^M6 × \d+ countersunk screw|^M5 × \d+ countersunk screw/);
      await page.getByLabel('Holes in plastic').selectOption({ label: 'under size: the bolt cuts its own' });
    },
    steps: [/under size for the plate’s screw/],
  },
  {
    name: 'a plate held by low heads',
    family: 'Closed hand frame',
    make: async (page) => {
      await take(page, /^M[56] × \d+ countersunk screw/);
      await page.getByLabel('Head', { exact: true }).selectOption({ label: 'low, turned by a key' });
    },
    steps: [/low-head screw/],
    buys: [/low-head screw/],
  },
  {
    name: 'nuts sunk in the bars under end caps',
    family: 'Plate and pillar',
    make: async (page) => {
      await choose(page, 'Rods’ nuts', 'sunk in the bars, under end caps');
      await press(page, 'Bars of oak, 18 thick');
    },
    steps: [/Set the left end cap into the lower bar/, /Set the right end cap into the upper bar/],
    buys: [/blanking plug/],
  },
  {
    name: 'the camera straight on the tee',
    family: 'Closed hand frame',
    make: (page) => choose(page, 'Camera on', 'the tee in the middle of the bottom, straight on it'),
    steps: [/Drill the tee for the camera screw/, /camera/],
  },
  {
    name: 'a leftover tube as the handle',
    family: 'Closed hand frame',
    make: async (page) => {
      await choose(page, 'Handle from', 'steel conduit 3/4 in');
      await press(page, /^Handle of aluminium tube/);
      await press(page, 'Straight up');
    },
    steps: [/Drill the upper bolt through handle and neck hole/, /Slide the foam grip|grip/],
    buys: [/M5 wing nut/, /rubber end cap/],
  },
  {
    name: 'a second clamp and a finder on the rail',
    family: 'Sliding top handle',
    make: async (page) => {
      const row = page.locator('tp-choice-row').filter({ hasText: 'Finder on the same rail' });
      const box = row.locator('select').first();
      await box.selectOption(await box.evaluate((e: HTMLSelectElement) => [...e.options].at(-1)!.value));
    },
    steps: [/finder/i],
  },
  {
    name: 'a mitred corner',
    family: 'Self-filming grip',
    make: (page) => choose(page, 'Made of', 'oak strip 45 × 18'),
    steps: [/Glue/, /screw of the corner/i],
  },
  {
    name: 'the camera on a plate of one’s own choice',
    family: 'Multi-grip shoulder rig',
    make: async (page) => {
      await take(page, 'chest board').catch(() => undefined);
      await take(page, 'base of the top handle');
      await press(page, 'Put the camera here');
      await expect(page.getByLabel('Camera forward of its middle')).toBeVisible();
      await fill(page, 'Camera left of its middle', '4 mm');
      await expect(page.getByLabel('Camera left of its middle')).toHaveValue('4 mm');
    },
    steps: [/Drill the base of the top handle for the camera screw/],
  },
];

for (const { name, family, make, steps, buys = [] } of WAYS)
  test(name, async ({ bench: page }) => {
    await startOne(page, family, { name: 'Skerry' });
    await expect(page.getByRole('heading', { name: 'Skerry: frame' })).toBeAttached();
    await make(page);
    await expect(page.getByText(/something stands inside another/i)).toHaveCount(0);
    await goTo(page, 'Stock');
    await expect(page.getByText('Still to buy')).toBeVisible();
    const list = (await page.locator('.lines > li').allInnerTexts()).join('\n');
    for (const buy of buys) expect(list).toMatch(buy);
    await goTo(page, 'Build');
    await expect(page.getByRole('checkbox', { name: /^\d+\. / }).first()).toBeVisible();
    await stepsStand(page);
    const told = (await page.locator('.steps ol > li').allInnerTexts()).join('\n');
    for (const step of steps) expect(told).toMatch(step);
    const { whole, isToldBroken } = await fileOf(page, 'Skerry');
    expect(whole.blocked).toEqual([]);
    expect(whole.unreached).toEqual([]);
    if (!isToldBroken) expect(await audited(whole)).toEqual([]);
  });

test('an extension has its poses, and how high the lens then is', async ({ bench: page }) => {
  await goTo(page, 'Load');
  await press(page, 'Add an item');
  await fill(page, 'Length, along the lens', '60 mm');
  await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
  await fill(page, 'Mass of New item 1', '480 g');
  await press(page, 'New loadout');
  await startOne(page, 'Closed hand frame', { name: 'Skerry' });
  await choose(page, 'Extension', 'monopod foot');
  await fill(page, 'Extension length', '1 m');
  await goTo(page, 'Balance');
  await expect(page.getByText(/above the ground, on its foot/).first()).toBeVisible();
  await page.getByLabel('Draw the pose').selectOption({ label: 'Standing on its foot, both hands' });
  await expect(page.getByText(/At the elbow/)).toBeVisible();
});

test('kit stands on the rig’s own shoe, and says so on a rig that has none', async ({ bench: page }) => {
  await goTo(page, 'Load');
  for (const [i, name] of ['Slate phone', 'Small mic'].entries()) {
    await press(page, 'Add an item');
    await expect(page.getByRole('heading', { name: `New item ${i + 1}` })).toBeVisible();
    await fill(page, 'Name', name);
    await page.getByLabel('Kind', { exact: true }).selectOption(i === 0 ? 'phone' : 'microphone');
    await page.getByRole('link', { name: 'Back to kit and loadouts' }).click();
    await fill(page, `Mass of ${name}`, i === 0 ? '190 g' : '60 g');
  }
  await press(page, 'New loadout');
  await startOne(page, 'Printed phone frame', { name: 'Skerry' });
  await goTo(page, 'Load');
  await pick(page, 'Mount', 'Small mic');
  await page.locator('tp-loadout-panel .name', { hasText: 'Small mic' }).click();
  await page.getByLabel('Stands on').selectOption({ label: 'the rig’s left shoe' });
  await expect(page.getByText('on the rig’s left shoe')).toBeVisible();
  await startOne(page, 'Closed hand frame', { name: 'Stack' });
  await goTo(page, 'Load');
  await expect(page.getByText('This rig has not the place that Small mic stands on.')).toBeVisible();
});
