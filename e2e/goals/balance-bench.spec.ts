/** The balance bench: proven set-ups, an impossible one explained and mended, the pan, the swing, what must be accurate, learning in two readings. */
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import {
  evaluate,
  workpiece,
  type Evaluation,
  type KitItem,
  type Loadout,
  type RigDocument,
  type SetUp,
} from '@tide-pebble/core';
import { allKept, expect, fill, goTo, readout, test } from '../support/bench';

test.use({ demo: true });

const onBench = async (page: Page, rig: string): Promise<void> => {
  await page.getByRole('button', { name: `Put ${rig} on the bench` }).click();
  await goTo(page, 'Balance');
};
const sheet = async (page: Page, name: string): Promise<void> =>
  page.getByRole('navigation', { name: 'Sheets of the bench' }).getByRole('link', { name, exact: true }).click();

test('trim a rig that hangs nose down: the lightest proven, then with the fewest moves, and back by one undo', async ({
  bench,
}) => {
  await onBench(bench, 'Whelk');
  const before = (await readout(bench, 'Sides')).replace('Sides ', '');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the lightest of 4,913 ways/)).toBeVisible();
  await expect(bench.locator('.verdict').getByText(/in 100/)).toBeVisible();
  await bench.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(() => readout(bench, 'Sides')).toContain(before);
  await bench.getByLabel('Trim it to be').selectOption('fewestMoves');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the fewest moves/)).toBeVisible();
  await allKept(bench);
});

test('an impossible drop is explained with what would make it possible, and one click mends it', async ({ bench }) => {
  await onBench(bench, 'Whelk');
  await bench.locator('summary', { hasText: 'What you want of it' }).click();
  await fill(bench, 'Drop at least', '0.3');
  await fill(bench, 'Drop at most', '0.35');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/It cannot be balanced as it is/)).toBeVisible({ timeout: 30_000 });
  await expect(bench.getByRole('heading', { name: 'What would make it possible' })).toBeVisible();
  await bench.getByRole('button', { name: /^Want a drop of 0\.30 s to/ }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible({ timeout: 30_000 });
});

test('a remedy and the trim after it are undone by one undo', async ({ bench }) => {
  await onBench(bench, 'Whelk');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible();
  await bench.locator('summary', { hasText: 'What you want of it' }).click();
  await fill(bench, 'Drop at least', '0.3');
  await fill(bench, 'Drop at most', '0.35');
  const before = await readout(bench, 'Mass');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await bench.getByRole('button', { name: /^Want a drop of 0\.30 s to/ }).click({ timeout: 30_000 });
  await expect(bench.getByText(/proven the lightest/)).toBeVisible({ timeout: 30_000 });
  await expect(bench.getByLabel('Drop at most', { exact: true })).not.toHaveValue('0.35 s');
  await bench.getByRole('button', { name: /^Undo/ }).click();
  await expect(bench.getByLabel('Drop at most', { exact: true })).toHaveValue('0.35 s');
  await expect.poll(() => readout(bench, 'Mass')).toContain(before.split(' was')[0]!);
});

test('a bag that is firm: told that it does not go in, and mended by one of its ways', async ({ bench }) => {
  await onBench(bench, 'Limpet');
  await goTo(bench, 'Frame');
  await fill(bench, 'Bag, inside length', '200 mm');
  await goTo(bench, 'Balance');
  await bench.locator('summary', { hasText: 'What you want of it' }).click();
  await bench.getByLabel(/^It must go in its bag/).check();
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/does not go in its bag, which you want firmly/)).toBeVisible({ timeout: 30_000 });
  await bench.getByRole('button', { name: /^A bag \d+ mm (longer|larger)/ }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible({ timeout: 30_000 });
});

test('a wish is let go for what is firm, and said', async ({ bench }) => {
  await onBench(bench, 'Limpet');
  await bench.locator('summary', { hasText: 'What you want of it' }).click();
  await fill(bench, 'Mass at most', '500');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/Let go for it: mass at most/)).toBeVisible();
  await bench.getByLabel('Only washers that are in my bin').check();
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/with the washers in your bin|Balanced/).first()).toBeVisible({ timeout: 30_000 });
  await bench.getByLabel('Only washers that are in my bin').uncheck();
  await bench.getByLabel('Mass at most: firm').check();
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/It cannot be balanced as it is/)).toBeVisible({ timeout: 30_000 });
});

test('the trade curve: pick a drop time and the rig is set so', async ({ bench }) => {
  await onBench(bench, 'Limpet');
  await bench.getByRole('button', { name: 'Show what each drop time costs' }).click();
  await bench
    .getByRole('button', { name: /^drop 1\.\d s, lightest/ })
    .first()
    .click({ timeout: 30_000 });
  await expect.poll(() => readout(bench, 'Drop')).toMatch(/1\.\d s/);
});

