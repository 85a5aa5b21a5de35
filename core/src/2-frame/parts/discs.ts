/** Disc plates used as weights, by trade size: their bore is far wider than the bolt that holds them. */
import { MATERIALS } from '../../0-base';
import type { Washer } from '../../model';
import { ownOf, type OwnSizes } from './ownSizes';

const disc = (name: string, mass: number, outer: number, bore: number, thickness: number, price: number): Washer => ({
  name,
  outerRadius: outer / 2,
  innerRadius: bore / 2,
  thickness,
  material: 'steel',
  // Cast plates are stamped with a round figure and weigh within a few per cent of it.
  mass: { value: mass, spread: 0.02 * mass, source: `mass of ${name}` },
  supply: { item: name, packOf: 1, packPrice: price },
});

export const DISC_PLATES: Readonly<Record<string, Washer>> = {
  'disc-0.5kg': disc('disc plate 0.5 kg', 0.5, 0.105, 0.026, 0.012, 2.5),
  'disc-1kg': disc('disc plate 1 kg', 1, 0.14, 0.026, 0.0145, 4),
  'disc-1.25kg': disc('disc plate 1.25 kg', 1.25, 0.155, 0.026, 0.015, 4.8),
  'disc-2lb': disc('disc plate 2 lb 8 oz', 1.134, 0.152, 0.0256, 0.0142, 5),
  'disc-1lb': disc('disc plate 1 lb 4 oz', 0.567, 0.112, 0.0256, 0.0128, 3.2),
};

/** A disc with its mass: stamped, weighed, or of its size. */
export function discOf(id: string, own?: OwnSizes): Washer & Required<Pick<Washer, 'mass'>> {
  const disc = ownOf(own, 'disc', id)?.washer ?? DISC_PLATES[id];
  if (!disc) throw new RangeError(`no disc “${id}”`);
  const { outerRadius, innerRadius, thickness, material, name } = disc;
  const { density, densitySpread } = MATERIALS[material] ?? MATERIALS['steel']!;
  const value = Math.PI * (outerRadius ** 2 - innerRadius ** 2) * thickness * density;
  return { ...disc, mass: disc.mass ?? { value, spread: densitySpread * value, source: `mass of ${name}` } };
}

/** How a disc is kept in the middle of a bolt thinner than its bore. */
export const CENTRINGS: Readonly<
  Record<
    string,
    {
      readonly name: string;
      /** What is bought for one disc. */
      readonly item: string;
      readonly outside: (bore: number) => number;
      /** Room round the bolt, across. */
      readonly slack: number;
      readonly mass: number;
    }
  >
> = {
  none: { name: 'nothing: it lies where it lies', item: '', outside: () => 0, slack: 0, mass: 0 },
  washers: {
    name: 'a stack of washers that just fits the bore',
    item: 'filler washers for one disc',
    outside: (bore) => bore - 0.0012,
    slack: 0.0005,
    mass: 0.012,
  },
  tape: {
    name: 'washers wound with tape till they are snug',
    item: 'filler washers and tape for one disc',
    outside: (bore) => bore - 0.0003,
    slack: 0.0005,
    mass: 0.013,
  },
  bush: {
    name: 'a turned or printed bush',
    item: 'centring bush',
    outside: (bore) => bore - 0.0001,
    slack: 0.0002,
    mass: 0.008,
  },
};

/** How far a disc's middle may lie off its bolt, m: half the slack in the bore and half the slack on the bolt. */
export function sideError(bore: number, boltDiameter: number, centring: keyof typeof CENTRINGS): number {
  const way = CENTRINGS[centring]!;
  if (way.outside(bore) <= boltDiameter) return (bore - boltDiameter) / 2;
  return (bore - way.outside(bore)) / 2 + way.slack / 2;
}
