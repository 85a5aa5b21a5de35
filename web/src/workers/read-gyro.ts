/** A gyro’s table as any logger writes it: split, its columns guessed or as the maker chose, and what it says of the walk. */
import { say, type Phrase } from '@tide-pebble/core/words';
import {
  evenTurning,
  gyroColumns,
  isNoWalk,
  LAID,
  TIME_UNITS,
  walkOfGyro,
  type EvenTurning,
  type GyroColumns,
  type Laid,
  type WalkFigures,
} from '@tide-pebble/core/steady';
import * as papa from 'papaparse';

export interface GyroChosen {
  readonly columns: GyroColumns;
  readonly laid: Laid;
}
export interface GyroRead {
  readonly headings: readonly string[];
  /** The first rows, as they stand. */
  readonly first: readonly (readonly string[])[];
  readonly chosen: GyroChosen;
  /** Rows with a hole in what is used. */
  readonly unread: number;
  /** Told as radians a second, it shook more than a walk can: most likely degrees. */
  readonly isTooMuch: boolean;
  readonly outcome:
    | {
        readonly ok: true;
        readonly figures: WalkFigures;
        readonly told: Pick<EvenTurning, 'rate' | 'rowsMissing' | 'longestGap' | 'outOfOrder' | 'restarts'>;
      }
    | { readonly ok: false; readonly reason: Phrase };
}

const SHOWN = 4;
/** The first rows, from which columns and units are guessed. */
const GUESSED_FROM = 2000;
const COLUMNS_AT_MOST = 24;
const BLOCK = 1 << 20;
const ROWS_AT_MOST = 4_000_000;

/** As figures, column by column; a cell that is none is NaN. */
export interface GyroTable {
  readonly headings: readonly string[];
  readonly first: readonly (readonly string[])[];
  readonly columns: readonly Float64Array[];
}

export function gyroTable(
  text: string,
): { readonly ok: true; readonly table: GyroTable } | { readonly ok: false; readonly reason: Phrase } {
  const head = papa.parse<string[]>(text, { skipEmptyLines: true, preview: 1 + SHOWN });
  const headings = (head.data[0] ?? []).slice(0, COLUMNS_AT_MOST).map((h) => h.trim());
  const first = head.data.slice(1).map((row) => row.slice(0, COLUMNS_AT_MOST));
  const { delimiter } = head.meta;
  let columns: Float64Array[] = headings.map(() => new Float64Array(4096));
  let count = -1;
  for (const block of blocksOf(text))
    for (const row of papa.parse<string[]>(block, { skipEmptyLines: true, delimiter }).data) {
      // The line of headings.
      if (count < 0) {
        count = 0;
        continue;
      }
      if (count === ROWS_AT_MOST)
        return { ok: false, reason: say`That is more than four million rows. Cut the log into walks.` };
      if (count === columns[0]!.length) columns = columns.map(doubled);
      for (let c = 0; c < columns.length; c++) columns[c]![count] = numberIn(row[c], delimiter !== ',');
      count++;
    }
  if (headings.length < 4 || count < 1)
    return {
      ok: false,
      reason: say`This is no gyro’s log: it takes a line of headings, then rows of a time and three turning rates, set apart by commas, semicolons or tabs.`,
    };
  return { ok: true, table: { headings, first, columns: columns.map((c) => c.slice(0, count)) } };
}

export function readGyro(table: GyroTable, asked: GyroChosen | null): GyroRead {
  const { headings, first, columns } = table;
  const rows = Array.from({ length: Math.min(GUESSED_FROM, columns[0]!.length) }, (_, i) => columns.map((c) => c[i]!));
  const chosen = asked ?? { columns: gyroColumns(headings, rows), laid: 'upright' };
  const common = { headings, first, chosen };
  const { time, x, y, z, timeUnit, rateUnit } = chosen.columns;
  if (time === null || x === null || y === null || z === null)
    return {
      ...common,
      unread: 0,
      isTooMuch: false,
      outcome: { ok: false, reason: say`Say which column is the time and which turn about x, y and z.` },
    };
  const used = [time, x, y, z];
  const whole: number[] = [];
  for (let i = 0; i < columns[0]!.length; i++) if (used.every((c) => !Number.isNaN(columns[c]![i]!))) whole.push(i);
  const of = (column: number, scale: number): Float64Array =>
    Float64Array.from(whole, (i) => columns[column]![i]! * scale);
  const scale = rateUnit === 'deg/s' ? Math.PI / 180 : 1;
  const by = { x: of(x, scale), y: of(y, scale), z: of(z, scale) };
  const laid = LAID.find((l) => l.id === chosen.laid)!;
  const found = evenTurning({
    times: of(time, TIME_UNITS[timeUnit]),
    pan: by[laid.pan],
    tilt: by[laid.tilt],
    roll: by[laid.roll],
  });
  const told = { ...common, unread: columns[0]!.length - whole.length };
  const fastest = Math.max(
    ...Object.values(by).map((rates) => rates.reduce((most, r) => Math.max(most, Math.abs(r)), 0)),
  );
  if (!found.ok) return { ...told, isTooMuch: isNoWalk(fastest, 0), outcome: found };
  const walk = walkOfGyro(found.even);
  if (!walk.ok) return { ...told, isTooMuch: isNoWalk(fastest, 0), outcome: walk };
  const { tilt, pan, roll } = walk.figures;
  const isTooMuch = isNoWalk(fastest, Math.max(tilt.rms, pan.rms, roll.rms));
  const { rate, rowsMissing, longestGap, outOfOrder, restarts } = found.even;
  return {
    ...told,
    isTooMuch,
    outcome: { ok: true, figures: walk.figures, told: { rate, rowsMissing, longestGap, outOfOrder, restarts } },
  };
}

/** The text in parts that end with a line: split whole, a million rows of cells would not fit into memory. */
function* blocksOf(text: string): Generator<string> {
  for (let from = 0; from < text.length;) {
    const line = text.indexOf('\n', from + BLOCK);
    const to = line < 0 ? text.length : line + 1;
    yield text.slice(from, to);
    from = to;
  }
}

function doubled(column: Float64Array): Float64Array {
  const twice = new Float64Array(2 * column.length);
  twice.set(column);
  return twice;
}

function numberIn(cell: string | undefined, isComma: boolean): number {
  const text = cell?.trim() ?? '';
  if (text === '') return NaN;
  return Number(isComma ? text.replace(',', '.') : text);
}
