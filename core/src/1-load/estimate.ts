/** What an item may weigh before it has been on a scale: a guess from its size and class, with an honest spread. */
import type { KitItem } from '../model';

/** Mean density over the outside box (kg/m³) and relative standard uncertainty, by class. Rough: from weighing mixed gear. */
const BY_CLASS: Readonly<Record<KitItem['class'], readonly [number, number]>> = {
  camera: [750, 0.3],
  lens: [1100, 0.35],
  battery: [2000, 0.2],
  microphone: [450, 0.4],
  light: [600, 0.4],
  monitor: [700, 0.35],
  plate: [2000, 0.35],
  phone: [1900, 0.2],
  other: [700, 0.5],
};

/** Standard uncertainty of a mass centre taken as the middle of the box: a tenth of each side. */
const CENTRE_GUESS = 0.1;

export interface ItemFigures {
  readonly mass: number;
  readonly massSpread: number;
  readonly weighed: boolean;
  readonly centre: readonly [number, number, number];
  readonly centreSpread: readonly [number, number, number];
  readonly balanced: boolean;
}

/** Mass (kg) and mass centre (m from the item's foot). A weighed mass always wins over the estimate. */
export function itemFigures(item: KitItem): ItemFigures {
  const [length, width, height] = item.size;
  const [density, part] = BY_CLASS[item.class];
  const volume = item.form === 'cylinder' ? (Math.PI / 4) * length * width * height : length * width * height;
  const mass = item.mass?.value ?? density * volume;
  return {
    mass,
    massSpread: item.mass ? (item.mass.spread ?? 0) : mass * part,
    weighed: item.mass !== undefined,
    centre: item.massCentre?.at ?? item.boxCentre,
    centreSpread: item.massCentre ? (item.massCentre.spread ?? [0, 0, 0]) : [length * CENTRE_GUESS, width * CENTRE_GUESS, height * CENTRE_GUESS],
    balanced: item.massCentre !== undefined,
  };
}
