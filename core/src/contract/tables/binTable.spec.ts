import fc from 'fast-check';
import { keptAs } from '../../2-frame';
import type { BinItem } from '../../model';
import { holds } from '../../testing/holds';
import { BIN_COLUMNS, binRow, readBinTable } from './binTable';
import { matchHeadings, rawTable, USUAL_OPTIONS } from './table';

const read = (lines: readonly (readonly string[])[], held: readonly BinItem[] = []) => {
  const raw = rawTable(lines);
  if (!raw.ok) throw new Error(raw.message);
  return readBinTable(raw.table, matchHeadings(raw.table.headings, BIN_COLUMNS), USUAL_OPTIONS, held, () => 'new');
};
const washers: BinItem = { id: 'w', name: 'M6 washer', count: 4, lengths: [], place: 'jar 3' };

describe('the bin as a table', () => {
  it('reads a row each, by whatever its columns are called, in the unit of cell or heading', () => {
    const [rod, screw] = read([
      ['What', 'Qty', 'Length (cm)', 'Where'],
      ['brass rod', '', '40; 12 1/2 in', 'shelf'],
      ['M5 screw', '12', '', ''],
    ]);
    expect(rod!.body!.lengths[0]).toBeCloseTo(0.4, 12);
    expect(rod!.body!.lengths[1]).toBeCloseTo(0.3175, 12);
    expect([rod!.body!.count, rod!.body!.place, rod!.standing]).toEqual([0, 'shelf', 'new']);
    expect([screw!.body!.count, 'place' in screw!.body!]).toEqual([12, false]);
  });

  it('takes rows of one name together, and leaves what no column tells as it lies there', () => {
    const [rod, changed] = read(
      [
        ['item', 'length', 'count'],
        ['Rod', '400, 300', ''],
        ['m6 WASHER', '', '9'],
        ['rod', '350 200', ''],
      ],
      [washers],
    );
    expect(rod!.body!.lengths).toEqual([0.4, 0.3, 0.35, 0.2]);
    expect(rod!.notes).toEqual(['2 rows taken together.']);
    expect(changed).toEqual(jasmine.objectContaining({ standing: 'changes', body: { ...washers, count: 9 } }));
  });

  it('refuses a thing with one cell that cannot be, says which, and takes the others', () => {
    const rows = read([
      ['item', 'count', 'lengths_mm'],
      ['a', '-2', ''],
      ['b', '1.5', ''],
      ['c', 'lots', ''],
      ['d', '', '0'],
      ['e', '', '=A1'],
      ['', '3', ''],
      ['f', '1', '99000'],
      ['g', '1', ''],
    ]);
    expect(rows.map((r) => r.standing)).toEqual([...Array.from({ length: 7 }, () => 'refused' as const), 'new']);
    for (const r of rows.slice(0, 7)) expect(r.faults[0]!.message).toMatch(/^Line \d+: ./);
    expect(rows[0]!.faults[0]!.message).toContain('Line 2');
  });

  it('comes in as it went out, twice the same', () => {
    const item = fc.record(
      {
        id: fc.constant('x'),
        name: fc.string({ minLength: 1, maxLength: 60 }).filter((s) => /^[a-z][\w ×/.,"'-]*[\w]$/i.test(s)),
        count: fc.nat(100_000),
        lengths: fc.array(
          fc.integer({ min: 5, max: 20_000 }).map((mm) => mm / 1000),
          { maxLength: 12 },
        ),
        place: fc.constantFrom('jar 3', 'box; left', 'under the bench, “old”'),
      },
      { requiredKeys: ['id', 'name', 'count', 'lengths'] },
    );
    holds(
      fc.property(fc.uniqueArray(item, { selector: (b) => keptAs(b.name), minLength: 1, maxLength: 20 }), (bin) => {
        const headings = BIN_COLUMNS.map((c) => c.heading);
        const lines = bin.map((b) => headings.map((h) => String(binRow(b)[h])));
        const rows = read([headings, ...lines]);
        expect(rows.map((r) => r.body)).toEqual(bin.map((b) => ({ ...b, id: 'new' })));
        expect(read([headings, ...lines], bin).every((r) => r.standing === 'same')).toBeTrue();
      }),
      { seed: 2401 },
    );
  });
});
