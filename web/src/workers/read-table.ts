/** A file or a paste as a table of kit or loadouts: decoded, split, matched and checked, its rows told in portions as they come. */
import { faultLine, type BinItem, type KitItem, type Loadout } from '@tide-pebble/core';
import {
  BIN_COLUMNS,
  heldOf,
  KIT_COLUMNS,
  LOADOUT_COLUMNS,
  matchHeadings,
  parseKitFile,
  rawTable,
  readBinTable,
  readKitTable,
  readLoadoutTable,
  standingOf,
  type ImportRow,
  type Matched,
  type RawTable,
  type TableOptions,
} from '@tide-pebble/core/tables';
import * as papa from 'papaparse';

export interface TableInput {
  readonly source:
    { readonly kind: 'bytes'; readonly bytes: ArrayBuffer } | { readonly kind: 'text'; readonly text: string };
  /** Column of each heading as the maker has matched them; null: guess. */
  readonly matched: readonly Matched[] | null;
  readonly options: TableOptions;
  /** What it is brought into: the kit with its loadouts, or the bin. */
  readonly into: 'load' | 'bin';
  readonly bin: readonly BinItem[];
  readonly kit: readonly KitItem[];
  readonly loadouts: readonly Loadout[];
}
export type TableRow =
  | { readonly kind: 'kit'; readonly row: ImportRow<KitItem> }
  | { readonly kind: 'loadout'; readonly row: ImportRow<Loadout> }
  | { readonly kind: 'bin'; readonly row: ImportRow<BinItem> };
export interface TablePart {
  readonly done: number;
  readonly of: number;
  readonly rows: readonly TableRow[];
}
export type TableOutcome =
  | { readonly kind: 'refused'; readonly message: string }
  | {
      readonly kind: 'table';
      readonly of: 'kit' | 'loadout' | 'bin';
      readonly headings: readonly string[];
      readonly matched: readonly Matched[];
      readonly separator: string;
      readonly first: readonly string[];
    }
  | { readonly kind: 'file' };

const BYTES_AT_MOST = 20 * 1024 * 1024;
/** Rows a portion: small enough that taking one in never holds up the page. */
const PORTION = 200;

