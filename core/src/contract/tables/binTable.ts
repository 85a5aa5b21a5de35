/** The bin as a table: one row a thing, its lengths in one cell; rows of one name are one thing, so offcuts may stand a row each. */
import { keptAs } from '../../2-frame';
import { binItem, LENGTHS_AT_MOST, type BinItem } from '../../model';
import { readWith } from '../faults';
import {
  cellText,
  digits,
  readFigure,
  type CellFault,
  type Column,
  type ImportRow,
  type Matched,
  type RawTable,
  type TableOptions,
} from './table';

export const BIN_COLUMNS: readonly Column[] = [
  { id: 'item', heading: 'item', aliases: ['name', 'what', 'description', 'part'], kind: 'text', needed: true },
  { id: 'count', heading: 'count', aliases: ['number', 'qty', 'quantity', 'how many', 'pieces'], kind: 'number' },
  { id: 'lengths', heading: 'lengths_mm', aliases: ['length', 'offcut', 'offcuts'], kind: 'text' },
  { id: 'place', heading: 'place', aliases: ['where', 'location', 'jar', 'drawer'], kind: 'text' },
];

export const binRow = (b: BinItem): Readonly<Record<string, string | number>> => ({
  item: b.name,
  count: b.count,
  lengths_mm: b.lengths.map((l) => digits(l * 1000)).join('; '),
  place: b.place ?? '',
});

/** What a thing's rows say takes the place of what lay there; a column that is not there leaves it as it was. */
export function readBinTable(
  table: RawTable,
  matched: readonly Matched[],
  options: TableOptions,
  held: readonly BinItem[],
  newId: () => string,
): readonly ImportRow<BinItem>[] {
  const before = new Map(held.map((b) => [keptAs(b.name), b]));
  const things = new Map<string, Row[]>();
  for (const { line, cells } of table.rows) {
    const row = new Map<string, { text: string; unit: string | null }>();
    matched.forEach(({ column, unit }, i) => {
      const text = cellText(cells[i]);
      if (column && text !== '') row.set(column, { text, unit });
    });
    const key = keptAs(row.get('item')?.text ?? '');
    things.set(key, [...(things.get(key) ?? []), { line, cells: row }]);
  }
  return [...things].map(([key, rows]) => readThing(rows, options, before.get(key), newId));
}

interface Row {
  readonly line: number;
  readonly cells: ReadonlyMap<string, { readonly text: string; readonly unit: string | null }>;
}

function readThing(
  rows: readonly Row[],
  options: TableOptions,
  before: BinItem | undefined,
  newId: () => string,
): ImportRow<BinItem> {
  const [head] = rows as [Row];
  const name = head.cells.get('item')?.text ?? '';
  const faults: CellFault[] = [];
  const wrong = (line: number, column: string, message: string): void => {
    faults.push({ column, message: `Line ${line}: ${message}` });
  };
  if (name === '') wrong(head.line, 'item', 'it names nothing.');
  let count: number | null = null;
  let lengths: number[] | null = null;
  for (const { line, cells } of rows) {
    const counted = cells.get('count');
    if (counted) {
      const read = readFigure(counted.text, 'number', null, options);
      if (!read.ok) wrong(line, 'count', read.message);
      else if (read.value < 0 || !Number.isInteger(read.value)) wrong(line, 'count', `“${counted.text}” is no count.`);
      else count = (count ?? 0) + read.value;
    }
    const cell = cells.get('lengths');
    for (const text of cell ? lengthsIn(cell.text) : []) {
      const read = readFigure(text, 'length', cell!.unit, options);
      if (!read.ok) wrong(line, 'lengths', read.message);
      else if (read.value === 0) wrong(line, 'lengths', 'a length is more than nothing.');
      else lengths = [...(lengths ?? []), read.value];
    }
  }
  if ((lengths?.length ?? 0) > LENGTHS_AT_MOST)
    wrong(head.line, 'lengths', `${LENGTHS_AT_MOST} lengths of one thing at most.`);
  const place = rows.map((r) => r.cells.get('place')?.text).find((p) => p !== undefined) ?? before?.place;
  const refused = (): ImportRow<BinItem> => ({
    line: head.line,
    name: name || '(no name)',
    standing: 'refused',
    body: null,
    faults,
    notes: [],
  });
  if (faults.length > 0) return refused();
  const read = readWith(binItem, {
    id: before?.id ?? newId(),
    name: before?.name ?? name,
    count: count ?? before?.count ?? 0,
    lengths: lengths ?? before?.lengths ?? [],
    ...(place ? { place } : {}),
  });
  if (!read.ok) {
    for (const f of read.faults) wrong(head.line, f.path, f.message);
    return refused();
  }
  const body = read.value;
  return {
    line: head.line,
    name: body.name,
    standing: !before ? 'new' : JSON.stringify(binRow(before)) === JSON.stringify(binRow(body)) ? 'same' : 'changes',
    body,
    faults: [],
    notes: rows.length > 1 ? [`${rows.length} rows taken together.`] : [],
  };
}

/** Set apart by semicolons, or commas with a space; bare figures by spaces too. */
const lengthsIn = (text: string): readonly string[] =>
  (/^[\d.]+(\s+[\d.]+)+$/.test(text) ? text.split(/\s+/) : text.split(/;|,\s+/)).map((t) => t.trim()).filter(Boolean);
