import { jsPDF } from 'jspdf';
import { logPdf, type LoggedEntry } from './log-pdf';

async function picture(width: number, height: number): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.fillRect(0, 0, width, height);
  return new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer());
}

describe('the log on paper', () => {
  it('keeps every word and picture within its pages, each page numbered', async () => {
    const doc = new jsPDF({ unit: 'mm', format: 'a4' });
    const bytes = await picture(160, 90);
    const pictures = Array.from({ length: 5 }, () => ({ bytes, width: 160, height: 90 }));
    const entry = (i: number): LoggedEntry => ({
      title: `Entry ${i}`,
      lines: ['It fell in 1.2 s instead of 2.0 s. '.repeat(8), 'Calm.'],
      pictures: i % 3 === 0 ? pictures : [],
    });
    const text = spyOn(doc, 'text').and.callThrough();
    const image = spyOn(doc, 'addImage').and.callThrough();
    const file = logPdf(doc, {
      title: 'Limpet: log',
      under: '12 entries',
      entries: Array.from({ length: 12 }, (_, i) => entry(i)),
    });
    expect(new TextDecoder().decode(file.slice(0, 5))).toBe('%PDF-');
    for (const { args } of text.calls.all()) {
      const [words, x, y] = args as unknown as [string, number, number];
      expect(y)
        .withContext(words)
        .toBeLessThan(297 - 5);
      expect(x).withContext(words).toBeGreaterThanOrEqual(16);
    }
    expect(image.calls.count()).toBe(20);
    for (const { args } of image.calls.all()) {
      const [, x, y, wide, high] = args as unknown as [unknown, number, number, number, number];
      expect(x + wide).toBeLessThanOrEqual(194.01);
      expect(y + high).toBeLessThanOrEqual(281.01);
      expect(wide / high).toBeCloseTo(16 / 9, 6);
    }
    const written = text.calls.all().map(({ args }) => String(args[0]));
    for (let i = 0; i < 12; i++) expect(written).toContain(`Entry ${i}`);
    expect(doc.getNumberOfPages()).toBeGreaterThan(1);
    expect(written).toContain(`1 of ${doc.getNumberOfPages()}`);
  });
});
