/** Flat bar by trade size. Prices are editable stand-ins in the maker's own money. */
import type { Stock } from '../../model';

const bar = (name: string, material: string, width: number, thickness: number, perMetre: number): Stock => ({
  name,
  material,
  section: { kind: 'flat', width, thickness },
  sold: [1, 2].map((length) => ({ length, price: Math.round(perMetre * length * (length > 1 ? 0.9 : 1) * 100) / 100 })),
});

export const FLAT_BARS: Readonly<Record<string, Stock>> = {
  'aluminium-30x6': bar('aluminium flat 30 × 6', 'aluminium', 0.03, 0.006, 7.8),
  'aluminium-25x5': bar('aluminium flat 25 × 5', 'aluminium', 0.025, 0.005, 5.6),
  'aluminium-40x5': bar('aluminium flat 40 × 5', 'aluminium', 0.04, 0.005, 8.4),
  'aluminium-1x1/4in': bar('aluminium flat 1 × 1/4 in', 'aluminium', 0.0254, 0.00635, 7.1),
  'steel-25x4': bar('steel flat 25 × 4', 'steel', 0.025, 0.004, 3.9),
  'steel-20x5': bar('steel flat 20 × 5', 'steel', 0.02, 0.005, 3.9),
  'steel-1x1/8in': bar('steel flat 1 × 1/8 in', 'steel', 0.0254, 0.003175, 3.4),
};
