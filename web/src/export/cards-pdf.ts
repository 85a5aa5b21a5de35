/** Set-up cards as a PDF, a page each, as broad as a phone. */
import type { jsPDF } from 'jspdf';
import type { CardSheet } from './card-sheet';

/** A page's longer side is told by how it lies. */
export const lying = (width: number, height: number): 'landscape' | 'portrait' =>
  width > height ? 'landscape' : 'portrait';

const INK = '#1d2a31';
const POINT = 72 / 25.4; // a millimetre of type, points
const EDGE = 6;

/** `doc` is new, in millimetres, its first page of the first card's size and the typeface set. The face has no bold: what is bold is drawn with an edge. */
export function cardsPdf(doc: jsPDF, cards: readonly CardSheet[]): ArrayBuffer {
  for (const [i, { width, height, marks }] of cards.entries()) {
    if (i > 0) doc.addPage([width, height], lying(width, height));
    doc.setTextColor(INK);
    doc.setDrawColor(INK);
    doc.setFillColor(INK);
    for (const mark of marks) {
      if (mark.kind === 'rule') {
        doc.rect(EDGE, mark.y, width - 2 * EDGE, 0.5, 'F');
        continue;
      }
      doc.setFontSize(mark.size * POINT);
      doc.setLineWidth(mark.size * 0.035);
      doc.text(mark.text, mark.x, mark.y, mark.isBold ? { renderingMode: 'fillThenStroke' } : {});
    }
  }
  return doc.output('arraybuffer');
}