export function readTable(input: TableInput, tell: (part: TablePart) => void): TableOutcome {
  const decoded = input.source.kind === 'text' ? input.source.text : decode(input.source.bytes);
  if (decoded === null)
    return {
      kind: 'refused',
      message: 'This is not a text file. Save it from the spreadsheet as CSV, and choose that.',
    };
  if (decoded.length > BYTES_AT_MOST) return { kind: 'refused', message: 'This is larger than 20 MB. Split the file.' };
  if (!/^\s*[{[]/.test(decoded)) return readRows(decoded, input, tell);
  return input.into === 'bin'
    ? { kind: 'refused', message: 'The bin comes in as CSV: this is a file of another kind.' }
    : readFile(decoded, input, tell);
}

/** UTF-8 with or without its mark, or UTF-16 by its mark; what is neither is read as the old Western code page. Null: no text. */
export function decode(bytes: ArrayBuffer, most = BYTES_AT_MOST): string | null {
  const head = new Uint8Array(bytes.slice(0, 4096));
  if (bytes.byteLength > most) return ' '.repeat(most + 1);
  if (head[0] === 0xff && head[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (head[0] === 0xfe && head[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  if (head.some((b) => b < 9 || (b > 13 && b < 32 && b !== 27))) return null;
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

function readFile(text: string, { kit, loadouts }: TableInput, tell: (part: TablePart) => void): TableOutcome {
  const file = parseKitFile(text);
  if (!file.ok)
    return { kind: 'refused', message: `It could not be read: ${file.faults.slice(0, 3).map(faultLine).join('; ')}.` };
  const standing = standingOf(file.value, heldOf(kit), heldOf(loadouts));
  inPortions(
    [
      ...standing.kit.map((row): TableRow => ({ kind: 'kit', row })),
      ...standing.loadouts.map((row): TableRow => ({ kind: 'loadout', row })),
    ],
    tell,
  );
  return { kind: 'file' };
}

function readRows(text: string, input: TableInput, tell: (part: TablePart) => void): TableOutcome {
  const parsed = split(text.replace(/^\ufeff/, '').trimEnd());
  const quote = parsed.errors.find((e) => e.type === 'Quotes');
  if (quote)
    return {
      kind: 'refused',
      message: `A quote that opens in line ${(quote.row ?? 0) + 1} is not closed as it should be.`,
    };
  const raw = rawTable(parsed.data);
  if (!raw.ok) return { kind: 'refused', message: raw.message };
  const { table } = raw;
  const { delimiter } = parsed.meta;
  if (input.into === 'bin') return readBin(table, delimiter, input, tell);
  const asLoadouts = matchHeadings(table.headings, LOADOUT_COLUMNS);
  const asKit = matchHeadings(table.headings, KIT_COLUMNS);
  const ofLoadouts =
    has(asLoadouts, 'loadout') && has(asLoadouts, 'item') && !table.headings.some((h) => /mass|weight/i.test(h));
  const matched = input.matched ?? (ofLoadouts ? asLoadouts : asKit);
  const outcome: TableOutcome = {
    kind: 'table',
    of: ofLoadouts ? 'loadout' : 'kit',
    headings: table.headings,
    matched,
    separator: delimiter,
    first: table.rows[0]?.cells ?? [],
  };
  if (!has(matched, ofLoadouts ? 'loadout' : 'name')) return outcome;
  if (ofLoadouts)
    inPortions(
      readLoadoutTable(table, matched, input.options, heldOf(input.loadouts), heldOf(input.kit), newId).map(
        (row): TableRow => ({ kind: 'loadout', row }),
      ),
      tell,
    );
  else readKitRows(table, matched, input, tell);
  return outcome;
}

const has = (matched: readonly Matched[], column: string): boolean => matched.some((m) => m.column === column);

function readBin(table: RawTable, separator: string, input: TableInput, tell: (part: TablePart) => void): TableOutcome {
  const matched = input.matched ?? matchHeadings(table.headings, BIN_COLUMNS);
  if (has(matched, 'item'))
    inPortions(
      readBinTable(table, matched, input.options, input.bin, newId).map((row): TableRow => ({ kind: 'bin', row })),
      tell,
    );
  return { kind: 'table', of: 'bin', headings: table.headings, matched, separator, first: table.rows[0]?.cells ?? [] };
}

/** Empty lines are kept, so that a row's line is the one the maker sees. Where the parser cannot tell, the headings do. */
function split(text: string): papa.ParseResult<string[]> {
  const parsed = papa.parse<string[]>(text, { skipEmptyLines: false });
  if (!parsed.errors.some((e) => e.type === 'Delimiter')) return parsed;
  const head = text.slice(0, text.search(/[\r\n]|$/));
  const delimiter = [';', '\t', '|', ','].reduce((best, d) =>
    head.split(d).length > head.split(best).length ? d : best,
  );
  return papa.parse<string[]>(text, { skipEmptyLines: false, delimiter });
}

/** Portion by portion, so that the first rows show while the last are still read. Twins are found over the whole table. */
function readKitRows(
  table: RawTable,
  matched: readonly Matched[],
  input: TableInput,
  tell: (part: TablePart) => void,
): void {
  const rows = readKitTable(table, matched, input.options, heldOf(input.kit), newId, (done) =>
    tell({ done, of: table.rows.length, rows: [] }),
  );
  inPortions(
    rows.map((row): TableRow => ({ kind: 'kit', row })),
    tell,
  );
}

function inPortions(rows: readonly TableRow[], tell: (part: TablePart) => void): void {
  for (let from = 0; from < rows.length; from += PORTION)
    tell({ done: rows.length, of: rows.length, rows: rows.slice(from, from + PORTION) });
}

const newId = (): string => crypto.randomUUID();
