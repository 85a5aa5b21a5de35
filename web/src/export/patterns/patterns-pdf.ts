/**
 * Patterns as a PDF at 1 : 1: a cover that says how to use them with a map of what is parted, then the sheets. What a printer makes
 * too small or too large is drawn so much larger or smaller, each way by itself.
 */
import { render, type Point2, type UnitChoice } from '@tide-pebble/core';
import {
  BAR,
  inkOn,
  onSheet,
  PAPERS,
  TITLE,
  type Fragment,
  type Ink,
  type Laid,
  type Printer,
  type Stroke,
} from '@tide-pebble/core/patterns';
import type { jsPDF } from 'jspdf';
import { LINES, MM, TYPE_SIZE } from './strokes';

export interface PatternBook {
  readonly name: string;
  readonly patterns: readonly Laid[];
  readonly sheets: number;
  readonly printer: Printer;
  readonly units: UnitChoice;
  /** The typeface, as the writer knows it. */
  readonly face: string;
}

const POINT = 72 / 25.4; // a millimetre of type, points
const TEXT = 3.6; // mm
const LEAD = 1.35;

export function patternsPdf(doc: jsPDF, book: PatternBook): ArrayBuffer {
  const pen = penOn(doc, book);
  cover(pen, book);
  for (let sheet = 0; sheet < book.sheets; sheet++) {
    pen.turnPage(`sheet ${sheet + 1} of ${book.sheets}`);
    for (const laid of book.patterns)
      for (const fragment of laid.fragments)
        if (fragment.sheet === sheet) drawFragment(pen, laid, fragment, book.units);
  }
  // The writer opens with a page of its own.
  doc.deletePage(1);
  return doc.output('arraybuffer');
}

/** Draws in true millimetres from the sheet’s lower left corner. */
interface Pen {
  readonly doc: jsPDF;
  readonly width: number;
  readonly height: number;
  readonly margin: Point2;
  x(mm: number): number;
  y(mm: number): number;
  line(points: readonly Point2[], closed: boolean, stroke: Stroke): void;
  circle(at: Point2, radius: number, stroke: Stroke): void;
  /** `quarter`: turned a quarter to the left; begins at its place, or has its middle there. */
  words(text: string, at: Point2, size: number, how?: { readonly middle?: boolean; readonly quarter?: boolean }): void;
  clip(min: Point2, max: Point2, draw: () => void): void;
  turnPage(foot: string): void;
}

function penOn(doc: jsPDF, { printer, name, face }: PatternBook): Pen {
  const [kx, ky] = printer.measured.map((m) => m / BAR) as [number, number];
  const paper = PAPERS.find((p) => p.id === printer.paper)!;
  const [width, height] = [paper.width * MM * kx, paper.height * MM * ky];
  const x = (mm: number): number => mm / kx;
  const y = (mm: number): number => (height - mm) / ky;
  const take = (stroke: Stroke): void => {
    const { width: thick, dash } = LINES[stroke];
    doc.setLineWidth(thick);
    doc.setLineDashPattern([...dash], 0);
  };
  const pen: Pen = {
    doc,
    width,
    height,
    margin: [printer.margin * MM * kx, printer.margin * MM * ky],
    x,
    y,
    line(points, closed, stroke) {
      take(stroke);
      points.forEach(([u, v], i) => (i === 0 ? doc.moveTo(x(u), y(v)) : doc.lineTo(x(u), y(v))));
      if (closed) doc.close();
      doc.stroke();
    },
    circle([u, v], radius, stroke) {
      take(stroke);
      doc.ellipse(x(u), y(v), radius / kx, radius / ky, 'S');
    },
    words(text, [u, v], size, { middle = false, quarter = false } = {}) {
      doc.setFontSize(size * POINT);
      const half = middle ? doc.getTextWidth(text) / 2 : 0;
      const drop = middle ? size * 0.35 : 0;
      // Both are measured as drawn, before the printer has its way.
      if (quarter) doc.text(text, x(u) + drop, y(v) + half, { angle: 90 });
      else doc.text(text, x(u) - half, y(v) + drop);
    },
    clip(min, max, draw) {
      doc.saveGraphicsState();
      doc.rect(x(min[0]), y(max[1]), x(max[0]) - x(min[0]), y(min[1]) - y(max[1]), null);
      doc.clip();
      doc.discardPath();
      draw();
      doc.restoreGraphicsState();
    },
    turnPage(foot) {
      doc.addPage([paper.width * MM, paper.height * MM], 'portrait');
      doc.setFont(face);
      bars(pen, `${name}, ${foot}. Print at 100 %, not “to fit”.`);
    },
  };
  return pen;
}