test('a set-up for every loadout: the table, what is moved between two, all kept as cards, and out as CSV', async ({
  bench,
}) => {
  await onBench(bench, 'Limpet');
  await sheet(bench, 'Set-ups');
  const table = bench.getByRole('region', { name: 'Set-ups by loadout' });
  for (const name of ['Ebb', 'Flood', 'Neap', 'Slack', 'Spring'])
    await expect(table.getByRole('rowheader', { name: new RegExp(`^${name}`) })).toBeVisible({ timeout: 30_000 });
  await expect(bench.locator('ol.moves li').first()).toContainText(/to/);
  const [download] = await Promise.all([
    bench.waitForEvent('download'),
    bench.getByRole('button', { name: 'As CSV' }).click(),
  ]);
  expect(await readFile((await download.path())!, 'utf8')).toContain('"Ebb: body, 24, small mic"');
  await bench.getByRole('button', { name: 'Look for them' }).click();
  await expect(bench.getByText(/^\s*Serves [3-5] of 5|Neither one size/).first()).toBeVisible({
    timeout: 100_000,
  });
  await bench.getByRole('button', { name: 'Keep all as set-up cards' }).click();
  await expect(bench.getByText(/set-ups are kept/)).toBeVisible();
  await goTo(bench, 'Field');
  await expect(bench.getByText('Foot washers').first()).toBeVisible();
});

test('the pan of a lopsided rig: its lean at a rate, and the set-up that leans least', async ({ bench }) => {
  await onBench(bench, 'Limpet');
  await sheet(bench, 'Pan');
  await expect(bench.getByRole('heading', { name: 'Panned at 45° a second' })).toBeVisible();
  await bench.getByLabel('Rate of the pan, degrees a second').fill('10');
  await expect(bench.getByRole('heading', { name: 'Panned at 10° a second' })).toBeVisible();
  const lean = bench.locator('p.big');
  const degrees = async (): Promise<number> => Number(/([\d.]+)° nose/.exec(await lean.innerText())?.[1] ?? 0);
  const before = await degrees();
  await bench.getByRole('button', { name: 'Set it so that it leans least' }).click();
  await expect(bench.getByText(/most level in a pan|Not proven best/)).toBeVisible({ timeout: 60_000 });
  expect(await degrees()).toBeLessThanOrEqual(before);
});

test('a rig that leans in a pan is laid out till it does not: moves that keep it level, as far as they should go, and again', async ({
  bench,
}) => {
  await onBench(bench, 'Whelk');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible();
  await sheet(bench, 'Pan');
  const usual = bench.locator('tr', { hasText: '45° a second' });
  await expect(usual).toContainText('nose');
  const plans = bench.locator('.move button');
  await expect(plans.first()).toBeVisible();
  for (let n = 0; n < 6 && (await plans.count()) > 0; n++) {
    const before = await usual.innerText();
    await plans.first().click();
    await expect.poll(() => usual.innerText()).not.toBe(before);
    await allKept(bench);
  }
  const lean = /([\d.]+)° nose/.exec(await usual.innerText());
  expect(Number(lean?.[1] ?? 0)).toBeLessThan(0.5);
  // Level as it was all the while.
  expect(await readout(bench, 'Nose')).toMatch(/level|0\.\d°/);
  // Its strip is cut and bought with the rest; and trimmed again it keeps its drop and pans as level.
  await bench.getByRole('button', { name: 'Set it so that it leans least' }).click();
  await expect(bench.getByText(/most level in a pan|Not proven best/)).toBeVisible({ timeout: 60_000 });
  const again = /([\d.]+)° (nose|left|right)/.exec(await usual.innerText());
  expect(Number(again?.[1] ?? 0)).toBeLessThan(1);
  await allKept(bench);
  await goTo(bench, 'Stock');
  await expect(bench.getByText(/strip for the foot/i).first()).toBeVisible();
});

