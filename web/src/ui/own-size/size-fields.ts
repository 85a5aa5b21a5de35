/** The figures that make each kind of size, in the order a maker measures them. */
import type { OwnSize } from '@tide-pebble/core';
import type { FieldKind } from '../figures/quantity-field';

export interface SizeField {
  readonly label: string;
  readonly kind: FieldKind;
  readonly range: readonly [number, number];
  readonly help?: string;
  readonly optional?: true;
  /** Where a fault of the size belongs to it, dotted. */
  readonly path: string;
  /** SI; null where nothing is typed. */
  readonly value: number | null;
  /** The size with this figure; null takes it out. */
  readonly with: (value: number | null) => OwnSize;
}

const LONG: readonly [number, number] = [0.0002, 0.5];
const PRICE: readonly [number, number] = [0, 100_000];

type OfStock = Extract<OwnSize, { stock: unknown }>;
type OfRing = Extract<OwnSize, { washer: unknown }>;

export const fieldsOf = (size: OwnSize): readonly SizeField[] =>
  'stock' in size ? [...sectionFields(size), ...pipeFields(size), ...soldFields(size)] : ringFields(size);

function sectionFields(size: OfStock): readonly SizeField[] {
  const { section } = size.stock;
  const field = (label: string, key: string, of: Readonly<Record<string, unknown>>, help = ''): SizeField => ({
    label,
    kind: 'length',
    range: LONG,
    ...(help ? { help } : {}),
    path: `stock.section.${key}`,
    value: of[key] as number,
    with: (value) =>
      ({ ...size, stock: { ...size.stock, section: { ...section, [key]: value ?? 0 } } }) as unknown as OwnSize,
  });
  switch (section.kind) {
    case 'flat':
      return [field('Wide', 'width', section), field('Thick', 'thickness', section)];
    case 'tube':
      return [field('Across, outside', 'outerDiameter', section), field('Wall', 'wall', section)];
    case 'square':
      return [field('Wide', 'width', section), field('High', 'height', section), field('Wall', 'wall', section)];
    case 'rod':
      return [field('Across', 'diameter', section)];
  }
}

function pipeFields(size: OfStock): readonly SizeField[] {
  if (size.kind !== 'pipe') return [];
  const take = (label: string, key: keyof typeof size.takeOff): SizeField => ({
    label,
    kind: 'length',
    range: [0.0002, 0.1],
    path: `takeOff.${key}`,
    value: size.takeOff[key],
    with: (value) => ({ ...size, takeOff: { ...size.takeOff, [key]: value ?? 0 } }),
  });
  return [
    {
      label: 'Goes into a fitting',
      kind: 'length',
      range: [0.002, 0.1],
      help: 'Push a piece home, mark it, pull it out and measure to the mark.',
      path: 'depth',
      value: size.depth,
      with: (value) => ({ ...size, depth: value ?? 0 }),
    },
    {
      label: 'Wall of a fitting’s arm',
      kind: 'length',
      range: [0.0003, 0.02],
      path: 'wall',
      value: size.wall,
      with: (value) => ({ ...size, wall: value ?? 0 }),
    },
    take('Square bend or tee: its middle to the pipe’s end', 'square'),
    take('Half bend: its middle to the pipe’s end', 'half'),
    take('Coupling: its middle to the pipe’s end', 'coupling'),
    take('Cap: its outside to the pipe’s end', 'cap'),
  ];
}

function soldFields(size: OfStock): readonly SizeField[] {
  const [first = { length: 1, price: 0 }] = size.stock.sold;
  const sold = (change: Partial<typeof first>): OwnSize => ({
    ...size,
    stock: { ...size.stock, sold: [{ ...first, ...change }] },
  });
  return [
    {
      label: 'Sold in lengths of',
      kind: 'length',
      range: [0.05, 20],
      path: 'stock.sold.0.length',
      value: first.length,
      with: (value) => sold({ length: value ?? 0 }),
    },
    {
      label: 'Price of one',
      kind: 'money',
      range: PRICE,
      path: 'stock.sold.0.price',
      value: first.price,
      with: (value) => sold({ price: value ?? 0 }),
    },
  ];
}

function ringFields(size: OfRing): readonly SizeField[] {
  const { washer } = size;
  const changed = (change: Partial<typeof washer>): OwnSize => ({ ...size, washer: { ...washer, ...change } });
  const supply = washer.supply ?? { item: washer.name, packOf: 1, packPrice: 0 };
  return [
    {
      label: 'Across, outside',
      kind: 'length',
      range: [0.002, 0.6],
      path: 'washer.outerRadius',
      value: 2 * washer.outerRadius,
      with: (value) => changed({ outerRadius: (value ?? 0) / 2 }),
    },
    {
      label: size.kind === 'disc' ? 'Bore' : 'Hole',
      kind: 'length',
      range: [0.001, 0.2],
      path: 'washer.innerRadius',
      value: 2 * washer.innerRadius,
      with: (value) => changed({ innerRadius: (value ?? 0) / 2 }),
    },
    {
      label: 'Thick',
      kind: 'length',
      range: [0.0002, 0.1],
      help: 'Measure ten of them and divide: thin ones differ.',
      path: 'washer.thickness',
      value: washer.thickness,
      with: (value) => changed({ thickness: value ?? 0 }),
    },
    {
      label: 'One weighs',
      kind: 'mass',
      range: [0.0001, 30],
      optional: true,
      help: 'Empty: reckoned from its size.',
      path: 'washer.mass',
      value: washer.mass?.value ?? null,
      with: (value) => {
        const { mass: _mass, ...bare } = washer;
        return value === null
          ? { ...size, washer: bare }
          : changed({ mass: { value, spread: 0.01 * value, source: `mass of ${washer.name}` } });
      },
    },
    {
      label: 'Sold in packs of',
      kind: 'count',
      range: [1, 1000],
      path: 'washer.supply.packOf',
      value: supply.packOf,
      with: (value) => changed({ supply: { ...supply, packOf: Math.round(value ?? 1) } }),
    },
    {
      label: 'Price of a pack',
      kind: 'money',
      range: PRICE,
      path: 'washer.supply.packPrice',
      value: supply.packPrice,
      with: (value) => changed({ supply: { ...supply, packPrice: value ?? 0 } }),
    },
  ];
}

/** The size under this name, which is what is bought and counted in the bin. */
export const sizeNamed = (size: OwnSize, name: string): OwnSize =>
  'stock' in size
    ? { ...size, stock: { ...size.stock, name, source: 'measured by its maker' } }
    : {
        ...size,
        washer: {
          ...size.washer,
          name,
          ...(size.washer.mass ? { mass: { ...size.washer.mass, source: `mass of ${name}` } } : {}),
          ...(size.washer.supply ? { supply: { ...size.washer.supply, item: name } } : {}),
        },
      };
