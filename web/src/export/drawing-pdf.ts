/** A drawing sheet as a PDF, true to its scale: on the printer's paper lying down where it fits, else on a page of its own size. */
import type { Point2 } from '@tide-pebble/core';
import { PAPERS, type Printer } from '@tide-pebble/core/patterns';
import type { jsPDF } from 'jspdf';
import { FOOT, LEAD, linesOf, LOOKS, MARGIN, MM, paperSize, scaleBar, TYPE, type PaperSheet } from './svg';

const INK = '#1d2a31';
const POINT = 72 / 25.4; // a millimetre of type, points

/** Millimetres of the page; lying down. */
export function pageFor(paper: PaperSheet, printer: Pick<Printer, 'paper'>): readonly [number, number] {
  const { width, height } = PAPERS.find((p) => p.id === printer.paper)!;
  const [wide, high] = [height * MM, width * MM];
  const needed = paperSize(paper);
  return needed[0] <= wide && needed[1] <= high ? [wide, high] : needed;
}

/** `doc` is new, in millimetres, with a page of the size that `pageFor` says and the typeface set. */
export function drawingPdf(doc: jsPDF, paper: PaperSheet): ArrayBuffer {
  const { sheet, scale, title, units } = paper;
  const [wide, high] = paperSize(paper);
  const place = ([u, v]: Point2): Point2 => [(u * MM) / scale + MARGIN, MARGIN + ((sheet.height - v) * MM) / scale];
  const ring = (points: readonly Point2[]): void => {
    points.map(place).forEach(([x, y], i) => (i === 0 ? doc.moveTo(x, y) : doc.lineTo(x, y)));
    doc.close();
  };
  doc.setDrawColor(INK);
  doc.setTextColor(INK);
  doc.setLineWidth(0.18);
  doc.setFontSize(TYPE * POINT);
  for (const view of sheet.views) {
    for (const o of view.outlines) {
      if (o.points.length === 0) continue;
      doc.setFillColor(LOOKS[o.look] ?? '#ffffff');
      ring(o.points);
      if (o.bore) ring(o.bore);
      doc.fillStrokeEvenOdd();
    }
    doc.text(view.title, ...place(view.titleAt));
  }
  const { length, label, parts } = scaleBar(scale, units);
  const y = high - FOOT + MARGIN - 4;
  for (let i = 0; i < parts; i++) {
    doc.setFillColor(i % 2 === 0 ? INK : '#ffffff');
    doc.rect(MARGIN + (i * length) / parts, y, length / parts, 2, 'FD');
  }
  doc.text(`${label}; measure it: if it is not so long, the printer has scaled the sheet`, MARGIN, y - 2);
  linesOf(`${title}, 1 : ${scale}`, wide).forEach((line, i) => doc.text(line, MARGIN, y + 8 + i * LEAD));
  return doc.output('arraybuffer');
}
