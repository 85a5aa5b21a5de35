/** Hands lists to the browser as one spreadsheet file, a sheet each; the writer is fetched only then. Text stays text, whatever it begins with. */
import type { List } from '../export/lists';
import { saveFile } from './save-file';

/** As wide as its longest cell, within reason, characters. */
const WIDEST = 60;
const MARGIN = 2;
/** Sheet names may not be longer. */
const NAME_AT_MOST = 31;

export async function saveWorkbook(name: string, lists: readonly List[]): Promise<void> {
  const { default: write } = await import('write-excel-file/browser');
  const blob = await write(
    lists.map(({ name: sheet, rows }) => {
      const headings = Object.keys(rows[0] ?? {});
      const cells = rows.map((row) => headings.map((h) => row[h] ?? ''));
      return {
        sheet: sheet.slice(0, NAME_AT_MOST),
        stickyRowsCount: 1,
        columns: headings.map((h, i) => ({
          width: Math.min(WIDEST, MARGIN + Math.max(h.length, ...cells.map((row) => `${row[i]}`.length))),
        })),
        data: [
          headings.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
          ...cells.map((row) =>
            row.map((cell) =>
              cell === ''
                ? null
                : typeof cell === 'number'
                  ? { value: cell, type: Number }
                  : { value: cell, type: String },
            ),
          ),
        ],
      };
    }),
  ).toBlob();
  saveFile(name, new Uint8Array(await blob.arrayBuffer()), blob.type);
}