/** A bar each way to measure the print by: centimetres on one side, inches on the other. */
function bars(pen: Pen, foot: string): void {
  const [left, low] = pen.margin;
  const long = BAR * MM;
  const from: Point2 = [left + 8, low + 8];
  const bar = (at: (along: number, off: number) => Point2): void => {
    pen.line([at(0, 0), at(long, 0)], false, 'cut');
    for (let cm = 0; cm <= long; cm += 10) pen.line([at(cm, 0), at(cm, cm % 50 === 0 ? 3 : 2)], false, 'line');
    for (let inch = 0; inch <= 4; inch++) pen.line([at(inch * 25.4, 0), at(inch * 25.4, -2.5)], false, 'line');
    pen.line([at(long, 0), at(4 * 25.4, 0)], false, 'line');
  };
  bar((along, off) => [from[0] + along, from[1] + off]);
  bar((along, off) => [left + 4 - off, from[1] + 8 + along]);
  pen.words('0', [from[0], from[1] + 4.6], 2.6, { middle: true });
  pen.words('100 mm', [from[0] + long, from[1] + 4.6], 2.6, { middle: true });
  pen.words('4 in', [from[0] + 4 * 25.4, from[1] - 4.4], 2.6, { middle: true });
  const text = pen.doc.splitTextToSize(foot, pen.width - from[0] - long - 12 - left) as string[];
  text.slice(0, 3).forEach((t, i) => pen.words(t, [from[0] + long + 10, from[1] + 3.5 - i * 3.8], 2.8));
}

function drawFragment(pen: Pen, laid: Laid, fragment: Fragment, units: UnitChoice): void {
  const place = (p: Point2): Point2 => onSheet(fragment, p).map((v) => v * MM) as unknown as Point2;
  const [a, b] = [place(fragment.box.min), place(fragment.box.max)];
  const [min, max]: [Point2, Point2] = [
    [Math.min(a[0], b[0]), Math.min(a[1], b[1])],
    [Math.max(a[0], b[0]), Math.max(a[1], b[1])],
  ];
  const over =
    laid.fragments.length > 1
      ? `${fragment.label}, ${laid.fragments.indexOf(fragment) + 1} of ${laid.fragments.length}`
      : `${fragment.label}  ${render(laid.pattern.title, units)}`;
  pen.words(over, [min[0] + 1, max[1] + 1.5], TITLE * MM * TYPE_SIZE);
  pen.clip(min, max, () => {
    for (const ink of inkOn(fragment, laid.pattern.ink)) drawInk(pen, ink, place, fragment.turned, units);
    joins(pen, laid, fragment, place);
  });
}

function drawInk(pen: Pen, ink: Ink, place: (p: Point2) => Point2, quarter: boolean, units: UnitChoice): void {
  switch (ink.kind) {
    case 'path':
      return pen.line(ink.points.map(place), ink.closed, ink.stroke);
    case 'circle':
      return pen.circle(place(ink.at), ink.radius * MM, ink.stroke);
    case 'words':
      return pen.words(render(ink.says, units), place(ink.at), ink.height * MM * TYPE_SIZE, { middle: true, quarter });
  }
}

/** Seams: a dotted line to trim or fold at, with a cross at each end that both sheets have. */
function joins(pen: Pen, { seams }: Laid, { own }: Fragment, place: (p: Point2) => Point2): void {
  const CROSS = 0.003;
  const cross = ([x, y]: Point2): void => {
    pen.line([place([x - CROSS, y]), place([x + CROSS, y])], false, 'centre');
    pen.line([place([x, y - CROSS]), place([x, y + CROSS])], false, 'centre');
    pen.circle(place([x, y]), (CROSS / 2) * MM, 'centre');
  };
  const inner = (at: number, k: 0 | 1): boolean => seams[k].includes(at);
  for (const x of [own.min[0], own.max[0]].filter((v) => inner(v, 0))) {
    pen.line([place([x, own.min[1]]), place([x, own.max[1]])], false, 'behind');
    for (const y of [own.min[1], own.max[1]]) cross([x, inner(y, 1) ? y : y + (y === own.min[1] ? CROSS : -CROSS)]);
  }
  for (const y of [own.min[1], own.max[1]].filter((v) => inner(v, 1))) {
    pen.line([place([own.min[0], y]), place([own.max[0], y])], false, 'behind');
    for (const x of [own.min[0], own.max[0]]) if (!inner(x, 0)) cross([x + (x === own.min[0] ? CROSS : -CROSS), y]);
  }
}

