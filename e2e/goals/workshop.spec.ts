/** Five rigs in the workshop, each from the plan to the balance: evenings, calendar, patterns, sheets, two mistakes that are made good. */
import { readFile } from 'node:fs/promises';
import ICAL from 'ical.js';
import { expect, goTo, readout, savedBy, stepsStand, test } from '../support/bench';
import { readPdf } from '../support/pdf';
import type { Locator, Page } from '@playwright/test';

test.use({ demo: true });

const show = async (page: Page, step: RegExp): Promise<Locator> => {
  const item = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('checkbox', { name: step }) })
    .first();
  await item.getByRole('button', { name: /^Show step/ }).click();
  return item;
};
const type = async (field: Locator, text: string): Promise<void> => {
  await field.fill(text);
  await field.press('Enter');
};
const putOnBench = async (page: Page, rig: string): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^Put ${rig} on the bench`) }).click();
  await goTo(page, 'Build');
  await page.getByRole('checkbox').first().waitFor();
  await stepsStand(page);
};
const plan = async (page: Page): Promise<Locator> => {
  await page.getByRole('button', { name: 'Plan it over my evenings' }).click();
  const evenings = page.getByRole('region', { name: 'Over your evenings' });
  await expect(evenings).toContainText(/Start .*, done /, { timeout: 60_000 });
  return evenings;
};
/** What another program reads in the calendar. */
const events = async (
  file: string,
): Promise<readonly { readonly title: string; readonly from: Date; readonly to: Date }[]> =>
  new ICAL.Component(ICAL.parse(await readFile(file, 'utf8')) as unknown[]).getAllSubcomponents('vevent').map((v) => {
    const e = new ICAL.Event(v);
    return { title: e.summary, from: e.startDate.toJSDate(), to: e.endDate.toJSDate() };
  });

/** What is typed wrong on each: a step, its field, where the drawn figure is read (left out: in the step itself), and what came out. */
interface Mistake {
  readonly step: RegExp;
  readonly field: string;
  readonly readIn?: RegExp;
  readonly came: (drawn: number) => number;
}
const HOLE = 'Measured: hole from the start';
const LENGTH = 'Measured: sawn length';
const JOBS: readonly {
  readonly rig: string;
  readonly is: string;
  readonly words: RegExp;
  readonly mistakes: readonly Mistake[];
}[] = [
  {
    rig: 'Limpet',
    is: 'a bent bar',
    words: /In this order from its head/,
    mistakes: [
      { step: /Bend the bar/, field: 'Measured: angle of the bend', came: () => 176 },
      {
        step: /Drill the front weight bolt hole/,
        field: HOLE,
        readIn: /pilot the hole for the front weight bolt/,
        came: (d) => d + 3,
      },
    ],
  },
  {
    rig: 'Cockle',
    is: 'a soldered tube frame',
    words: /Feed it until a bright ring shows all round/,
    mistakes: [
      { step: /Cut the foot tube, left/, field: LENGTH, came: (d) => d - 2 },
      { step: /Cut the top tube, right/, field: LENGTH, came: (d) => d + 3 },
    ],
  },
  {
    rig: 'Cormorant',
    is: 'a cemented shoulder rig',
    words: /Push it home with a quarter turn/,
    mistakes: [
      { step: /Cut the tail from/, field: LENGTH, came: (d) => d - 4 },
      { step: /Cut the left grip pipe/, field: LENGTH, came: (d) => d + 3 },
    ],
  },
  {
    rig: 'Driftwood',
    is: 'a wooden grip',
    words: /Rasp to the line/,
    mistakes: [
      {
        step: /Drill through the .* for the bolt the plate tilts on/,
        field: `${HOLE}, left board`,
        readIn: /pilot the hole for the bolt the plate tilts on/,
        came: (d) => d - 3,
      },
      { step: /Cut the right board/, field: LENGTH, came: (d) => d - 6 },
    ],
  },
  {
    rig: 'Sandeel',
    is: 'a printed phone frame',
    words: /watch the first bridge over each pocket/,
    mistakes: [
      { step: /Cut the left rod/, field: LENGTH, came: (d) => d + 3 },
      { step: /Print the left handle/, field: 'On the scale: the finished piece', came: () => 45 },
    ],
  },
];

for (const job of JOBS)
  test(`${job.rig}, ${job.is}: planned, put into the calendar, printed, and two mistakes made good`, async ({
    bench: page,
  }) => {
    await putOnBench(page, job.rig);
    const evenings = await plan(page);
    const days = await evenings.getByRole('heading', { level: 3 }).count();
    expect(days).toBeGreaterThan(0);

    const calendar = await events(
      await savedBy(page, () => evenings.getByRole('button', { name: 'Into my calendar' }).click()),
    );
    expect(calendar.filter((e) => / steps?$/.test(e.title)).length).toBe(days);
    for (const e of calendar) expect(e.to.getTime()).toBeGreaterThan(e.from.getTime());

    // Each step once over the sheets, none before what it needs.
    await evenings.getByRole('link', { name: 'A sheet for each evening' }).click();
    await expect(page.getByRole('article')).toHaveCount(days);
    const numbers = (await page.locator('article .title strong').allTextContents()).map((t) => Number.parseInt(t, 10));
    expect(new Set(numbers).size).toBe(numbers.length);
    await expect(page.getByRole('article').filter({ hasText: job.words }).first()).toBeVisible();
    expect(await page.locator('article svg[role=img]').count()).toBeGreaterThan(3);
    await page.getByRole('link', { name: 'Back to the steps' }).click();

    await page.getByRole('link', { name: 'Patterns at full size' }).click();
    const pdf = await readPdf(await savedBy(page, () => page.getByRole('button', { name: /^Save as PDF, / }).click()));
    expect(pdf[0]!.words).toContain(`${job.rig}: patterns at full size`);
    // The bar to measure by, on every sheet but the first.
    for (const p of pdf.slice(1)) expect(Math.max(...p.shapes.map((s) => s.wide))).toBeGreaterThanOrEqual(99.9);
    await page.getByRole('link', { name: 'Back to the steps' }).click();

    const made = page.getByRole('region', { name: 'As made' });
    let typed = 0;
    for (const { step, field, readIn, came } of job.mistakes) {
      const item = await show(page, step);
      const told = readIn
        ? page
            .getByRole('listitem')
            .filter({ has: page.getByRole('checkbox', { name: readIn }) })
            .first()
        : item;
      const drawn = Number(/([\d.]+) mm/.exec((await told.locator('.fig').allTextContents()).join(' '))?.[1] ?? NaN);
      const input = item.getByLabel(field, { exact: true });
      await type(input, `${Math.round(came(drawn) * 10) / 10}`);
      typed++;
      await expect(made.getByRole('listitem').nth(typed - 1)).toBeVisible();
    }
    // Follow what it says until nothing is left to be done, or it says what to make again.
    const settled = made.getByText(/nothing has to be|Still not as wanted|could not be worked out/);
    for (let i = 0; i < 4; i++) {
      await expect(settled.first()).toBeVisible({ timeout: 30_000 });
      const next = made
        .getByRole('button', { name: /^(Put it at|Set it so|Cut the .* the same|Make the .* again)/ })
        .first();
      if (!(await next.isVisible())) break;
      await next.click();
      await page.waitForTimeout(300);
    }
    await expect(made).not.toContainText('could not be worked out');
    await expect(made).toContainText(/nothing has to be (done|made again)/);
    expect(await readout(page, 'Mass')).not.toMatch(/NaN/);
  });

test('in a cold shop glue takes longer, and below its least it is not planned: in words, and what was typed stays', async ({
  bench: page,
}) => {
  await putOnBench(page, 'Driftwood');
  const evenings = await plan(page);
  const done = async (): Promise<string> => /done ([^.]*)\./.exec((await evenings.textContent()) ?? '')![1]!;
  const warm = await done();
  await evenings.getByText('When you have time').click();
  await type(evenings.getByRole('spinbutton', { name: /How warm/ }), '12');
  await expect.poll(done).not.toBe(warm);
  await type(evenings.getByRole('spinbutton', { name: /How warm/ }), '4');
  await expect(evenings.getByRole('alert')).toContainText(/does not set under 10 °C|do not set under 10 °C/);
  await type(evenings.getByRole('spinbutton', { name: /How warm/ }), '900');
  await expect(evenings.getByText('between frost and heat')).toBeVisible();
  await expect(evenings.getByRole('spinbutton', { name: /How warm/ })).toHaveValue('900');
  await type(evenings.getByRole('spinbutton', { name: /How warm/ }), '20');
  await expect.poll(done).toBe(warm);
});

test('minutes typed at a step teach the plan, here and on the next rig', async ({ bench: page }) => {
  await putOnBench(page, 'Whelk');
  const evenings = await plan(page);
  const hands = async (): Promise<number> =>
    Number(/([\d.]+) h of hands/.exec((await evenings.textContent()) ?? '')![1]);
  const before = await hands();
  const bend = await show(page, /Bend the bar/);
  await type(bend.getByRole('spinbutton', { name: /By hand/ }), '90');
  await expect(bend).toContainText('yours; reckoned were 20');
  await expect.poll(hands).toBeGreaterThan(before);
  await expect(evenings).toContainText(/as long as reckoned for bending, by one step you timed/);
  await goTo(page, 'Shelf');
  await putOnBench(page, 'Limpet');
  await expect(await show(page, /Bend the bar/)).toContainText('roughly');
  await expect(page.locator('li.shown input[type=number]').last()).not.toHaveValue('20');
});
