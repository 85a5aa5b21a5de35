/** A set-up card as a sheet of its own, as broad as a phone: laid out once, and the same as a picture and as a page. */
import { escaped } from './escaped';
import type { PackCard } from './pack-card';
import { wrapped } from './wrapped';

/** Millimetres, from the top left. */
export type CardMark =
  | {
      readonly kind: 'word';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly isBold: boolean;
      readonly text: string;
    }
  | { readonly kind: 'rule'; readonly y: number };
export interface CardSheet {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly CardMark[];
}

const WIDTH = 100;
const MARGIN = 6;
const INK = '#1d2a31';
const RULE = 0.5;
/** How broad a letter is, of its size: a little more than of the faces it is drawn with, so that none runs over the edge. */
const LETTER = { plain: 0.53, bold: 0.6 };
const LEADING = 1.3;

export function cardSheet(rig: string, card: PackCard, cautions: readonly string[]): CardSheet {
  const marks: CardMark[] = [];
  let y = MARGIN;
  const words = (text: string, size: number, isBold = false): void => {
    const letters = Math.floor((WIDTH - 2 * MARGIN) / (size * (isBold ? LETTER.bold : LETTER.plain)));
    for (const line of wrapped(text, letters)) {
      y += size * LEADING;
      marks.push({ kind: 'word', x: MARGIN, y, size, isBold, text: line });
    }
  };
  const rule = (): void => {
    y += 2.5;
    marks.push({ kind: 'rule', y });
  };
  words(rig, 7, true);
  words(card.loadout, 4.4);
  for (const part of card.parts) {
    rule();
    words(part.name, 4.4, true);
    words(part.big, 9, true);
    words(part.beside, 4.4, true);
    for (const line of part.small) words(line, 3.6);
  }
  rule();
  if (card.conditions) words(card.conditions, 3.8);
  for (const { figure, rest } of card.expect) {
    words(figure, 5, true);
    words(rest, 3.8);
  }
  if (card.tight.length > 0) words(`Before each take see that these are tight: ${card.tight.join(', ')}.`, 3.6);
  if (card.doubt) words(card.doubt, 3.6, true);
  words(`${card.mass} in the hand. Try the clamp before you let go.`, 3.6);
  for (const caution of cautions) words(caution, 3.6);
  return { width: WIDTH, height: y + MARGIN, marks };
}

export function cardSvg({ width, height, marks }: CardSheet): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height.toFixed(2)}mm" viewBox="0 0 ${width} ${height.toFixed(3)}" font-family="sans-serif" fill="${INK}">`,
    `<rect width="${width}" height="${height.toFixed(3)}" fill="#ffffff"/>`,
    ...marks.map((m) =>
      m.kind === 'rule'
        ? `<rect x="${MARGIN}" y="${m.y.toFixed(3)}" width="${width - 2 * MARGIN}" height="${RULE}"/>`
        : `<text x="${m.x.toFixed(3)}" y="${m.y.toFixed(3)}" font-size="${m.size}"${m.isBold ? ' font-weight="700"' : ''}>${escaped(m.text)}</text>`,
    ),
    '</svg>',
  ].join('\n');
}