test('two set-ups through the lens: played, scrubbed, compared with figures, and out as CSV and JSON', async ({
  bench,
}) => {
  await onBench(bench, 'Limpet');
  await sheet(bench, 'Swing');
  await expect(bench.getByRole('img', { name: /^Through the lens/ })).toHaveCount(2, { timeout: 30_000 });
  await bench.getByLabel('Beside').selectOption({ label: 'set as for Flood: body, 70' });
  await bench.getByLabel('Motion').selectOption({ label: 'Start and stop' });
  await expect(bench.getByRole('columnheader', { name: 'this rig, as set' })).toBeVisible({ timeout: 30_000 });
  const seen = bench.getByRole('img', { name: /^Through the lens/ }).first();
  const level = await seen.getAttribute('aria-label');
  await bench.getByLabel('Time in the swing, seconds').fill('3');
  await expect(seen).not.toHaveAttribute('aria-label', level!);
  await bench.getByRole('button', { name: 'Play' }).click();
  await expect(bench.getByRole('button', { name: 'Pause' })).toBeVisible();
  await bench.getByRole('button', { name: 'Pause' }).click();
  const [csv] = await Promise.all([
    bench.waitForEvent('download'),
    bench.getByRole('button', { name: 'As CSV' }).click(),
  ]);
  expect((await readFile((await csv.path())!, 'utf8')).split('\n')[0]).toContain('time_s');
  const [json] = await Promise.all([
    bench.waitForEvent('download'),
    bench.getByRole('button', { name: 'As JSON' }).click(),
  ]);
  expect(JSON.parse(await readFile((await json.path())!, 'utf8'))).toEqual(
    expect.objectContaining({ format: 'tide-pebble-swing', motion: 'start' }),
  );
});

test('whatever bears it swings beside the bare camera: a joint, a wrist, a shoulder, axes inside axes; a pole says where it is judged', async ({
  bench,
}) => {
  const seen = async (row: string): Promise<readonly number[]> =>
    (
      await bench
        .locator('table tr', { has: bench.getByRole('rowheader', { name: row }) })
        .first()
        .locator('td')
        .allInnerTexts()
    ).map(Number.parseFloat);
  for (const [rig, steadier] of [
    ['Cockle', true],
    ['Anemone', false],
    ['Mussel', false],
    ['Razor', false],
    ['Cormorant', false],
    ['Driftwood', false],
  ] as const) {
    await goTo(bench, 'Shelf');
    await onBench(bench, rig);
    // As it is trimmed: what hangs off its level swings more than any hand.
    await bench.getByRole('button', { name: 'Trim it' }).click();
    await expect(bench.getByText(/^\s*(Balanced with|Set from the inside out)/).first()).toBeVisible({
      timeout: 60_000,
    });
    await sheet(bench, 'Swing');
    await expect(bench.getByRole('columnheader', { name: 'the bare camera' }), rig).toBeVisible({ timeout: 30_000 });
    const [own, camera] = await seen('Nose, at most');
    expect(own, rig).toBeLessThan(30);
    if (steadier) expect(own, rig).toBeLessThan(camera!);
    await expect(bench.getByText('so much of the hand’s own rocking reaches the camera')).toHaveCount(
      rig === 'Anemone' ? 1 : 0,
    );
    await bench.getByLabel('Motion').selectOption({ label: 'Whip pan' });
    await expect(bench.getByText('A quarter turn to the left in two thirds of a second.')).toBeVisible();
    await expect(bench.getByRole('img', { name: /^Through the lens/ })).toHaveCount(2);
  }
  await goTo(bench, 'Shelf');
  await onBench(bench, 'Whirligig');
  await sheet(bench, 'Swing');
  await expect(
    bench.getByText('A pole does not swing from a hand: how it droops, at rest and spun, is told on Bench.'),
  ).toBeVisible();
});

test('what must be accurate is listed, with the chance of a build and what more travel buys', async ({ bench }) => {
  await onBench(bench, 'Limpet');
  await sheet(bench, 'What must be accurate');
  await bench.getByRole('button', { name: 'Work it out' }).click();
  await expect(bench.getByRole('rowheader', { name: 'Bend radius, inside' })).toBeVisible({ timeout: 60_000 });
  await expect(bench.getByText('Of 10,000 such builds')).toBeVisible();
  // Rougher work makes it stale.
  await fill(bench, 'Lengths, give or take', '2 mm');
  await expect(bench.getByRole('rowheader', { name: 'Bend radius, inside' })).toBeHidden();
});

test('a rig that does not do as the figures say is read once, set, read again', async ({ bench }) => {
  await onBench(bench, 'Whelk');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible();
  await sheet(bench, 'Learn from it');
  await fill(bench, 'Nose down', '12');
  await fill(bench, 'Left side down', '-3');
  await fill(bench, 'Drop time', '1.9');
  await bench.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(bench.getByRole('heading', { name: 'Next move' })).toBeVisible({ timeout: 30_000 });
  await expect(bench.getByText(/^\s*Stage, fore and aft/)).toBeVisible();
  await bench.getByRole('button', { name: 'Done: it is set so' }).click();
  await fill(bench, 'Nose down', '0');
  await fill(bench, 'Left side down', '0');
  await fill(bench, 'Drop time', '2.1');
  await bench.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(bench.getByRole('heading', { name: 'Next move, by 2 readings' })).toBeVisible({ timeout: 30_000 });
  await expect(bench.getByText('Nothing to move: by these readings it is in its pool.')).toBeVisible({
    timeout: 30_000,
  });
  // A reading that cannot be is refused in words, and can be taken out.
  await fill(bench, 'All of it on the scale', '9 kg');
  await bench.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(bench.getByText(/Reading 3 cannot be: the mass is not that of this rig/)).toBeVisible({
    timeout: 30_000,
  });
  await bench.getByRole('button', { name: 'Take out reading 3' }).click();
  await expect(bench.getByText(/cannot be/)).toBeHidden();
});

