/** What goes out on paper and to other programs is true to scale: the drawing as PDF, picture and print, on A4 and on Letter; all lists in one file. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import readExcel from 'read-excel-file/node';
import { expect, fill, goTo, savedBy, test } from '../support/bench';
import { readPdf, type Drawn } from '../support/pdf';

test.use({ demo: true });

/** The bar to measure by: five fields of one length, 2 mm high, the lowest on the sheet. */
const barOf = ({ shapes }: Drawn): number => {
  const flat = shapes.filter((s) => Math.abs(s.high - 2) < 0.02 && s.wide > 1);
  const low = Math.min(...flat.map((s) => s.y));
  // Printed, a field is filled and its edge drawn: two shapes in one place.
  const fields = new Map(flat.filter((s) => s.y < low + 0.1).map((s) => [Math.round(s.x), s.wide]));
  expect(fields.size).toBe(5);
  return [...fields.values()].reduce((sum, wide) => sum + wide, 0);
};

for (const { paper, system, sheet, says } of [
  { paper: 'A4', system: 'mm', sheet: [297, 210], says: /This bar is (\d+) mm on the rig/ },
  { paper: 'Letter', system: 'inch', sheet: [279.4, 215.9], says: /This bar is (\d+) in on the rig/ },
] as const)
  test(`the drawing on ${paper}, in ${system}: as long as it says`, async ({ bench: page }, info) => {
    await page.getByRole('button', { name: system, exact: true }).click();
    await goTo(page, 'Frame');
    await page.getByRole('link', { name: 'On paper' }).click();
    await expect(page.getByLabel('Paper')).toHaveValue(paper.toLowerCase());
    await expect(page.getByText(`one sheet of ${paper} lying down`)).toBeVisible();
    const scale = Number(await page.getByLabel('Scale').inputValue());
    const saved = await readPdf(await savedBy(page, () => page.getByRole('button', { name: 'Save as PDF' }).click()));
    const path = join(info.outputDir, 'printed.pdf');
    await page.pdf({ path, format: paper, landscape: true });
    const printed = await readPdf(path);
    for (const pages of [saved, printed]) {
      expect(pages).toHaveLength(1);
      const [only] = pages;
      expect(Math.abs(only!.width - sheet[0])).toBeLessThan(0.5);
      expect(Math.abs(only!.height - sheet[1])).toBeLessThan(0.5);
      const real = Number(says.exec(only!.words)![1]) * (system === 'mm' ? 1 : 25.4);
      expect(Math.abs(barOf(only!) * scale - real)).toBeLessThan(0.1 * scale);
      expect(only!.words).toContain('Limpet with Ebb: body, 24, small mic');
    }
    const picture = readFileSync(await savedBy(page, () => page.getByRole('button', { name: 'Save as PNG' }).click()));
    expect(picture.subarray(1, 4).toString()).toBe('PNG');
    // 200 dots to the inch.
    expect(picture.readUInt32BE(16)).toBeGreaterThan(1000);
  });

test('all lists of a rig come as one spreadsheet with true numbers; prices are in what the maker says', async ({
  bench: page,
}) => {
  await goTo(page, 'Stock');
  await expect(page.getByText('Still to buy')).toBeVisible();
  await fill(page, 'Prices are in', 'kr');
  await expect(page.getByRole('region', { name: 'Tide line' })).toContainText(/\d\.\d\d kr/);
  const price = page.getByLabel('Price of a bar: aluminium flat 30 × 6', { exact: true });
  await price.fill('12,50 kr');
  await price.press('Enter');
  await expect(price).toHaveValue('12.50 kr');
  await page.getByRole('button', { name: 'Take out' }).click();
  const path = await savedBy(page, () => page.getByRole('menuitem', { name: 'All lists as a spreadsheet' }).click());
  const sheets = new Map((await readExcel(path)).map((s) => [s.sheet, s.data]));
  expect([...sheets.keys()]).toEqual(['To buy', 'Cuts', 'Holes', 'Steps', 'Set-ups']);
  const [head, ...lines] = sheets.get('To buy')!;
  const bar = lines.find((l) => l[0] === 'aluminium flat 30 × 6')!;
  expect(bar[head!.indexOf('price')]).toBe(12.5);
  expect(bar[head!.indexOf('currency')]).toBe('kr');
  const [cutHead, cut] = sheets.get('Cuts')!;
  const length = cut![cutHead!.indexOf('cut_length_mm')] as number;
  await expect(page.locator('tp-bar-sheet').first()).toContainText(`cut ${length.toFixed(1)} mm`);
  expect(sheets.get('Steps')!.length).toBeGreaterThan(10);
  expect(sheets.get('Set-ups')![1]![0]).toBe('Ebb: body, 24, small mic');
});
