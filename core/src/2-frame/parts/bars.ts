/** Bars, strips, rods and square tube by trade size, inch and metric. Prices are editable stand-ins in the maker's own money. */
import type { Section, Stock } from '../../model';
import { DOUBLER_STRIPS } from './doublers';
import { FLAT_BARS } from './flatBars';
import { ownOf, type OwnSizes } from './ownSizes';

const sold = (perMetre: number, lengths: readonly number[]): Stock['sold'] =>
  lengths.map((length, i) => ({ length, price: Math.round(perMetre * length * (i > 0 ? 0.9 : 1) * 100) / 100 }));
const stock = (
  name: string,
  material: string,
  section: Section,
  perMetre: number,
  source: string,
  lengths: readonly number[] = [1, 2],
): Stock => ({ name, material, section, source, sold: sold(perMetre, lengths) });
const rod = (name: string, material: string, diameter: number, perMetre: number, threadPitch?: number): Stock =>
  stock(
    name,
    material,
    threadPitch === undefined ? { kind: 'rod', diameter } : { kind: 'rod', diameter, threadPitch },
    perMetre,
    threadPitch === undefined
      ? 'trade size'
      : 'ISO and UNC coarse threads; weighs as a plain rod of its pitch diameter',
    [1],
  );

const SLOTS = { width: 0.007, length: 0.025, pitch: 0.04 };

export const SLOTTED_STRIPS: Readonly<Record<string, Stock>> = {
  'slotted-steel-25x2': stock(
    'slotted steel strip 25 × 2',
    'steel',
    { kind: 'flat', width: 0.025, thickness: 0.002, slots: SLOTS },
    3.1,
    'slots as measured on a usual strip: measure yours',
  ),
  'slotted-steel-1x1/8in': stock(
    'slotted steel strip 1 × 1/8 in',
    'steel',
    { kind: 'flat', width: 0.0254, thickness: 0.003175, slots: SLOTS },
    4.4,
    'slots as measured on a usual strip: measure yours',
  ),
};
export const WOOD_STRIPS: Readonly<Record<string, Stock>> = {
  'ply-60x12': stock(
    'birch plywood strip 60 × 12',
    'birchPly',
    { kind: 'flat', width: 0.06, thickness: 0.012 },
    6.2,
    'sawn from sheet',
    [1.2],
  ),
  'ply-50x9': stock(
    'birch plywood strip 50 × 9',
    'birchPly',
    { kind: 'flat', width: 0.05, thickness: 0.009 },
    4.9,
    'sawn from sheet',
    [1.2],
  ),
  'oak-45x18': stock('oak strip 45 × 18', 'oak', { kind: 'flat', width: 0.045, thickness: 0.018 }, 7.4, 'planed board'),
  'printed-50x10': stock(
    'printed bar 50 × 10',
    'petg',
    { kind: 'flat', width: 0.05, thickness: 0.01 },
    9,
    'printed solid; longer than the bed is printed in parts and glued',
    [0.25, 0.5, 1],
  ),
};
export const RODS: Readonly<Record<string, Stock>> = {
  'rod-m6': rod('threaded rod M6', 'steel', 0.006, 1.6, 0.001),
  'rod-m8': rod('threaded rod M8', 'steel', 0.008, 2.2, 0.00125),
  'rod-m10': rod('threaded rod M10', 'steel', 0.01, 3, 0.0015),
  'rod-m12': rod('threaded rod M12', 'steel', 0.012, 3.8, 0.00175),
  'rod-1/4in': rod('threaded rod 1/4-20', 'steel', 0.00635, 2, 0.00127),
  'rod-3/8in': rod('threaded rod 3/8-16', 'steel', 0.009525, 2.9, 0.0015875),
  'round-8': rod('aluminium round 8', 'aluminium', 0.008, 2.5),
  'round-12': rod('aluminium round 12', 'aluminium', 0.012, 4.2),
  'dowel-25': rod('beech dowel 25, as oak', 'oak', 0.025, 3.4),
  'dowel-32': rod('beech dowel 32, as oak', 'oak', 0.032, 5.1),
  'dowel-1in': rod('oak dowel 1 in', 'oak', 0.0254, 4.4),
};
export const SQUARE_TUBES: Readonly<Record<string, Stock>> = {
  'square-alu-20x1.5': stock(
    'aluminium square tube 20 × 1.5',
    'aluminium',
    { kind: 'square', width: 0.02, height: 0.02, wall: 0.0015 },
    5.4,
    'trade size',
  ),
  'square-alu-25x2': stock(
    'aluminium square tube 25 × 2',
    'aluminium',
    { kind: 'square', width: 0.025, height: 0.025, wall: 0.002 },
    7.6,
    'trade size',
  ),
  'square-alu-1inx1/16': stock(
    'aluminium square tube 1 × 1/16 in',
    'aluminium',
    { kind: 'square', width: 0.0254, height: 0.0254, wall: 0.0015875 },
    6.8,
    'trade size',
  ),
  'square-steel-20x1.5': stock(
    'steel square tube 20 × 1.5',
    'steel',
    { kind: 'square', width: 0.02, height: 0.02, wall: 0.0015 },
    4.4,
    'trade size',
  ),
};
const tube = (
  name: string,
  material: string,
  outerDiameter: number,
  wall: number,
  perMetre: number,
  lengths: readonly number[] = [1, 2],
): Stock => stock(name, material, { kind: 'tube', outerDiameter, wall }, perMetre, 'trade size', lengths);
/** Plain round tubes that no pipe fitting is made for. */
export const ROUND_TUBES: Readonly<Record<string, Stock>> = {
  'tube-alu-20x1.5': tube('aluminium tube 20 × 1.5', 'aluminium', 0.02, 0.0015, 4.8),
  'tube-alu-25x2': tube('aluminium tube 25 × 2', 'aluminium', 0.025, 0.002, 7.2),
  'tube-alu-1inx1/16': tube('aluminium tube 1 × 1/16 in', 'aluminium', 0.0254, 0.0015875, 6.4),
  'tube-carbon-20x1': tube('carbon tube 20 × 1', 'carbonEpoxy', 0.02, 0.001, 24),
  'tube-steel-3/4in': tube('steel conduit 3/4 in', 'steel', 0.02337, 0.00124, 2.3, [1.524, 3.048]),
};

/** Everything long that can be bought, by id: what a member can be changed to. */
export const BARS: Readonly<Record<string, Stock>> = {
  ...FLAT_BARS,
  ...DOUBLER_STRIPS,
  ...SLOTTED_STRIPS,
  ...WOOD_STRIPS,
  ...RODS,
  ...SQUARE_TUBES,
  ...ROUND_TUBES,
};

/** One by its id, or an own one. */
export function barOf(id: string, own?: OwnSizes): Stock {
  const found = ownOf(own, 'stock', id)?.stock ?? BARS[id];
  if (!found) throw new RangeError(`no bar “${id}”`);
  return found;
}

export const barOptions = (
  ...tables: readonly Readonly<Record<string, Stock>>[]
): readonly { readonly id: string; readonly name: string }[] =>
  tables.flatMap((table) => Object.entries(table).map(([id, s]) => ({ id, name: s.name })));
