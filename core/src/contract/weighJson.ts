/** How much a JSON text would become, counted before it is made: a small file must not fill a machine. */

/** Brackets inside brackets, and values in all: enough for forty thousand documents. */
export const JSON_AT_MOST = { depth: 64, items: 1_000_000 } as const;

/** What a file holds too much of, in words. */
export class TooMuch extends Error {}

/**
 * Counts what a JSON text would become, without making it: brackets deep and values in all. Throws TooMuch beyond the limits.
 * Reads bytes of UTF-8; what is no JSON is left to the parser.
 */
export function weighJson(
  bytes: Uint8Array,
  limits: { readonly depth: number; readonly items: number } = JSON_AT_MOST,
): void {
  const QUOTE = 34;
  const BACKSLASH = 92;
  let depth = 0;
  let items = 1;
  for (let i = 0; i < bytes.length; i++) {
    const byte = bytes[i]!;
    if (byte === QUOTE) {
      for (i++; i < bytes.length && bytes[i] !== QUOTE; i++) if (bytes[i] === BACKSLASH) i++;
    } else if (byte === 91 || byte === 123) {
      items++;
      if (++depth > limits.depth) throw new TooMuch(`It is nested more than ${limits.depth} deep.`);
    } else if (byte === 93 || byte === 125) depth--;
    else if (byte === 44 && ++items > limits.items)
      throw new TooMuch(`It holds more than ${limits.items.toLocaleString('en-GB')} values.`);
  }
  if (items > limits.items) throw new TooMuch(`It holds more than ${limits.items.toLocaleString('en-GB')} values.`);
}