/** The rig as it would really hang: set as the page has it, but with one mounted thing of another mass. */
async function reallyHangs(
  page: Page,
  address: string,
  rigId: string,
  mounted: string,
  part: number,
): Promise<NonNullable<Evaluation['hung']>> {
  const { documents } = (await (await page.request.get(`${address}/api/documents`)).json()) as {
    documents: readonly { kind: string; id: string; body: unknown }[];
  };
  const all = <T>(kind: string): readonly T[] => documents.filter((d) => d.kind === kind).map((d) => d.body as T);
  const rig = all<RigDocument>('rig').find((r) => r.id === rigId)!;
  const made = workpiece(
    rig,
    all<Loadout>('loadout').find((l) => l.id === rig.loadout)!,
    new Map(all<KitItem>('kit').map((k) => [k.id, k] as const)),
  );
  if (!made.ok) throw new Error(made.reason);
  const { assembly } = made.work;
  const pieces = assembly.pieces.map((p) =>
    p.isLoad && p.flat.owner === mounted ? { ...p, flat: { ...p.flat, mass: p.flat.mass * part } } : p,
  );
  expect(pieces).not.toEqual(assembly.pieces);
  return evaluate(
    { ...assembly, pieces },
    all<SetUp>('setup').find((s) => s.rig === rigId && s.loadout === rig.loadout)?.values ?? {},
  ).hung!;
}

test('a rig with a secretly wrong mass is brought into its pool in two readings', async ({ bench, server }) => {
  await onBench(bench, 'Whelk');
  await bench.getByRole('button', { name: 'Trim it' }).click();
  await expect(bench.getByText(/proven the lightest/)).toBeVisible();
  await sheet(bench, 'Learn from it');
  const lean = async (): Promise<number> => {
    await allKept(bench);
    const { rest } = (await reallyHangs(bench, server.address, 'rig-whelk', 'flood-body', 0.93)).hang;
    return rest ? (Math.max(Math.abs(rest.noseDown), Math.abs(rest.leftSideDown)) * 180) / Math.PI : Infinity;
  };
  expect(await lean()).toBeGreaterThan(3);
  for (const reading of [1, 2]) {
    await allKept(bench);
    const { hang, pitch } = await reallyHangs(bench, server.address, 'rig-whelk', 'flood-body', 0.93);
    const toHalf = (angle: number): string => String(Math.round((angle * 360) / Math.PI) / 2);
    await fill(bench, 'Nose down', toHalf(hang.rest!.noseDown));
    await fill(bench, 'Left side down', toHalf(hang.rest!.leftSideDown));
    if (pitch.drop.kind === 'falls') await fill(bench, 'Drop time', pitch.drop.time.toFixed(1));
    await bench.getByRole('button', { name: 'Keep this reading' }).click();
    // What stood there before is by one reading less.
    await expect(
      bench.getByRole('heading', { name: `Next move, by ${reading === 1 ? 'one reading' : '2 readings'}` }),
    ).toBeVisible({ timeout: 30_000 });
    const done = bench.getByRole('button', { name: 'Done: it is set so' });
    const inPool = bench.getByText('Nothing to move: by these readings it is in its pool.');
    await expect(done.or(inPool)).toBeVisible({ timeout: 30_000 });
    if (await done.isVisible()) await done.click();
  }
  // Read to half a degree, so known to half a degree.
  expect(await lean()).toBeLessThan(1.5);
});

test('a held rig and axes inside axes are trimmed by the same button', async ({ bench }) => {
  for (const [rig, words] of [
    ['Mussel', /proven the lightest|Balanced/],
    ['Anemone', /Set from the inside out/],
    ['Cormorant', /proven the lightest/],
    ['Whirligig', /proven the lightest/],
  ] as const) {
    await goTo(bench, 'Shelf');
    await onBench(bench, rig);
    await bench.getByRole('button', { name: 'Trim it' }).click();
    await expect(bench.getByText(words).first()).toBeVisible({ timeout: 30_000 });
  }
});
