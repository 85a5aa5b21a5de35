/** Printed parts: what walls, skins and infill leave of the solid, and what a bed and a nut pocket allow. */
import type { Material } from '../../0-base';
import { MATERIALS } from '../../0-base';
import type { Part, Rig } from '../../model';

/** What a print is called where its cost is counted. */
const PRINTING = 'printing';
export const printing = (what: string): string => `${PRINTING}, ${what}`;
/** It comes out of the maker's printer, with its holes and pockets: printed plastic that is not bought as something else. */
export const isPrinted = ({ material, supply }: Pick<Part, 'material' | 'supply'>): boolean =>
  (material === 'pla' || material === 'petg' || (material?.startsWith('printed-') ?? false)) &&
  (supply === undefined || supply.item.startsWith(PRINTING));

/** Those of a rig, each printed by itself. */
export const printedParts = ({ bodies }: Pick<Rig, 'bodies'>): readonly Part[] =>
  bodies.flatMap((b) => b.parts.filter((p) => isPrinted(p) && !p.by && !p.of && !p.uses));

export interface PrintSettings {
  /** Id of the plastic. */
  readonly plastic: 'pla' | 'petg';
  /** Thickness of all walls together, on each side, m; of the closed layers above and below. */
  readonly wall: number;
  readonly skin: number;
  /** Part of the inside that is filled. */
  readonly infill: number;
}

/** Part of a box that is plastic: everything but the infilled core, which is filled to `infill`. */
export function boxFilled([a, b, c]: readonly [number, number, number], { wall, skin, infill }: PrintSettings): number {
  const core = Math.max(0, a - 2 * wall) * Math.max(0, b - 2 * wall) * Math.max(0, c - 2 * skin);
  return 1 - (core / (a * b * c)) * (1 - infill);
}

/** The same of an upright tube. */
export function tubeFilled(
  { outerRadius, innerRadius, length }: { outerRadius: number; innerRadius: number; length: number },
  { wall, skin, infill }: PrintSettings,
): number {
  const [out, bore] = [Math.max(0, outerRadius - wall), innerRadius > 0 ? innerRadius + wall : 0];
  const core = Math.max(0, out * out - bore * bore) * Math.max(0, length - 2 * skin);
  return 1 - (core / ((outerRadius * outerRadius - innerRadius * innerRadius) * length)) * (1 - infill);
}

/** Walls, flow and filament differ: a print weighs within about this part of what is reckoned. Weigh one to know. */
const PRINT_SPREAD = 0.08;

/** The printed part as a stuff of its own: evenly thinned, so that its inertia is a little low where walls are far out. */
export function printedMaterial(name: string, filled: number, { plastic }: PrintSettings): Material {
  const solid = MATERIALS[plastic]!;
  return {
    ...solid,
    name: `${name}, ${solid.name.replace(', solid', '')}`,
    density: solid.density * filled,
    densitySpread: PRINT_SPREAD,
    source: 'walls, skins and infill as set; weigh the print',
  };
}

/** Hexagon nuts by bolt: across the flats, height, and how much wider and deeper their pocket is printed, m. */
export const NUTS: Readonly<
  Record<string, { readonly name: string; readonly bolt: number; readonly flats: number; readonly height: number }>
> = {
  m4: { name: 'M4', bolt: 0.004, flats: 0.007, height: 0.0032 },
  m5: { name: 'M5', bolt: 0.005, flats: 0.008, height: 0.0047 },
  m6: { name: 'M6', bolt: 0.006, flats: 0.01, height: 0.0052 },
  '1/4in': { name: '1/4-20', bolt: 0.00635, flats: 0.0111, height: 0.0056 },
};
/** A pocket this much larger than its nut lets it drop in and does not let it spin, m. */
export const NUT_ROOM = 0.0002;

/** The last layer before a pocket closes: the print is stopped after it, and the nut dropped in. `top` of the pocket above the bed, m. */
export const pauseLayer = (top: number, layerHeight: number): number => Math.floor(top / layerHeight + 1e-9);

/** Smallest bed side needed to lay a bar of `long` by `wide` cornerwise on a square bed, m: s = (long + wide) / √2. */
export const cornerwise = (long: number, wide: number): number => (long + wide) / Math.SQRT2;

/** Square beds as they are sold, m. */
export const BEDS: Readonly<Record<string, { readonly name: string; readonly side: number }>> = {
  120: { name: '120 × 120', side: 0.12 },
  180: { name: '180 × 180', side: 0.18 },
  220: { name: '220 × 220', side: 0.22 },
  256: { name: '256 × 256', side: 0.256 },
  300: { name: '300 × 300', side: 0.3 },
};
