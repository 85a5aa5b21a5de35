import * as fc from 'fast-check';
import {
  heldOf,
  KIT_COLUMNS,
  kitFileOf,
  kitRow,
  LOADOUT_COLUMNS,
  loadoutRows,
  matchHeadings,
  parseKitFile,
  rawTable,
  readKitTable,
  readLoadoutTable,
  standingOf,
  USUAL_OPTIONS,
  type ImportRow,
  type TableOptions,
} from '.';
import { readFigure } from './table';
import { quaternionAbout } from '../../0-base';
import { newItem } from '../../1-load';
import { weighedAs, withMeasurement } from '../../measuring';
import type { KitItem, Loadout } from '../../model';
import { camera, kit, lens, loadout } from '../../testing/rigs';
import { holds } from '../../testing/holds';

let made = 0;
const newId = (): string => `new-${++made}`;
const nobody = heldOf<KitItem>([]);
const read = (
  lines: readonly (readonly string[])[],
  held = nobody,
  options: TableOptions = USUAL_OPTIONS,
): readonly ImportRow<KitItem>[] => {
  const table = rawTable(lines);
  if (!table.ok) return fail(table.message) as never;
  return readKitTable(table.table, matchHeadings(table.table.headings, KIT_COLUMNS), options, held, newId);
};
const written = (rows: readonly Readonly<Record<string, string | number>>[]): string[][] => [
  Object.keys(rows[0]!),
  ...rows.map((r) => Object.values(r).map(String)),
];
const told = (row: ImportRow<unknown>): string => row.faults.map((f) => f.message).join(' ');

const full: KitItem = withMeasurement(
  weighedAs(
    {
      ...newItem('full', 'camera', 'Heron, "old" body'),
      sensor: { width: 0.0235, height: 0.0156, crop: 1.1 },
      focalLength: { shortest: 0.012, longest: 0.04 },
      squeeze: 1.33,
      socketDepth: { value: 0.0065 },
      notes: 'line one\nline two',
      states: [
        {
          id: 'screen',
          name: 'screen',
          choices: [
            { id: 'in', name: 'in' },
            { id: 'out', name: 'out', change: { kind: 'moves', by: [0, 0.004, 0] } },
          ],
        },
      ],
      clearances: [{ id: 'd', kind: 'battery door', at: [0, 0, 0], size: [0.02, 0.03, 0.02] }],
      goesWith: ['lens'],
    },
    { value: 0.482, typed: '1 lb 1 oz' },
    'w',
    0.001,
  ),
  {
    id: 'e',
    method: 'onAnEdge',
    axis: 0,
    readings: { tipsOneWay: [{ value: 0.03 }], tipsOtherWay: [{ value: 0.032 }] },
    scaleStep: 0.001,
    rulerStep: 0.001,
  },
);

