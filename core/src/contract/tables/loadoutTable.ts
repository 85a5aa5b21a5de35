/** Loadouts as a table: one row for each thing mounted, in the tree's own order. */
import { DEGREE, quaternionOfTurns, turnsOfRotation } from '../../0-base';
import { placeItems } from '../../1-load';
import { loadout, type KitItem, type Loadout, type Mounted } from '../../model';
import { readWith } from '../faults';
import type { Held } from './kitTable';
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

export const LOADOUT_COLUMNS: readonly Column[] = [
  { id: 'loadoutId', heading: 'loadout_id', aliases: [], kind: 'text' },
  { id: 'loadout', heading: 'loadout', aliases: ['name', 'set', 'rig set'], kind: 'text', needed: true },
  { id: 'conditions', heading: 'as_it_is_when_shooting', aliases: ['conditions'], kind: 'text' },
  { id: 'entry', heading: 'entry', aliases: ['row'], kind: 'text' },
  { id: 'item', heading: 'item', aliases: ['kit', 'what'], kind: 'text', needed: true },
  { id: 'on', heading: 'on', aliases: ['stands on', 'mounted on'], kind: 'text' },
  { id: 'point', heading: 'at_point', aliases: ['point', 'at'], kind: 'text' },
  { id: 'onRig', heading: 'on_the_rig_at', aliases: [], kind: 'text' },
  { id: 'forward', heading: 'forward_mm', aliases: ['x'], kind: 'signedLength' },
  { id: 'left', heading: 'left_mm', aliases: ['y'], kind: 'signedLength' },
  { id: 'up', heading: 'up_mm', aliases: ['z'], kind: 'signedLength' },
  { id: 'toTheLeft', heading: 'turned_left_deg', aliases: [], kind: 'angle' },
  { id: 'noseDown', heading: 'nose_down_deg', aliases: [], kind: 'angle' },
  { id: 'leftSideDown', heading: 'left_side_down_deg', aliases: [], kind: 'angle' },
  { id: 'states', heading: 'states', aliases: [], kind: 'text' },
];
const OFFSETS = ['forward', 'left', 'up'] as const;
const TURNS = ['toTheLeft', 'noseDown', 'leftSideDown'] as const;

/** One row a mounted item; an empty loadout is one row without one. */
export function loadoutRows(
  l: Loadout,
  kit: ReadonlyMap<string, KitItem>,
): readonly Readonly<Record<string, string | number>>[] {
  const head = { loadout_id: l.id, loadout: l.name, as_it_is_when_shooting: l.conditions };
  if (l.items.length === 0) return [{ ...Object.fromEntries(LOADOUT_COLUMNS.map((c) => [c.heading, ''])), ...head }];
  return l.items.map((m) => {
    const turns = m.turn ? turnsOfRotation(m.turn) : null;
    const cells: Readonly<Record<string, string | number>> = {
      loadoutId: head.loadout_id,
      loadout: head.loadout,
      conditions: head.as_it_is_when_shooting,
      entry: m.id,
      item: kit.get(m.item)?.name ?? m.item,
      on: m.on?.mounted ?? '',
      point: m.on?.point ?? '',
      onRig: m.onRig ?? '',
      ...Object.fromEntries(OFFSETS.map((id, i) => [id, digits(m.offset[i]! * 1000)])),
      ...Object.fromEntries(TURNS.map((id) => [id, turns ? digits(turns[id] / DEGREE) : ''])),
      states: Object.entries(m.states ?? {})
        .map(([state, choice]) => `${state}=${choice}`)
        .join('; '),
    };
    return Object.fromEntries(LOADOUT_COLUMNS.map((c) => [c.heading, cells[c.id] ?? '']));
  });
}

/** Loadouts with their rows gathered; one faulty row refuses its whole loadout, and says which. */
export function readLoadoutTable(
  table: RawTable,
  matched: readonly Matched[],
  options: TableOptions,
  held: Held<Loadout>,
  kit: Held<KitItem>,
  newId: () => string,
): readonly ImportRow<Loadout>[] {
  const groups = new Map<
    string,
    { line: number; cells: ReadonlyMap<string, { text: string; unit: string | null }> }[]
  >();
  for (const { line, cells } of table.rows) {
    const row = new Map<string, { text: string; unit: string | null }>();
    matched.forEach(({ column, unit }, i) => {
      const text = cellText(cells[i]);
      if (column && text !== '') row.set(column, { text, unit });
    });
    const name = row.get('loadout')?.text ?? '';
    groups.set(name.toLowerCase(), [...(groups.get(name.toLowerCase()) ?? []), { line, cells: row }]);
  }
  return [...groups.values()].map((rows) => readGroup(rows, options, held, kit, newId));
}

type Row = { readonly line: number; readonly cells: ReadonlyMap<string, { text: string; unit: string | null }> };

