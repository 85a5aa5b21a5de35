/** Hands a table to the browser as CSV; the writer is fetched only then. Cells that a spreadsheet would run are escaped. */
import { saveFile } from './save-file';

export async function saveCsv(name: string, rows: readonly Readonly<Record<string, string | number>>[]): Promise<void> {
  // A CommonJS package: its functions hang on the default export.
  const { default: csv } = await import('papaparse');
  saveFile(name, csv.unparse([...rows], { escapeFormulae: true }), 'text/csv');
}