describe('kit as a table', () => {
  it('goes out and in again the same, with nothing left behind', () => {
    const rows = read(written([full, camera, lens].map(kitRow)));
    expect(rows.map((r) => [r.standing, told(r)])).toEqual([
      ['new', ''],
      ['new', ''],
      ['new', ''],
    ]);
    const { mass, massCentre, ...rest } = rows[0]!.body!;
    expect(kitRow(rows[0]!.body!)).toEqual(kitRow(full));
    expect(rest.states).toEqual(full.states!);
    expect(rest.measurements).toEqual(full.measurements!);
    expect([mass!.value, massCentre!.at[0]]).toEqual([0.482, jasmine.any(Number) as never]);
    expect(
      read(written([full, camera, lens].map(kitRow)), heldOf([full, camera, lens])).map((r) => r.standing),
    ).toEqual(['same', 'same', 'same']);
  });
  it('reads what a maker has: few columns, own headings, any unit', () => {
    const [body, glass, guess] = read([
      ['Item', 'Type', 'Weight (oz)', 'Long', 'Wide [in]', 'High'],
      ['Heron', 'Cameras', '17', '62', '4 5/8', '7 cm'],
      ['Wide', 'lens', '214 g', '60', '2.5', '62'],
      ['Mic', 'microphone', '', '', '', ''],
    ]);
    expect(body!.body!.mass!.value).toBeCloseTo(17 * 0.028349523125, 9);
    body!.body!.size.forEach((s, i) => expect(s).toBeCloseTo([0.062, 4.625 * 0.0254, 0.07][i]!, 12));
    expect(glass!.body!.mass!.value).toBe(0.214);
    expect(glass!.body!.boxCentre[0]).toBeCloseTo(0.03, 12);
    expect(body!.body!.mountPoints.find((p) => p.id === 'shoe')!.at[2]).toBeCloseTo(0.07, 12);
    expect([guess!.standing, guess!.body!.mass, guess!.notes.length]).toEqual(['new', undefined, 1]);
  });
  it('changes what is here by name or id, and only what the table says', () => {
    const [row] = read(
      [
        ['name', 'mass_g'],
        ['heron body', '510'],
      ],
      heldOf([camera]),
    );
    expect([row!.standing, row!.body!.id, row!.body!.mass!.value, row!.body!.massCentre]).toEqual([
      'changes',
      'cam',
      0.51,
      camera.massCentre,
    ]);
    expect(row!.notes).toContain('Known by its name.');
    expect(
      read(
        [
          ['name', 'mass_g'],
          ['Heron body', ''],
        ],
        heldOf([camera]),
      )[0]!.standing,
    ).toBe('same');
  });
  it('tells each wrong row by itself, and takes the others', () => {
    const rows = read([
      ['name', 'kind', 'mass_g', 'length_mm', 'mass_centre_from_rear_mm', 'more'],
      ['a', 'lens', '-5', '', '', ''],
      ['b', 'lens', '0', '', '', ''],
      ['c', 'toaster', '5', '', '', ''],
      ['', 'lens', '5', '', '', ''],
      ['d', 'lens', '=SUM(A1)', '', '', ''],
      ['e', 'lens', '1,250', '', '', ''],
      ['f', 'lens', 'heavy', '', '', ''],
      ['g', 'lens', '5', '60', '70', ''],
      ['h', 'lens', '5', '60', '', '{no'],
      ['i', 'lens', '5', '60', '30', ''],
      ['I', 'lens', '5', '60', '', ''],
    ]);
    expect(rows.map((r) => r.standing).join(' ')).toBe(`${'refused '.repeat(9)}new refused`);
    [
      'less than nothing',
      'more than nothing',
      'no kind of kit',
      'no name',
      'a formula',
      'two things',
      'heavy',
      'outside the box',
      'JSON',
      '-',
      'line 11',
    ].forEach((words, i) =>
      expect(told(rows[i]!) || '-')
        .withContext(`row ${i}`)
        .toContain(words),
    );
  });
  it('reads decimal commas when told so, and thousands when told that', () => {
    const at = (decimal: TableOptions['decimal'], text: string): number | string => {
      const cell = readFigure(text, 'mass', null, { ...USUAL_OPTIONS, decimal });
      return cell.ok ? Math.round(cell.value * 1e6) / 1e3 : 'two ways';
    };
    expect([
      at('comma', '1,250'),
      at('point', '1,250'),
      at('as it reads', '1,250'),
      at('as it reads', '0,5 kg'),
      at('comma', '1.250,5'),
      at('point', '1,250.5'),
    ]).toEqual([1.25, 1250, 'two ways', 500, 1250.5, 1250.5]);
  });
  it('refuses what is no table, in words', () => {
    const message = (lines: readonly (readonly string[])[]): string => {
      const table = rawTable(lines);
      return table.ok ? 'read' : table.message;
    };
    expect(message([])).toContain('nothing in this table');
    expect(message([['', ' ']])).toContain('nothing in this table');
    expect(message([['name mass'], ['a 5']])).toContain('Only one column');
    expect(message([['name', 'mass']])).toContain('nothing under it');
    expect(
      message([
        ['\u0000\u0001PNG', 'x'],
        ['a', 'b'],
      ]),
    ).toContain('not a table');
    expect(message([['a', 'b'], ...Array.from({ length: 50_001 }, () => ['x', 'y'])])).toContain('at most');
  });
  it('never runs a formula, and takes the guard off again', () => {
    expect(
      read([
        ['name', 'mass_g'],
        ["'=cmd", '5'],
      ])[0]!.name,
    ).toBe('=cmd');
  });
  it('keeps any mass and size through a file', () => {
    const length = fc.double({ min: 1e-3, max: 0.9, noNaN: true });
    holds(
      fc.property(fc.double({ min: 1e-4, max: 30, noNaN: true }), length, length, length, (value, a, b, c) => {
        const item: KitItem = {
          ...newItem('x', 'other', 'thing'),
          mass: { value },
          size: [a, b, c],
          boxCentre: [0, 0, c / 2],
        };
        const back = read(written([kitRow(item)]))[0]!.body!;
        return (
          Math.abs(back.mass!.value - value) <= 1e-11 * value &&
          back.size.every((s, i) => Math.abs(s - item.size[i]!) <= 1e-11)
        );
      }),
      { seed: 308 },
    );
  });
});