function readGroup(
  rows: readonly Row[],
  options: TableOptions,
  held: Held<Loadout>,
  kit: Held<KitItem>,
  newId: () => string,
): ImportRow<Loadout> {
  const head = rows[0]!;
  const name = head.cells.get('loadout')?.text.slice(0, 120) ?? '';
  const faults: CellFault[] = [];
  if (name === '') faults.push({ column: 'loadout', message: `Line ${head.line}: it names no loadout.` });
  const before = held.byId.get(head.cells.get('loadoutId')?.text ?? '') ?? held.byName.get(name.toLowerCase());
  const items = rows
    .filter((r) => r.cells.has('item'))
    .map((row, i) =>
      readEntry(row, i, kit, options, (column, message) =>
        faults.push({ column, message: `Line ${row.line}: ${message}` }),
      ),
    );
  const entries = items.map((e) => ({
    ...e,
    on: e.on && {
      ...e.on,
      mounted:
        items.find((o) => o.id === e.on!.mounted)?.id ??
        items.find((o) => o.item === kit.byName.get(e.on!.mounted.toLowerCase())?.id)?.id ??
        e.on.mounted,
    },
  }));
  const body: Loadout = {
    id: before?.id ?? head.cells.get('loadoutId')?.text ?? newId(),
    name: name || '(no name)',
    conditions: (head.cells.get('conditions')?.text ?? before?.conditions ?? '').slice(0, 400),
    items: entries,
  };
  if (faults.length === 0)
    for (const fault of placeItems(body, kit.byId).faults) faults.push({ column: 'on', message: fault.reason });
  const read = readWith(loadout, body);
  if (!read.ok) faults.push(...read.faults.map((f) => ({ column: f.path, message: `${f.path} ${f.message}.` })));
  const notes: string[] = [];
  if (faults.length > 0 || !read.ok)
    return { line: head.line, name: body.name, standing: 'refused', body: null, faults, notes };
  return {
    line: head.line,
    name,
    standing: !before ? 'new' : sameLoadout(before, read.value, kit.byId) ? 'same' : 'changes',
    body: read.value,
    faults,
    notes,
  };
}

function readEntry(
  { line, cells }: Row,
  place: number,
  kit: Held<KitItem>,
  options: TableOptions,
  fault: (column: string, message: string) => void,
): Mounted {
  const text = (id: string): string | undefined => cells.get(id)?.text;
  const figure = (id: string): number => {
    const cell = cells.get(id);
    const { kind } = LOADOUT_COLUMNS.find((c) => c.id === id)!;
    if (!cell || kind === 'text') return 0;
    const read = readFigure(cell.text, kind, cell.unit, options);
    if (!read.ok) fault(id, read.message);
    return read.ok ? read.value : 0;
  };
  const wanted = text('item')!;
  const item = kit.byId.get(wanted) ?? kit.byName.get(wanted.toLowerCase());
  if (!item) fault('item', `“${wanted}” is not in the kit. Bring in the kit first.`);
  const on = text('on');
  const offset = OFFSETS.map(figure) as [number, number, number];
  const turns = { toTheLeft: figure('toTheLeft'), noseDown: figure('noseDown'), leftSideDown: figure('leftSideDown') };
  const turned = TURNS.some((id) => turns[id] !== 0);
  const states = statesOf(text('states'), item, fault);
  return {
    id: text('entry') ?? `row-${line}-${place}`,
    item: item?.id ?? 'unknown',
    on: on === undefined ? null : { mounted: on, point: text('point') ?? 'top' },
    ...(text('onRig') === undefined ? {} : { onRig: text('onRig')! }),
    offset,
    ...(turned ? { turn: quaternionOfTurns(turns) } : {}),
    ...(states ? { states } : {}),
  };
}

function statesOf(
  text: string | undefined,
  item: KitItem | undefined,
  fault: (column: string, message: string) => void,
): Record<string, string> | null {
  if (text === undefined || !item) return null;
  const states: Record<string, string> = {};
  for (const pair of text.split(/[;,]/)) {
    const [stateText, choiceText] = pair.split('=').map((s) => s.trim().toLowerCase());
    if (!stateText) continue;
    const state = item.states?.find((s) => s.id.toLowerCase() === stateText || s.name.toLowerCase() === stateText);
    const choice = state?.choices.find((c) => c.id.toLowerCase() === choiceText || c.name.toLowerCase() === choiceText);
    if (state && choice) states[state.id] = choice.id;
    else fault('states', `${item.name} has no state “${pair.trim()}”.`);
  }
  return states;
}

/** The same to the digits a file keeps. */
export const sameLoadout = (a: Loadout, b: Loadout, kit: ReadonlyMap<string, KitItem>): boolean =>
  JSON.stringify(loadoutRows(a, kit)) === JSON.stringify(loadoutRows(b, kit));