/** What each pattern is, how it is laid on, its holes by number; a map of those that take several sheets. */
function cover(pen: Pen, book: PatternBook): void {
  const { doc } = pen;
  const left = pen.margin[0] + 10;
  const right = pen.width - pen.margin[0];
  const MAP: Point2 = [46, 30];
  let page = 0;
  let down = 0;
  const next = (): void => {
    pen.turnPage(page++ === 0 ? 'how to use them' : 'how to use them, continued');
    down = pen.height - pen.margin[1] - 6;
  };
  const text = (words: string, size: number, wide: number, indent = 0): void => {
    doc.setFontSize(size * POINT);
    for (const line of doc.splitTextToSize(words, wide - indent) as string[]) {
      if (down < pen.margin[1] + 26) next();
      pen.words(line, [left + indent, down], size);
      down -= size * LEAD;
    }
  };
  next();
  text(`${book.name}: patterns at full size`, 6, right - left);
  down -= 2;
  text(
    `${book.sheets} ${book.sheets === 1 ? 'sheet' : 'sheets'} after this. First measure both bars: each must be 100 mm long. If one is not, type what you measured where you made this file, and print it again. Lines: full are cut or drilled; dashed are cut last, on the finished rig; dash-dotted are the middles of bends and pipes; dotted lie on the far side, or are seams. Where a pattern takes several sheets, lay cross on cross, trim one at the dotted seam and tape them together; then glue it on with paste that comes off again.`,
    TEXT,
    right - left,
  );
  for (const laid of book.patterns) {
    down -= 3;
    const isParted = laid.fragments.length > 1;
    const wide = right - left - (isParted ? MAP[0] + 4 : 0);
    if (down < pen.margin[1] + 26 + MAP[1]) next();
    const top = down;
    const turned = page;
    text(
      `${laid.number}  ${render(laid.pattern.title, book.units)}: ${laid.fragments.map((f) => `${isParted ? `${f.label} on ` : ''}sheet ${f.sheet + 1}`).join(', ')}`,
      4.2,
      wide,
    );
    for (const says of laid.pattern.says) text(render(says, book.units), TEXT, wide, 4);
    const told = new Set<number>();
    for (const h of laid.pattern.holes)
      if (!told.has(h.number)) {
        told.add(h.number);
        text(`${h.number}  ${render(h.says, book.units)}`, TEXT, wide, 4);
      }
    if (isParted) {
      const at = turned === page ? top : pen.height - pen.margin[1] - 6;
      map(pen, laid, [right - MAP[0], at - MAP[1] + 3], MAP);
      if (turned === page) down = Math.min(down, top - MAP[1]);
    }
  }
}

/** The whole pattern small, with its seams and what each piece is called. */
function map(pen: Pen, { pattern, box, fragments }: Laid, at: Point2, [w, h]: Point2): void {
  const k = Math.min(w / (box.max[0] - box.min[0]), h / (box.max[1] - box.min[1]));
  const place = ([x, y]: Point2): Point2 => [at[0] + (x - box.min[0]) * k, at[1] + h - (box.max[1] - y) * k];
  for (const ink of pattern.ink)
    if (ink.kind === 'path' && ink.stroke !== 'centre') pen.line(ink.points.map(place), ink.closed, 'centre');
    else if (ink.kind === 'circle') pen.circle(place(ink.at), ink.radius * k, 'centre');
  for (const { own, label } of fragments) {
    const corners: readonly Point2[] = [own.min, [own.max[0], own.min[1]], own.max, [own.min[0], own.max[1]]];
    pen.line(corners.map(place), true, 'behind');
    pen.words(label, place([(own.min[0] + own.max[0]) / 2, (own.min[1] + own.max[1]) / 2]), 3, { middle: true });
  }
}