describe('loadouts as a table', () => {
  const turned: Loadout = {
    ...loadout,
    id: 'flow',
    name: 'Flow',
    items: [
      loadout.items[0]!,
      {
        ...loadout.items[1]!,
        offset: [0.001, -0.002, 0.003],
        turn: quaternionAbout([0, 0, 1], 0.4),
        states: { zoom: 'long' },
      },
    ],
  };
  const zoomKit: readonly KitItem[] = [
    camera,
    {
      ...lens,
      states: [
        {
          id: 'zoom',
          name: 'zoom',
          choices: [
            { id: 'wide', name: 'wide' },
            { id: 'long', name: 'long' },
          ],
        },
      ],
    },
  ];
  const readIn = (
    lines: readonly (readonly string[])[],
    held: readonly Loadout[] = [],
    items = zoomKit,
  ): readonly ImportRow<Loadout>[] => {
    const table = rawTable(lines);
    return table.ok
      ? readLoadoutTable(
          table.table,
          matchHeadings(table.table.headings, LOADOUT_COLUMNS),
          USUAL_OPTIONS,
          heldOf(held),
          heldOf(items),
          newId,
        )
      : (fail(table.message) as never);
  };
  it('go out and in again the same', () => {
    const lines = written(
      [loadout, turned, { ...loadout, id: 'none', name: 'None', items: [] }].flatMap((l) => loadoutRows(l, kit)),
    );
    const rows = readIn(lines);
    expect(rows.map((r) => [r.standing, told(r)])).toEqual([
      ['new', ''],
      ['new', ''],
      ['new', ''],
    ]);
    expect(loadoutRows(rows[1]!.body!, kit)).toEqual(loadoutRows(turned, kit));
    expect(rows[2]!.body!.items).toEqual([]);
    expect(readIn(lines, [loadout, turned]).map((r) => r.standing)).toEqual(['same', 'same', 'new']);
  });
  it('stand on kit by name, and say what is missing or goes in a ring', () => {
    const head = ['loadout', 'item', 'stands on', 'at point', 'forward', 'states'];
    expect(
      readIn([
        head,
        ['A', 'heron body', '', '', '', ''],
        ['A', 'Wide lens', 'Heron body', 'flange', '5', 'zoom = long'],
      ])[0]!.body!.items[1],
    ).toEqual(jasmine.objectContaining({ item: 'lens', offset: [0.005, 0, 0], states: { zoom: 'long' } }));
    const wrong = readIn([
      head,
      ['B', 'Drone', '', '', '', ''],
      ['C', 'Heron body', 'Wide lens', 'flange', '', ''],
      ['C', 'Wide lens', 'Heron body', 'flange', '', ''],
      ['D', 'Wide lens', '', '', 'x', 'focus=near'],
    ]);
    expect(wrong.map((r) => r.standing)).toEqual(['refused', 'refused', 'refused']);
    expect(told(wrong[0]!)).toContain('Line 2: “Drone” is not in the kit');
    expect(told(wrong[1]!)).toMatch(/mounting point|stands on itself/);
    expect(told(wrong[2]!)).toContain('no state');
  });
});

describe('kit as a file', () => {
  it('goes out and in again, and stands to what is here', () => {
    const file = parseKitFile(JSON.stringify(kitFileOf([camera, full], [loadout])));
    if (!file.ok) return fail(file.faults);
    const standing = standingOf(
      file.value,
      heldOf<KitItem>([{ ...camera, mass: { value: 0.6 } }]),
      heldOf<Loadout>([]),
    );
    expect(standing.kit.map((r) => r.standing)).toEqual(['changes', 'new']);
    expect(standing.loadouts[0]!.standing).toBe('refused');
    expect(standingOf(file.value, heldOf<KitItem>([camera, lens, full]), heldOf([loadout])).loadouts[0]!.standing).toBe(
      'same',
    );
  });
  it('is refused with the field when it is not one', () => {
    expect(parseKitFile('{').ok).toBeFalse();
    const wrong = parseKitFile(JSON.stringify({ ...kitFileOf([{ ...camera, mass: { value: -1 } }], []) }));
    expect(wrong.ok ? '' : `${wrong.faults[0]!.path} ${wrong.faults[0]!.message}`).toBe(
      'kit.0.mass.value must be more than 0',
    );
  });
});
