/** A drawing sheet as SVG in millimetres: true to scale on paper, with a scale bar to check the printer by. */
import { showLength, type Point2, type UnitChoice } from '@tide-pebble/core';
import type { SquareOnSheet } from '@tide-pebble/core/making';
import { escaped } from './escaped';
import { wrapped } from './wrapped';

export interface PaperSheet {
  readonly sheet: SquareOnSheet;
  readonly scale: number;
  readonly title: string;
  readonly units: UnitChoice;
}

export const MM = 1000;
export const MARGIN = 12;
export const FOOT = 26; // room under the views for title and scale bar, mm
/** Size of the words, mm. */
export const TYPE = 3.2;
export const LOOKS: Readonly<Record<string, string>> = {
  steel: '#cbd4d8',
  wood: '#d8b88a',
  plastic: '#ffffff',
  rubber: '#6b7a82',
  gear: '#fcfaf5',
};

/** Width and height of the paper it needs, mm, margins and foot included. */
export const paperSize = ({ sheet, scale }: Pick<PaperSheet, 'sheet' | 'scale'>): readonly [number, number] => [
  (sheet.width * MM) / scale + 2 * MARGIN,
  (sheet.height * MM) / scale + 2 * MARGIN + FOOT,
];

export function svgOf(paper: PaperSheet): string {
  const { sheet, scale, title, units } = paper;
  const [width, height] = paperSize(paper);
  const place = ([u, v]: Point2): string =>
    `${((u * MM) / scale + MARGIN).toFixed(3)} ${(MARGIN + ((sheet.height - v) * MM) / scale).toFixed(3)}`;
  const ring = (points: readonly Point2[]): string => `M${points.map(place).join('L')}Z`;
  const paths = sheet.views.flatMap((view) => [
    `<g id="${view.view}">`,
    ...view.outlines.map(
      (o) =>
        `<path d="${ring(o.points)}${o.bore ? ring(o.bore) : ''}" fill="${LOOKS[o.look] ?? '#ffffff'}"><title>${escaped(o.name)}</title></path>`,
    ),
    `<text x="${place(view.titleAt).split(' ')[0]}" y="${place(view.titleAt).split(' ')[1]}">${escaped(view.title)}</text>`,
    '</g>',
  ]);
  const { length, label, parts } = scaleBar(scale, units);
  const y = height - MARGIN - 6;
  const bar = Array.from(
    { length: parts },
    (_, i) =>
      `<rect x="${(MARGIN + (i * length) / parts).toFixed(3)}" y="${y}" width="${(length / parts).toFixed(3)}" height="2" fill="${i % 2 === 0 ? '#1d2a31' : '#ffffff'}"/>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(2)}mm" height="${height.toFixed(2)}mm" viewBox="0 0 ${width.toFixed(3)} ${height.toFixed(3)}" fill-rule="evenodd" stroke="#1d2a31" stroke-width="0.18" stroke-linejoin="round" font-family="sans-serif" font-size="${TYPE}">`,
    ...paths,
    ...bar,
    `<g stroke="none" fill="#1d2a31"><text x="${MARGIN}" y="${y - 2}">${escaped(label)}; measure it: if it is not so long, the printer has scaled the sheet</text>`,
    ...linesOf(`${title}, 1 : ${scale}`, width).map(
      (line, i) => `<text x="${MARGIN}" y="${y + 8 + i * LEAD}">${escaped(line)}</text>`,
    ),
    '</g>',
    '</svg>',
  ]
    .join('\n')
    .replaceAll('<text x', '<text stroke="none" fill="#1d2a31" x');
}

/** Into lines that a sheet has room for, by the width of a middling letter. */
export const linesOf = (text: string, width: number): readonly string[] =>
  wrapped(text, Math.floor((width - 2 * MARGIN) / (TYPE * LETTER)));
const LETTER = 0.52;
/** From line to line, mm. */
export const LEAD = 4;

/** A round length of the real thing, as long on paper as it says. */
export function scaleBar(scale: number, units: UnitChoice): { length: number; label: string; parts: number } {
  const candidates =
    units.system === 'inch' ? [1, 2, 4, 6, 12, 24, 36].map((n) => n * 0.0254) : [0.02, 0.05, 0.1, 0.2, 0.5, 1];
  const real = candidates.filter((c) => (c * MM) / scale <= 110).at(-1) ?? candidates[0]!;
  return {
    length: (real * MM) / scale,
    label: `This bar is ${showLength(real, units.system, units.fraction, 0).text} on the rig`,
    parts: 5,
  };
}
