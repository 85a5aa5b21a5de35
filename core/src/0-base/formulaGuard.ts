/** Text in a table that a spreadsheet would take for a formula: guarded by a quote when it goes out, which comes off again when it comes in. */

/** What starts a formula; a text that has a guard of its own gets another, so that each comes back as it was. */
const FORMULA = /^'*[=+\-@\t\r]/;
const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i;

/** A figure, negative or not, is none and stays bare. */
export const guardedCell = (text: string): string =>
  FORMULA.test(text) && !NUMBER.test(text.trim()) ? `'${text}` : text;

/** The same text as went out. */
export const unguardedCell = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
