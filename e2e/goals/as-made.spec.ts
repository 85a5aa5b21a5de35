import { expect, fill, goTo, test } from '../support/bench';
import { readout } from '../support/bench';
import type { Locator, Page } from '@playwright/test';

test.use({ demo: true });

const show = async (page: Page, step: RegExp): Promise<Locator> => {
  const item = page.getByRole('listitem').filter({ has: page.getByRole('checkbox', { name: step }) });
  await item.getByRole('button', { name: /^Show step/ }).click();
  return item;
};

test('a bend came out short and a hole off: the rig is reckoned so, the last hole and the trim make up for it, and a restart keeps it', async ({
  bench: page,
  server,
}) => {
  await page.getByRole('button', { name: /^Put Limpet on the bench/ }).click();
  await goTo(page, 'Build');
  const before = await readout(page, 'Nose');
  const bend = await show(page, /Bend the bar/);
  await fill(bend, 'Measured: angle of the bend', '176');
  const made = page.getByRole('region', { name: 'As made' });
  await expect(made).toContainText('bend 1 of the bar: 176.0°, drawn 180.0°');
  await expect.poll(() => readout(page, 'Nose')).not.toBe(before);

  const hole = await show(page, /Drill the front weight bolt hole/);
  const along = Number(
    /([\d.]+) mm/.exec(
      (await page
        .getByRole('listitem')
        .filter({ hasText: 'pilot the hole for the front weight bolt' })
        .textContent()) ?? '',
    )![1],
  );
  await fill(hole, 'Measured: hole from the start', `${along + 3}`);
  await expect(made).toContainText('front weight bolt in the bar');

  await made.getByRole('button', { name: /^Put it at/ }).click();
  await expect(made).not.toContainText('Drill the foot weight bolt hole');
  const set = made.getByRole('button', { name: 'Set it so' });
  const done = made.getByText('nothing has to be');
  await expect(set.or(done).first()).toBeVisible();
  if (await set.isVisible()) await set.click();
  await expect(made).toContainText('It is level and drops as wanted as it is: nothing has to be done.');
  await expect.poll(() => readout(page, 'Nose')).toMatch(/^Nose (level|0\.\d°)/);

  await server.stop('SIGKILL');
  await server.start();
  await page.goto(`${server.address}/build`);
  await expect(page.getByRole('region', { name: 'As made' })).toContainText('bend 1 of the bar: 176.0°');
});

test('what cannot have been measured is refused beside its field; emptied, the drawing counts again', async ({
  bench: page,
}) => {
  await page.getByRole('button', { name: /^Put Cockle on the bench/ }).click();
  await goTo(page, 'Build');
  const cut = await show(page, /Cut the front leg, left/);
  await fill(cut, 'Measured: sawn length', '2250');
  await expect(cut.getByText(/112\.5|338/).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'As made' })).toHaveCount(0);
  await fill(cut, 'Measured: sawn length', '220');
  const made = page.getByRole('region', { name: 'As made' });
  await expect(made).toContainText('does not go together');
  await made.getByRole('button', { name: /^Cut the front leg, right the same/ }).click();
  await expect(made).not.toContainText('does not go together');
  await fill(cut, 'Measured: sawn length', '');
  await expect(made).not.toContainText('front leg, left: ');
  await page.keyboard.press('Control+z');
  await expect(made).toContainText('front leg, left: ');
});
