/** What members are made stiffer with where they are weak: thin strips glued to a face, and round wood or metal turned to fit a tube. Prices are editable stand-ins. */
import type { Stock } from '../../model';

const strip = (name: string, material: string, width: number, thickness: number, perMetre: number): Stock => ({
  name,
  material,
  section: { kind: 'flat', width, thickness },
  source: 'trade size',
  sold: [{ length: 1, price: perMetre }],
});

export const DOUBLER_STRIPS: Readonly<Record<string, Stock>> = {
  'aluminium-15x3': strip('aluminium flat 15 × 3', 'aluminium', 0.015, 0.003, 2.6),
  'aluminium-20x3': strip('aluminium flat 20 × 3', 'aluminium', 0.02, 0.003, 3.2),
  'aluminium-25x3': strip('aluminium flat 25 × 3', 'aluminium', 0.025, 0.003, 3.9),
  'aluminium-40x3': strip('aluminium flat 40 × 3', 'aluminium', 0.04, 0.003, 5.6),
  'steel-15x3': strip('steel flat 15 × 3', 'steel', 0.015, 0.003, 2),
  'steel-20x3': strip('steel flat 20 × 3', 'steel', 0.02, 0.003, 2.4),
};

/** Wood is tapped in with glue; metal is for a short plug that a bolt goes through. */
export type CoreMaterial = 'oak' | 'aluminium';
/** Thinner than this nothing is turned, m. */
const LEAST = 0.006;
const PER_CUBIC_METRE: Readonly<Record<CoreMaterial, number>> = { oak: 7000, aluminium: 37000 };

/** A round that fits a bore, bought a trade size thicker and turned or sanded to it; null: the bore is too narrow. */
export function coreFor(bore: number, material: CoreMaterial): Stock | null {
  if (!(bore >= LEAST)) return null;
  const diameter = Math.round(bore * 1e5) / 1e5;
  // Bought in whole millimetres, and something left to take off.
  const whole = Math.ceil(1000 * diameter + 0.3);
  const price = Math.round(PER_CUBIC_METRE[material] * (Math.PI / 4) * diameter ** 2 * 100) / 100;
  return {
    name: `${material === 'oak' ? `oak dowel ${whole}, sanded` : `aluminium round ${whole}, turned`} to ${Math.round(diameter * 1e4) / 10} mm`,
    material,
    section: { kind: 'rod', diameter: bore },
    source: 'made to fit the tube it goes into',
    sold: [{ length: 1, price }],
  };
}
