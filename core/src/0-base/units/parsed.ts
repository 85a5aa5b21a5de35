/** What reading a maker's text yields: a figure in SI with the text kept, or the reason it could not be read. */
export type Parsed =
  | { readonly ok: true; readonly value: number; readonly typed: string }
  | { readonly ok: false; readonly reason: string };

export const parsed = (value: number, typed: string): Parsed => ({ ok: true, value, typed: typed.trim() });
export const unreadable = (reason: string): Parsed => ({ ok: false, reason });

/** Text with typographic quotes, fractions, minus signs and spaces turned into the plain ones the readers know. */
export function plainText(text: string): string {
  return (
    text
      .replace(/(\d)\s*([½¼¾⅛⅜⅝⅞⅓⅔])/g, '$1 $2')
      .replace(/[\u2212\u2013]/g, '-')
      .replace(/[\u2033\u201d\u201c]|''/g, '"')
      .replace(/[\u2032\u2019\u2018]/g, "'")
      // Last, for it would take a double prime apart into two single ones.
      .normalize('NFKD')
      .replace(/\u2044/g, '/')
      .replace(/\s+/g, ' ')
      .trim()
      .toLowerCase()
  );
}

/**
 * A plain, mixed or decimal number: `4`, `4.75`, `4,75`, `3/4`, `4 3/4`, `4-3/4`. Null when it is none of these.
 * A comma before exactly three digits could mean a thousand or a decimal, so it is refused rather than guessed.
 */
export function readNumber(text: string): { value: number; fraction: boolean } | null {
  const decimal = /^([+-]?)(\d+(?:[.,]\d+)?|[.,]\d+)$/.exec(text);
  if (decimal) {
    if (/^\d+,\d{3}$/.test(decimal[2]!)) return null;
    return { value: (decimal[1] === '-' ? -1 : 1) * Number(decimal[2]!.replace(',', '.')), fraction: false };
  }
  const mixed = /^([+-]?)(?:(\d+)[ -])?(\d+) ?\/ ?(\d+)$/.exec(text);
  if (!mixed) return null;
  const below = Number(mixed[4]);
  if (below === 0) return null;
  return { value: (mixed[1] === '-' ? -1 : 1) * (Number(mixed[2] ?? 0) + Number(mixed[3]) / below), fraction: true };
}

export const NUMBER_PATTERN = String.raw`\d+[ -]\d+ ?\/ ?\d+|\d+ ?\/ ?\d+|\d+(?:[.,]\d+)?|[.,]\d+`;

/** A thousandth is divided by a thousand: 142 mm is then the double nearest 0.142, which 142 × 0.001 is not. */
function inUnit(value: number, size: number): number {
  const parts = Math.round(1 / size);
  return parts > 1 && 1 / parts === size ? value / parts : value * size;
}

/**
 * A sum of number-unit pairs, each unit given by name, such as `1' 2 1/2"` or `1 lb 6 oz`; a bare number takes
 * `bareUnit`, a bare fraction `fractionUnit`. Returns the sum in SI.
 */
export function parseWithUnits(
  text: string,
  units: Readonly<Record<string, number>>,
  options: { what: string; example: string; bareUnit: string; fractionUnit: string },
): Parsed {
  const plain = plainText(text);
  if (plain === '') return unreadable(`Type a ${options.what}, such as ${options.example}.`);
  if (/^[+-]?\d+,\d{3}\b/.test(plain))
    return unreadable('A comma before three digits can mean two things: write 1200 or 1.2.');
  if (/\d\s*\/\s*0+(?!\d)/.test(plain)) return unreadable('A fraction cannot have zero below the line.');
  const bare = readNumber(plain);
  if (bare) return parsed(inUnit(bare.value, units[bare.fraction ? options.fractionUnit : options.bareUnit]!), text);
  const sign = plain.startsWith('-') ? -1 : 1;
  let rest = plain.replace(/^[+-]\s*/, '');
  let sum = 0;
  const names = Object.keys(units)
    .sort((a, b) => b.length - a.length)
    .map((n) => n.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  const pair = new RegExp(`^(${NUMBER_PATTERN})\\s*(${names.join('|')})(?![a-z])\\.?,?\\s*`);
  let previous = Infinity;
  while (rest !== '') {
    const match = pair.exec(rest);
    if (!match)
      return unreadable(`“${text.trim()}” is not a ${options.what} I can read. Write it like ${options.example}.`);
    const size = units[match[2]!]!;
    if (size >= previous)
      return unreadable(`In “${text.trim()}” the units run upwards. Write the larger first, like ${options.example}.`);
    previous = size;
    sum += inUnit(readNumber(match[1]!)!.value, size);
    rest = rest.slice(match[0].length);
  }
  return parsed(sign * sum, text);
}
