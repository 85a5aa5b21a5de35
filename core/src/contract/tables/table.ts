/** A table from a spreadsheet: headings matched to columns, cells read one by one, every fault told by its row. */
import { parseLength, parseMass, plainText, unguardedCell, type Parsed } from '../../0-base';

export type CellKind = 'text' | 'mass' | 'length' | 'signedLength' | 'angle' | 'number';

export interface Column {
  readonly id: string;
  /** As it is written out; a unit follows the underscore. */
  readonly heading: string;
  /** Other headings it is known by, plain: lower case, no units. */
  readonly aliases: readonly string[];
  readonly kind: CellKind;
  readonly needed?: true;
}
/** What a bare figure means, and which mark stands before the decimals. */
export interface TableOptions {
  readonly bareMass: 'g' | 'kg' | 'oz' | 'lb';
  readonly bareLength: 'mm' | 'cm' | 'in';
  readonly decimal: 'as it reads' | 'point' | 'comma';
}
export const USUAL_OPTIONS: TableOptions = { bareMass: 'g', bareLength: 'mm', decimal: 'as it reads' };

export interface Matched {
  readonly column: string | null;
  /** Unit named in the heading: it goes before the usual one for bare figures. */
  readonly unit: string | null;
}
export interface CellFault {
  readonly column: string;
  readonly message: string;
}

const UNIT = /(?:_|[ ([]+)(kg|g|oz|lb|mm|cm|m|inches|inch|in|deg|degrees|°)[)\]]?\s*$/i;

/** Which column each heading is; none twice, and null for a heading that is no column's. */
export function matchHeadings(headings: readonly string[], columns: readonly Column[]): readonly Matched[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const unit =
      UNIT.exec(heading.trim())?.[1]
        ?.toLowerCase()
        .replace(/^inch(es)?$/, 'in') ?? null;
    const plain = plainHeading(heading);
    const found = columns.find(
      (c) => !taken.has(c.id) && (plainHeading(c.heading) === plain || c.aliases.includes(plain)),
    );
    if (found) taken.add(found.id);
    return { column: found?.id ?? null, unit };
  });
}

const plainHeading = (heading: string): string =>
  plainText(heading.trim().replace(UNIT, ''))
    .replace(/[_\-.:]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** The text of a cell: a quote that guards a formula from being run is taken off again. */
export const cellText = (cell: string | undefined): string => unguardedCell((cell ?? '').trim());

export type CellValue =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** One figure in SI, by its kind. A unit in the cell wins over the heading's, that over the usual one. */
export function readFigure(
  text: string,
  kind: Exclude<CellKind, 'text'>,
  unit: string | null,
  options: TableOptions,
): CellValue {
  if (/^[=@]/.test(text))
    return { ok: false, message: `“${shown(text)}” is a formula. It is never run here: paste its value instead.` };
  const plain = withPoint(text, options);
  if (plain === null)
    return {
      ok: false,
      message: `“${shown(text)}”: a comma before three digits can mean two things. Say above which mark stands before the decimals.`,
    };
  if (kind === 'number' || kind === 'angle') {
    const value = Number(plain.replace(/°|\s*deg(rees)?$/i, ''));
    return plain !== '' && Number.isFinite(value)
      ? { ok: true, value: kind === 'angle' ? (value * Math.PI) / 180 : value }
      : { ok: false, message: `“${shown(text)}” is not a number.` };
  }
  const bare = /^[+-]?[\d.]+$/.test(plain);
  const usual = kind === 'mass' ? options.bareMass : options.bareLength;
  const whole = bare ? `${plain} ${unit ?? usual}` : plain;
  const parsed: Parsed =
    kind === 'mass'
      ? parseMass(whole, usual === 'oz' || usual === 'lb' ? 'inch' : 'mm')
      : parseLength(whole, usual === 'in' ? 'inch' : 'mm');
  if (!parsed.ok) return { ok: false, message: parsed.reason };
  if (!Number.isFinite(parsed.value)) return { ok: false, message: `“${shown(text)}” is no figure.` };
  if (kind !== 'signedLength' && parsed.value < 0)
    return { ok: false, message: `“${shown(text)}”: it cannot be less than nothing.` };
  return { ok: true, value: parsed.value };
}

const shown = (text: string): string => (text.length > 30 ? `${text.slice(0, 29)}…` : text);

/** The figure with a point before its decimals; null when a comma could mean a thousand. */
function withPoint(text: string, { decimal }: TableOptions): string | null {
  const plain = text.trim();
  if (decimal === 'comma')
    return plain
      .replace(/(\d)[. ](?=\d{3}(?!\d))/g, '$1')
      .replace(/(\d),(?=\d)/g, '$1.')
      .replace(/^([+-]?),(?=\d)/, '$10.');
  if (decimal === 'point') return plain.replace(/(\d),(?=\d{3}(?!\d))/g, '$1');
  if (/^[+-]?\d{1,3},\d{3}(?!\d)/.test(plain)) return null;
  return plain.replace(/(\d),(?=\d)/g, '$1.');
}

export interface TableFault {
  readonly line: number | null;
  readonly message: string;
}
/** Rows as a CSV reader gives them: cells of text. */
export interface RawTable {
  readonly headings: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

/** Control characters, or what a decoder puts where bytes were no text. */
const isJunk = (cell: string): boolean => [...cell].some((c) => (c < ' ' && !'\t\n\r'.includes(c)) || c === '\ufffd');

export const ROWS_AT_MOST = 50_000;

/** The first row that holds anything is the headings. What is no table at all is refused with the reason. */
export function rawTable(
  lines: readonly (readonly string[])[],
): { readonly ok: true; readonly table: RawTable } | { readonly ok: false; readonly message: string } {
  const rows = lines.map((cells, i) => ({ line: i + 1, cells })).filter((r) => r.cells.some((c) => c.trim() !== ''));
  const head = rows[0];
  if (!head) return { ok: false, message: 'There is nothing in this table.' };
  if (head.cells.some(isJunk))
    return { ok: false, message: 'This is not a table of text. Save it from the spreadsheet as CSV and try again.' };
  if (head.cells.length < 2)
    return {
      ok: false,
      message: `Only one column was found: “${shown(head.cells[0] ?? '')}”. Columns are set apart by commas, semicolons or tabs; the first line names them.`,
    };
  if (rows.length < 2) return { ok: false, message: 'There is a line of headings and nothing under it.' };
  if (rows.length > ROWS_AT_MOST)
    return {
      ok: false,
      message: `That is ${rows.length} rows; ${ROWS_AT_MOST} at most are read at once. Split the file.`,
    };
  return { ok: true, table: { headings: head.cells.map((c) => c.trim()), rows: rows.slice(1) } };
}

/** How an imported thing stands to what is here. */
export type Standing = 'new' | 'changes' | 'same' | 'refused';
export interface ImportRow<T> {
  /** Line in the file, headings being the first. */
  readonly line: number;
  readonly name: string;
  readonly standing: Standing;
  readonly body: T | null;
  readonly faults: readonly CellFault[];
  readonly notes: readonly string[];
}

/** A file's number with the digits that matter: twelve, so that in and out again is the same. */
export const digits = (value: number): number => Number(value.toPrecision(12));
