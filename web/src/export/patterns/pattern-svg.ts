/** One pattern as SVG, at full size in millimetres. */
import { render, type Point2, type UnitChoice } from '@tide-pebble/core';
import { boxOf, type Ink, type Pattern } from '@tide-pebble/core/patterns';
import { escaped } from '../escaped';
import { LINES, MM, TYPE_SIZE } from './strokes';

const MARGIN = 3; // mm

export function patternSvg(pattern: Pattern, units: UnitChoice): string {
  const { min, max } = boxOf(pattern.ink);
  const [width, height] = [(max[0] - min[0]) * MM + 2 * MARGIN, (max[1] - min[1]) * MM + 2 * MARGIN];
  const place = ([x, y]: Point2): readonly [number, number] => [
    (x - min[0]) * MM + MARGIN,
    height - MARGIN - (y - min[1]) * MM,
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(2)}mm" height="${height.toFixed(2)}mm" viewBox="0 0 ${width.toFixed(3)} ${height.toFixed(3)}" fill="none" stroke="#1d2a31" stroke-linejoin="round" font-family="sans-serif">`,
    `<title>${escaped(render(pattern.title, units))}</title>`,
    ...pattern.ink.map((i) => drawn(i, place, units)),
    '</svg>',
  ].join('\n');
}

function drawn(ink: Ink, place: (p: Point2) => readonly [number, number], units: UnitChoice): string {
  if (ink.kind === 'words') {
    const [x, y] = place(ink.at);
    const size = ink.height * MM * TYPE_SIZE;
    return `<text x="${x.toFixed(3)}" y="${(y + size * 0.35).toFixed(3)}" font-size="${size.toFixed(2)}" text-anchor="middle" stroke="none" fill="#1d2a31">${escaped(render(ink.says, units))}</text>`;
  }
  const { width, dash } = LINES[ink.stroke];
  const style = `stroke-width="${width}"${dash.length > 0 ? ` stroke-dasharray="${dash.join(' ')}"` : ''}`;
  if (ink.kind === 'circle') {
    const [x, y] = place(ink.at);
    return `<circle cx="${x.toFixed(3)}" cy="${y.toFixed(3)}" r="${(ink.radius * MM).toFixed(3)}" ${style}/>`;
  }
  const points = ink.points.map((p) =>
    place(p)
      .map((v) => v.toFixed(3))
      .join(' '),
  );
  return `<path d="M${points.join('L')}${ink.closed ? 'Z' : ''}" ${style}/>`;
}
