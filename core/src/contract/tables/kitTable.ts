/** Kit as a table: one row an item. Places are told as a maker measures them, from the rear face, the right side and the underside. */
import { CLASS_FACTS, guessedCentreSpread, newItem } from '../../1-load';
import { KIT_CLASSES, kitItem, MOUNT_KINDS, type KitClass, type KitItem, type MountKind } from '../../model';
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

const FACES = ['rear', 'right', 'underside'] as const;
const SIDES = ['length', 'width', 'height'] as const;

export const KIT_COLUMNS: readonly Column[] = [
  { id: 'id', heading: 'id', aliases: ['key'], kind: 'text' },
  { id: 'name', heading: 'name', aliases: ['item', 'what', 'description', 'part'], kind: 'text', needed: true },
  { id: 'class', heading: 'kind', aliases: ['class', 'type', 'category'], kind: 'text' },
  { id: 'mass', heading: 'mass_g', aliases: ['weight', 'weighs'], kind: 'mass' },
  { id: 'massSpread', heading: 'mass_spread_g', aliases: ['mass uncertainty'], kind: 'mass' },
  ...SIDES.map((side): Column => ({
    id: side,
    heading: `${side}_mm`,
    aliases: side === 'length' ? ['long', 'depth'] : side === 'width' ? ['wide', 'breadth'] : ['high', 'tall'],
    kind: 'length',
  })),
  ...FACES.map((face): Column => ({
    id: `foot ${face}`,
    heading: `foot_from_${face}_mm`,
    aliases: [`foot ${face}`],
    kind: 'signedLength',
  })),
  ...FACES.map((face): Column => ({
    id: `centre ${face}`,
    heading: `mass_centre_from_${face}_mm`,
    aliases: [`centre from ${face}`, `centre of mass ${face}`, `balance from ${face}`],
    kind: 'signedLength',
  })),
  ...FACES.map((face): Column => ({
    id: `centre spread ${face}`,
    heading: `mass_centre_spread_${face}_mm`,
    aliases: [],
    kind: 'length',
  })),
  { id: 'sensorWidth', heading: 'sensor_width_mm', aliases: ['sensor'], kind: 'length' },
  { id: 'sensorHeight', heading: 'sensor_height_mm', aliases: [], kind: 'length' },
  { id: 'crop', heading: 'crop', aliases: ['crop factor'], kind: 'number' },
  {
    id: 'shortest',
    heading: 'focal_length_mm',
    aliases: ['focal', 'focal length shortest', 'focal length wide'],
    kind: 'length',
  },
  { id: 'longest', heading: 'focal_length_longest_mm', aliases: ['focal length long'], kind: 'length' },
  { id: 'squeeze', heading: 'squeeze', aliases: ['anamorphic squeeze'], kind: 'number' },
  { id: 'socketDepth', heading: 'socket_depth_mm', aliases: ['socket'], kind: 'length' },
  { id: 'foot', heading: 'foot', aliases: ['held by', 'mount'], kind: 'text' },
  { id: 'notes', heading: 'notes', aliases: ['note', 'remarks', 'comment'], kind: 'text' },
  { id: 'more', heading: 'more', aliases: [], kind: 'text' },
];
/** What has no column of its own goes into `more`, as JSON. */
const MORE = ['form', 'mountPoints', 'states', 'clearances', 'goesWith', 'measurements', 'photo', 'typed'] as const;

export type KitCells = Readonly<Record<string, string | number>>;

/** One item as a row, by heading. */
export function kitRow(item: KitItem): KitCells {
  const mm = (metres: number | undefined): string | number => (metres === undefined ? '' : digits(metres * 1000));
  const g = (kg: number | undefined): string | number => (kg === undefined ? '' : digits(kg * 1000));
  const fromFace = (place: number, axis: number): number => place - item.boxCentre[axis]! + item.size[axis]! / 2;
  const more = Object.fromEntries(MORE.flatMap((key) => (item[key] === undefined ? [] : [[key, item[key]]])));
  const { mass, massCentre, sensor, focalLength } = item;
  const cells: Readonly<Record<string, string | number>> = {
    id: item.id,
    name: item.name,
    class: item.class,
    mass: g(mass?.value),
    massSpread: g(mass?.spread),
    ...Object.fromEntries(SIDES.map((side, i) => [side, mm(item.size[i])])),
    ...Object.fromEntries(FACES.map((face, i) => [`foot ${face}`, mm(fromFace(0, i))])),
    ...Object.fromEntries(
      FACES.map((face, i) => [`centre ${face}`, massCentre ? mm(fromFace(massCentre.at[i]!, i)) : '']),
    ),
    ...Object.fromEntries(FACES.map((face, i) => [`centre spread ${face}`, mm(massCentre?.spread?.[i])])),
    sensorWidth: mm(sensor?.width),
    sensorHeight: mm(sensor?.height),
    crop: sensor?.crop ?? '',
    shortest: mm(focalLength?.shortest),
    longest: focalLength && focalLength.longest !== focalLength.shortest ? mm(focalLength.longest) : '',
    squeeze: item.squeeze ?? '',
    socketDepth: mm(item.socketDepth?.value),
    foot: item.foot ?? '',
    notes: item.notes ?? '',
    more: JSON.stringify(more, inOrder),
  };
  return Object.fromEntries(KIT_COLUMNS.map((c) => [c.heading, cells[c.id] ?? '']));
}

