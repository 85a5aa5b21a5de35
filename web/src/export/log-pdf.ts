/** The log on paper: each entry with what was found, what it says, and its photos. */
import type { jsPDF } from 'jspdf';

export interface LoggedPicture {
  readonly bytes: Uint8Array;
  readonly width: number;
  readonly height: number;
}
export interface LoggedEntry {
  readonly title: string;
  /** In the order of the screen; empty ones are left out. */
  readonly lines: readonly string[];
  readonly pictures: readonly LoggedPicture[];
}
export interface LogPaper {
  readonly title: string;
  /** What it holds of all there is. */
  readonly under: string;
  readonly entries: readonly LoggedEntry[];
}

const INK = '#1d2a31';
const POINT = 72 / 25.4; // a millimetre of type, points
/** A4, millimetres. */
const [WIDE, HIGH] = [210, 297];
const EDGE = 16;
const TITLE = 6;
const HEAD = 4.2;
const TYPE = 3.4;
const LEADING = 1.35;
const PICTURE_HIGH = 34;
const PICTURE_WIDE = 56;
const GAP = 3;

/** `doc` is new, A4 upright, in millimetres, the typeface set; it has no bold, so what is bold is drawn with an edge. */
export function logPdf(doc: jsPDF, { title, under, entries }: LogPaper): ArrayBuffer {
  let y = EDGE;
  const room = (high: number): void => {
    if (y + high <= HIGH - EDGE) return;
    doc.addPage();
    y = EDGE;
  };
  const words = (text: string, size: number, isBold = false): void => {
    doc.setFontSize(size * POINT);
    for (const line of doc.splitTextToSize(text, WIDE - 2 * EDGE) as string[]) {
      room(size * LEADING);
      y += size * LEADING;
      doc.setLineWidth(size * 0.035);
      doc.text(line, EDGE, y, isBold ? { renderingMode: 'fillThenStroke' } : {});
    }
  };
  doc.setTextColor(INK);
  doc.setDrawColor(INK);
  words(title, TITLE, true);
  words(under, TYPE);
  for (const entry of entries) {
    y += GAP;
    // Its head never stands alone at the foot of a page.
    room(HEAD * LEADING + 2 * TYPE * LEADING);
    doc.setLineWidth(0.2);
    doc.line(EDGE, y, WIDE - EDGE, y);
    words(entry.title, HEAD, true);
    for (const line of entry.lines) words(line, TYPE);
    pictures(entry.pictures);
  }
  const pages = doc.getNumberOfPages();
  for (let page = 1; page <= pages; page++) {
    doc.setPage(page);
    doc.setFontSize(TYPE * POINT);
    doc.text(`${page} of ${pages}`, WIDE - EDGE, HIGH - EDGE / 2, { align: 'right' });
  }
  return doc.output('arraybuffer');

  function pictures(all: readonly LoggedPicture[]): void {
    let x = EDGE;
    for (const { bytes, width, height } of all) {
      const scale = Math.min(PICTURE_HIGH / height, PICTURE_WIDE / width);
      const [wide, high] = [width * scale, height * scale];
      if (x === EDGE || x + wide > WIDE - EDGE) {
        if (x > EDGE) y += PICTURE_HIGH;
        x = EDGE;
        room(PICTURE_HIGH + GAP);
        y += GAP;
      }
      doc.addImage(bytes, x, y, wide, high);
      x += wide + GAP;
    }
    if (all.length > 0) y += PICTURE_HIGH;
  }
}
