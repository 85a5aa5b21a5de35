import { readFile } from 'node:fs/promises';
import { expect, fill, goTo, savedBy, test } from '../support/bench';
import { readPdf, type Drawn } from '../support/pdf';
import type { Page } from '@playwright/test';

test.use({ demo: true });

const putOnBench = async (page: Page, rig: string): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^Put ${rig} on the bench`) }).click();
  await goTo(page, 'Build');
  await page.getByRole('link', { name: 'Patterns at full size' }).click();
};
const save = (page: Page): Promise<string> =>
  savedBy(page, () => page.getByRole('button', { name: /^Save as PDF, / }).click());
/** The bars to measure by: the longest line each way. */
const bars = ({ shapes }: Drawn): readonly [number, number] => [
  Math.max(...shapes.filter((s) => s.high < 0.01 && s.x < 90 && s.y < 20).map((s) => s.wide)),
  Math.max(...shapes.filter((s) => s.wide < 0.01 && s.x < 18).map((s) => s.high)),
];
const rounds = (drawn: Drawn, across: number): Drawn['shapes'] =>
  drawn.shapes.filter((s) => s.round && Math.abs(s.wide - across) < 0.1 && Math.abs(s.high - across) < 0.1);

test('a bent bar’s patterns, printed and measured by another program: holes where the list says, to a tenth of a millimetre', async ({
  bench: page,
}) => {
  await putOnBench(page, 'Limpet');
  const blank = page.getByRole('listitem').filter({ hasText: '1. Blank of the bar' });
  await blank.locator('.holes li').first().waitFor();
  // Each hole as it is told: how far from the start, and its drill.
  const told = (await blank.locator('.holes li').allTextContents()).map((t) => {
    const [, along, , drill] = /^\s*([\d.]+) mm: (.*), ([\d.]+) mm, /.exec(t)!;
    return { along: Number(along), drill: Number(drill) };
  });
  expect(told.length).toBeGreaterThanOrEqual(6);

  const pages = await readPdf(await save(page));
  expect(pages[0]!.words).toContain('Limpet: patterns at full size');
  for (const p of pages) {
    expect(p.width).toBeCloseTo(210, 1);
    expect(p.height).toBeCloseTo(297, 1);
    const [across, along] = bars(p);
    expect(Math.abs(across - 100)).toBeLessThan(0.1);
    expect(Math.abs(along - 100)).toBeLessThan(0.1);
    expect(p.words).toContain('Print at 100 %');
  }
  // The stage’s two screws and the joint’s stud lie on one sheet, along it.
  const three = told.slice(1, 4);
  const found = three.map((h) => pages.slice(1).flatMap((p) => rounds(p, h.drill)));
  const measured = found[0]!.flatMap((a) =>
    found[2]!.filter((c) => Math.abs(c.x - a.x) < 0.05).map((c) => Math.abs(c.y - a.y)),
  );
  const apart = three[2]!.along - three[0]!.along;
  expect(Math.min(...measured.map((m) => Math.abs(m - apart)))).toBeLessThan(0.1);

  await test.step('one of them as SVG and as DXF, at full size', async () => {
    const svg = await readFile(
      await savedBy(page, () => page.getByRole('button', { name: 'Save pattern 1 as SVG' }).click()),
      'utf8',
    );
    const circles = [...svg.matchAll(/<circle cx="([\d.]+)" cy="[\d.]+" r="([\d.]+)"/g)].map(
      (m) => [Number(m[1]), 2 * Number(m[2])] as const,
    );
    const at = told.map((h) => circles.find(([, d]) => Math.abs(d - h.drill) < 0.06)?.[0] ?? NaN);
    expect(circles.length).toBe(told.length);
    expect(at.some(Number.isNaN)).toBe(false);
    const dxf = await readFile(
      await savedBy(page, () => page.getByRole('button', { name: 'Save pattern 1 as DXF' }).click()),
      'utf8',
    );
    expect(dxf.match(/^CIRCLE$/gm)?.length).toBe(told.length);
  });
});

test('a printer that shrinks: what is typed mends the file, and what cannot be is refused beside its field', async ({
  bench: page,
}) => {
  await putOnBench(page, 'Winkle');
  await page.getByLabel('Letter').check();
  await fill(page, 'Bar across the sheet measures', '97');
  await expect(page.getByText('The file is drawn so that what your printer makes of it is true.')).toBeVisible();
  const [first] = await readPdf(await save(page));
  expect(first!.width).toBeCloseTo(215.9, 1);
  const [across, along] = bars(first!);
  expect(Math.abs(across - 100 / 0.97)).toBeLessThan(0.1);
  expect(Math.abs(along - 100)).toBeLessThan(0.1);

  await fill(page, 'Bar across the sheet measures', '50');
  await expect(page.getByText(/85/).first()).toBeVisible();
  await fill(page, 'Bar across the sheet measures', '100');
  await fill(page, 'Margin your printer leaves blank', '60');
  await expect(page.getByRole('alert')).toContainText('leave no room on Letter');
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeDisabled();
  await page.reload();
  // It belongs to the desk: the next visit has it still.
  await expect(page.getByLabel('Letter')).toBeChecked();
  await fill(page, 'Margin your printer leaves blank', '8');
  await expect(page.getByRole('button', { name: /^Save as PDF, / })).toBeEnabled();
});

test('every rig of the demo has its patterns as a file, each page with its bars', async ({ bench: page }) => {
  for (const rig of ['Cockle', 'Dulse', 'Mussel', 'Cormorant', 'Anemone', 'Driftwood', 'Sandeel', 'Whirligig']) {
    await goTo(page, 'Shelf');
    await putOnBench(page, rig);
    await page.locator('ol.plain-list > li .head strong').first().waitFor();
    const titles = (await page.locator('ol.plain-list > li .head strong').allTextContents()).map((t) =>
      t.replace(/^\d+\. /, ''),
    );
    const pages = await readPdf(await save(page));
    const words = pages
      .map((p) => p.words)
      .join(' ')
      .replace(/\s+/g, ' ');
    for (const title of titles) expect(words).toContain(title.replace(/\s+/g, ' '));
    for (const p of pages) expect(bars(p).every((b) => Math.abs(b - 100) < 0.1)).toBe(true);
    expect(words).not.toMatch(/NaN|undefined/);
  }
});
