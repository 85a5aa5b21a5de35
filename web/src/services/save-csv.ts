/** Hands a table to the browser as CSV; the writer is fetched only then. Figures stay figures; text that a spreadsheet would run is guarded. */
import { guardedCell } from '@tide-pebble/core';
import type { Row } from '../export/lists';
import { saveFile } from './save-file';

/** Without it a spreadsheet takes UTF-8 for an old code page. */
const BYTE_ORDER_MARK = '\ufeff';

export async function saveCsv(name: string, rows: readonly Row[]): Promise<void> {
  // A CommonJS package: its functions hang on the default export.
  const { default: csv } = await import('papaparse');
  const cells = rows.map((row) =>
    Object.fromEntries(
      Object.entries(row).map(([heading, cell]) => [heading, typeof cell === 'string' ? guardedCell(cell) : cell]),
    ),
  );
  saveFile(name, BYTE_ORDER_MARK + csv.unparse(cells), 'text/csv;charset=utf-8');
}