/** Keys in one order, so that the same item is the same text however it was made. */
const inOrder = (_key: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

export interface Held<T> {
  readonly byId: ReadonlyMap<string, T>;
  readonly byName: ReadonlyMap<string, T>;
}
export const heldOf = <T extends { readonly id: string; readonly name: string }>(list: readonly T[]): Held<T> => ({
  byId: new Map(list.map((x) => [x.id, x])),
  byName: new Map(list.map((x) => [x.name.toLowerCase(), x])),
});

/** Every row read against what is here; `tell` is called now and then with the rows done. Nothing is written. */
export function readKitTable(
  table: RawTable,
  matched: readonly Matched[],
  options: TableOptions,
  held: Held<KitItem>,
  newId: () => string,
  tell: (done: number) => void = () => undefined,
): readonly ImportRow<KitItem>[] {
  const names = new Map<string, number>();
  return table.rows.map(({ line, cells }, i) => {
    if (i % 500 === 0) tell(i);
    const row = readKitRow(line, cells, matched, options, held, newId);
    const twin = names.get(row.name.toLowerCase());
    names.set(row.name.toLowerCase(), twin ?? line);
    return twin === undefined || row.standing === 'refused'
      ? row
      : {
          ...row,
          standing: 'refused',
          faults: [{ column: 'name', message: `“${row.name}” stands in line ${twin} already.` }],
        };
  });
}

function readKitRow(
  line: number,
  cells: readonly string[],
  matched: readonly Matched[],
  options: TableOptions,
  held: Held<KitItem>,
  newId: () => string,
): ImportRow<KitItem> {
  const faults: CellFault[] = [];
  const notes: string[] = [];
  const texts = new Map<string, { text: string; unit: string | null }>();
  matched.forEach(({ column, unit }, i) => {
    const text = cellText(cells[i]);
    if (column && text !== '') texts.set(column, { text, unit });
  });
  const text = (id: string): string | undefined => texts.get(id)?.text;
  const figure = (id: string): number | undefined => {
    const cell = texts.get(id);
    const { kind } = KIT_COLUMNS.find((c) => c.id === id)!;
    if (!cell || kind === 'text') return undefined;
    const read = readFigure(cell.text, kind, cell.unit, options);
    if (read.ok) return read.value;
    faults.push({ column: id, message: read.message });
    return undefined;
  };
  const name = (text('name') ?? '').slice(0, 120);
  if (name === '') faults.push({ column: 'name', message: 'It has no name.' });
  const byId = text('id') === undefined ? undefined : held.byId.get(text('id')!);
  const before = byId ?? held.byName.get(name.toLowerCase());
  const kind = classOf(text('class'), faults) ?? before?.class ?? 'other';
  const base = before ?? newItem(text('id') ?? newId(), kind, name || 'unnamed');
  const more = moreOf(text('more'), faults);
  const made = withFigures(
    { ...base, ...more, name: name || base.name, class: kind },
    figure,
    text,
    faults,
    before !== undefined,
  );
  const item = before || more.mountPoints ? made : { ...made, mountPoints: [...CLASS_FACTS[kind].points(made.size)] };
  if (item.mass === undefined && faults.length === 0)
    notes.push('No mass: a guess from its size stands in until it is weighed.');
  if (before && !byId) notes.push('Known by its name.');
  const read = faults.length > 0 ? null : readWith(kitItem, item);
  if (read && !read.ok)
    faults.push(...read.faults.map((f) => ({ column: f.path, message: `${f.path} ${f.message}.` })));
  if (faults.length > 0 || !read?.ok)
    return { line, name: name || '(no name)', standing: 'refused', body: null, faults, notes };
  return {
    line,
    name,
    standing: !before ? 'new' : sameItem(before, read.value) ? 'same' : 'changes',
    body: read.value,
    faults,
    notes,
  };
}

/** The same to the digits a file keeps. */
export const sameItem = (a: KitItem, b: KitItem): boolean => JSON.stringify(kitRow(a)) === JSON.stringify(kitRow(b));

function classOf(text: string | undefined, faults: CellFault[]): KitClass | null {
  if (text === undefined) return null;
  const plain = text.toLowerCase();
  const found = KIT_CLASSES.find((c) => c === plain || `${c}s` === plain);
  if (!found)
    faults.push({ column: 'class', message: `“${text}” is no kind of kit here. One of: ${KIT_CLASSES.join(', ')}.` });
  return found ?? null;
}

function moreOf(text: string | undefined, faults: CellFault[]): Partial<KitItem> {
  if (text === undefined) return {};
  try {
    const data: unknown = JSON.parse(text);
    if (typeof data !== 'object' || data === null || Array.isArray(data)) throw new TypeError('not an object');
    return Object.fromEntries(Object.entries(data).filter(([key]) => (MORE as readonly string[]).includes(key)));
  } catch {
    faults.push({
      column: 'more',
      message: 'The column “more” holds JSON that cannot be read. Leave it empty, or as it was written out.',
    });
    return {};
  }
}

type Triple = [number, number, number];

function withFigures(
  item: KitItem,
  figure: (id: string) => number | undefined,
  text: (id: string) => string | undefined,
  faults: CellFault[],
  known: boolean,
): KitItem {
  const size = SIDES.map((side, i) => {
    const value = figure(side);
    if (value === 0) faults.push({ column: side, message: `The ${side} must be more than nothing.` });
    return value ?? item.size[i]!;
  }) as Triple;
  // Without a column the foot stays where its class or the maker put it: as far from the face as before, or in the middle.
  const boxCentre = FACES.map((face, i) => {
    const foot = figure(`foot ${face}`);
    if (foot !== undefined) return size[i]! / 2 - foot;
    if (item.boxCentre[i] === 0) return 0;
    return known
      ? size[i]! / 2 - (item.size[i]! / 2 - item.boxCentre[i]!)
      : (item.boxCentre[i]! / item.size[i]!) * size[i]!;
  }) as Triple;
  const { mass: _mass, massCentre: _centre, ...rest } = item;
  const mass = massOf(item, figure, faults);
  const centre = centreOf({ ...item, size, boxCentre }, figure, faults);
  const focal = focalOf(item, figure, faults);
  const [width, height] = [figure('sensorWidth'), figure('sensorHeight')];
  const crop = figure('crop') ?? item.sensor?.crop;
  if ((width === undefined) !== (height === undefined))
    faults.push({ column: 'sensorWidth', message: 'A sensor needs both its width and its height.' });
  const sensor =
    width !== undefined && height !== undefined
      ? { width, height, ...(crop === undefined ? {} : { crop }) }
      : item.sensor;
  const squeeze = figure('squeeze');
  const depth = figure('socketDepth');
  const foot = footOf(text('foot'), faults);
  const notes = text('notes');
  return {
    ...rest,
    size,
    boxCentre,
    ...(mass ? { mass } : {}),
    ...(centre ? { massCentre: centre } : {}),
    ...(sensor ? { sensor } : {}),
    ...(focal ? { focalLength: focal } : {}),
    ...(squeeze === undefined ? {} : { squeeze }),
    ...(depth === undefined || depth === item.socketDepth?.value ? {} : { socketDepth: { value: depth } }),
    ...(foot ? { foot } : {}),
    ...(notes === undefined ? {} : { notes: notes.slice(0, 2000) }),
  };
}

/** A scale's step of a gram, where the file does not say how well it was weighed. */
const USUAL_SPREAD = 0.0006;

function massOf(item: KitItem, figure: (id: string) => number | undefined, faults: CellFault[]): KitItem['mass'] {
  const value = figure('mass');
  if (value === undefined) return item.mass;
  if (value === 0)
    faults.push({
      column: 'mass',
      message: 'A mass must be more than nothing. Leave it empty when it was never weighed.',
    });
  if (item.mass && digits(item.mass.value) === digits(value)) return item.mass;
  return { value, spread: figure('massSpread') ?? USUAL_SPREAD, source: `mass of ${item.name}`.slice(0, 120) };
}

function centreOf(
  item: KitItem,
  figure: (id: string) => number | undefined,
  faults: CellFault[],
): KitItem['massCentre'] {
  const places = FACES.map((face) => figure(`centre ${face}`));
  if (places.every((p) => p === undefined)) return item.massCentre;
  places.forEach((place, i) => {
    if (place !== undefined && (place < 0 || place > item.size[i]!))
      faults.push({
        column: `centre ${FACES[i]!}`,
        message: `The mass centre lies outside the box: it is ${digits(item.size[i]! * 1000)} mm long there, measured from the ${FACES[i]!}.`,
      });
  });
  const at = places.map((place, i) =>
    place === undefined
      ? (item.massCentre?.at[i] ?? item.boxCentre[i]!)
      : place - item.size[i]! / 2 + item.boxCentre[i]!,
  ) as Triple;
  const spread = FACES.map(
    (face, i) => figure(`centre spread ${face}`) ?? (places[i] === undefined ? guessedCentreSpread(item)[i]! : 0.001),
  ) as Triple;
  const source = item.massCentre?.source;
  return { at, spread, ...(source === undefined ? {} : { source }) };
}

function focalOf(
  item: KitItem,
  figure: (id: string) => number | undefined,
  faults: CellFault[],
): KitItem['focalLength'] {
  const shortest = figure('shortest');
  if (shortest === undefined) return item.focalLength;
  const longest = figure('longest') ?? shortest;
  if (longest < shortest)
    faults.push({ column: 'longest', message: 'The longest focal length is shorter than the shortest.' });
  return { shortest, longest };
}

function footOf(text: string | undefined, faults: CellFault[]): MountKind | null {
  if (text === undefined) return null;
  const found = MOUNT_KINDS.find((k) => k === text.toLowerCase());
  if (!found)
    faults.push({ column: 'foot', message: `“${text}” is no way to hold it here. One of: ${MOUNT_KINDS.join(', ')}.` });
  return found ?? null;
}
