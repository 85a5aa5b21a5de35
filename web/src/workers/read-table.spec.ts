import { newItem, type KitItem } from '@tide-pebble/core';
import { kitFileOf, USUAL_OPTIONS } from '@tide-pebble/core/tables';
import { answer, type JobAnswer } from './jobs';
import { decode, readTable, type TableInput, type TableOutcome, type TablePart, type TableRow } from './read-table';

const bytes = (list: readonly number[] | string): ArrayBuffer =>
  (typeof list === 'string' ? new TextEncoder().encode(list) : new Uint8Array(list)).buffer as ArrayBuffer;
const given = (source: ArrayBuffer | string, more: Partial<TableInput> = {}): TableInput => ({
  source: typeof source === 'string' ? { kind: 'text', text: source } : { kind: 'bytes', bytes: source },
  matched: null,
  options: USUAL_OPTIONS,
  into: 'load',
  bin: [],
  kit: [],
  loadouts: [],
  ...more,
});
function read(
  source: ArrayBuffer | string,
  more: Partial<TableInput> = {},
): { outcome: TableOutcome; rows: TableRow[]; parts: TablePart[] } {
  const parts: TablePart[] = [];
  const outcome = readTable(given(source, more), (part) => parts.push(part));
  return { outcome, rows: parts.flatMap((p) => p.rows), parts };
}
const message = (source: ArrayBuffer | string): string => {
  const { outcome, rows } = read(source);
  expect(rows).toEqual([]);
  return outcome.kind === 'refused' ? outcome.message : 'read';
};
const grams = (source: ArrayBuffer | string, more: Partial<TableInput> = {}): (number | undefined)[] =>
  read(source, more).rows.map((r) =>
    r.kind === 'kit' && r.row.body?.mass ? Math.round(r.row.body.mass.value * 1e6) / 1000 : undefined,
  );

describe('a table brought in', () => {
  it('is split by what sets its columns apart, with or without a mark at its head', () => {
    for (const text of [
      'name,mass_g\nHeron,486\n',
      'name;mass_g\nHeron;486',
      'name\tmass_g\r\nHeron\t486\r\n',
      '\ufeffname,mass_g\n"Heron, old","486"',
    ])
      expect(grams(bytes(text)))
        .withContext(JSON.stringify(text))
        .toEqual([486]);
  });
  it('is decoded as it was written: UTF-8, UTF-16, or the old Western page', () => {
    expect(decode(bytes([0xff, 0xfe, 0x48, 0x00, 0xe9, 0x00]))).toBe('Hé');
    expect(decode(bytes([0xfe, 0xff, 0x00, 0x48, 0x00, 0xe9]))).toBe('Hé');
    expect(decode(bytes([0x48, 0xe9]))).toBe('Hé');
    expect(decode(bytes([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0]))).toBeNull();
  });
  it('reads decimal commas of a semicolon file, and asks where they could be thousands', () => {
    expect(grams('name;mass\nA;0,5 kg\nB;12,25 g')).toEqual([500, 12.25]);
    expect(grams('name;mass_g\nA;1,250')).toEqual([undefined]);
    expect(grams('name;mass_g\nA;1,250', { options: { ...USUAL_OPTIONS, decimal: 'comma' } })).toEqual([1.25]);
  });
  it('takes mixed units, and what a bare figure means as told', () => {
    expect(grams('name,mass\nA,1 lb\nB,500 g\nC,8', { options: { ...USUAL_OPTIONS, bareMass: 'oz' } })).toEqual([
      453.592, 500, 226.796,
    ]);
  });
  it('is refused whole, with the reason, when it is none', () => {
    expect(message(bytes([0, 1, 2, 3]))).toContain('not a text file');
    expect(message('')).toContain('nothing in this table');
    expect(message('just words\nand more words')).toContain('Only one column');
    expect(message('name,mass\n"Heron,486\nB,5')).toContain('quote');
    expect(message('{"format":"other"}')).toContain('could not be read');
    expect(message('{oops')).toContain('JSON');
    expect(message(bytes('x'.repeat(21 * 1024 * 1024)))).toContain('20 MB');
  });
  it('five megabytes of junk are refused row by row, not believed', () => {
    const junk = `a,b\n${'\u00ff%%,@@\n'.repeat(40_000)}`;
    const { outcome, rows } = read(junk);
    expect(outcome.kind).toBe('table');
    expect(rows).toEqual([]);
  });
  it('asks for the column of the names when it has none, and takes the maker’s word for it', () => {
    const { outcome } = read('thing,mass_g\nHeron,486');
    expect(outcome.kind === 'table' && outcome.matched.map((m) => m.column)).toEqual([null, 'mass']);
    expect(
      grams('thing,mass_g\nHeron,486', {
        matched: [
          { column: 'name', unit: null },
          { column: 'mass', unit: 'g' },
        ],
      }),
    ).toEqual([486]);
  });
  it('comes in portions, with how far it is', () => {
    const { parts, rows } = read(
      `name,mass_g\n${Array.from({ length: 1000 }, (_, i) => `item ${i},${i + 1}`).join('\n')}`,
    );
    expect(rows).toHaveSize(1000);
    expect(Math.max(...parts.map((p) => p.rows.length))).toBeLessThanOrEqual(200);
    expect(parts[0]).toEqual({ done: 0, of: 1000, rows: [] });
  });
  it('knows loadouts from kit, and the open file from both', () => {
    const camera: KitItem = newItem('c', 'camera', 'Heron');
    const table = read('loadout,item\nEbb,Heron', { kit: [camera] });
    expect(table.rows[0]!.kind).toBe('loadout');
    const file = read(JSON.stringify(kitFileOf([camera], [{ id: 'l', name: 'Ebb', conditions: '', items: [] }])));
    expect(file.outcome.kind).toBe('file');
    expect(file.rows.map((r) => `${r.kind} ${r.row.standing}`)).toEqual(['kit new', 'loadout new']);
  });
});

describe('a worker’s answer', () => {
  it('is a result after its portions, or a fault told in words', () => {
    const told: JobAnswer[] = [];
    answer({ id: 4, name: 'stock', input: { rig: null as never, values: {}, bin: [], kerf: 0 } }, (a) => told.push(a));
    expect(told[0]!.id).toBe(4);
    expect('fault' in told[0]! && told[0].fault.length).toBeGreaterThan(5);
    const read: JobAnswer[] = [];
    answer({ id: 5, name: 'table', input: given('name,mass_g\nA,5') }, (a) => read.push(a));
    expect(read.map((a) => ('part' in a ? 'part' : 'result' in a ? 'result' : 'fault')).join(' ')).toBe(
      'part part result',
    );
  });
});
